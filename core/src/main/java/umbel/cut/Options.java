package umbel.cut;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import umbel.knowledge.CutParameters;
import umbel.knowledge.TrainingSystem;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;

/** The operations that make sense on one limb, with exact places. */
public final class Options {

    private static final double LEAST_STUB = 0.15;
    private static final double STEP_OUT = 0.05;

    private Options() {}

    /**
     * What could be done to a measured limb or the trunk; removal first.
     *
     * @param inLeaf whether the tree is in leaf, so that soft shoots can be rubbed off
     */
    public static List<Operation> on(Tree tree, Axis limb, boolean inLeaf) {
        List<Operation> options = new ArrayList<>();
        Setting setting = tree.setting();
        if (limb.kind() == AxisKind.TRUNK) {
            weakerSideBranch(tree, limb, 0)
                    .ifPresent(branch -> options.add(
                            Operation.reduce(OperationKind.LOWER_LEADER, limb, branch, pastUnion(limb, branch))));
            heading(limb).ifPresent(options::add);
            return options;
        }
        Operation away = Operation.whole(inLeaf && isSoft(tree, limb) ? OperationKind.RUB : OperationKind.REMOVE, limb);
        if (limb.role() == Role.SUCKER) {
            return List.of(away);
        }
        if (setting.system().thickLimbCut().equals("renew-bevel") && limb.parent() == 0 && !limb.is(Condition.DEAD)) {
            options.add(Operation.whole(OperationKind.RENEW_BEVEL, limb));
        }
        options.add(away);
        sideBranches(tree, limb)
                .forEach(branch ->
                        options.add(Operation.reduce(OperationKind.REDUCE, limb, branch, pastUnion(limb, branch))));
        shortening(tree, limb).ifPresent(options::add);
        heading(limb).ifPresent(options::add);
        bend(tree, limb).ifPresent(options::add);
        return options;
    }

    /** Whether a limb is a shoot that a hand can rub off while it is in leaf. */
    public static boolean isSoft(Tree tree, Axis limb) {
        return limb.age() <= 1
                && Units.toMm(limb.baseDiameter())
                        < tree.setting().parameters().cutting().places().softMostMm();
    }

    /** Side branches at least a third as thick as the limb where they leave it, outermost first. */
    public static List<Axis> sideBranches(Tree tree, Axis limb) {
        double least = tree.setting().parameters().cutting().places().reductionRatio();
        return tree.limbsOn(limb).stream()
                .filter(branch ->
                        branch.role() != Role.SUCKER && branch.conditions().isEmpty())
                .filter(branch -> branch.at() > LEAST_STUB && branch.at() < limb.length() * 0.95)
                .filter(branch -> branch.baseDiameter() >= least * limb.diameterAt(branch.at()))
                .sorted(Comparator.comparingDouble(Axis::at).reversed())
                .toList();
    }

    /** The highest weak, flat enough side branch of a leader whose own top and origin lie above {@code leastHeight}. */
    public static Optional<Axis> weakerSideBranch(Tree tree, Axis leader, double leastHeight) {
        return tree.limbsOn(leader).stream()
                .filter(branch -> branch.conditions().isEmpty() && branch.role() != Role.SUCKER)
                .filter(branch -> Units.toDegrees(branch.baseInclination()) >= 30)
                .filter(branch -> branch.baseDiameter()
                        >= tree.setting().parameters().cutting().places().reductionRatio()
                                * 0.8
                                * leader.diameterAt(branch.at()))
                .filter(branch -> branch.course().point(0).z() >= leastHeight && branch.at() < leader.length() * 0.97)
                .max(Comparator.comparingDouble(Axis::at));
    }

    /** Just beyond the union with a side branch, so that the cut leaves no stub and spares the branch's collar. */
    public static double pastUnion(Axis limb, Axis branch) {
        return Math.min(limb.length() * 0.999, branch.at() + 0.6 * branch.baseDiameter());
    }

    /** A cut into the older wood about two thirds out, or further where it is thick; for limbs older than two years. */
    public static Optional<Operation> shortening(Tree tree, Axis limb) {
        double older = limb.length() - limb.lastGrowth();
        boolean old = limb.age() >= 2 && limb.length() > 0.5 && older > 2 * LEAST_STUB;
        if (!old || limb.kind() != AxisKind.LIMB) {
            return Optional.empty();
        }
        double at = Math.min(older, limb.length() * 0.67);
        while (at < older && !isThinAt(tree, limb, at, false)) {
            at = Math.min(older, at + STEP_OUT);
        }
        return isThinAt(tree, limb, at, false)
                ? Optional.of(Operation.cutAt(OperationKind.SHORTEN, limb, at))
                : Optional.empty();
    }

    /**
     * Whether a limb can be cut through at a place without raising a thicket there.
     *
     * @param atNeed whether nothing else can be done, so that somewhat thicker wood is cut through too
     */
    public static boolean isThinAt(Tree tree, Axis limb, double at, boolean atNeed) {
        CutParameters.Places rule = tree.setting().parameters().cutting().places();
        return Units.toMm(limb.diameterAt(at)) <= (atNeed ? rule.shortenAtNeedMm() : rule.shortenMostMm());
    }

    /** A heading cut that takes a third of the last year's growth. */
    public static Optional<Operation> heading(Axis limb) {
        return limb.lastGrowth() >= 0.25 && !limb.is(Condition.DEAD)
                ? Optional.of(Operation.cutAt(OperationKind.HEAD, limb, limb.length() - limb.lastGrowth() / 3))
                : Optional.empty();
    }

    /** A bend to the middle of the system's wanted angles, when it is worth ten degrees and the limb will take it. */
    public static Optional<Operation> bend(Tree tree, Axis limb) {
        return bend(tree, limb, 0);
    }

    /** The same, {@code flatterDeg} flatter than the system's middle. */
    public static Optional<Operation> bend(Tree tree, Axis limb, double flatterDeg) {
        TrainingSystem.Scaffolds wanted = tree.setting().system().scaffolds();
        double to = Units.fromDegrees(wanted.idealAngleDeg() + flatterDeg);
        double turn = to - limb.baseInclination();
        boolean worth = Math.abs(Units.toDegrees(turn)) >= 10;
        Axis parent = tree.axis(limb.parent());
        boolean crotchHolds = limb.baseDiameter()
                <= tree.setting().parameters().training().bending().crotchRatioMost() * parent.diameterAt(limb.at());
        return worth && crotchHolds && Bending.judge(limb, to, tree.setting()).possible()
                ? Optional.of(Operation.bend(limb, to))
                : Optional.empty();
    }
}
