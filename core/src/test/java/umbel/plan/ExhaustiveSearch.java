package umbel.plan;

import java.util.ArrayList;
import java.util.List;

/** Tries every set of answers to a tree's findings, under the precedence and limits of the real search: for small trees. */
final class ExhaustiveSearch {

    private final PlanSearch search;
    private final CutSetEvaluator evaluator;
    private final double least;

    ExhaustiveSearch(PlanSearch search) {
        this.search = search;
        this.evaluator = search.evaluator();
        this.least = evaluator.request().parameters().search().leastGain();
    }

    /** The best of all sets. Nothing beyond what is fixed is taken for granted, and the limits hold. */
    List<Candidate> best() {
        List<Candidate> open = new ArrayList<>(search.answers().usual(one -> !one.settled() && one.isOfALimb()));
        int ends = open.size();
        open.addAll(search.answers().usual(one -> !one.settled() && !one.isOfALimb()));
        return bestFrom(taken(), open, 0, ends);
    }

    /** What a set is worth; a set with a step whose fault the others have already answered does not count. */
    private double valueOf(List<Candidate> chosen) {
        for (Candidate one : chosen) {
            List<Candidate> rest = new ArrayList<>(chosen);
            rest.remove(one);
            if (search.isWeighed(one) && !search.answers().isAskedFor(PlanSearch.operations(rest), one)) {
                return Double.NEGATIVE_INFINITY;
            }
        }
        return search.value(chosen, least);
    }

    /** What stands without weighing, and nothing else. */
    List<Candidate> onlyFixed() {
        return withEnds(taken());
    }

    private List<Candidate> taken() {
        List<Candidate> chosen = search.fixed();
        search.addGrave(chosen);
        return chosen;
    }

    private List<Candidate> withEnds(List<Candidate> chosen) {
        List<Candidate> more = new ArrayList<>(chosen);
        search.addEnds(more);
        return more;
    }

    /** The set with one more, wherever in the order it can be done; empty where it cannot. */
    private List<Candidate> placed(List<Candidate> chosen, Candidate candidate) {
        if (!evaluator.withinLimits(PlanSearch.operations(chosen), candidate.operation())) {
            return List.of();
        }
        for (int place = chosen.size(); place >= 0; place--) {
            List<Candidate> order = new ArrayList<>(chosen);
            order.add(place, candidate);
            if (canBeDone(order, place)) {
                return order;
            }
        }
        return List.of();
    }

    private boolean canBeDone(List<Candidate> order, int from) {
        for (int i = from; i < order.size(); i++) {
            if (!evaluator.fits(
                    PlanSearch.operations(order.subList(0, i)), order.get(i).operation())) {
                return false;
            }
        }
        return true;
    }

    /** Tries all from the {@code next} candidate on; the system's ends come where the whole limbs are done with. */
    private List<Candidate> bestFrom(List<Candidate> before, List<Candidate> open, int next, int ends) {
        List<Candidate> chosen = next == ends ? withEnds(before) : before;
        if (next == open.size()) {
            return chosen;
        }
        List<Candidate> without = bestFrom(chosen, open, next + 1, ends);
        Candidate candidate = open.get(next);
        List<Candidate> more = placed(chosen, candidate);
        if (more.isEmpty()) {
            return without;
        }
        List<Candidate> with = bestFrom(more, open, next + 1, ends);
        return valueOf(with) > valueOf(without) ? with : without;
    }
}
