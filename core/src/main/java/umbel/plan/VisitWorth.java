package umbel.plan;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/** What visits to one tree gain by the weights that plans are made with, however they were thought of; safe for several threads. */
public final class VisitWorth {

    private final CutSetEvaluator evaluator;
    private final double untouched;
    private final double reach;
    private final Map<List<Operation>, Visit> known = new ConcurrentHashMap<>();

    /**
     * A visit to a tree.
     *
     * @param gain worth against the tree untouched
     * @param minutes of its cuts and bends
     * @param withinLimits whether it takes no more than a visit may
     */
    public record Visit(double gain, double minutes, int cuts, int bigCuts, boolean withinLimits) {}

    /** The worth of visits to a tree by a wish's weights and limits. */
    public VisitWorth(Tree found, TreeReader.Reading reading, PlanRequest request) {
        this(found, reading, request, Set.of());
    }

    /** The same; what is done whatever share of the wood it takes does not count against the limits. */
    public VisitWorth(Tree found, TreeReader.Reading reading, PlanRequest request, Set<Operation> beyondLimits) {
        evaluator = new CutSetEvaluator(found, reading.findings(), request, beyondLimits, null);
        untouched = evaluator.worth(List.of());
        reach = request.limits().reach();
    }

    /** The tree as it was found. */
    public Tree found() {
        return evaluator.found();
    }

    /** What a visit gains and takes; some milliseconds the first time. */
    public Visit of(List<Operation> operations) {
        List<Operation> set = CutSetEvaluator.asSet(operations);
        Visit visit = known.get(set);
        if (visit == null) {
            visit = weigh(set);
            known.put(set, visit);
        }
        return visit;
    }

    private Visit weigh(List<Operation> operations) {
        double gain = evaluator.worth(operations) - untouched;
        boolean within = evaluator.withinLimits(operations);
        double minutes = 0;
        int cuts = 0;
        int big = 0;
        CutTree cut = evaluator.cut(operations);
        for (Effect effect : Effect.ofAll(cut, reach)) {
            minutes += effect.minutes();
            cuts += effect.cuts();
            big += effect.big() ? effect.cuts() : 0;
        }
        evaluator.forgetTrees();
        return new Visit(gain, minutes, cuts, big, within);
    }
}
