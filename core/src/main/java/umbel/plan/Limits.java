package umbel.plan;

import umbel.knowledge.School;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/**
 * How much may be done in one winter.
 *
 * @param woodShare most of the leaf-bearing small wood, 0…1
 * @param bigCuts most cuts that need a saw
 * @param reach height a person on the ground reaches, metres
 * @param byGrower whether the grower set the share: then it holds for what builds a young tree, too
 */
public record Limits(double woodShare, int bigCuts, double reach, boolean byGrower) {

    /** Limits that a grower set. */
    public Limits(double woodShare, int bigCuts, double reach) {
        this(woodShare, bigCuts, reach, true);
    }

    /** The same limits, wider or narrower. */
    Limits within(double share, int cuts) {
        return new Limits(share, cuts, reach, byGrower);
    }

    /** What species, system and school allow. */
    public static Limits usual(Species species, TrainingSystem system, School school, double reach) {
        double share = Math.min(
                0.6, species.hardness().woodShare() * school.preferences().woodShareFactor());
        int most = system.scaffolds().permanent()
                ? Math.min(species.hardness().bigCuts(), system.bigCuts())
                : system.bigCuts();
        double cuts = most * school.preferences().bigCutsFactor();
        return new Limits(share, (int) Math.max(1, Math.round(cuts)), reach, false);
    }
}
