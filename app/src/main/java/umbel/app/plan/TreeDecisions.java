package umbel.app.plan;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.StaleVersion;
import umbel.app.orchard.OrchardTree;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.Mark;
import umbel.text.Statement;

/** What is decided on each tree, kept until it is done. Decisions go by a survey; a newer one leaves them behind. */
@Component
public class TreeDecisions {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long NONE_YET = -1;

    private final SavedDecisionsRepository works;
    private final SurveyRepository surveys;

    TreeDecisions(SavedDecisionsRepository works, SurveyRepository surveys) {
        this.works = works;
        this.surveys = surveys;
    }

    /**
     * What is decided on a tree.
     *
     * @param version to be told when it is changed; -1 where nothing is kept yet
     * @param outdated whether something was decided on an older survey
     */
    record Current(Decisions decisions, long version, boolean outdated) {}

    /** What is decided on a survey of a tree; nothing where it was decided on another. */
    @Transactional(readOnly = true)
    public Current on(long treeId, SurveyEntry survey) {
        return works.findByTreeId(treeId)
                .map(work -> new Current(of(work, survey), work.version(), !goesBy(work, survey.id())))
                .orElse(new Current(Decisions.none(), NONE_YET, false));
    }

    /** What was decided on a tree's newest survey; nothing where it was decided on an older one. */
    @Transactional(readOnly = true)
    public Decisions on(SavedDecisions work) {
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(work.tree().id())
                .map(newest -> of(work, newest))
                .orElse(Decisions.none());
    }

    /**
     * Keeps decisions in the place of those of a version.
     *
     * @return the version kept
     * @throws StaleVersion where they were changed since that version
     */
    @Transactional
    public long keep(OrchardTree tree, SurveyEntry survey, Decisions decisions, long version) {
        SavedDecisions work = works.findByTreeId(tree.id()).orElse(null);
        long current = work == null ? NONE_YET : work.version();
        if (current != version) {
            throw new StaleVersion(Statement.of("problem.marks-changed"));
        }
        SavedDecisions kept = work == null ? new SavedDecisions(tree) : work;
        kept.decide(survey.id(), JSON.writeValueAsString(decisions));
        return works.saveAndFlush(kept).version();
    }

    /**
     * Takes the marks that a visit settled out of what is decided on a survey, and nothing else: what was marked after the
     * visit's sheet was made stays. Once no mark is left, the other decisions of that work are forgotten with it.
     */
    @Transactional
    public void settle(long treeId, long surveyId, List<Mark> settled) {
        works.findByTreeId(treeId).filter(work -> goesBy(work, surveyId)).ifPresent(work -> {
            Decisions all = read(work);
            List<Mark> left = all.marks().stream()
                    .filter(mark -> settled.stream().noneMatch(mark::sameAs))
                    .toList();
            if (left.isEmpty()) {
                works.delete(work);
                works.flush();
            } else if (left.size() < all.marks().size()) {
                work.decide(surveyId, JSON.writeValueAsString(all.marking(left)));
                works.saveAndFlush(work);
            }
        });
    }

    /** Marks again what a corrected visit turns out to have left undone; nothing where something newer is decided. */
    @Transactional
    public void markAgain(OrchardTree tree, long surveyId, List<Mark> left) {
        SavedDecisions work = works.findByTreeId(tree.id()).orElse(null);
        if (left.isEmpty() || work != null && !goesBy(work, surveyId)) {
            return;
        }
        Decisions all = work == null ? Decisions.none() : read(work);
        List<Mark> marks = new ArrayList<>(all.marks());
        left.stream().filter(mark -> marks.stream().noneMatch(mark::sameAs)).forEach(marks::add);
        SavedDecisions kept = work == null ? new SavedDecisions(tree) : work;
        kept.decide(surveyId, JSON.writeValueAsString(all.marking(marks)));
        works.saveAndFlush(kept);
    }

    /** Whether anything of what is decided on a tree is marked on a survey of it. */
    public static boolean marks(DecidedLine work, long surveyId) {
        return work.surveyId() == surveyId
                && !JSON.readValue(work.document(), Decisions.class).marks().isEmpty();
    }

    private static Decisions of(SavedDecisions work, SurveyEntry survey) {
        return goesBy(work, survey.id()) ? read(work) : Decisions.none();
    }

    private static boolean goesBy(SavedDecisions work, long surveyId) {
        return work.surveyId() == surveyId;
    }

    private static Decisions read(SavedDecisions work) {
        return JSON.readValue(work.document(), Decisions.class);
    }
}
