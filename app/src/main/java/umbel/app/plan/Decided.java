package umbel.app.plan;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.Stale;
import umbel.app.orchard.OrchardTree;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.Mark;

/** What is decided on each tree, kept until it is done. Decisions go by a survey; a newer one leaves them behind. */
@Component
public class Decided {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long NONE_YET = -1;

    private final WorkRepository works;
    private final SurveyRepository surveys;

    Decided(WorkRepository works, SurveyRepository surveys) {
        this.works = works;
        this.surveys = surveys;
    }

    /**
     * What is decided on a tree.
     *
     * @param version to be told when it is changed; -1 where nothing is kept yet
     * @param outdated whether something was decided on an older survey
     */
    record Standing(Decisions decisions, long version, boolean outdated) {}

    /** What is decided on a survey of a tree; nothing where it was decided on another. */
    @Transactional(readOnly = true)
    public Standing on(long treeId, SurveyEntry survey) {
        return works.findByTreeId(treeId)
                .map(work -> new Standing(of(work, survey), work.version(), !goesBy(work, survey)))
                .orElse(new Standing(Decisions.none(), NONE_YET, false));
    }

    /** What was decided on a tree's newest survey; nothing where it was decided on an older one. */
    @Transactional(readOnly = true)
    public Decisions on(Work work) {
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(work.tree().id())
                .map(newest -> of(work, newest))
                .orElse(Decisions.none());
    }

    /**
     * Keeps decisions in the place of those of a version.
     *
     * @return the version kept
     * @throws Stale where they were changed since that version
     */
    @Transactional
    public long keep(OrchardTree tree, SurveyEntry survey, Decisions decisions, long version) {
        Work work = works.findByTreeId(tree.id()).orElse(null);
        long standing = work == null ? NONE_YET : work.version();
        if (standing != version) {
            throw new Stale("This tree's marks were changed in another window. Load it again to see them.");
        }
        Work kept = work == null ? new Work(tree) : work;
        kept.decide(survey, JSON.writeValueAsString(decisions));
        return works.saveAndFlush(kept).version();
    }

    /** Leaves only these of a tree's marks, as after part of the work was done. */
    @Transactional
    public void leave(long treeId, List<Mark> marks) {
        works.findByTreeId(treeId).ifPresent(work -> {
            Decisions all = read(work);
            work.decide(work.survey(), JSON.writeValueAsString(all.marking(marks)));
            works.saveAndFlush(work);
        });
    }

    /** Forgets what was decided, once it was done. */
    @Transactional
    public void clear(long treeId) {
        works.findByTreeId(treeId).ifPresent(works::delete);
    }

    private static Decisions of(Work work, SurveyEntry survey) {
        return goesBy(work, survey) ? read(work) : Decisions.none();
    }

    private static boolean goesBy(Work work, SurveyEntry survey) {
        return work.survey().id().equals(survey.id());
    }

    private static Decisions read(Work work) {
        return JSON.readValue(work.document(), Decisions.class);
    }
}
