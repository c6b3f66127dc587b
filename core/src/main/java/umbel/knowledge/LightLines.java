package umbel.knowledge;

/**
 * Light under which a school counts fruiting wood as shaded.
 *
 * @param fruit light that fruit needs, share of open sky over the season
 * @param buds light that flower buds need
 */
public record LightLines(double fruit, double buds) {}
