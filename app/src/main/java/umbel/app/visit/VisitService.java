package umbel.app.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.TreeDecisions;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.assess.Mark;
import umbel.cut.OperationKind;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Keeps a visit: what was done, and that it is settled. The same visit sent twice is kept once. What it came to is worked out
 * afterwards, by {@link VisitEffects}: at the tree nobody waits for sums.
 */
@Service
public class VisitService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int ATTEMPTS = 5;

    private final RecordRepository records;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final FollowUpRepository followUps;
    private final TreeDecisions decided;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;

    VisitService(
            RecordRepository records,
            TreeRepository trees,
            SurveyRepository surveys,
            FollowUpRepository followUps,
            TreeDecisions decided,
            Clock clock,
            TransactionTemplate transactions,
            ApplicationEventPublisher events) {
        this.records = records;
        this.trees = trees;
        this.surveys = surveys;
        this.followUps = followUps;
        this.decided = decided;
        this.clock = clock;
        this.transactions = transactions;
        this.events = events;
    }

    /** A visit was saved. */
    record VisitSaved(long record) {}

    /**
     * A visit as saved.
     *
     * @param fresh whether it was not there before
     * @param meanwhile visits to the tree after the last one its sheet knew of
     */
    record Saved(WorkRecord record, boolean fresh, List<WorkRecord> meanwhile) {}

    /**
     * Saves a visit. The same one sent again, at the same moment even, is saved once.
     *
     * @throws Refused where its id was used for another tree, or what it corrects was corrected already
     */
    public Saved save(long treeId, VisitEntry entry) {
        RuntimeException lost = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            // that it was sent before is seldom: it is looked up once the database has refused its id
            boolean maybeSentBefore = attempt > 0 || entry.corrects() != null;
            try {
                return transactions.execute(status -> saveOnce(treeId, entry, maybeSentBefore));
            } catch (DataIntegrityViolationException | OptimisticLockingFailureException e) {
                lost = e; // the same visit, or another one to this tree, was saved at this moment: look again
            }
        }
        throw lost;
    }

    private Saved saveOnce(long treeId, VisitEntry entry, boolean maybeSentBefore) {
        OrchardTree tree = trees.existing(treeId);
        Optional<WorkRecord> before = entry.clientId() == null || !maybeSentBefore
                ? Optional.empty()
                : records.findByClientId(entry.clientId());
        if (before.isPresent()) {
            return sentBefore(treeId, before.get(), entry);
        }
        check(tree, entry);
        WorkRecord corrected = entry.corrects() == null ? null : corrected(treeId, entry.corrects());
        SurveyLine survey = surveyOf(treeId, entry, corrected);
        WorkRecord saved = records.saveAndFlush(new WorkRecord(
                        tree,
                        survey,
                        entry.corrects(),
                        entry.doneOn(),
                        entry.who().strip(),
                        entry.minutes(),
                        entry.note() == null ? "" : entry.note().strip(),
                        JSON.writeValueAsString(entry.steps()),
                        clock.instant())
                .with(entry.tools() == null ? "" : entry.tools().strip(), entry.clientId())
                .lookedAfter(entry.afterwards())
                .worked(worked(entry))
                .dueEffects());
        decided.settle(treeId, survey.id(), marks(entry, StepOutcome::settles));
        if (corrected != null) {
            decided.markAgain(tree, survey.id(), marks(entry, how -> how == StepOutcome.LEFT));
            records.endEffects(corrected.id());
            followUps.deleteByRecordIdAndDoneOnIsNull(corrected.id());
        }
        events.publishEvent(new VisitSaved(saved.id()));
        events.publishEvent(new ScheduleInputChanged(
                Statement.of("schedule-again.work")
                        .with("block", Value.name(tree.block().name())),
                tree.block().id()));
        return new Saved(saved, true, meanwhile(treeId, entry, saved));
    }

    private Saved sentBefore(long treeId, WorkRecord before, VisitEntry entry) {
        if (!before.tree().id().equals(treeId)) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.visit-of-another-tree")
                            .with("tree", Value.name(before.tree().label())));
        }
        return new Saved(before, false, meanwhile(treeId, entry, before));
    }

    private List<WorkRecord> meanwhile(long treeId, VisitEntry entry, WorkRecord saved) {
        return entry.knownVisit() == null
                ? List.of()
                : records.findByTreeIdOrderByDoneOnDescIdDesc(treeId).stream()
                        .filter(other -> other.id() > entry.knownVisit()
                                && !other.id().equals(saved.id())
                                && !other.id().equals(saved.correctsId()))
                        .toList();
    }

    private WorkRecord corrected(long treeId, long id) {
        WorkRecord old = records.findById(id)
                .filter(one -> one.tree().id().equals(treeId))
                .orElseThrow(() -> new NotFound("record", id));
        records.findFirstByCorrectsId(id).ifPresent(later -> {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.corrected-already").with("person", Value.name(later.who())));
        });
        return old;
    }

    /** The survey a visit goes by: that of the entry it corrects, of its sheet, or else the newest. */
    private SurveyLine surveyOf(long treeId, VisitEntry entry, WorkRecord corrected) {
        if (corrected != null) {
            return surveys.tell(corrected.surveyId()).orElseThrow();
        }
        if (entry.surveyId() != null) {
            return surveys.tell(entry.surveyId())
                    .filter(one -> one.treeId() == treeId)
                    .orElseThrow(() -> new NotFound("survey", entry.surveyId()));
        }
        return surveys.tellNewestOfTree(treeId).orElseThrow(() -> new NotFound("surveyOfTree", treeId));
    }

    private static List<Mark> marks(VisitEntry entry, Predicate<StepOutcome> which) {
        return entry.steps().stream()
                .filter(step -> step.how().filter(which).isPresent())
                .map(VisitEntry.DoneStep::mark)
                .toList();
    }

    /** Whether anything was done; looking at a limb again is not. */
    private static boolean worked(VisitEntry entry) {
        return marks(entry, StepOutcome::done).stream()
                .anyMatch(mark -> !OperationKind.WATCH.word().equals(mark.operation()));
    }

    private void check(OrchardTree tree, VisitEntry entry) {
        List<FieldError> errors = new ArrayList<>();
        LocalDate today = LocalDate.now(clock.withZone(tree.block().holding().timeZone()));
        if (entry.doneOn().isAfter(today)) {
            errors.add(new FieldError(
                    "doneOn", Statement.of("problem.day-in-future").with("today", new Value.Day(today))));
        }
        if (entry.steps().isEmpty() && (entry.note() == null || entry.note().isBlank())) {
            errors.add(FieldError.of("steps", "problem.nothing-to-record"));
        }
        for (int i = 0; i < entry.steps().size(); i++) {
            VisitEntry.DoneStep step = entry.steps().get(i);
            String field = "steps[" + i + "]";
            StepOutcome how = step.how().orElse(null);
            if (how == null) {
                errors.add(FieldError.oneOf(field + ".outcome", StepOutcome.words()));
            } else if (how.needsReason()
                    && (step.reason() == null || step.reason().isBlank())) {
                errors.add(new FieldError(
                        field + ".reason",
                        Statement.of("problem.reason-missing").with("outcome", Value.choice(how.word()))));
            }
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
    }
}
