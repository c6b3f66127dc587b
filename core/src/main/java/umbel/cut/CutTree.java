package umbel.cut;

import java.util.List;
import java.util.function.Predicate;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * A tree after operations, still knowing what it was: which axis was taken by which operation, and what is left.
 *
 * <p>Always worked out from the tree as found and the whole list of operations, so that taking a mark back gives the
 * earlier tree bit for bit.
 */
public final class CutTree {

    /** How far from a union a flag is tied at least, so that it does not hide on the parent, metres. */
    private static final double LEAST_FROM_UNION = 0.12;

    private final Tree found;
    private final List<Operation> operations;
    private final double[] kept;
    private final int[] takenBy;
    private final Tree left;

    private CutTree(Tree found, List<Operation> operations, double[] kept, int[] takenBy, Tree left) {
        this.found = found;
        this.operations = operations;
        this.kept = kept;
        this.takenBy = takenBy;
        this.left = left;
    }

    /**
     * Applies operations in order.
     *
     * @throws ImpossibleCut when one names a limb the tree does not have, or a place beyond it
     */
    public static CutTree of(Tree found, List<Operation> operations) {
        int count = found.axes().size();
        double[] kept = new double[count];
        int[] takenBy = new int[count];
        for (Axis axis : found.axes()) {
            kept[axis.index()] = axis.length();
            takenBy[axis.index()] = -1;
        }
        for (int i = 0; i < operations.size(); i++) {
            Operation operation = operations.get(i);
            check(found, operation);
            if (!operation.kind().cuts() || operation.onBuds()) {
                continue;
            }
            double at = operation.kind().takesAll() ? 0 : operation.at();
            for (Axis target : TargetAxes.of(found, operation)) {
                if (at < kept[target.index()] - 1e-9) {
                    kept[target.index()] = at;
                    takenBy[target.index()] = i;
                }
            }
            if (operation.shortensWhatStays()) {
                for (Axis shoot : TargetAxes.longOnes(found, operation)) {
                    if (operation.at() < kept[shoot.index()] - 1e-9) {
                        kept[shoot.index()] = operation.at();
                        takenBy[shoot.index()] = i;
                    }
                }
            }
            if (!operation.onGroup()) {
                fallWithTheirParents(found, kept, takenBy);
            }
        }
        thinLaterals(found, operations, kept, takenBy);
        Tree left = found.cutTo(kept);
        for (Operation operation : operations) {
            boolean there = left.find(operation.onLimb()).isPresent();
            if (there && operation.kind() == OperationKind.BEND) {
                left = left.bent(operation.onLimb(), operation.toAngle());
            } else if (there && operation.kind() == OperationKind.DEFLOWER) {
                left = left.deflowered(operation.onLimb());
            }
        }
        return new CutTree(found, List.copyOf(operations), kept, takenBy, left);
    }

    /** Where an operation is made, for a flag to be tied: the cut, or the middle of a group or bend; metres from the trunk's foot. */
    public Vec placeOf(Operation operation) {
        List<Axis> targets = TargetAxes.of(found, operation);
        if (targets.isEmpty()) {
            return new Vec(0, 0, 0);
        }
        Axis first = targets.get(targets.size() / 2);
        double at = Double.isNaN(operation.toAngle())
                ? Math.max(operation.onGroup() ? 0 : operation.at(), Math.min(LEAST_FROM_UNION, first.length() / 2))
                : first.length() / 3;
        return first.course().at(at);
    }

    /** Those operations that can be made on a tree as it is: for work planned on what it was. */
    public static List<Operation> possible(Tree tree, List<Operation> operations) {
        return operations.stream()
                .filter(operation -> {
                    try {
                        check(tree, operation);
                        return true;
                    } catch (ImpossibleCut e) {
                        return false;
                    }
                })
                .toList();
    }

