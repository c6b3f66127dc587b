package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/** For each finding, the operations a practised hand would weigh against each other, the usual one first. */
final class Remedies {

    private static final int MOST_FOR_SHADE = 7;
    private static final int LEAST_UPRIGHTS = 3;
    private static final int MOST_FOR_BLOOM = 4;
    private static final int LEAST_SPURS = 6;
    private static final double SPURS_LEFT = 0.67;
    private static final int OLD_SCAFFOLD = 8;

    private final Tree tree;
    private final PlanRequest request;
    private final boolean tall;
    private final Stubs stubs;

    /**
     * Remedies for a tree.
     *
     * @param findings of the tree
     */
    Remedies(Tree tree, List<Finding> findings, PlanRequest request, Stubs stubs) {
        this.tree = tree;
        this.request = request;
        this.tall = findings.stream()
                .anyMatch(finding -> finding.rule().equals("over-height")
                        && finding.value() > request.rules().lowering().renewFrom() * finding.threshold());
        this.stubs = stubs;
    }

    /** Candidates for one finding; empty where nothing sensible can be done. */
    List<Candidate> of(Finding finding) {
        List<Operation> operations = switch (finding.rule()) {
            case "unsound-wood" -> forUnsound(limb(finding, 0));
            case "root-sucker" -> List.of(wholeOf(limb(finding, 0)));
            case "rival-leader" -> forRival(limb(finding, 0));
            case "limb-too-thick" -> forThick(limb(finding, 0));
            case "tight-crotch" -> forTight(limb(finding, 0));
            case "crowded-origin" -> List.of(wholeOf(limb(finding, 0)), wholeOf(limb(finding, 1)));
            case "stacked-limbs" -> forPair(finding);
            case "crossing" -> forPair(finding);
            case "over-height" -> forHeight(finding);
            case "out-of-box", "lost-cone", "will-drop" -> forTooLong(finding);
            case "lop-sided" -> forHeavySide(finding);
            case "old-wood" -> forOld(finding);
            case "over-crop" -> forHeavyBloom();
            case "box-not-filled" -> forEmptyRoom();
            case "shade" -> forShade();
            case "crowding" -> forCrowding(finding);
            case "inward", "hanger", "water-sprout" -> forStray(finding.limbs().get(0));
            default -> List.of();
        };
        boolean settled = finding.rule().equals("root-sucker")
                || finding.rule().equals("unsound-wood") && finding.severity() == Severity.ACT;
        List<Candidate> candidates = new ArrayList<>();
        for (int i = 0; i < operations.size(); i++) {
            candidates.add(Candidate.of(operations.get(i), finding, settled && i == 0));
        }
        return candidates;
    }

    private Axis limb(Finding finding, int i) {
        return tree.find(finding.limbs().get(i)).orElseThrow();
    }

    /**
     * The usual cut that takes a whole limb: by hand while it is a soft shoot in leaf; back to a stub when it is an old scaffold of a
     * tree that is to come down far, so that it grows anew from low.
     */
    private Operation wholeOf(Axis limb) {
        Optional<Operation> stub = tall
                        && limb.parent() == 0
                        && limb.age() >= OLD_SCAFFOLD
                        && limb.conditions().isEmpty()
                ? stubs.of(limb)
                : Optional.empty();
        if (stub.isPresent()) {
            return stub.get();
        }
        boolean soft = request.summer() && Options.isSoft(tree, limb);
        return soft ? Operation.whole(OperationKind.RUB, limb.id()) : Operation.remove(limb.id());
    }

    private List<Operation> forUnsound(Axis limb) {
        List<Operation> operations = new ArrayList<>();
        operations.add(Operation.remove(limb.id()));
        if (limb.is(Condition.BROKEN, Condition.DAMAGED)) {
            Options.sideBranches(tree, limb).stream()
                    .limit(1)
                    .map(branch -> reduce(limb, branch))
                    .forEach(operations::add);
        }
        return operations;
    }

