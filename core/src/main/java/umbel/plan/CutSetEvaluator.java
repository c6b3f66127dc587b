package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import umbel.compute.Cancellation;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.TargetAxes;
import umbel.knowledge.PlanParameters;
import umbel.reading.Finding;
import umbel.wood.Axis;
import umbel.wood.Tree;

/** What sets of operations on one tree are worth, which of them go together, and which keep to the limits of a visit. */
final class CutSetEvaluator {

    private static final int MOST_REMEMBERED = 20_000;
    private static final Comparator<Operation> BY_PLACE = Comparator.comparing(
                    (Operation one) -> one.target().path())
            .thenComparing(Operation::kind)
            .thenComparingDouble(Operation::at)
            .thenComparing(Operation::toLimb)
            .thenComparingInt(Operation::keep);

    private final Tree found;
    private final PlanRequest request;
    private final Set<Operation> beyondLimits;
    private final CutSetValue.Ground ground;
    private final Map<List<Operation>, CutSetValue> appraised;
    private final Map<List<Operation>, CutTree> cuts;

    /**
     * A weighing of one tree.
     *
     * @param findings what the tree was found with
     * @param beyondLimits what is done whatever share of the wood it takes
     * @param other another, whose appraisals are used again where they are of the same tree under the same eye; null for none
     */
    CutSetEvaluator(
            Tree found,
            List<Finding> findings,
            PlanRequest request,
            Set<Operation> beyondLimits,
            CutSetEvaluator other) {
        boolean alike = other != null && other.found == found && other.request.sees(request);
        this.found = found;
        this.request = request;
        this.beyondLimits = beyondLimits;
        this.ground = alike ? other.ground : CutSetValue.Ground.of(found, findings, request.parameters());
        this.appraised =
                alike && other.appraised.size() < MOST_REMEMBERED ? other.appraised : new ConcurrentHashMap<>();
        this.cuts = alike ? other.cuts : new ConcurrentHashMap<>();
    }

    Tree found() {
        return found;
    }

    PlanRequest request() {
        return request;
    }

    /** The same visit in one order, whatever order it was thought of in. */
    static List<Operation> asSet(List<Operation> operations) {
        return operations.stream().sorted(BY_PLACE).toList();
    }

    /** What the tree is worth once these are done, in whatever order. */
    double worth(List<Operation> visit) {
        return appraisal(visit).worth(request);
    }

    /**
     * Whether a fault still stands once these are done. One that the quick look of the search does not see on the untouched
     * tree is taken to stand.
     */
    boolean stands(Finding finding, List<Operation> visit) {
        int index = ground.faults().indexOf(finding);
        return index < 0
                || appraisal(visit).standing().get(index)
                || !appraisal(List.of()).standing().get(index);
    }

    private CutSetValue appraisal(List<Operation> visit) {
        List<Operation> operations = asSet(visit);
        // worked out outside the map's locks: light is swept in parallel, and a thread that waits may take up another
        // plan
        CutSetValue known = appraised.get(operations);
        if (known == null) {
            Cancellation.check();
            known = CutSetValue.of(ground, cut(operations), request);
            appraised.put(operations, known);
        }
        return known;
    }

    /** Weighs several visits at once, on all processors, so that their worth is known when it is asked for. */
    void weighAll(Stream<List<Operation>> visits) {
        List<List<Operation>> unknown = visits.map(CutSetEvaluator::asSet)
                .filter(visit -> !appraised.containsKey(visit))
                .distinct()
                .toList();
        if (unknown.size() > 1) {
            unknown.parallelStream().forEach(Cancellation.carriedAction(this::worth));
        }
    }

    /** What another tree, such as this one grown on, is worth by the same measure and untouched. */
    double worthOf(Tree other) {
        return CutSetValue.of(ground, CutTree.of(other, List.of()), request).worth(request);
    }

    /** The tree once these are done. */
    CutTree cut(List<Operation> operations) {
        CutTree known = cuts.get(operations);
        if (known == null) {
            known = CutTree.of(found, operations);
            cuts.put(operations, known);
        }
        return known;
    }

    /** Lets go of the trees worked out so far, which take room; what they were worth stays known. */
    void forgetTrees() {
        cuts.clear();
    }

