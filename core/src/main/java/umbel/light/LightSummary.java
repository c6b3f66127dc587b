package umbel.light;

import umbel.knowledge.LightLines;

/**
 * The light of a tree in a few figures.
 *
 * @param lines light under which the school counts fruiting wood as shaded
 * @param underFruitLight share of fruiting sites with less light than fruit needs
 * @param underBudLight share with less light than flower buds need
 * @param under30 share under 0.30 of open sky, whatever the school
 * @param under50 share under 0.50, whatever the school
 * @param leafIndex leaf over the ground the tree has, m² a m²
 * @param interception share of the ground's light caught
 */
public record LightSummary(
        LightLines lines,
        double underFruitLight,
        double underBudLight,
        double under30,
        double under50,
        double leafIndex,
        double interception) {

    private static final double LOW = 0.30;
    private static final double HALF = 0.50;

    /** The figures of a reading by a school's lines. */
    public static LightSummary of(LightReading light, LightLines lines) {
        return new LightSummary(
                lines,
                light.shareUnder(lines.fruit()),
                light.shareUnder(lines.buds()),
                light.shareUnder(LOW),
                light.shareUnder(HALF),
                light.leafIndex(),
                light.interception());
    }
}