    private List<Operation> forRival(Axis limb) {
        List<Operation> operations = new ArrayList<>();
        operations.add(Operation.remove(limb.id()));
        reductions(limb).forEach(operations::add);
        Options.bend(tree, limb).ifPresent(operations::add);
        return operations;
    }

    private List<Operation> forThick(Axis limb) {
        List<Operation> operations = new ArrayList<>();
        operations.add(renewal(limb));
        if (!operations.get(0).kind().equals(OperationKind.REMOVE)) {
            operations.add(Operation.remove(limb.id()));
        }
        reductions(limb).forEach(operations::add);
        Options.shortening(tree, limb).ifPresent(operations::add);
        return operations;
    }

    private List<Operation> forTight(Axis limb) {
        List<Operation> operations = new ArrayList<>();
        if (request.school().preferences().bendBeforeCut()) {
            Options.bend(tree, limb).ifPresent(operations::add);
        }
        operations.add(wholeOf(limb));
        reductions(limb).forEach(operations::add);
        return operations;
    }

    private List<Operation> forPair(Finding finding) {
        Axis first = limb(finding, 0);
        Axis second = limb(finding, 1);
        List<Operation> operations = new ArrayList<>();
        operations.add(wholeOf(first));
        operations.add(wholeOf(second));
        reductions(first).forEach(operations::add);
        Options.shortening(tree, first).ifPresent(operations::add);
        return operations;
    }

    private List<Operation> forStray(String target) {
        if (target.indexOf('/') >= 0) {
            return List.of(Operation.remove(target));
        }
        Axis limb = tree.find(target).orElseThrow();
        List<Operation> operations = new ArrayList<>();
        operations.add(wholeOf(limb));
        Options.shortening(tree, limb).ifPresent(operations::add);
        return operations;
    }

    private List<Operation> forHeight(Finding finding) {
        double limit = finding.threshold();
        List<Operation> operations = new ArrayList<>();
        for (String id : finding.limbs()) {
            Axis limb = tree.find(id).orElseThrow();
            boolean leader = limb.kind() == AxisKind.TRUNK;
            double most = leader
                    ? request.rules().lowering().leader()
                    : request.rules().lowering().limb();
            double lowest = Math.max(limit * 0.75, limb.course().top() - most);
            if (!leader) {
                operations.addAll(loweredLimb(limb, lowest, limit));
            } else if (hasSlowed(limb)) {
                operations.addAll(loweredLeader(limb, lowest, limit));
            }
        }
        return operations;
    }

    private List<Operation> loweredLeader(Axis leader, double lowest, double limit) {
        List<Operation> operations = new ArrayList<>();
        lowerBranch(leader, lowest, limit)
                .ifPresent(branch -> operations.add(Operation.reduce(
                        OperationKind.LOWER_LEADER, leader.id(), branch.id(), Options.pastUnion(leader, branch))));
        shortenBelow(leader, Math.max(limit, lowest)).ifPresent(operations::add);
        return operations;
    }

    /**
     * Back to a side branch, off, or anew from a low stub; cut through where it is thin, and in somewhat thicker wood where
     * nothing else can be done: heading thick wood in the middle raises a thicket.
     */
    private List<Operation> loweredLimb(Axis limb, double lowest, double limit) {
        List<Operation> operations = new ArrayList<>();
        lowerBranch(limb, lowest, limit).ifPresent(branch -> operations.add(reduce(limb, branch)));
        if (limb.role() != Role.SCAFFOLD && limb.role() != Role.LEADER) {
            operations.add(Operation.remove(limb.id()));
        }
        boolean renews = tree.setting().system().thickLimbCut().equals(OperationKind.RENEW_STUB.word());
        if (limb.parent() == 0 && (renews || isOldAndFarTooTall(limb, limit))) {
            stubs.of(limb).ifPresent(operations::add);
        }
        Optional<Operation> through = shortenBelow(limb, Math.max(limit, lowest));
        boolean atNeed = operations.isEmpty();
        through.filter(cut -> Options.isThinAt(tree, limb, cut.at(), atNeed)).ifPresent(operations::add);
        return operations;
    }

