package umbel.app.visit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.Size;
import java.net.URI;
import java.time.Instant;
import java.time.LocalDate;
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
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.TreeRepository;
import umbel.assess.Assessment;
import umbel.assess.Mark;

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

            Long corrects,

            @Size(max = 200, message = "At most 200 characters.")
            String tools,

            @Size(max = 40, message = "At most 40 characters.")
            String clientId) {}

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
            Instant savedAt,
            String tools,

            VisitOutcome outcome) {}

    /**
     * What a visit came to.
     *
     * @param before the tree as surveyed
     * @param planned with all that was planned
     * @param after with what was done
     */
    public record VisitOutcome(
            Assessment.TotalsAnswer before, Assessment.TotalsAnswer planned, Assessment.TotalsAnswer after) {}

    /** Saves a visit; the same one sent again is kept once. The marks it answers are then done with. */
    @PostMapping
    ResponseEntity<RecordLine> save(@PathVariable long id, @RequestBody @Valid Entry entry) {
        return ResponseEntity.created(URI.create("/api/trees/" + id + "/records"))
                .body(line(visits.keep(id, entry), List.of()));
    }

    /** The tree's visits, newest first. */
    @GetMapping
    @Transactional(readOnly = true)
    List<RecordLine> list(@PathVariable long id) {
        trees.findById(id).orElseThrow(() -> new NotFound("tree", id));
        List<WorkRecord> all = records.findByTreeIdOrderByDoneOnDescIdDesc(id);
        return all.stream().map(one -> line(one, all)).toList();
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
                one.savedAt(),
                one.tools(),
                one.outcome() == null ? null : JSON.readValue(one.outcome(), VisitOutcome.class));
    }
}
