package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import umbel.cut.Operation;

/** Fills a visit greedily: what brings most beside what is chosen, again and again, on the whole tree with its light. */
record GreedyFill(FindingAnswers answers, CutSetEvaluator evaluator) {

    private static final int LOOK_AGAIN = 6;

    /** Adds the candidate that brings most, again and again, while one brings enough. */
    void fill(List<Candidate> chosen, double least, List<Candidate> among) {
        Map<Candidate, Double> gains = new LinkedHashMap<>();
        for (Candidate candidate : among) {
            if (!candidate.settled()) {
                gains.put(candidate, Double.MAX_VALUE);
            }
        }
        double worth = evaluator.worth(PlanSearch.operations(chosen));
        while (!gains.isEmpty()) {
            Candidate best = bestOf(gains, chosen, worth, least);
            if (best == null) {
                return;
            }
            chosen.add(best);
            gains.remove(best);
            gains.keySet()
                    .removeIf(other -> other.finding() == best.finding()
                            && !best.finding().rule().isAnsweredInParts());
            worth = evaluator.worth(PlanSearch.operations(chosen));
        }
    }

    /** Looks at the most promising candidates afresh, and takes the best that fits this year and is worth it. */
    private Candidate bestOf(Map<Candidate, Double> gains, List<Candidate> chosen, double worth, double least) {
        List<Candidate> order = new ArrayList<>(gains.keySet());
        order.sort(Comparator.comparingDouble((Candidate one) -> gains.get(one)).reversed());
        List<Operation> now = PlanSearch.operations(chosen);
        weighFirst(gains, order, now);
        Candidate best = null;
        double bestGain = least;
        int looked = 0;
        for (Candidate candidate : order) {
            boolean unseen = gains.get(candidate) == Double.MAX_VALUE;
            if (!unseen && (looked >= LOOK_AGAIN || gains.get(candidate) <= bestGain && looked >= LOOK_AGAIN / 2)) {
                continue;
            }
            if (!evaluator.fits(now, candidate.operation()) || !answers.isAskedFor(now, candidate)) {
                gains.put(candidate, 0.0);
                continue;
            }
            double gain = evaluator.worth(CutSetEvaluator.with(now, candidate.operation())) - worth;
            gains.put(candidate, gain);
            looked += unseen ? 0 : 1;
            boolean room = answers.answersGraveFault(candidate)
                    ? evaluator.nearlyWithinLimits(now, candidate.operation())
                    : evaluator.withinLimits(now, candidate.operation());
            if (gain > bestGain && room) {
                best = candidate;
                bestGain = gain;
            }
        }
        return best;
    }

    /** What has not been looked at yet, and what surely will be looked at again, is weighed at once. */
    private void weighFirst(Map<Candidate, Double> gains, List<Candidate> order, List<Operation> now) {
        Stream<Candidate> unseen = order.stream().filter(one -> gains.get(one) == Double.MAX_VALUE);
        Stream<Candidate> again =
                order.stream().filter(one -> gains.get(one) < Double.MAX_VALUE).limit(LOOK_AGAIN / 2 + 1);
        evaluator.weighAll(Stream.concat(unseen, again)
                .filter(one -> evaluator.fits(now, one.operation()) && answers.isAskedFor(now, one))
                .map(one -> CutSetEvaluator.with(now, one.operation())));
    }
}
