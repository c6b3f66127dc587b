package umbel.app.cropcount;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;

/** What is sent and answered about counts of flowers and fruits. */
public final class CropCountAnswers {

    private static final String STAGES = "bloom|set|fruit";

    private CropCountAnswers() {}

    /** A marked limb: thickness at its base in millimetres, and the flower clusters or fruits on all of it. */
    public record CountedLimb(
            @DecimalMin(value = "3") @DecimalMax(value = "300")
            double diameterMm,

            @Min(0) @Max(20000) int count) {}

    /**
     * Limbs to be read, without keeping them.
     *
     * @param stage {@code bloom}, {@code set} or {@code fruit}
     * @param wagePerHour pay of whoever thins; null for the usual
     * @param fruitsPerHour fruits one hand thins in an hour; null for the usual
     */
    public record CountAsked(
            @NotNull @Pattern(regexp = STAGES) String stage,

            @NotNull @Size(min = 2, max = 200) List<@Valid @NotNull CountedLimb> limbs,

            @DecimalMin(value = "0") @DecimalMax(value = "100000")
            Double wagePerHour,

            @DecimalMin(value = "1") @DecimalMax(value = "100000")
            Double fruitsPerHour) {}

    /**
     * A count to keep.
     *
     * @param clientId the sender's own id, by which a count sent twice is kept once
     */
    public record CountSent(
            @NotNull @PastOrPresent LocalDate countedOn,

            @NotNull @Pattern(regexp = STAGES) String stage,

            @NotNull @Size(min = 2, max = 200) List<@Valid @NotNull CountedLimb> limbs,

            @Size(max = 500) String note,
            @NotNull @Size(min = 8, max = 40) String clientId) {}

    /** A figure and the ends of its interval. */
    public record Between(double low, double middle, double high) {}

    /** Thinning left: fruits a tree; fruits, hours and money for the whole block. */
    public record ThinningLeft(double perTree, double fruits, double hours, double money) {}

    /** Shares of full bloom next spring, as it hangs and thinned. */
    public record NextBloom(double unthinned, double thinned) {}

    /**
     * What a count says.
     *
     * @param perCm2 flowers or fruits a square centimetre of limb
     * @param fruits a tree at harvest, unthinned
     * @param canCarry fruits a tree can carry to the end
     * @param expected fruits a tree was expected to bear before it was counted
     * @param verdict {@code far-too-few}, {@code too-few}, {@code right}, {@code too-many} or {@code far-too-many}
     * @param limbsWanted limbs to count altogether
     * @param thins whether this kind is thinned by hand
     * @param factor on the fruits that were expected
     * @param trees of the block
     * @param surveyed trees by which it was judged; 0 where a typical tree of its kind stood in
     * @param wagePerHour the pay it was reckoned with, likewise the fruits an hour
     */
    public record CropCountAnswer(
            int limbs,
            Between perCm2,
            Between fruits,
            double canCarry,
            double expected,
            String verdict,
            int limbsWanted,
            boolean thins,
            ThinningLeft thinning,
            NextBloom nextBloom,
            double factor,
            int trees,
            int surveyed,
            double wagePerHour,
            double fruitsPerHour) {}

    /** A count as kept. */
    public record CropCountLine(
            long id,
            LocalDate countedOn,
            String stage,
            List<CountedLimb> limbs,
            double factor,
            String who,
            String note) {}
}
