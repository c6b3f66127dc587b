package umbel.counted;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import umbel.growth.Comparison;
import umbel.growth.Comparison.Measure;
import umbel.knowledge.LearningParameters;

/**
 * What the plants of one kind in a block have taught: factors on what the model foretells, drawn towards 1 while few seasons
 * speak for them.
 *
 * @param seasons of plants that could be checked
 * @param crop on the crop
 * @param renewal on new canes, or on the weight of a vine's prunings
 */
public record CountLearned(int seasons, double crop, double renewal) {

    /** Nothing was learned yet. */
    public static final CountLearned NOTHING = new CountLearned(0, 1, 1);

    private static final Set<Measure> RENEWAL = EnumSet.of(Measure.NEW_CANES, Measure.PRUNING_WEIGHT);

    /** What these comparisons teach together; they must be of one kind. */
    public static CountLearned of(List<Comparison> comparisons, LearningParameters rules) {
        return comparisons.isEmpty()
                ? NOTHING
                : new CountLearned(
                        comparisons.size(),
                        Comparison.factor(comparisons, EnumSet.of(Measure.CROP), rules),
                        Comparison.factor(comparisons, RENEWAL, rules));
    }

    /** Seasons with the crop that this place has shown. */
    List<CountPlan.Season> told(List<CountPlan.Season> seasons) {
        return seasons.stream()
                .map(season -> new CountPlan.Season(
                        season.crop() * crop, season.marketable() * crop, season.renewal(), season.delayDays()))
                .toList();
    }
}