    private static void check(Tree found, Operation operation) {
        List<Axis> targets = TargetAxes.of(found, operation);
        if (operation.onBuds()) {
            checkBuds(targets, operation);
            return;
        }
        if (targets.isEmpty() && operation.keep() == 0 && operation.kind() != OperationKind.THIN_SPURS) {
            throw new ImpossibleCut(
                    "limb",
                    Statement.of("problem.not-on-tree")
                            .with("part", Value.name(operation.target().path())));
        }
        if (operation.kind() == OperationKind.BEND && (operation.onGroup() || Double.isNaN(operation.toAngle()))) {
            throw new ImpossibleCut("toAngle_deg", Statement.of("problem.bend-needs-angle"));
        }
        if (operation.kind() == OperationKind.SHORT_SPUR && !(operation.onGroup() && operation.at() > 0)) {
            throw new ImpossibleCut("at_cm", Statement.of("problem.short-spur-needs-length"));
        }
        if (operation.kind() == OperationKind.THIN_SPURS && !(operation.target() instanceof Target.Spurs)) {
            throw new ImpossibleCut("limb", Statement.of("problem.not-spurs"));
        }
        boolean partway =
                operation.kind().cuts() && !operation.kind().takesAll() && operation.kind() != OperationKind.SHORT_SPUR;
        if (partway
                && (operation.onGroup()
                        || !(operation.at() > 0)
                        || operation.at() >= targets.get(0).length())) {
            throw new ImpossibleCut("at_cm", Statement.of("problem.cut-off-limb"));
        }
        if (operation.kind().takesAll() && operation.target().equals(Target.TRUNK)) {
            throw new ImpossibleCut("operation", Statement.of("problem.trunk-not-removed"));
        }
    }

    private static void checkBuds(List<Axis> limb, Operation operation) {
        if (limb.isEmpty() || limb.get(0).lastGrowth() <= 0) {
            throw new ImpossibleCut(
                    "limb", Statement.of("problem.no-buds").with("limb", Value.name(operation.onLimb())));
        }
        if (operation.at() >= limb.get(0).length() || operation.at() <= 0 && operation.keep() <= 0) {
            throw new ImpossibleCut("at_cm", Statement.of("problem.buds-how-far"));
        }
    }

    /**
     * Where a kind's fruiting wood is renewed every winter, who thins the shoots of a limb goes over its laterals as well: as
     * large a share of those nobody measured goes with the shoots that were counted.
     */
    private static void thinLaterals(Tree found, List<Operation> operations, double[] kept, int[] takenBy) {
        if (!found.setting().species().smallWood().renewsOneYearWood()) {
            return;
        }
        for (int i = 0; i < operations.size(); i++) {
            if (!(operations.get(i).target() instanceof Target.Shoots)) {
                continue;
            }
            double all = 0;
            double taken = 0;
            for (Axis axis : found.smallWoodOn(operations.get(i).onLimb())) {
                boolean shoot = axis.kind() == AxisKind.SHOOT;
                all += shoot ? axis.leafArea() : 0;
                boolean byThis = shoot && takenBy[axis.index()] == i;
                taken += byThis ? axis.leafArea() * axis.shareBeyond(kept[axis.index()]) : 0;
            }
            double owed = 0.5;
            for (Axis axis : found.axes()) {
                if (axis.isUnmeasured() && axis.limb().equals(operations.get(i).onLimb()) && kept[axis.index()] > 0) {
                    owed += all <= 0 ? 0 : taken / all;
                    if (owed >= 1) {
                        owed -= 1;
                        kept[axis.index()] = 0;
                        takenBy[axis.index()] = i;
                    }
                }
            }
        }
    }

    private static void fallWithTheirParents(Tree tree, double[] kept, int[] takenBy) {
        for (Axis axis : tree.axes()) {
            if (axis.parent() >= 0 && kept[axis.index()] > 0) {
                boolean gone = kept[axis.parent()] <= 0 || axis.at() > kept[axis.parent()];
                if (gone) {
                    kept[axis.index()] = 0;
                    takenBy[axis.index()] = takenBy[axis.parent()];
                }
            }
        }
    }

    /** The tree as found. */
    public Tree found() {
        return found;
    }

    /** The tree that is left. */
    public Tree left() {
        return left;
    }

    /** The operations applied. */
    public List<Operation> operations() {
        return operations;
    }

    /** Metres kept of the found tree's axis; 0 where it is gone. */
    public double kept(Axis axis) {
        return kept[axis.index()];
    }

    /** Index of the operation that took (part of) the found tree's axis, -1 where none did. */
    public int takenBy(Axis axis) {
        return takenBy[axis.index()];
    }

    /** Share of the leaf-bearing small wood taken, 0…1; suckers and dead wood do not count. */
    public double woodShare() {
        return woodShare(operation -> true);
    }

    /** The same share, of what some of the operations took. */
    public double woodShare(Predicate<Operation> by) {
        double all = 0;
        double lost = 0;
        for (Axis axis : found.axes()) {
            double leaf = Effect.countedLeaf(axis);
            all += leaf;
            if (takenBy[axis.index()] >= 0 && by.test(operations.get(takenBy[axis.index()]))) {
                lost += leaf * axis.shareBeyond(kept[axis.index()]);
            }
        }
        return all == 0 ? 0 : lost / all;
    }
}
