package umbel.cut;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.knowledge.CutParameters;
import umbel.knowledge.Species;
import umbel.wood.Axis;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.Units;

/** The axes of a tree that an operation is aimed at; of a group that is thinned, those that go: the worst placed first. */
public final class TargetAxes {

    private TargetAxes() {}

    /** The axes an operation is aimed at; empty when the tree has none such. */
    public static List<Axis> of(Tree tree, Operation operation) {
        List<Axis> axes = of(tree, operation.target());
        if (!operation.target().isSmallWood() || operation.keep() <= 0 || axes.isEmpty()) {
            return axes;
        }
        List<Axis> worstFirst = new ArrayList<>(axes);
        Species.Ideal ideal = tree.setting().species().smallWood().ideal();
        boolean spurs = operation.kind() == OperationKind.THIN_SPURS;
        worstFirst.sort(Comparator.comparingDouble((Axis axis) -> spurs ? axis.age() : badness(tree, axis, ideal))
                .reversed()
                .thenComparing(Axis::index));
        return worstFirst.subList(0, Math.max(0, worstFirst.size() - operation.keep()));
    }

    /** Of the shoots that an operation thins, those that stay and are too long. */
    public static List<Axis> longOnes(Tree tree, Operation operation) {
        CutParameters.Places places = tree.setting().parameters().cutting().places();
        double longFrom = operation.at() + Units.fromCm(places.longShootCm() - places.longShootToCm());
        List<Axis> stay = new ArrayList<>(of(tree, operation.target()));
        stay.removeAll(of(tree, operation));
        return stay.stream().filter(shoot -> shoot.length() > longFrom).toList();
    }

    /**
     * All axes of a target: the limb itself, or its small wood of that kind; for buds the limb they stand on. A limb that has
     * grown since the survey has no name yet and cannot be aimed at.
     */
    public static List<Axis> of(Tree tree, Target target) {
        if (!target.isSmallWood()) {
            return tree.find(target.limb())
                    .filter(axis -> axis.isFrame() && axis.isNamed())
                    .map(List::of)
                    .orElse(List.of());
        }
        return tree.smallWoodOn(target.limb()).stream().filter(target::holds).toList();
    }

    /** How little a shoot is worth keeping: wrong size first, then wrong direction, then far from the frame. */
    private static double badness(Tree tree, Axis shoot, Species.Ideal ideal) {
        double length = Units.toCm(shoot.length());
        double size = shoot.shootClass() == ShootClass.PENCIL
                ? outside(length, ideal.lengthCm().get(0), ideal.lengthCm().get(1)) / 10
                : 2.5;
        double direction = switch (shoot.attitude()) {
            case IN, DOWN -> 2.2;
            case UP -> 1.6;
            case OUT -> 0.4;
            case SIDE -> 0;
        };
        double away = tree.find(shoot.limb())
                .map(limb ->
                        shoot.course().point(0).minus(limb.course().point(0)).length() / limb.length())
                .orElse(0.0);
        return size + direction + away;
    }

    private static double outside(double value, double low, double high) {
        return value < low ? low - value : Math.max(0, value - high);
    }
}
