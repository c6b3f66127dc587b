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
            @NotBlank(message = "Say its name.") @Size(max = 200, message = "At most 200 characters.")
            String name,

            @DecimalMin(value = "-66", message = "Between 66° south and 66° north.")
            @DecimalMax(value = "66", message = "Between 66° south and 66° north.")
            double latitudeDeg,

            @DecimalMin(value = "-400", message = "At least -400 m.")
            @DecimalMax(value = "4500", message = "At most 4500 m.")
            double elevationM,

            @Size(max = 60, message = "At most 60 characters.")
            String timeZone) {

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

            @NotBlank(message = "Say its name.") @Size(max = 110, message = "At most 110 characters.")
            String name,

            @NotBlank(message = "Say which kind of tree.") @Size(max = 60, message = "There is no such kind.")
            String species,

            @NotBlank(message = "Say how it is trained.") @Size(max = 60, message = "There is no such system.")
            String system,

            @Size(max = 120, message = "At most 120 characters.")
            String cultivar,

            @NotNull(message = "Choose how strong the stock is.")
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
            String note,

            @Min(value = 1, message = "At least one row.") @Max(value = 9999, message = "At most 9999 rows.")
            Integer rows,

            @Min(value = 1, message = "At least one place.") @Max(value = 9999, message = "At most 9999 places.")
            Integer placesPerRow) {}

    /** Where a tree is to stand. */
    public record TreeEntry(
            long blockId,
            @Min(value = 1, message = "Rows count from 1.") int row,

            @Min(value = 1, message = "Places count from 1.")
            int place) {}

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