    private boolean isOldAndFarTooTall(Axis limb, double limit) {
        return limb.age() >= OLD_SCAFFOLD
                && limb.course().top() > request.rules().lowering().renewFrom() * limit;
    }

    /** Whether a top grows no more than bearing wood does; one that still runs would answer a lowering with a thicket. */
    private boolean hasSlowed(Axis leader) {
        if (tree.setting().system().tied()) {
            return true; // on wires the top is stopped at its wire whatever it grew
        }
        double most = Units.fromCm(tree.setting().species().vigour().bearingCm().get(1));
        return leader.lastGrowth() <= most;
    }

    /** Why nothing is done about a finding now that will be later; empty where there is no such reason. */
    Optional<String> whyNotYet(Finding finding) {
        Axis leader = tree.trunk();
        return finding.rule().equals("over-height") && finding.limbs().contains(leader.id()) && !hasSlowed(leader)
                ? Optional.of(String.format(
                        Locale.ROOT,
                        "the top grew %.0f cm last season and would answer with a thicket: it comes down once it has fruited and slowed",
                        Units.toCm(leader.lastGrowth())))
                : Optional.empty();
    }

    /** The branch to fall back to: the highest that brings the top under the limit, or else the highest that helps. */
    private Optional<Axis> lowerBranch(Axis limb, double lowest, double limit) {
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
                return worth ? Optional.of(Operation.cutAt(OperationKind.SHORTEN, limb.id(), at)) : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** Each limb back to the side branch that lies inside, shortened, or as a whole where limbs are renewed. */
    private List<Operation> forTooLong(Finding finding) {
        List<Operation> operations = new ArrayList<>();
        for (String id : finding.limbs()) {
            Axis limb = tree.find(id).orElseThrow();
            reductions(limb).forEach(operations::add);
            Options.shortening(tree, limb).ifPresent(operations::add);
            if (!tree.setting().system().scaffolds().permanent() || limb.role() != Role.SCAFFOLD) {
                operations.add(renewal(limb));
            }
        }
        return operations;
    }

    /**
     * The heavy side lightened limb by limb; a main limb of a lasting frame is not taken for weight alone, and a tree that still
     * fills its space is evened out by its programme.
     */
    private List<Operation> forHeavySide(Finding finding) {
        List<Operation> operations = new ArrayList<>();
        if (tree.setting().isFilling()) {
            return operations;
        }
        for (String id : finding.limbs()) {
            Axis limb = tree.find(id).orElseThrow();
            reductions(limb).forEach(operations::add);
            Options.shortening(tree, limb).ifPresent(operations::add);
        }
        return operations;
    }

    /** The oldest limbs renewed, as many as the species renews in a year; where spurs are old, those thinned. */
    private List<Operation> forOld(Finding finding) {
        long mains = tree.limbsOn(tree.trunk()).size();
        long share = Math.max(
                1, Math.round(mains * tree.setting().species().renewal().shareAYear()));
        boolean renews = !tree.setting().system().scaffolds().permanent();
        List<Operation> operations = new ArrayList<>(finding.limbs().stream()
                .limit(share)
                .map(id -> tree.find(id).orElseThrow())
                .filter(limb -> limb.kind() == AxisKind.LIMB && (renews || limb.role() != Role.SCAFFOLD))
                .map(this::renewal)
                .toList());
        finding.limbs().forEach(id -> youngSpurs(id).ifPresent(operations::add));
        return operations;
    }

    /** A limb's spurs thinned to those not past their age, where that leaves some and takes some. */
    private Optional<Operation> youngSpurs(String limb) {
        double most = tree.setting().species().renewal().spurAgeMost();
        List<Axis> spurs = tree.smallWoodOn(limb).stream()
                .filter(axis -> axis.kind() == AxisKind.SPUR)
                .toList();
        int young = (int) spurs.stream().filter(axis -> axis.age() <= most).count();
        int keep = Math.max(young, spurs.size() / 2);
        return keep > 0 && keep < spurs.size() ? Optional.of(Operation.thinSpurs(limb, keep)) : Optional.empty();
    }

    /** Pruning as the first thinning: the limbs with most flower buds lose a third of their spurs, the old ones. */
    private List<Operation> forHeavyBloom() {
        List<Operation> operations = new ArrayList<>();
        tree.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER)
                .sorted(Comparator.comparingDouble((Axis limb) -> -buds(limb)))
                .limit(MOST_FOR_BLOOM)
                .forEach(limb -> {
                    int spurs = (int) tree.smallWoodOn(limb.id()).stream()
                            .filter(axis -> axis.kind() == AxisKind.SPUR)
                            .count();
                    int keep = (int) Math.ceil(spurs * SPURS_LEFT);
                    if (keep < spurs && spurs >= LEAST_SPURS) {
                        operations.add(Operation.thinSpurs(limb.id(), keep));
                    }
                });
        return operations;
    }

