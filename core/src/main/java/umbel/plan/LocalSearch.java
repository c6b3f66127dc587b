package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import umbel.compute.Cancellation;
import umbel.cut.Operation;
import umbel.reading.Finding;
import umbel.reading.Stage;

/**
 * A second look at what the greedy search chose: heavy steps set aside for their alternatives, and short lists climbed and
 * kicked, so that a choice made early does not hide a better whole.
 */
final class LocalSearch {

    private static final int MOST_ALTERNATIVES = 2;
    private static final int MOST_HEAVY = 4;
    private static final int MOST_TO_CLIMB = 12;
    private static final int MOST_TO_KICK = 9;
    private static final int MOST_TOGETHER = 4;

    private final PlanSearch search;
    private final CutSetEvaluator evaluator;
    private final PlanRequest request;
    private final double least;

    /**
     * A second look.
     *
     * @param least gain a step must bring
     */
    LocalSearch(PlanSearch search, double least) {
        this.search = search;
        this.evaluator = search.evaluator();
        this.request = evaluator.request();
        this.least = least;
    }

    /** The same visit or a better one. */
    List<Candidate> of(List<Candidate> chosen) {
        List<Candidate> better = reconsiderHeavySteps(chosen);
        search.improve(better, least);
        return search.exchanged(search.withoutAnswered(perturb(hillClimb(answeredTogether(better)))));
    }

    /**
     * A fault of several limbs may stand until two or three of them are cut, none of which gains anything alone: for each such
     * fault its first limbs are cut together, two, three and so on, and the better whole is kept.
     */
    private List<Candidate> answeredTogether(List<Candidate> chosen) {
        List<Candidate> best = chosen;
        double bestValue = search.value(best, least);
        for (List<Candidate> parts : faultsOfSeveralLimbs(chosen)) {
            List<Candidate> trial = new ArrayList<>(search.withoutEnds(best));
            int added = 0;
            for (Candidate part : parts) {
                List<Operation> operations = PlanSearch.operations(trial);
                if (!evaluator.fits(operations, part.operation())
                        || !search.answers().isAskedFor(operations, part)
                        || !evaluator.withinLimits(operations, part.operation())) {
                    continue;
                }
                trial.add(part);
                added++;
                if (added > 1) {
                    List<Candidate> whole = new ArrayList<>(trial);
                    search.addEnds(whole);
                    double value = search.value(whole, least);
                    if (value > bestValue + 1e-9) {
                        best = whole;
                        bestValue = value;
                    }
                }
            }
        }
        return best;
    }

    /** For each fault that nothing chosen answers and that names several limbs: the usual answer on each of them, in its order. */
    private List<List<Candidate>> faultsOfSeveralLimbs(List<Candidate> chosen) {
        Map<Finding, Map<String, Candidate>> parts = new LinkedHashMap<>();
        for (Candidate one : search.answers().usual()) {
            boolean open =
                    !one.settled() && one.isOfALimb() && one.finding().targets().size() > 1;
            if (open && chosen.stream().noneMatch(other -> other.finding() == one.finding())) {
                parts.computeIfAbsent(one.finding(), finding -> new LinkedHashMap<>())
                        .putIfAbsent(one.operation().onLimb(), one);
            }
        }
        return parts.values().stream()
                .filter(limbs -> limbs.size() > 1)
                .map(limbs -> limbs.values().stream().limit(MOST_TOGETHER).toList())
                .toList();
    }

    /**
     * A heavy step chosen early can hide a better pair of lighter ones. Each is set aside once for the next best answer
     * to its finding, the visit is filled again around that, and the better whole is kept.
     */
    private List<Candidate> reconsiderHeavySteps(List<Candidate> chosen) {
        List<List<Candidate>> trials = heaviest(chosen).stream()
                .filter(this::isHeavyChoice)
                .flatMap(heavy -> othersFor(heavy).stream().map(other -> startedOver(chosen, heavy, other)))
                .flatMap(Optional::stream)
                .toList();
        trials.parallelStream().forEach(Cancellation.carriedAction((List<Candidate> trial) -> {
            search.fillAll(trial, least);
            search.improve(trial, least);
        }));
        List<Candidate> best = chosen;
        double bestWorth = evaluator.worth(PlanSearch.operations(best));
        for (List<Candidate> trial : trials) {
            double worth = evaluator.worth(PlanSearch.operations(trial));
            if (worth > bestWorth + 1e-9) {
                best = trial;
                bestWorth = worth;
            }
        }
        return best;
    }

    /** Whether a step was weighed for a fault of the tree and takes much wood. */
    private boolean isHeavyChoice(Candidate step) {
        return search.isWeighed(step)
                && step.finding() != null
                && step.isFault()
                && evaluator.cut(List.of(step.operation())).woodShare()
                        >= request.parameters().search().heavyShare();
    }

