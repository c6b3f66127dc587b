package umbel.cut;

import java.util.List;
import umbel.knowledge.TrainingSystem;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * Which bud a heading cut is made above, since the new shoot goes the way it faces.
 *
 * @param word outward, upward, against-lean or gap
 * @param bearing it should face, radians from north
 */
public record BudSide(String word, double bearing) {

    private static final double LEANS = Math.toRadians(3);

    /** The side for a heading cut: a leader's against its lean, or over the widest gap below; a limb's outward, or up when it hangs. */
    public static BudSide of(Tree tree, Axis axis) {
        if (axis.kind() == AxisKind.TRUNK) {
            Vec way = axis.course().at(axis.length()).minus(axis.course().point(0));
            return way.inclination() > LEANS
                    ? new BudSide("against-lean", opposite(way.bearing()))
                    : new BudSide("gap", gap(tree));
        }
        TrainingSystem.Scaffolds wanted = tree.setting().system().scaffolds();
        boolean hangs =
                Units.toDegrees(axis.baseInclination()) > wanted.angleDeg().get(1);
        return new BudSide(hangs ? "upward" : "outward", axis.bearing());
    }

    private static double opposite(double bearing) {
        return (bearing + Math.PI) % (2 * Math.PI);
    }

    /** The middle of the widest gap between the main limbs' bearings; north where there is no limb. */
    private static double gap(Tree tree) {
        List<Double> bearings = tree.limbsOn(tree.trunk()).stream()
                .filter(limb -> limb.role() != Role.SUCKER)
                .map(Axis::bearing)
                .sorted()
                .toList();
        double widest = 0;
        double middle = 0;
        for (int i = 0; i < bearings.size(); i++) {
            double next = i + 1 < bearings.size() ? bearings.get(i + 1) : bearings.get(0) + 2 * Math.PI;
            if (next - bearings.get(i) > widest) {
                widest = next - bearings.get(i);
                middle = (bearings.get(i) + widest / 2) % (2 * Math.PI);
            }
        }
        return middle;
    }
}
