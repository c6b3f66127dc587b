package umbel.knowledge;

import java.util.List;
import java.util.Map;

/**
 * What a planting costs and takes where nobody says otherwise. Read from {@code knowledge/planting.yaml}; see
 * docs/model/planting.md.
 *
 * @param fit when a tree fills its place, and when it outgrows it
 * @param grownAtLeaf leaves at which typical trees are grown; between them is taken in proportion
 */
public record PlantingParameters(
        Defaults defaults, Fit fit, List<Integer> grownAtLeaf, Draws draws, Sensitivity sensitivity) {

    /**
     * Costs and rates, in the money of the request.
     *
     * @param tree price of one by class of stock
     * @param supportPerHa by the system's class of cost
     * @param trainingMinutesShare of a full tree's pruning minutes, until a tree fills its place
     * @param fieldShare share of what a sound tree bears that a field brings
     * @param pickSizePower how picking slows with smaller fruit
     * @param stockSize height of a tree on a class of stock against its seedling
     */
    public record Defaults(
            Map<String, Double> tree,
            Map<String, Double> supportPerHa,
            double irrigationPerHa,
            double landPerHa,
            double plantingMinutesPerTree,
            double trainingMinutesShare,
            double otherPerHaYear,
            double secondClassPriceShare,
            double fieldShare,
            double pickKgPerHour,
            double pickSizePower,
            double ladderFactor,
            double platformFactor,
            double thinFruitsPerHour,
            Map<String, Double> vigour,
            Map<String, Double> stockSize) {}

    /**
     * How a tree's width follows from its height, and the widths against its place at which gaps stay and at which it outgrows it;
     * where limbs are renewed it may be {@code renewed} times as wide.
     */
    public record Fit(double spreadOfHeight, double gaps, double outgrows, double renewed) {}

    /** Simulated futures: how many, standard deviations as shares, and the share of them that come into crop a year late. */
    public record Draws(int count, double price, double yield, double yearly, double wage, double delayedShare) {}

    /** How far one thing at a time is moved: a share, and percentage points of interest. */
    public record Sensitivity(double share, double interest) {}
}
