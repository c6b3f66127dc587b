package umbel.plan;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import umbel.cut.OperationKind;
import umbel.knowledge.PlanParameters;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What about a tree's frame is decided before anything is weighed.
 *
 * <p>Where a system's scaffolds are there for life, a sound one, and a fork that carries a vase on, is not taken off as a whole for a
 * fault that can be lived with or answered otherwise. Some faults take only upright limbs off whole. Kinds that are never headed are
 * not cut into. The system's work on ends passes limbs that should go. Thin strays are off, and grave faults come first. Which rule
 * stands where is the rule's own to say.
 */
final class FrameGuard {

    private final Tree tree;
    private final PlanParameters.Frame lines;
    private final PlanParameters.Confidence sure;
    private final Set<String> scaffolds = new HashSet<>();
    private final Set<String> forks = new HashSet<>();
    private final Set<String> doomed = new HashSet<>();

    FrameGuard(Tree tree, List<Finding> findings, PlanParameters parameters) {
        this.tree = tree;
        this.lines = parameters.frame();
        this.sure = parameters.confidence();
        boolean permanent = tree.setting().system().scaffolds().permanent();
        for (Axis limb : tree.limbs()) {
            boolean sound = permanent && limb.conditions().isEmpty();
            boolean ownTree = limb.conditions().isEmpty() && tree.isTreeOfItsOwn(limb);
            if (ownTree || sound && limb.parent() == 0 && isMain(limb)) {
                scaffolds.add(limb.id());
            } else if (sound && limb.parent() > 0 && isFork(limb, tree.axis(limb.parent()))) {
                forks.add(limb.id());
            }
        }
        findings.stream()
                .filter(this::isGrave)
                .map(finding -> finding.first().limb())
                .filter(limb -> !isLasting(limb))
                .forEach(doomed::add);
    }

    private boolean isMain(Axis limb) {
        return limb.role() == Role.SCAFFOLD
                || isPartOfAVase(limb)
                        && limb.baseDiameter()
                                >= lines.mainShare() * tree.trunk().baseDiameter();
    }

    private boolean isPartOfAVase(Axis limb) {
        return tree.setting().system().topped()
                && limb.role() != Role.WATER_SPROUT
                && limb.role() != Role.HANGER
                && limb.role() != Role.SHOOT;
    }

    /** A branch of a lasting limb that carries its line on and out. */
    private boolean isFork(Axis limb, Axis parent) {
        if (!isLasting(parent.id()) || !isPartOfAVase(limb)) {
            return false;
        }
        double lean = Units.toDegrees(limb.baseInclination());
        double turned = Units.toDegrees(limb.course()
                .directionAt(0)
                .level()
                .angleTo(parent.course().directionAt(0).level()));
        return limb.baseDiameter() >= lines.forkRatio() * parent.diameterAt(limb.at())
                && lean >= lines.forkDeg().get(0)
                && lean <= lines.forkDeg().get(1)
                && turned < lines.forkTurnDeg();
    }

    private boolean isLasting(String limb) {
        return scaffolds.contains(limb) || forks.contains(limb);
    }

    /** Whether a finding is a grave and certain fault of a limb. */
    boolean isGrave(Finding finding) {
        return finding.rule().isGrave()
                && finding.severity() == Severity.ACT
                && finding.confidence() >= sure.grave()
                && finding.first().isLimb();
    }

    /** Whether a finding is sure enough to be acted on; else it is watched. */
    boolean isActedOn(Finding finding) {
        return finding.confidence() >= sure.leastToAct();
    }

    /** Whether a finding is of inward, rank or hanging wood that is thin for this tree. */
    boolean isThinStray(Finding finding) {
        if (!finding.rule().isStray() || !finding.first().isLimb()) {
            return false;
        }
        double thick = tree.find(finding.first().limb()).orElseThrow().baseDiameter();
        return thick
                <= Math.max(
                        Units.fromMm(lines.strayMm()),
                        lines.strayShare() * tree.trunk().baseDiameter());
    }

    /** Whether an answer to a finding is barred. */
    boolean forbids(Candidate candidate) {
        if (candidate.operation().onGroup()) {
            return false;
        }
        OperationKind kind = candidate.operation().kind();
        if (!kind.takesAll() && kind != OperationKind.RENEW_STUB) {
            return cutsInto(kind);
        }
        Axis limb = tree.find(candidate.operation().onLimb()).orElseThrow();
        if (candidate.finding().rule().takesOnlyUprights() && isSpreading(limb)) {
            return true;
        }
        boolean spare = scaffolds.contains(limb.id()) && scaffolds.size() > lines.leastLasting();
        boolean aboutALeader = !tree.setting().system().topped();
        return isLasting(limb.id()) && !candidate.finding().rule().outweighsLastingLimb(spare, aboutALeader);
    }

    /** Whether work of the system on an end is barred: on a limb that should go, or into wood that is never headed. */
    boolean forbidsEnd(Candidate candidate) {
        OperationKind kind = candidate.operation().kind();
        return kind.cuts()
                && (doomed.contains(candidate.operation().onLimb())
                        || !candidate.operation().onGroup() && cutsInto(kind));
    }

    private boolean cutsInto(OperationKind kind) {
        return !tree.setting().species().hardness().headed()
                && (kind == OperationKind.HEAD || kind == OperationKind.TIP || kind == OperationKind.SHORTEN);
    }

    private boolean isSpreading(Axis limb) {
        return limb.parent() >= 0 && Units.toDegrees(limb.baseInclination()) > lines.uprightDeg();
    }
}
