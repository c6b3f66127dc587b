package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * How forecasts learn from what trees did.
 *
 * @param priorTrees how many trees' worth of evidence the usual counts for
 * @param most how far a factor may stray from 1, either way, as a ratio
 * @param fewShoots shoots taken as found and as foretold besides, so that a handful says little
 * @param seasonDays days after a survey that its forecast of the season holds for
 * @param seasonsMost how many seasons of a block's trees it learns from, the last ones
 * @param weighedWithinDays days after a visit within which its prunings are weighed
 * @param leafError of the leaf a tree is taken to have, one sigma, as a share
 * @param pruningsError of the weight of what is cut, one sigma, as a share
 */
public record LearningParameters(
        double priorTrees,
        double most,
        double fewShoots,
        @JsonProperty("season_d") int seasonDays,
        int seasonsMost,
        @JsonProperty("weighedWithin_d") int weighedWithinDays,
        double leafError,
        double pruningsError) {}
