package umbel.reading;

/**
 * What is known beside the tree itself.
 *
 * @param rowMedianSection median trunk cross-section of the row or block, m²; null when not known
 * @param earlier where the fruiting wood stood at an earlier survey; null without one
 * @param yearsSince years between that survey and this one
 */
public record Neighbours(Double rowMedianSection, FruitingCentre earlier, double yearsSince) {

    /** A tree read for itself. */
    public static final Neighbours NONE = new Neighbours(null, null, 0);
}
