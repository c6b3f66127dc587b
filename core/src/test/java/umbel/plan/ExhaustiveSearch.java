package umbel.plan;

import java.util.ArrayList;
import java.util.List;

/** Tries every set of answers to a tree's findings, under the precedence and limits of the real search: for small trees. */
final class ExhaustiveSearch {

    private final PlanSearch search;
    private final Weighing weighing;
    private final double least;

    ExhaustiveSearch(PlanSearch search) {
        this.search = search;
        this.weighing = search.weighing();
        this.least = weighing.wish().rules().leastGain();
    }

    /** The best of all sets. Nothing beyond what is fixed is taken for granted, and the limits hold. */
    List<Candidate> best() {
        List<Candidate> open = new ArrayList<>(search.with(one -> !one.settled() && PlanSearch.isOfALimb(one)));
        int ends = open.size();
        open.addAll(search.with(one -> !one.settled() && !PlanSearch.isOfALimb(one)));
        return bestFrom(search.fixed(), open, 0, ends);
    }

    /** What stands without weighing, and nothing else. */
    List<Candidate> onlyFixed() {
        return withEnds(search.fixed());
    }

    private List<Candidate> withEnds(List<Candidate> chosen) {
        List<Candidate> more = new ArrayList<>(chosen);
        search.addEnds(more);
        return more;
    }

    /** Tries all from the {@code next} candidate on; the system's ends come where the whole limbs are done with. */
    private List<Candidate> bestFrom(List<Candidate> before, List<Candidate> open, int next, int ends) {
        List<Candidate> chosen = next == ends ? withEnds(before) : before;
        if (next == open.size()) {
            return chosen;
        }
        List<Candidate> without = bestFrom(chosen, open, next + 1, ends);
        Candidate candidate = open.get(next);
        boolean fits = weighing.fits(PlanSearch.operations(chosen), candidate.operation())
                && weighing.withinLimits(PlanSearch.operations(chosen), candidate.operation());
        if (!fits) {
            return without;
        }
        List<Candidate> more = new ArrayList<>(chosen);
        more.add(candidate);
        List<Candidate> with = bestFrom(more, open, next + 1, ends);
        return search.value(with, least) > search.value(without, least) ? with : without;
    }
}
