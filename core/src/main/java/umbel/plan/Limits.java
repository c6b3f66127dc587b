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
 */
public record Limits(double woodShare, int bigCuts, double reach) {

    /** What species, system and school allow. */
    public static Limits usual(Species species, TrainingSystem system, School school, double reach) {
        double share = Math.min(
                0.6, species.hardness().woodShare() * school.preferences().woodShareFactor());
        int most = system.scaffolds().permanent()
                ? Math.min(species.hardness().bigCuts(), system.bigCuts())
                : system.bigCuts();
        double cuts = most * school.preferences().bigCutsFactor();
        return new Limits(share, (int) Math.max(1, Math.round(cuts)), reach);
    }
}
