package umbel.growth;

import java.util.EnumSet;
import java.util.List;
import umbel.growth.Comparison.Measure;
import umbel.knowledge.LearningParameters;

/**
 * What the trees of a block have taught: factors on the model's usual values, drawn towards 1 as if some trees had answered
 * as usual (a normal prior on the logarithm of the ratio), so that one odd tree does not bend every forecast.
 *
 * @param trees whose forecasts could be checked
 * @param vigour on the growth they make
 * @param waking on shoots that answer cuts
 * @param flowering on the flower buds they form
 * @param setting on the fruits their flower buds set, where fruits were counted
 */
public record BlockCalibration(int trees, double vigour, double waking, double flowering, double setting) {

    /** Nothing was learned yet. */
    public static final BlockCalibration NOTHING = new BlockCalibration(0, 1, 1, 1, 1);

    /** What these comparisons teach together. */
    public static BlockCalibration of(List<Comparison> comparisons, LearningParameters rules) {
        if (comparisons.isEmpty()) {
            return NOTHING;
        }
        return new BlockCalibration(
                comparisons.size(),
                Comparison.factor(comparisons, EnumSet.of(Measure.EXTENSION), rules),
                Comparison.factor(comparisons, EnumSet.of(Measure.SHOOTS), rules),
                Comparison.factor(comparisons, EnumSet.of(Measure.FLOWER_BUDS), rules),
                Comparison.factor(comparisons, EnumSet.of(Measure.FRUITS), rules));
    }

    /** A stand as these trees would have it. */
    public TreeState applied(TreeState stand) {
        if (trees == 0) {
            return stand;
        }
        GrowthTraits own = stand.traits();
        return new TreeState(
                stand.tree(),
                stand.year(),
                stand.light(),
                stand.reserve() * vigour,
                stand.assimilated(),
                new GrowthTraits(
                        own.vigour() * vigour,
                        own.waking() * waking,
                        own.flowering() * flowering,
                        own.setting() * setting,
                        own.spurring(),
                        own.clothing(),
                        own.thickening(),
                        own.ends()),
                stand.seed(),
                stand.brighter());
    }
}