    private double buds(Axis limb) {
        return tree.smallWoodOn(limb.id()).stream()
                .mapToDouble(Axis::flowerBuds)
                .sum();
    }

    /** Ends headed so that they branch and fill the room. */
    private List<Operation> forEmptyRoom() {
        return tree.limbsOn(tree.trunk()).stream()
                .filter(limb -> limb.conditions().isEmpty() && limb.role() != Role.SUCKER)
                .map(Options::heading)
                .flatMap(Optional::stream)
                .toList();
    }

    /** The system's way of taking a limb that is to be grown anew. */
    private Operation renewal(Axis limb) {
        boolean onTrunk = tree.axis(limb.parent()).kind() == AxisKind.TRUNK;
        String way = tree.setting().system().thickLimbCut();
        if (onTrunk && way.equals(OperationKind.RENEW_BEVEL.word())) {
            return Operation.whole(OperationKind.RENEW_BEVEL, limb.id());
        }
        return onTrunk && way.equals(OperationKind.RENEW_STUB.word())
                ? stubs.of(limb).orElse(Operation.remove(limb.id()))
                : Operation.remove(limb.id());
    }

    /** Windows from above: upper and inner limbs out or back, uprights off, crowded shoots thinned. */
    private List<Operation> forShade() {
        double middle = tree.top() / 2;
        List<Operation> operations = new ArrayList<>();
        tree.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER && limb.age() >= 2)
                .filter(limb -> limb.course().top() > middle)
                .sorted(Comparator.comparingDouble((Axis limb) -> limb.baseDiameter())
                        .reversed())
                .limit(MOST_FOR_SHADE)
                .forEach(limb -> {
                    if (limb.role() != Role.LEADER && limb.role() != Role.SCAFFOLD) {
                        operations.add(Operation.remove(limb.id()));
                    }
                    reductions(limb).forEach(operations::add);
                });
        tree.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER)
                .map(limb -> Operation.remove(limb.id() + "/shoots/up"))
                .filter(operation -> Target.of(tree, operation).size() >= LEAST_UPRIGHTS)
                .limit(MOST_FOR_SHADE)
                .forEach(operations::add);
        return operations;
    }

    private List<Operation> forCrowding(Finding finding) {
        String group = finding.limbs().get(0);
        Axis limb = tree.find(group.substring(0, group.indexOf('/'))).orElseThrow();
        int count = Target.of(tree, Operation.remove(group)).size();
        int keep = (int) Math.floor(count * finding.threshold() / finding.value());
        List<Operation> operations = new ArrayList<>();
        operations.add(Operation.thin(group, keep));
        int more = (count + keep) / 2;
        if (more > keep && limb.baseDiameter() > 0.015) {
            operations.add(Operation.thin(group, more));
        }
        return operations;
    }

    private List<Operation> reductions(Axis limb) {
        return Options.sideBranches(tree, limb).stream()
                .limit(2)
                .map(branch -> reduce(limb, branch))
                .toList();
    }

    private static Operation reduce(Axis limb, Axis branch) {
        return Operation.reduce(OperationKind.REDUCE, limb.id(), branch.id(), Options.pastUnion(limb, branch));
    }
}
