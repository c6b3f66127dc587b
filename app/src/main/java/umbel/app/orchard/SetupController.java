package umbel.app.orchard;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.knowledge.Knowledge;

/** Sets up what there is: holdings and their blocks. */
@RestController
@RequestMapping("/api")
class SetupController {

    private final HoldingRepository holdings;
    private final BlockRepository blocks;
    private final Knowledge knowledge;
    private final Clock clock;

    SetupController(HoldingRepository holdings, BlockRepository blocks, Knowledge knowledge, Clock clock) {
        this.holdings = holdings;
        this.blocks = blocks;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    /** A new holding; south of the equator the latitude is negative. */
    public record NewHolding(
            @NotBlank(message = "Say its name.") @Size(max = 200, message = "At most 200 characters.")
            String name,

            @DecimalMin(value = "-66", message = "Between 66° south and 66° north.")
            @DecimalMax(value = "66", message = "Between 66° south and 66° north.")
            double latitudeDeg,

            @DecimalMin(value = "-400", message = "At least -400 m.")
            @DecimalMax(value = "4500", message = "At most 4500 m.")
            double elevationM) {}

    /** A new block; its first tree stands so many metres east and north of the holding's own zero. */
    public record NewBlock(
            long holdingId,

            @NotBlank(message = "Say its name.") @Size(max = 120, message = "At most 120 characters.")
            String name,

            @NotBlank(message = "Say which kind of tree.") String species,
            @NotBlank(message = "Say how it is trained.") String system,

            @Size(max = 120, message = "At most 120 characters.")
            String cultivar,

            @Pattern(
                    regexp = "very-dwarfing|dwarfing|semi-dwarfing|semi-vigorous|seedling",
                    message = "Choose how strong the stock is.")
            String stock,

            @Min(value = 1850, message = "After 1850.") int plantedYear,

            @Min(value = 1, message = "At least one tree.") @Max(value = 1000000, message = "At most a million trees.")
            int treeCount,

            @DecimalMin(value = "0.3", message = "At least 0.3 m.") @DecimalMax(value = "30", message = "At most 30 m.")
            double inRowM,

            @DecimalMin(value = "0.5", message = "At least 0.5 m.") @DecimalMax(value = "30", message = "At most 30 m.")
            double betweenRowsM,

            @DecimalMin(value = "0", message = "From 0° to 360°.")
            @DecimalMax(value = "360", message = "From 0° to 360°.")
            double rowBearingDeg,

            @DecimalMin(value = "-100000", message = "At most 100 km away.")
            @DecimalMax(value = "100000", message = "At most 100 km away.")
            double eastM,

            @DecimalMin(value = "-100000", message = "At most 100 km away.")
            @DecimalMax(value = "100000", message = "At most 100 km away.")
            double northM,

            @Size(max = 1000, message = "At most 1000 characters.")
            String note) {}

    /** What was set up, by its id. */
    public record SetUp(long id) {}

    /** Adds a holding. */
    @PostMapping("/holdings")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    public SetUp holding(@RequestBody @Valid NewHolding entry) {
        return new SetUp(
                holdings.saveAndFlush(new Holding(entry.name().strip(), entry.latitudeDeg(), entry.elevationM()))
                        .id());
    }

    /** Adds a block. Kind and system must be known. */
    @PostMapping("/blocks")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    public SetUp block(@RequestBody @Valid NewBlock entry) {
        Holding holding =
                holdings.findById(entry.holdingId()).orElseThrow(() -> new NotFound("holding", entry.holdingId()));
        knowledge.species(entry.species());
        knowledge.system(entry.system());
        if (entry.plantedYear() > LocalDate.now(clock).getYear() + 1) {
            throw new Refused(HttpStatus.BAD_REQUEST, "Not planted yet", "The year of planting lies in the future.");
        }
        boolean taken = blocks.findAllByOrderById().stream()
                .anyMatch(one -> one.holding().id().equals(holding.id())
                        && one.name().equalsIgnoreCase(entry.name().strip()));
        if (taken) {
            throw new Refused(HttpStatus.CONFLICT, "Name taken", "There is a block of that name already.");
        }
        Block block = new Block(
                holding,
                entry.name().strip(),
                entry.species(),
                entry.system(),
                entry.cultivar() == null ? "" : entry.cultivar().strip(),
                entry.stock(),
                entry.plantedYear(),
                entry.treeCount(),
                entry.inRowM(),
                entry.betweenRowsM(),
                entry.rowBearingDeg(),
                entry.note() == null ? "" : entry.note().strip());
        return new SetUp(
                blocks.saveAndFlush(block.at(entry.eastM(), entry.northM())).id());
    }
}
