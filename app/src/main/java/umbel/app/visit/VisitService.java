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
import umbel.aftercare.AfterTask;
import umbel.app.cache.ComputedCache;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.TreeDecisions;
import umbel.app.season.SeasonService;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Mark;
import umbel.cut.ImpossibleCut;
import umbel.cut.OperationKind;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.plant.Plant;
import umbel.plant.Visit;
import umbel.plant.VisitTotals;
import umbel.season.FollowUps;
import umbel.season.Phenology;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Keeps a visit: what was done, what it came to by the same sums the plan was made with, and what must be come back for. The
 * same visit sent twice is kept once.
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
    private final TreeReadings readings;
    private final SeasonService season;
    private final Knowledge knowledge;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;
    private final ComputedCache<Long, VisitTotals> found = ComputedCache.atMost(2_000);

    VisitService(
            RecordRepository records,
            TreeRepository trees,
            SurveyRepository surveys,
            FollowUpRepository followUps,
            TreeDecisions decided,
            TreeReadings readings,
            SeasonService season,
            Knowledge knowledge,
            Clock clock,
            TransactionTemplate transactions,
            ApplicationEventPublisher events) {
        this.records = records;
        this.trees = trees;
        this.surveys = surveys;
        this.followUps = followUps;
        this.decided = decided;
        this.readings = readings;
        this.season = season;
        this.knowledge = knowledge;
        this.clock = clock;
        this.transactions = transactions;
        this.events = events;
    }

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
            try {
                return transactions.execute(status -> saveOnce(treeId, entry));
            } catch (DataIntegrityViolationException | OptimisticLockingFailureException e) {
                lost = e; // the same visit, or another one to this tree, was saved at this moment: look again
            }
        }
        throw lost;
    }

    private Saved saveOnce(long treeId, VisitEntry entry) {
        OrchardTree tree = trees.existing(treeId);
        Optional<WorkRecord> before =
                entry.clientId() == null ? Optional.empty() : records.findByClientId(entry.clientId());
        if (before.isPresent()) {
            return sentBefore(treeId, before.get(), entry);
        }
        check(tree, entry);
        WorkRecord corrected = entry.corrects() == null ? null : corrected(treeId, entry.corrects());
        SurveyEntry survey = surveyOf(treeId, entry, corrected);
        VisitEffects effects = effects(survey, entry);
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
                .with(
                        effects == null ? null : JSON.writeValueAsString(effects.outcome()),
                        entry.tools() == null ? "" : entry.tools().strip(),
                        entry.clientId())
                .lookedAfter(entry.afterwards())
                .worked(worked(entry))
                .shaded(
                        effects == null ? null : effects.before().shade(),
                        effects == null ? null : effects.after().shade()));
        decided.settle(treeId, survey, marks(entry, StepOutcome::settles));
        if (corrected != null) {
            decided.markAgain(tree, survey, marks(entry, how -> how == StepOutcome.LEFT));
            followUps.deleteByRecordIdAndDoneOnIsNull(corrected.id());
        }
        if (effects != null && saved.worked()) {
            scheduleFollowUps(saved, effects);
        }
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
    private SurveyEntry surveyOf(long treeId, VisitEntry entry, WorkRecord corrected) {
        if (corrected != null) {
            return corrected.survey();
        }
        if (entry.surveyId() != null) {
            return surveys.findById(entry.surveyId())
                    .filter(one -> one.tree().id().equals(treeId))
                    .orElseThrow(() -> new NotFound("survey", entry.surveyId()));
        }
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId)
                .orElseThrow(() -> new NotFound("surveyOfTree", treeId));
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

    /** What a visit did to the plant as it was surveyed. */
    private record VisitEffects(
            Plant plant, Visit done, VisitAnswers.VisitOutcome outcome, VisitTotals before, VisitTotals after) {}

    /** What was really done, on the plant as it was surveyed; null where it cannot be told, as after another survey. */
    private VisitEffects effects(SurveyEntry survey, VisitEntry entry) {
        Plant plant = readings.plant(survey);
        try {
            List<Mark> done = marks(entry, true);
            VisitTotals before = found.get(survey.id(), () -> plant.totals(List.of()));
            VisitTotals after = plant.totals(done);
            List<Mark> asPlanned = marks(entry, false);
            VisitTotals planned = asPlanned.equals(done) ? after : plant.totals(asPlanned);
            return new VisitEffects(
                    plant,
                    plant.visit(done),
                    new VisitAnswers.VisitOutcome(before.told(), planned.told(), after.told()),
                    before,
                    after);
        } catch (ImpossibleCut e) {
            return null;
        }
    }

    /** The marks that were planned, or those that were done. */
    private static List<Mark> marks(VisitEntry entry, boolean done) {
        List<Mark> marks = new ArrayList<>();
        for (VisitEntry.DoneStep step : entry.steps()) {
            StepOutcome how = step.how().orElseThrow();
            boolean counts = done ? how.done() : how != StepOutcome.ADDED;
            Mark mark = step.mark();
            if (counts && mark.operation() != null && mark.limb() != null) {
                marks.add(mark);
            }
        }
        return marks;
    }

    private void scheduleFollowUps(WorkRecord saved, VisitEffects effects) {
        Phenology year = season.yearOf(saved.tree().block(), saved.doneOn());
        if (year == null) {
            return;
        }
        effects.plant().followUps(effects.done(), effects.after(), saved.doneOn(), year).stream()
                .filter(one -> one.to().isAfter(LocalDate.now(clock).minusYears(1)))
                .map(one -> new FollowUpEntry(saved, one))
                .forEach(followUps::save);
        if (leftLying(saved, effects)) {
            followUps.save(new FollowUpEntry(
                    saved,
                    FollowUps.clearing(
                            saved.doneOn(), knowledge.parameters().season().followUp())));
        }
    }

    /** Whether diseased prunings were left where they fell; only where somebody said what was looked after. */
    private static boolean leftLying(WorkRecord saved, VisitEffects effects) {
        String clearing = AfterTask.Kind.DISEASED_PRUNINGS.word();
        List<Mark> marks = effects.done().steps().stream().map(Visit.Step::mark).toList();
        return saved.afterwards() != null
                && !saved.afterwards().contains(clearing)
                && effects.plant().afterwards(marks).stream()
                        .anyMatch(task -> task.kind().word().equals(clearing));
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
