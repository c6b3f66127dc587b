package umbel.app.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.Size;
import java.net.URI;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
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
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.PlanService;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.assess.Mark;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;

/** Keeps what was done to a tree, and tells its history. */
@RestController
@RequestMapping("/api/trees/{id}/records")
class RecordController {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final List<String> OUTCOMES = List.of("as-planned", "changed", "skipped");

    private final RecordRepository records;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final PlanService plans;
    private final Clock clock = Clock.systemDefaultZone();

    RecordController(RecordRepository records, TreeRepository trees, SurveyRepository surveys, PlanService plans) {
        this.records = records;
        this.trees = trees;
        this.surveys = surveys;
        this.plans = plans;
    }

    /**
     * One step as it went.
     *
     * @param mark what was planned
     * @param title in words
     * @param outcome as-planned, changed or skipped
     * @param reason why it was changed or skipped
     */
    public record DoneStep(
            @NotNull(message = "Say which step.") Mark mark,

            @NotBlank(message = "Say what the step was.") @Size(max = 200)
            String title,

            @NotBlank(message = "Say how it went.") String outcome,
            @Size(max = 500) String reason) {}

    /** A visit to be recorded. */
    public record Entry(
            @NotNull(message = "Say on which day it was done.") @PastOrPresent(message = "The day lies in the future.")
            LocalDate doneOn,

            @NotBlank(message = "Say who did it.") @Size(max = 120, message = "At most 120 characters.")
            String who,

            @DecimalMin(value = "0", message = "Minutes cannot be negative.")
            @DecimalMax(value = "1440", message = "More minutes than a day has.")
            double minutes,

            @Size(max = 2000, message = "At most 2000 characters.")
            String note,

            @NotEmpty(message = "There is no step to record.")
            List<@Valid DoneStep> steps,

            Long corrects) {}

    /** A recorded visit; {@code correctedBy} names the entry that corrects it. */
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
            Instant savedAt) {}

    /** Saves a visit. The marks it answers are then done with. */
    @PostMapping
    @Transactional
    ResponseEntity<RecordLine> save(@PathVariable long id, @RequestBody @Valid Entry entry) {
        OrchardTree tree = trees.findById(id).orElseThrow(() -> new NotFound("tree", id));
        SurveyEntry survey = surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(id)
                .orElseThrow(() -> new NotFound("survey of tree", id));
        checkOutcomes(entry);
        if (entry.corrects() != null) {
            records.findById(entry.corrects())
                    .filter(old -> old.tree().id().equals(id))
                    .orElseThrow(() -> new NotFound("record", entry.corrects()));
        }
        WorkRecord saved = records.saveAndFlush(new WorkRecord(
                tree,
                survey,
                entry.corrects(),
                entry.doneOn(),
                entry.who().strip(),
                entry.minutes(),
                entry.note() == null ? "" : entry.note().strip(),
                JSON.writeValueAsString(entry.steps()),
                clock.instant()));
        if (entry.corrects() == null) {
            plans.clear(id);
        }
        return ResponseEntity.created(URI.create("/api/trees/" + id + "/records"))
                .body(line(saved, List.of()));
    }

    /** The tree's visits, newest first. */
    @GetMapping
    @Transactional(readOnly = true)
    List<RecordLine> list(@PathVariable long id) {
        trees.findById(id).orElseThrow(() -> new NotFound("tree", id));
        List<WorkRecord> all = records.findByTreeIdOrderByDoneOnDescIdDesc(id);
        return all.stream().map(one -> line(one, all)).toList();
    }

    private static void checkOutcomes(Entry entry) {
        List<FieldError> errors = new ArrayList<>();
        for (int i = 0; i < entry.steps().size(); i++) {
            DoneStep step = entry.steps().get(i);
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
                JSON.readValue(one.document(), new TypeReference<List<DoneStep>>() {}),
                one.correctsId(),
                correctedBy,
                one.survey().surveyedOn(),
                one.savedAt());
    }
}
