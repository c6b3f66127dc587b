package umbel.app.orchard;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.cut.SafetyLimits;

/** What a holding leaves to qualified people. */
@RestController
@RequestMapping("/api")
class LimitsController {

    private final HoldingRepository holdings;
    private final BlockRepository blocks;

    LimitsController(HoldingRepository holdings, BlockRepository blocks) {
        this.holdings = holdings;
        this.blocks = blocks;
    }

    /** Thickest cut (mm), heaviest piece (kg), highest cut (m) its own people make; null sets no limit of its own. */
    public record LimitsEntry(
            @DecimalMin(value = "20") @DecimalMax(value = "1000")
            Double diameterMm,

            @DecimalMin(value = "1") @DecimalMax(value = "2000")
            Double massKg,

            @DecimalMin(value = "1") @DecimalMax(value = "40")
            Double heightM) {}

    /** A holding and its limits. */
    public record HoldingLimits(long id, String name, Double diameterMm, Double massKg, Double heightM) {}

    /** Whether power lines run near. */
    public record LinesEntry(boolean near) {}

    /** Every holding's limits. */
    @GetMapping("/holdings")
    @Transactional(readOnly = true)
    List<HoldingLimits> limits() {
        return holdings.findAll().stream().map(LimitsController::line).toList();
    }

    /** Sets a holding's limits; the parameters's own always count too. */
    @PutMapping("/holdings/{id}/limits")
    @Transactional
    HoldingLimits limit(@PathVariable long id, @RequestBody @Valid LimitsEntry entry) {
        Holding holding = holdings.findById(id).orElseThrow(() -> new NotFound("holding", id));
        holding.limit(entry.diameterMm(), entry.massKg(), entry.heightM());
        return line(holdings.saveAndFlush(holding));
    }

    /** Says whether power lines run near a block. */
    @PutMapping("/blocks/{id}/lines")
    @Transactional
    LinesEntry lines(@PathVariable long id, @RequestBody LinesEntry entry) {
        Block block = blocks.existing(id);
        block.nearPowerLines(entry.near());
        blocks.saveAndFlush(block);
        return new LinesEntry(block.nearPowerLines());
    }

    private static HoldingLimits line(Holding holding) {
        SafetyLimits limits = holding.limits(false);
        return new HoldingLimits(holding.id(), holding.name(), limits.diameterMm(), limits.massKg(), limits.heightM());
    }
}
