package umbel.app.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.NotFound;
import umbel.app.kept.Kept;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkChanged;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.Decided;
import umbel.app.season.SeasonService;
import umbel.app.survey.Readings;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.plan.Totals;
import umbel.season.FollowUps;
import umbel.season.Phenology;
import umbel.survey.InvalidSurvey;

/**
 * Keeps a visit: what was done, what it came to by the same sums the plan was made with, and what must be come back for. The
 * same visit sent twice is kept once.
 */
@Service
public class VisitService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final List<String> OUTCOMES = List.of("as-planned", "changed", "skipped", "added", "left");

    private final RecordRepository records;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final FollowUpRepository followUps;
    private final Decided decided;
    private final Readings readings;
    private final SeasonService season;
    private final Knowledge knowledge;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final Kept<Long, Totals> found = Kept.atMost(2_000);

    VisitService(
            RecordRepository records,
            TreeRepository trees,
            SurveyRepository surveys,
            FollowUpRepository followUps,
            Decided decided,
            Readings readings,
            SeasonService season,
            Knowledge knowledge,
            Clock clock,
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
        this.events = events;
    }

    /** The visit as kept; the one kept before where it was sent already. */
    @Transactional
    public WorkRecord keep(long treeId, RecordController.Entry entry) {
        OrchardTree tree = trees.findById(treeId).orElseThrow(() -> new NotFound("tree", treeId));
        SurveyEntry survey = surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId)
                .orElseThrow(() -> new NotFound("survey of tree", treeId));
        if (entry.clientId() != null) {
            WorkRecord before = records.findByClientId(entry.clientId()).orElse(null);
            if (before != null) {
                return before;
            }
        }
        checkOutcomes(entry);
        WorkRecord corrected = entry.corrects() == null
                ? null
                : records.findById(entry.corrects())
                        .filter(old -> old.tree().id().equals(treeId))
                        .orElseThrow(() -> new NotFound("record", entry.corrects()));
        Did did = did(survey, entry);
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
                        did == null ? null : JSON.writeValueAsString(did.outcome()),
                        entry.tools() == null ? "" : entry.tools().strip(),
                        entry.clientId())
                .shaded(
                        did == null ? null : did.outcome().before().under30After(),
                        did == null ? null : did.outcome().after().under30After()));
        List<Mark> left = entry.steps().stream()
                .filter(step -> step.outcome().equals("left"))
                .map(RecordController.DoneStep::mark)
                .toList();
        if (corrected == null && left.isEmpty()) {
            decided.clear(treeId);
        } else if (corrected == null) {
            decided.leave(treeId, left);
        } else {
            followUps.deleteByRecordIdAndDoneOnIsNull(corrected.id());
        }
        if (did != null) {
            comeBackFor(saved, did);
        }
        events.publishEvent(new WorkChanged(
                "work was recorded in " + tree.block().name(), tree.block().id()));
        return saved;
    }

    private record Did(
            Readings.ReadTree read, List<FollowUps.Done> done, RecordController.VisitOutcome outcome, Totals totals) {}

    /** What was really done, on the tree as it was surveyed; null where it cannot be told, as after another survey. */
    private Did did(SurveyEntry survey, RecordController.Entry entry) {
        Readings.ReadTree read = readings.of(survey);
        double reach = knowledge.trade().reach();
        try {
            List<Operation> operations = operations(entry, true);
            CutTree cut = CutTree.of(read.tree(), operations);
            List<Effect> effects = Effect.ofAll(cut, reach);
            List<FollowUps.Done> done = new ArrayList<>();
            for (int i = 0; i < operations.size(); i++) {
                done.add(new FollowUps.Done(operations.get(i), effects.get(i)));
            }
            Totals before = found.get(
                    survey.id(),
                    () -> Totals.of(
                            CutTree.of(read.tree(), List.of()), read.reading().crop(), reach));
            boolean cutsNothing = operations.stream().allMatch(one -> one.kind() == OperationKind.WATCH);
            Totals after = cutsNothing ? before : Totals.of(cut, read.reading().crop(), reach);
            List<Operation> asPlanned = operations(entry, false);
            Totals planned = asPlanned.equals(operations)
                    ? after
                    : Totals.of(
                            CutTree.of(read.tree(), asPlanned), read.reading().crop(), reach);
            return new Did(
                    read,
                    done,
                    new RecordController.VisitOutcome(
                            Assessor.totals(before), Assessor.totals(planned), Assessor.totals(after)),
                    after);
        } catch (ImpossibleCut e) {
            return null;
        }
    }

    /** The operations that were planned, or those that were done. */
    private static List<Operation> operations(RecordController.Entry entry, boolean done) {
        List<Operation> operations = new ArrayList<>();
        for (RecordController.DoneStep step : entry.steps()) {
            boolean counts =
                    done ? !step.outcome().equals("skipped") : !step.outcome().equals("added");
            Mark mark = step.mark();
            if (counts && mark.operation() != null && mark.limb() != null) {
                operations.add(mark.toOperation());
            }
        }
        return operations;
    }

    private void comeBackFor(WorkRecord saved, Did did) {
        Phenology year = season.yearOf(saved.tree().block(), saved.doneOn());
        if (year == null) {
            return;
        }
        boolean overCrop =
                did.totals().crop().expectedFruits() > did.totals().crop().targetFruits();
        FollowUps.of(did.read().tree(), did.done(), saved.doneOn(), year, overCrop).stream()
                .filter(one -> one.to().isAfter(LocalDate.now(clock).minusYears(1)))
                .map(one -> new FollowUpEntry(saved, one))
                .forEach(followUps::save);
    }

    private static void checkOutcomes(RecordController.Entry entry) {
        List<FieldError> errors = new ArrayList<>();
        for (int i = 0; i < entry.steps().size(); i++) {
            RecordController.DoneStep step = entry.steps().get(i);
            String field = "steps[" + i + "]";
            if (!OUTCOMES.contains(step.outcome())) {
                errors.add(new FieldError(field + ".outcome", "Must be one of " + OUTCOMES + "."));
            }
            boolean needsReason =
                    step.outcome().equals("skipped") || step.outcome().equals("changed");
            if (needsReason && (step.reason() == null || step.reason().isBlank())) {
                errors.add(new FieldError(field + ".reason", "Say why it was " + step.outcome() + "."));
            }
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
    }
}