    /** Whether the operation still has its whole target on what the others leave, and leaves them what they fall back to. */
    boolean fits(List<Operation> others, Operation operation) {
        Tree left = cut(others).left();
        List<Axis> there = TargetAxes.of(found, operation);
        if (there.isEmpty() || left.find(operation.onLimb()).isEmpty()) {
            return false;
        }
        if (!operation.toLimb().isEmpty() && left.find(operation.toLimb()).isEmpty()) {
            return false;
        }
        // what another falls back to, or renews, is to stay
        boolean takesTheLimb = operation.target().isLimb()
                && (operation.kind().takesAll() || operation.kind() == OperationKind.RENEW_STUB);
        if (takesTheLimb
                && others.stream().anyMatch(other -> other.growsOnFrom().equals(operation.onLimb()))) {
            return false;
        }
        if (operation.onBuds()) {
            return others.stream().noneMatch(Operation::onBuds)
                    && operation.at()
                            < left.find(operation.onLimb()).orElseThrow().length();
        }
        if (operation.onGroup()) {
            return there.stream().anyMatch(axis -> left.find(axis.id()).isPresent())
                    && others.stream().noneMatch(other -> other.target().overlaps(operation.target()));
        }
        return others.stream()
                        .noneMatch(other -> other.target().equals(operation.target())
                                && !other.kind().goesWith(operation.kind()))
                && operation.at() < left.find(operation.onLimb()).orElseThrow().length();
    }

    /** Whether a visit with one operation more keeps to the limits; the yearly short-spurring of arms stands outside them. */
    boolean withinLimits(List<Operation> others, Operation operation) {
        return withinLimits(with(others, operation));
    }

    /** Whether a visit keeps to the limits. */
    boolean withinLimits(List<Operation> visit) {
        return keepsTo(visit, 1, 0);
    }

    /**
     * The same for the sake of a grave fault, to which the usual limits give way by a little; a grower's own never do. A tree whose
     * limbs come and go bears more than one whose frame is for life.
     */
    boolean nearlyWithinLimits(List<Operation> others, Operation operation) {
        if (request.limits().byGrower()) {
            return withinLimits(others, operation);
        }
        PlanParameters.GiveWay more = request.parameters().giveWay();
        boolean lasting = found.setting().system().scaffolds().permanent();
        boolean young = found.setting().isFilling();
        if (young
                && others.stream()
                        .noneMatch(one -> one.kind().takesAll() && one.target().isLimb())) {
            // the first grave fault of a tree that is being built may take what it takes: it will not be less next year
            return cut(with(others, operation)).woodShare()
                    <= request.parameters().variants().mostShare();
        }
        return keepsTo(with(others, operation), lasting && !young ? more.lasting() : more.renewed(), more.bigCuts());
    }

    private boolean keepsTo(List<Operation> visit, double factor, int more) {
        List<Operation> after = asSet(visit);
        double share =
                cut(after).woodShare(one -> one.kind() != OperationKind.SHORT_SPUR && !beyondLimits.contains(one));
        return share <= factor * request.limits().woodShare() + 1e-9
                && bigCuts(after) <= request.limits().bigCuts() + more;
    }

    private int bigCuts(List<Operation> operations) {
        List<Effect> effects = Effect.ofAll(cut(operations), request.limits().reach());
        int big = 0;
        for (int i = 0; i < operations.size(); i++) {
            if (effects.get(i).big() || renewsALimb(operations.get(i))) {
                big += effects.get(i).cuts();
            }
        }
        return big;
    }

    /** Where limbs come and go, taking one of some years counts as a big cut whatever its thickness. */
    private boolean renewsALimb(Operation operation) {
        OperationKind kind = operation.kind();
        boolean whole =
                kind == OperationKind.REMOVE || kind == OperationKind.RENEW_BEVEL || kind == OperationKind.RENEW_STUB;
        if (!whole
                || operation.onGroup()
                || found.setting().system().scaffolds().permanent()) {
            return false;
        }
        Axis limb = found.find(operation.onLimb()).orElseThrow();
        return limb.parent() == 0 && limb.age() >= 2 && isStrong(limb);
    }

    /** Over half as thick as most of its like: weak and hanging wood is not counted. */
    private boolean isStrong(Axis limb) {
        double mean = found.limbsOn(found.trunk()).stream()
                .mapToDouble(Axis::baseDiameter)
                .average()
                .orElse(0);
        return limb.conditions().isEmpty() && limb.baseDiameter() > 0.6 * mean;
    }

    static List<Operation> with(List<Operation> operations, Operation one) {
        List<Operation> more = new ArrayList<>(operations);
        more.add(one);
        return more;
    }
}
