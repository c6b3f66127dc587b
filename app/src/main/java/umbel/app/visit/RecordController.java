package umbel.app.visit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.net.URI;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.NotFound;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.TreeRepository;
import umbel.assess.Assessment;
import umbel.assess.Mark;
import umbel.cut.OperationKind;

/** Keeps what was done to a tree, and tells its history. */
@RestController
@RequestMapping("/api/trees/{id}/records")
public class RecordController {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private final RecordRepository records;
    private final TreeRepository trees;
    private final VisitService visits;

    RecordController(RecordRepository records, TreeRepository trees, VisitService visits) {
        this.records = records;
        this.trees = trees;
        this.visits = visits;
    }

    /**
     * One step as it went.
     *
     * @param mark what was planned
     * @param title in words
     * @param outcome as-planned, changed, skipped, added at the tree, or left for whoever comes next
     * @param reason why it was changed, skipped or added
     */
    public record DoneStep(
            @NotNull(message = "Say which step.") Mark mark,

            @NotBlank(message = "Say what the step was.") @Size(max = 200)
            String title,

            @NotBlank(message = "Say how it went.") String outcome,

            @Size(max = 500, message = "At most 500 characters.")
            String reason) {

        /** How it went; empty where the word is none of the known ones. */
        Optional<StepOutcome> how() {
            return StepOutcome.of(outcome);
        }
    }

    /**
     * A visit to be recorded. Without a step it is a report: what was seen stands in the note.
     *
     * @param corrects the entry it corrects; null where it is a visit of its own
     * @param surveyId the survey its sheet was made from; null takes the newest
     * @param knownVisit the newest visit its sheet knew of; those after it are told in the answer
     */
    public record Entry(
            @NotNull(message = "Say on which day it was done.")
            LocalDate doneOn,

            @NotBlank(message = "Say who did it.") @Size(max = 120, message = "At most 120 characters.")
            String who,

            @DecimalMin(value = "0", message = "Minutes cannot be negative.")
            @DecimalMax(value = "1440", message = "More minutes than a day has.")
            double minutes,

            @Size(max = 2000, message = "At most 2000 characters.")
            String note,

            @NotNull(message = "Say which steps.") @Size(max = 300, message = "At most 300 steps.")
            List<@NotNull(message = "Say what the step was.") @Valid DoneStep> steps,

            Long corrects,

            @Size(max = 200, message = "At most 200 characters.")
            String tools,

            @Size(max = 40, message = "At most 40 characters.")
            String clientId,

            Long surveyId,
            Long knownVisit) {}

    /**
     * A recorded visit.
     *
     * @param worked whether anything was done
     * @param correctedBy the entry that corrects it
     * @param alsoBy other visits that count and say to have done one of its steps as well
     */
    public record RecordLine(
            long id,
            LocalDate doneOn,
            String who,
            double minutes,
            String note,
            List<DoneStep> steps,
            Long corrects,
            Long correctedBy,
            LocalDate surveyedOn,
            Instant savedAt,
            String tools,
            boolean worked,
            List<OtherVisit> alsoBy,
            VisitOutcome outcome) {}

    /** Another visit to the same tree: whose it was, and which steps were done. */
    public record OtherVisit(long id, LocalDate doneOn, String who, List<String> done) {}

    /** A visit as it was saved, and the visits to the tree that its sheet knew nothing of. */
    public record SavedVisit(RecordLine record, List<OtherVisit> meanwhile) {}

    /**
     * What a visit came to.
     *
     * @param before the tree as surveyed
     * @param planned with all that was planned
     * @param after with what was done
     */
    public record VisitOutcome(
            Assessment.TotalsAnswer before, Assessment.TotalsAnswer planned, Assessment.TotalsAnswer after) {}

    /** Saves a visit; one sent again is kept once and answered with 200. The marks it settles are then done with. */
    @PostMapping
    ResponseEntity<SavedVisit> save(@PathVariable long id, @RequestBody @Valid Entry entry) {
        VisitService.Saved saved = visits.save(id, entry);
        SavedVisit body = new SavedVisit(
                line(saved.record(), List.of(saved.record())),
                saved.meanwhile().stream().map(RecordController::other).toList());
        return saved.fresh()
                ? ResponseEntity.created(URI.create("/api/trees/" + id + "/records"))
                        .body(body)
                : ResponseEntity.ok(body);
    }

    /** The tree's visits, newest first. */
    @GetMapping
    @Transactional(readOnly = true)
    List<RecordLine> list(@PathVariable long id) {
        trees.findById(id).orElseThrow(() -> new NotFound("tree", id));
        List<WorkRecord> all = records.findByTreeIdOrderByDoneOnDescIdDesc(id);
        return all.stream().map(one -> line(one, all)).toList();
    }

    private static OtherVisit other(WorkRecord visit) {
        return new OtherVisit(
                visit.id(),
                visit.doneOn(),
                visit.who(),
                steps(visit).stream()
                        .filter(step -> step.how().filter(StepOutcome::done).isPresent())
                        .map(DoneStep::title)
                        .toList());
    }

    static List<DoneStep> steps(WorkRecord visit) {
        return JSON.readValue(visit.document(), new TypeReference<List<DoneStep>>() {});
    }

    /** Visits that count and say to have done a step that this one did too, on the same survey. */
    private static List<OtherVisit> alsoBy(WorkRecord one, List<WorkRecord> all) {
        List<Mark> done = doneMarks(one);
        return all.stream()
                .filter(visit -> !visit.id().equals(one.id())
                        && !visit.id().equals(one.correctsId())
                        && !one.id().equals(visit.correctsId())
                        && visit.survey().id().equals(one.survey().id())
                        && all.stream().noneMatch(later -> visit.id().equals(later.correctsId()))
                        && doneMarks(visit).stream()
                                .anyMatch(mark -> done.stream().anyMatch(mark::sameAs)))
                .map(RecordController::other)
                .toList();
    }

    private static List<Mark> doneMarks(WorkRecord visit) {
        return steps(visit).stream()
                .filter(step -> step.how().filter(StepOutcome::done).isPresent())
                .map(DoneStep::mark)
                .filter(mark -> !OperationKind.WATCH.word().equals(mark.operation()))
                .toList();
    }

    private static RecordLine line(WorkRecord one, List<WorkRecord> all) {
        Long correctedBy = all.stream()
                .filter(other -> one.id().equals(other.correctsId()))
                .map(WorkRecord::id)
                .findFirst()
                .orElse(null);
        return new RecordLine(
                one.id(),
                one.doneOn(),
                one.who(),
                one.minutes(),
                one.note(),
                steps(one),
                one.correctsId(),
                correctedBy,
                one.survey().surveyedOn(),
                one.savedAt(),
                one.tools(),
                one.worked(),
                correctedBy == null ? alsoBy(one, all) : List.of(),
                one.outcome() == null ? null : JSON.readValue(one.outcome(), VisitOutcome.class));
    }
}
