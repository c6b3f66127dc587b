package umbel.cut;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.knowledge.Species;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * Finds what an operation's {@code limb} means on a tree: a measured limb, or a group of small wood written as
 * {@code limb/shoots[/attitude[/class]]}, {@code limb/shoots/class} or {@code limb/spurs}.
 */
public final class Target {

    private Target() {}

    /** The axes an operation is aimed at; empty when the tree has none such. */
    public static List<Axis> of(Tree tree, Operation operation) {
        if (operation.onBuds()) {
            return tree.find(operation.onLimb())
                    .filter(Axis::isFrame)
                    .map(List::of)
                    .orElse(List.of());
        }
        if (!operation.onGroup()) {
            return tree.find(operation.limb())
                    .filter(Axis::isFrame)
                    .map(List::of)
                    .orElse(List.of());
        }
        List<Axis> group = group(tree, operation.limb());
        if (operation.keep() <= 0 || group.isEmpty()) {
            return group;
        }
        List<Axis> worstFirst = new ArrayList<>(group);
        Species.Ideal ideal = tree.setting().species().smallWood().ideal();
        boolean spurs = operation.kind() == OperationKind.THIN_SPURS;
        worstFirst.sort(Comparator.comparingDouble((Axis axis) -> spurs ? axis.age() : badness(tree, axis, ideal))
                .reversed()
                .thenComparing(Axis::index));
        return worstFirst.subList(0, Math.max(0, worstFirst.size() - operation.keep()));
    }

    private static List<Axis> group(Tree tree, String path) {
        String[] parts = path.split("/");
        AxisKind kind = parts[1].equals("spurs") ? AxisKind.SPUR : AxisKind.SHOOT;
        List<Axis> group = new ArrayList<>();
        for (Axis axis : tree.smallWoodOn(parts[0])) {
            if (axis.kind() == kind && matches(axis, parts)) {
                group.add(axis);
            }
        }
        return group;
    }

    private static boolean matches(Axis axis, String[] parts) {
        for (int i = 2; i < parts.length; i++) {
            boolean named = axis.kind() == AxisKind.SHOOT
                    && (axis.attitude().word().equals(parts[i])
                            || axis.shootClass().word().equals(parts[i]));
            if (!named) {
                return false;
            }
        }
        return true;
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

    /** The attitudes a group path names, for words about it; all when it names none. */
    public static List<Attitude> attitudes(String path) {
        List<Attitude> named = new ArrayList<>();
        for (Attitude attitude : Attitude.values()) {
            if (path.contains("/" + attitude.word())) {
                named.add(attitude);
            }
        }
        return named;
    }
}
