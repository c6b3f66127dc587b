package umbel.knowledge;

/**
 * How forecasts learn from what trees did.
 *
 * @param priorTrees how many trees' worth of evidence the usual counts for
 * @param most how far a factor may stray from 1, either way, as a ratio
 * @param fewShoots shoots taken as found and as foretold besides, so that a handful says little
 */
public record LearningParameters(double priorTrees, double most, double fewShoots) {}