    /** What stands whatever is chosen, with another answer in a heavy step's place; empty where that cannot be done. */
    private Optional<List<Candidate>> startedOver(List<Candidate> chosen, Candidate heavy, Candidate other) {
        List<Candidate> rest = new ArrayList<>(chosen.stream()
                .filter(one -> one != heavy)
                .filter(one -> one.settled() || request.taken().contains(one.operation()) || one.stage() == Stage.FRAME)
                .toList());
        List<Operation> others = PlanSearch.operations(rest);
        if (!evaluator.fits(others, other.operation()) || !evaluator.withinLimits(others, other.operation())) {
            return Optional.empty();
        }
        rest.add(other);
        return Optional.of(rest);
    }

    /** While any one step put in, left out or put in another's place makes the visit better, it is; for short lists only. */
    private List<Candidate> hillClimb(List<Candidate> chosen) {
        List<Candidate> open =
                search.answers().usual().stream().filter(one -> !one.settled()).toList();
        List<Candidate> best = chosen;
        if (open.size() > MOST_TO_CLIMB) {
            return best;
        }
        double bestValue = search.value(best, least);
        boolean better = true;
        while (better) {
            better = false;
            List<List<Candidate>> all = neighbours(best, open);
            all.forEach(search::addEnds);
            evaluator.weighAll(all.stream().map(PlanSearch::operations));
            for (List<Candidate> near : all) {
                double value = search.value(near, least);
                if (value > bestValue + 1e-9) {
                    best = near;
                    bestValue = value;
                    better = true;
                }
            }
        }
        return best;
    }

    /**
     * A hill may hide a higher one behind it: one or two steps are set aside, the visit is filled again without them and
     * climbed, and the better whole is kept. For short lists only.
     */
    private List<Candidate> perturb(List<Candidate> chosen) {
        long open =
                search.answers().usual().stream().filter(one -> !one.settled()).count();
        List<Candidate> best = chosen;
        if (open > MOST_TO_KICK) {
            return best;
        }
        double bestValue = search.value(best, least);
        for (List<Candidate> aside : asides(chosen)) {
            List<Candidate> trial = new ArrayList<>(
                    chosen.stream().filter(one -> !aside.contains(one)).toList());
            search.greedy().fill(trial, least, search.answers().usual(one -> !aside.contains(one)));
            search.addEnds(trial);
            List<Candidate> hillClimb = hillClimb(trial);
            double value = search.value(hillClimb, least);
            if (value > bestValue + 1e-9) {
                best = hillClimb;
                bestValue = value;
            }
        }
        return best;
    }

    /** Each weighed step, and each two of them. */
    private List<List<Candidate>> asides(List<Candidate> chosen) {
        List<Candidate> weighed = chosen.stream().filter(search::isWeighed).toList();
        List<List<Candidate>> asides = new ArrayList<>();
        for (int i = 0; i < weighed.size(); i++) {
            asides.add(List.of(weighed.get(i)));
            for (int j = i + 1; j < weighed.size(); j++) {
                asides.add(List.of(weighed.get(i), weighed.get(j)));
            }
        }
        return asides;
    }

    private List<List<Candidate>> neighbours(List<Candidate> chosen, List<Candidate> open) {
        List<List<Candidate>> near = new ArrayList<>();
        List<List<Candidate>> bases = new ArrayList<>();
        bases.add(chosen);
        for (Candidate one : chosen) {
            if (search.isWeighed(one)) {
                List<Candidate> without = new ArrayList<>(chosen);
                without.remove(one);
                bases.add(without);
                near.add(without);
            }
        }
        for (List<Candidate> base : bases) {
            for (Candidate candidate : open) {
                // a whole limb is decided before what the system does to the ends, which comes back where it still can
                List<Candidate> before = candidate.isOfALimb() ? search.withoutEnds(base) : base;
                List<Operation> operations = PlanSearch.operations(before);
                boolean fresh = chosen.stream().noneMatch(one -> one == candidate);
                if (fresh
                        && evaluator.fits(operations, candidate.operation())
                        && search.answers().isAskedFor(operations, candidate)
                        && evaluator.withinLimits(operations, candidate.operation())) {
                    List<Candidate> more = new ArrayList<>(before);
                    more.add(candidate);
                    near.add(more);
                }
            }
        }
        return near;
    }

    private List<Candidate> heaviest(List<Candidate> chosen) {
        return chosen.stream()
                .sorted(Comparator.comparingDouble((Candidate one) ->
                        -evaluator.cut(List.of(one.operation())).woodShare()))
                .limit(MOST_HEAVY)
                .toList();
    }

    /** The other answers to a step's finding, the usual ones first. */
    private List<Candidate> othersFor(Candidate step) {
        return search.answers().usual().stream()
                .filter(other -> other.finding() == step.finding() && other != step)
                .limit(MOST_ALTERNATIVES)
                .toList();
    }
}
