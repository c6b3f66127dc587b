package umbel.reading;

import java.util.EnumSet;
import java.util.List;
import umbel.growth.Comparison;
import umbel.growth.Comparison.Measure;
import umbel.knowledge.LearningParameters;

/**
 * What single measurements on the trees of a block have taught about all of them.
 *
 * @param leaf on the leaf they are taken to have, from photographs of the sky
 * @param prunings on the weight of what is cut from them, from prunings weighed
 */
public record MeasuredFactors(double leaf, double prunings) {

    /** Nothing was measured. */
    public static final MeasuredFactors NONE = new MeasuredFactors(1, 1);

    /** What these comparisons of measured with expected teach together. */
    public static MeasuredFactors of(List<Comparison> comparisons, LearningParameters rules) {
        return new MeasuredFactors(
                Comparison.factor(comparisons, EnumSet.of(Measure.GAP_FRACTION), rules),
                Comparison.factor(comparisons, EnumSet.of(Measure.PRUNING_WEIGHT), rules));
    }
}
