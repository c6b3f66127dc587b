package umbel.practice;

import java.util.List;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;

/** A survey to begin from: a well-kept tree of a kind, system and age, brought to the height and trunk of the one before you. */
public final class TypicalTree {

    private static final long SEED = 1;
    private static final double LEAST_RATIO = 0.3;
    private static final double MOST_RATIO = 2.5;

    private TypicalTree() {}

    /**
     * The limbs of a typical tree, numbered from the ground up, and its trunk.
     *
     * @param leaf years since planting, 1…99
     * @param trunkMm thickness of its trunk; null for the usual
     * @param heightCm height of its top; null for the usual
     * @throws umbel.knowledge.NotSupported when no knowledge covers kind or system
     */
    public static Survey of(String species, String system, int leaf, Double trunkMm, Double heightCm) {
        Survey usual = Renumbered.of(PracticeTree.survey(species, system, leaf, SEED));
        // a topped system's trunk ends at its head, so that its height says nothing of the limbs
        boolean topped = Knowledge.shipped().system(system).topped();
        double tall =
                heightCm == null || topped ? 1 : ratio(heightCm, usual.trunk().heightCm());
        double thick = trunkMm == null ? tall : ratio(trunkMm, usual.trunk().diameterMm());
        List<Survey.LimbMeasure> limbs = usual.limbs().stream()
                .map(limb -> limb.placed(
                                Math.round(limb.atCm() * tall), limb.bearingDeg(), limb.angleDeg(), limb.tipAngleDeg())
                        .sized(
                                Math.max(3, Math.round(limb.diameterMm() * thick)),
                                Math.round(limb.lengthCm() * tall),
                                limb.ageY(),
                                limb.lastGrowthCm()))
                .toList();
        Survey.TrunkMeasure trunk = usual.trunk();
        return new Survey(
                usual.format(),
                usual.tree(),
                null,
                null,
                new Survey.TrunkMeasure(
                        trunkMm == null ? trunk.diameterMm() * thick : trunkMm,
                        trunk.diameterAtCm(),
                        heightCm == null ? trunk.heightCm() : heightCm,
                        trunk.unionAtCm()),
                limbs);
    }

    private static double ratio(double measured, double usual) {
        return Math.max(LEAST_RATIO, Math.min(MOST_RATIO, measured / usual));
    }
}
