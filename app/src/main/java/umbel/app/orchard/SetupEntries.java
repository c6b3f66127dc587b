package umbel.app.orchard;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;

/** What is set up and corrected: holdings, blocks and places, as they are entered and told. */
public final class SetupEntries {

    private SetupEntries() {}

    /**
     * A holding; south of the equator the latitude is negative.
     *
     * @param timeZone in which its days are counted; empty takes the machine's
     */
    public record HoldingEntry(
            @NotBlank @Size(max = 200) String name,

            @DecimalMin(value = "-66", message = "problem.latitude")
            @DecimalMax(value = "66", message = "problem.latitude")
            double latitudeDeg,

            @DecimalMin(value = "-400") @DecimalMax(value = "4500")
            double elevationM,

            @Size(max = 60) String timeZone) {

        /** The zone; null for the machine's own. */
        ZoneId zone() {
            return timeZone == null || timeZone.isBlank() ? null : ZoneId.of(timeZone.strip());
        }
    }

    /**
     * A block; its first tree stands so many metres east and north of the holding's own zero.
     *
     * @param rows how many rows it has; null lays out as many as its trees are likely to fill
     * @param placesPerRow places in the longest row
     */
    public record BlockEntry(
            long holdingId,

            @NotBlank @Size(max = 110) String name,

            @NotBlank @Size(max = 60) String species,

            @NotBlank @Size(max = 60) String system,

            @Size(max = 120) String cultivar,

            @NotNull @Pattern(regexp = "very-dwarfing|dwarfing|semi-dwarfing|semi-vigorous|seedling")
            String stock,

            @Min(value = 1850) int plantedYear,

            @Min(value = 1) @Max(value = 1000000) int treeCount,

            @DecimalMin(value = "0.3") @DecimalMax(value = "30")
            double inRowM,

            @DecimalMin(value = "0.5") @DecimalMax(value = "30")
            double betweenRowsM,

            @DecimalMin(value = "0") @DecimalMax(value = "360")
            double rowBearingDeg,

            @DecimalMin(value = "-100000") @DecimalMax(value = "100000")
            double eastM,

            @DecimalMin(value = "-100000") @DecimalMax(value = "100000")
            double northM,

            @Size(max = 1000) String note,

            @Min(value = 1) @Max(value = 9999) Integer rows,

            @Min(value = 1) @Max(value = 9999) Integer placesPerRow) {}

    /** Where a tree is to stand. */
    public record TreeEntry(
            long blockId,
            @Min(value = 1) int row,

            @Min(value = 1) int place) {}

    /** Whether something is no longer worked. */
    public record Archived(boolean archived) {}

    /** What was set up, by its id. */
    public record SetUp(long id) {}

    /** A holding as it stands. */
    public record HoldingLine(
            long id, String name, double latitudeDeg, double elevationM, String timeZone, int blocks) {}

    /** A tree as it stands; {@code deletable} where nothing depends on it. */
    public record TreeSetUp(
            long id, String label, long blockId, int row, int place, boolean archived, boolean deletable) {}
}
