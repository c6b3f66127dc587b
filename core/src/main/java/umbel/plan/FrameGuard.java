package umbel.plan;

import java.util.HashSet;
import java.util.Set;
import umbel.cut.OperationKind;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What a plan may not do to a tree's frame, whatever it would be worth.
 *
 * <p>Where a system's scaffolds are there for life, a sound one, and a fork that carries the vase on, is not taken off as a whole for a
 * fault that can be lived with or answered otherwise. Wood is taken off whole for its height only where it stands upright. On kinds
 * that are never headed nothing is cut into. The system's work on ends passes limbs that should go.
 */
final class FrameGuard {

    /** Faults for which a lasting limb may go: nothing else answers them. */
    private static final Set<String> GROUNDS = Set.of("unsound-wood", "rival-leader", "root-sucker", "inward");
    /** Faults that end in the limb going, now or in a later winter. */
    private static final Set<String> DOOMED = Set.of("rival-leader", "limb-too-thick", "tight-crotch", "inward");

    /** Faults for which one of many scaffolds about a leader may go. */
    private static final Set<String> OF_A_SCAFFOLD =
            Set.of("limb-too-thick", "crowded-origin", "stacked-limbs", "crossing");

    private static final String TIGHT = "tight-crotch";
    private static final String HEIGHT = "over-height";
    /** Of the lasting limbs of the trunk, so many stay where another goes. */
    private static final int LEAST_FRAME = 3;

    private static final double UPRIGHT_DEG = 40;
    private static final double FORK_RATIO = 0.55;
    private static final double[] FORK_DEG = {25, 68};
    private static final double FORK_BEARING_DEG = 75;

    private final Tree tree;
    private final boolean headed;
    private final Set<String> scaffolds = new HashSet<>();
    private final Set<String> forks = new HashSet<>();
    private final Set<String> doomed = new HashSet<>();

    /**
     * A guard.
     *
     * @param lastingShare from this share of the trunk's thickness a limb of a vase is one of its lasting limbs
     * @param sure from which confidence a fault dooms a limb
     */
    FrameGuard(Tree tree, Iterable<Finding> findings, double lastingShare, double sure) {
        this.tree = tree;
        this.headed = tree.setting().species().hardness().headed();
        boolean permanent = tree.setting().system().scaffolds().permanent();
        for (Axis limb : tree.limbs()) {
            boolean sound = permanent && limb.age() >= 2 && limb.conditions().isEmpty();
            if (sound && limb.parent() == 0 && isMain(limb, lastingShare)) {
                scaffolds.add(limb.id());
            } else if (sound && limb.parent() > 0 && isFork(limb, tree.axis(limb.parent()))) {
                forks.add(limb.id());
            }
        }
        for (Finding finding : findings) {
            boolean certain = finding.severity() == Severity.ACT && finding.confidence() >= sure;
            if (certain
                    && DOOMED.contains(finding.rule().id())
                    && finding.first().isLimb()) {
                doomed.add(finding.first().limb());
            }
        }
        doomed.removeIf(limb -> scaffolds.contains(limb) || forks.contains(limb));
    }

    private boolean isMain(Axis limb, double lastingShare) {
        return limb.role() == Role.SCAFFOLD
                || isPartOfAVase(limb)
                        && limb.baseDiameter() >= lastingShare * tree.trunk().baseDiameter();
    }

    private boolean isPartOfAVase(Axis limb) {
        return tree.setting().system().topped()
                && limb.role() != Role.WATER_SPROUT
                && limb.role() != Role.HANGER
                && limb.role() != Role.SHOOT;
    }

    /** A branch of a lasting limb that carries its line on and out. */
    private boolean isFork(Axis limb, Axis parent) {
        if (!scaffolds.contains(parent.id()) && !forks.contains(parent.id()) || !isPartOfAVase(limb)) {
            return false;
        }
        double lean = Units.toDegrees(limb.baseInclination());
        double turned = Units.toDegrees(limb.course()
                .directionAt(0)
                .level()
                .angleTo(parent.course().directionAt(0).level()));
        return limb.baseDiameter() >= FORK_RATIO * parent.diameterAt(limb.at())
                && lean >= FORK_DEG[0]
                && lean <= FORK_DEG[1]
                && turned < FORK_BEARING_DEG;
    }

    /** Whether an answer to a finding is barred. */
    boolean forbids(Candidate candidate) {
        if (candidate.operation().onGroup() || candidate.finding() == null) {
            return false;
        }
        String limb = candidate.operation().onLimb();
        OperationKind kind = candidate.operation().kind();
        String rule = candidate.finding().rule().id();
        boolean whole = kind.takesAll() || kind == OperationKind.RENEW_STUB;
        if (!whole) {
            return cutsInto(kind);
        }
        if (rule.equals(HEIGHT) && tree.find(limb).map(this::isSpreading).orElse(false)) {
            return true;
        }
        if (GROUNDS.contains(rule)) {
            return false;
        }
        boolean faulty = rule.equals(TIGHT)
                || OF_A_SCAFFOLD.contains(rule) && !tree.setting().system().topped();
        boolean spare = faulty && scaffolds.contains(limb) && scaffolds.size() > LEAST_FRAME;
        return !spare && (scaffolds.contains(limb) || forks.contains(limb));
    }

    /** Whether work of the system on an end is barred: on a limb that should go, or into wood that is never headed. */
    boolean forbidsEnd(Candidate candidate) {
        return candidate.operation().kind().cuts()
                && (doomed.contains(candidate.operation().onLimb())
                        || !candidate.operation().onGroup()
                                && cutsInto(candidate.operation().kind()));
    }

    private boolean cutsInto(OperationKind kind) {
        return !headed && (kind == OperationKind.HEAD || kind == OperationKind.TIP || kind == OperationKind.SHORTEN);
    }

    private boolean isSpreading(Axis limb) {
        return limb.parent() >= 0 && Units.toDegrees(limb.baseInclination()) > UPRIGHT_DEG;
    }
}
