package umbel.app.harvest;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.orchard.TreeRepository;
import umbel.text.Statement;
import umbel.text.Value;

/** Harvest and thinning of a block. The last picking of a year ends its harvest in the calendar too. */
@RestController
@RequestMapping("/api")
class PickingController {

    private final PickingRepository pickings;
    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    PickingController(
            PickingRepository pickings,
            BlockRepository blocks,
            TreeRepository trees,
            Clock clock,
            ApplicationEventPublisher events) {
        this.pickings = pickings;
        this.blocks = blocks;
        this.trees = trees;
        this.clock = clock;
        this.events = events;
    }

    /** What was picked (kg) or thinned off (fruits). */
    public record PickingEntry(
            @Pattern(regexp = "harvest|thinning") @NotNull String kind,

            @NotNull @PastOrPresent LocalDate pickedOn,

            @DecimalMin(value = "0") @DecimalMax(value = "10000000")
            Double kg,

            @Min(value = 0) @Max(value = 100000000) Integer fruits,

            boolean lastOne,

            Long treeId,

            @Size(max = 500) String note) {}

    /** A picking as kept. */
    public record PickingLine(
            long id,
            Long treeId,
            String tree,
            String kind,
            LocalDate pickedOn,
            Double kg,
            Integer fruits,
            boolean lastOne,
            String note) {}

    /** A block's pickings, newest first. */
    @GetMapping("/blocks/{id}/pickings")
    @Transactional(readOnly = true)
    public List<PickingLine> list(@PathVariable long id) {
        block(id);
        return pickings.findByBlockIdOrderByPickedOnDescIdDesc(id).stream()
                .map(PickingController::line)
                .toList();
    }

    /** What one tree bore, newest first. */
    @GetMapping("/trees/{id}/pickings")
    @Transactional(readOnly = true)
    public List<PickingLine> ofTree(@PathVariable long id) {
        trees.existing(id);
        return pickings.findByTreeIdOrderByPickedOnDescIdDesc(id).stream()
                .map(PickingController::line)
                .toList();
    }

    /** Writes one down; of the block, or of one tree of it. */
    @PostMapping("/blocks/{id}/pickings")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    public PickingLine add(@PathVariable long id, @RequestBody @Valid PickingEntry entry) {
        if (entry.kg() == null && entry.fruits() == null) {
            throw new Refused(HttpStatus.BAD_REQUEST, Statement.of("problem.harvest-without-amount"));
        }
        OrchardTree tree = entry.treeId() == null
                ? null
                : trees.findById(entry.treeId())
                        .filter(one -> one.block().id().equals(id))
                        .orElseThrow(() -> new NotFound("tree", entry.treeId()));
        Block block = block(id);
        tell(block);
        return line(pickings.saveAndFlush(new Picking(
                block,
                tree,
                entry.kind(),
                entry.pickedOn(),
                entry.kg(),
                entry.fruits(),
                entry.lastOne() && tree == null && entry.kind().equals("harvest"),
                entry.note() == null ? "" : entry.note().strip(),
                clock.instant())));
    }

    /** Takes away one written down by mistake. */
    @DeleteMapping("/blocks/{id}/pickings/{picking}")
    @Transactional
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void remove(@PathVariable long id, @PathVariable long picking) {
        Picking one = pickings.findById(picking)
                .filter(found -> found.block().id().equals(id))
                .orElseThrow(() -> new NotFound("picking", picking));
        pickings.delete(one);
        tell(one.block());
    }

    private void tell(Block block) {
        events.publishEvent(new ScheduleInputChanged(
                Statement.of("schedule-again.harvest").with("block", Value.name(block.name())), block.id()));
    }

    private Block block(long id) {
        return blocks.existing(id);
    }

    private static PickingLine line(Picking one) {
        return new PickingLine(
                one.id(),
                one.tree() == null ? null : one.tree().id(),
                one.tree() == null ? "" : one.tree().label(),
                one.kind(),
                one.pickedOn(),
                one.kg(),
                one.fruits(),
                one.lastOne(),
                one.note());
    }
}
