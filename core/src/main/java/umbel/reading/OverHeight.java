package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/** Wood above what the grower's reach and the system allow. */
final class OverHeight extends Rule {

    OverHeight() {
        super("over-height", Subject.TREE, Stage.FRAME, Trait.ANSWERED_IN_PARTS, Trait.TAKES_ONLY_UPRIGHTS);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double most = context.tree().setting().workableHeight(context.reach());
        List<Axis> tall = new ArrayList<>();
        if (context.tree().trunk().course().top() > most) {
            tall.add(context.tree().trunk());
        }
        context.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER && limb.course().top() > most)
                .forEach(tall::add);
        if (tall.isEmpty()) {
            return List.of();
        }
        tall.sort(Comparator.comparingDouble((Axis axis) -> axis.course().top()).reversed());
        double top = tall.get(0).course().top();
        double error = top * context.errors().lengthShare();
        return List.of(new Finding(
                this,
                Target.all(tall),
                Statement.of("measure.height"),
                top,
                most,
                "m",
                context.severity(top, most),
                ThresholdConfidence.above(top, most, error),
                Statement.of("finding.over-height")
                        .with("top", Value.reach(top))
                        .with("reach", Value.reach(context.reach()))
                        .with("most", Value.reach(most))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return context.tree().setting().species().hardness().heightFactor() == 1
                ? "system.reachFactor"
                : "species.hardness.heightFactor";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        double limit = finding.threshold();
        List<Operation> operations = new ArrayList<>();
        for (Axis limb : context.limbs(finding)) {
            operations.addAll(lowered(context, limb, limit));
        }
        return operations;
    }

    /** The ways to bring one stem or limb down towards a height; none for a top that still runs. */
    static List<Operation> lowered(RemedyContext context, Axis limb, double limit) {
        boolean leader = limb.kind() == AxisKind.TRUNK;
        double most = leader ? context.lowering().leader() : context.lowering().limb();
        double lowest = Math.max(limit * 0.75, limb.course().top() - most);
        if (!leader) {
            return loweredLimb(context, limb, lowest, limit);
        }
        return hasSlowed(context.tree(), limb) ? loweredLeader(context, limb, lowest, limit) : List.of();
    }

    @Override
    Optional<Statement> reasonToWait(RemedyContext context, Finding finding) {
        Axis leader = context.tree().trunk();
        return finding.targets().contains(Target.TRUNK) && !hasSlowed(context.tree(), leader)
                ? Optional.of(Statement.of("wait.running-top").with("grown", Value.length(leader.lastGrowth())))
                : Optional.empty();
    }

    /** Whether a top grows no more than bearing wood does; one that still runs would answer a lowering with a thicket. */
    private static boolean hasSlowed(Tree tree, Axis leader) {
        if (tree.setting().system().tied()) {
            return true; // on wires the top is stopped at its wire whatever it grew
        }
        double most = Units.fromCm(tree.setting().species().vigour().bearingCm().get(1));
        return leader.lastGrowth() <= most;
    }

    private static List<Operation> loweredLeader(RemedyContext context, Axis leader, double lowest, double limit) {
        List<Operation> operations = new ArrayList<>();
        lowerBranch(context.tree(), leader, lowest, limit)
                .ifPresent(branch -> operations.add(Operation.reduce(
                        OperationKind.LOWER_LEADER, leader, branch, Options.pastUnion(leader, branch))));
        shortenBelow(leader, Math.max(limit, lowest)).ifPresent(operations::add);
        return operations;
    }

    /**
     * Back to a side branch, off, or anew from a low stub; cut through where it is thin, and in somewhat thicker wood where
     * nothing else can be done: heading thick wood in the middle raises a thicket.
     */
    private static List<Operation> loweredLimb(RemedyContext context, Axis limb, double lowest, double limit) {
        List<Operation> operations = new ArrayList<>();
        lowerBranch(context.tree(), limb, lowest, limit)
                .or(() -> lowerBranch(
                        context.tree(), limb, 0, limit)) // one cut too deep is better than a headed scaffold
                .ifPresent(branch -> operations.add(RemedyContext.reduce(limb, branch)));
        if (limb.role() != Role.SCAFFOLD && limb.role() != Role.LEADER) {
            operations.add(Operation.remove(limb));
        }
        boolean renews = context.tree().setting().system().thickLimbCut().equals(OperationKind.RENEW_STUB.word());
        if (limb.parent() == 0 && (renews || isOldAndFarTooTall(context, limb, limit))) {
            context.stubs().of(limb).ifPresent(operations::add);
        }
        Optional<Operation> through = shortenBelow(limb, Math.max(limit, lowest));
        boolean atNeed = operations.isEmpty();
        through.filter(cut -> Options.isThinAt(context.tree(), limb, cut.at(), atNeed))
                .ifPresent(operations::add);
        return operations;
    }

    private static boolean isOldAndFarTooTall(RemedyContext context, Axis limb, double limit) {
        return context.isOldScaffold(limb)
                && limb.course().top() > context.lowering().renewFrom() * limit;
    }

    /** The branch to fall back to: the highest that brings the top under the limit, or else the highest that helps. */
    private static Optional<Axis> lowerBranch(Tree tree, Axis limb, double lowest, double limit) {
        List<Axis> branches = tree.limbsOn(limb).stream()
                .filter(branch -> branch.conditions().isEmpty() && branch.role() != Role.SUCKER)
                .filter(branch -> branch.baseDiameter()
                        >= tree.setting().parameters().cutting().places().reductionRatio()
                                * 0.8
                                * limb.diameterAt(branch.at()))
                .filter(branch -> branch.course().point(0).z() >= lowest && branch.at() < limb.length() * 0.97)
                .filter(branch -> branch.course().top() < limb.course().top())
                .sorted(Comparator.comparingDouble(Axis::at).reversed())
                .toList();
        return branches.stream()
                .filter(branch -> branch.course().top() <= limit)
                .findFirst()
                .or(() -> branches.isEmpty() ? Optional.empty() : Optional.of(branches.get(branches.size() - 1)));
    }

    private static Optional<Operation> shortenBelow(Axis limb, double height) {
        for (int i = limb.course().size() - 1; i > 0; i--) {
            if (limb.course().point(i).z() <= height) {
                double at = limb.course().along(i);
                boolean worth = at > 0.3 && at < limb.length() * 0.95;
                return worth ? Optional.of(Operation.cutAt(OperationKind.SHORTEN, limb, at)) : Optional.empty();
            }
        }
        return Optional.empty();
    }
}
