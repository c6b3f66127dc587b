package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.knowledge.PlanParameters;
import umbel.knowledge.TrainingSystem;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * Which limbs of a young tree stand best together as its scaffolds: spread round the trunk, alike in thickness, at the system's
 * angle, strong, and apart on the trunk. Every set of the wanted size is scored.
 */
final class ScaffoldChoice {

    private final Tree tree;
    private final PlanParameters.ScaffoldChoice weights;

    ScaffoldChoice(Tree tree, PlanParameters.ScaffoldChoice weights) {
        this.tree = tree;
        this.weights = weights;
    }

    /**
     * The limbs to keep. A single one more than wanted may stay where all stand nearly as well together and the system has room.
     *
     * @param mains limbs to choose among
     * @param keep how many are wanted
     * @return empty where nothing is to be taken
     */
    List<Axis> of(List<Axis> mains, int keep) {
        if (mains.size() <= keep) {
            return List.of();
        }
        List<Axis> among = mains.stream()
                .sorted(Comparator.comparingDouble(Axis::baseDiameter).reversed())
                .limit(weights.among())
                .toList();
        Scored best = best(among, keep);
        boolean oneOver = mains.size() == keep + 1
                && keep < tree.setting().system().scaffolds().count().get(1);
        boolean itMayStay =
                oneOver && scored(mains, among.get(0).baseDiameter()).score() >= best.score() - weights.oneMore();
        return itMayStay ? List.of() : best.limbs();
    }

    private record Scored(List<Axis> limbs, double score) {}

    private Scored scored(List<Axis> limbs, double thickest) {
        return new Scored(limbs, score(limbs, thickest));
    }

    private Scored best(List<Axis> among, int size) {
        Scored best = null;
        for (List<Axis> set : sets(among, 0, size)) {
            Scored one = scored(set, among.get(0).baseDiameter());
            if (best == null || one.score() > best.score()) {
                best = one;
            }
        }
        return best;
    }

    private static List<List<Axis>> sets(List<Axis> among, int from, int size) {
        if (size == 0) {
            return List.of(List.of());
        }
        List<List<Axis>> sets = new ArrayList<>();
        for (int i = from; i <= among.size() - size; i++) {
            for (List<Axis> rest : sets(among, i + 1, size - 1)) {
                List<Axis> set = new ArrayList<>(rest);
                set.add(among.get(i));
                sets.add(set);
            }
        }
        return sets;
    }

    private double score(List<Axis> limbs, double thickest) {
        TrainingSystem.Scaffolds wanted = tree.setting().system().scaffolds();
        double[] thick = limbs.stream().mapToDouble(Axis::baseDiameter).sorted().toArray();
        double lean = limbs.stream()
                .mapToDouble(limb -> Math.abs(Units.toDegrees(limb.baseInclination()) - wanted.idealAngleDeg()))
                .average()
                .orElse(0);
        double strong = limbs.stream().mapToDouble(Axis::baseDiameter).average().orElse(0) / thickest;
        return -(largestGap(limbs) - 360.0 / limbs.size()) / weights.gapDeg()
                - weights.unlike() * (thick[thick.length - 1] - thick[0]) / thick[thick.length / 2]
                - weights.lean() * lean / weights.leanDeg()
                + weights.thick() * strong
                + (areApart(limbs) ? weights.apart() : 0);
    }

    /** The widest empty sector round the trunk, degrees. */
    private static double largestGap(List<Axis> limbs) {
        double[] round = limbs.stream()
                .mapToDouble(limb -> Units.toDegrees(limb.bearing()))
                .sorted()
                .toArray();
        double gap = round[0] + 360 - round[round.length - 1];
        for (int i = 1; i < round.length; i++) {
            gap = Math.max(gap, round[i] - round[i - 1]);
        }
        return gap;
    }

    private boolean areApart(List<Axis> limbs) {
        double[] origins = limbs.stream().mapToDouble(Axis::at).sorted().toArray();
        for (int i = 1; i < origins.length; i++) {
            if (origins[i] - origins[i - 1] < Units.fromCm(weights.apartCm()) - 1e-9) {
                return false;
            }
        }
        return true;
    }
}
