package umbel.knowledge;

/**
 * Counting flowers or fruits on marked limbs.
 *
 * @param kept fruits at harvest for one counted
 * @param spread one sigma of the logarithm of what comes of a count
 * @param model one sigma of the logarithm of what is expected of a block's trees before anything is counted
 * @param level of the intervals that are told, 0…1
 * @param within how near the mean of the limbs is to be known, as a share of it
 * @param limbsLeast fewest limbs that are worth an estimate
 * @param limbsMost most limbs that are ever asked for
 * @param band share about what the trees can carry that counts as right
 * @param factorMost most by which a count changes what is expected
 */
public record CropCountParameters(
        Kept kept,
        Spread spread,
        double model,
        double level,
        double within,
        int limbsLeast,
        int limbsMost,
        double band,
        double factorMost) {

    /** Fruits at harvest for one counted some weeks after bloom, and after the June drop. */
    public record Kept(double afterSet, double afterDrop) {}

    /** By stage. */
    public record Spread(double bloom, double set, double fruit) {}
}
