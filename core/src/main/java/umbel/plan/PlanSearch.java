package umbel.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import umbel.cut.Operation;
import umbel.cut.Stubs;
import umbel.light.LightResolution;
import umbel.reading.Finding;
import umbel.reading.Rules;
import umbel.wood.Tree;

/**
 * Searches the operations worth most under a wish's limits.
 *
 * <p>What nobody argues about and what the system's programme asks for comes first. The rest is a greedy search by gain in
 * worth, with stale gains looked at again before one is accepted, followed by a pass that drops or swaps steps, and a
 * second look at the heavy ones. Every choice is appraised on the whole tree with its light, so a step's gain counts what
 * the others already did. {@link LocalSearch} looks behind the greedy search's choices.
 */
final class PlanSearch {

    private final Tree found;
    private final PlanRequest request;
    private final CutSetEvaluator evaluator;
    private final FindingAnswers answers;
    private final GreedyFill greedy;
    private final Stubs stubs;
    private final TrainingProgramme programme;
    private final SystemOperations bySystem;

    /**
     * A search on a tree.
     *
     * @param look how closely the sky above stubs is looked at
     * @param shared another search, whose appraisals and stubs are used again where they fit; null for none
     */
    PlanSearch(Tree found, List<Finding> findings, PlanRequest request, LightResolution look, PlanSearch shared) {
        this.found = found;
        this.request = request;
        boolean sameTree = shared != null && shared.found == found;
        this.stubs = sameTree ? shared.stubs : new Stubs(found, look);
        this.programme = new TrainingProgramme(
                found,
                request.summer(),
                stubs,
                request.parameters(),
                request.school().preferences());
        this.bySystem = new SystemOperations(programme);
        boolean building = found.setting().isFilling() && !request.limits().byGrower();
        Set<Operation> beyondLimits = building ? bySystem.building() : Set.of();
        this.evaluator =
                new CutSetEvaluator(found, findings, request, beyondLimits, shared == null ? null : shared.evaluator);
        this.answers = new FindingAnswers(findings, request, evaluator, bySystem, stubs);
        this.greedy = new GreedyFill(answers, evaluator);
    }

    /** What could be done about each finding. */
    FindingAnswers answers() {
        return answers;
    }

    /** The filling of a visit by what brings most. */
    GreedyFill greedy() {
        return greedy;
    }

    /** What the system's choice of scaffolds keeps, of what these leave on the tree. */
    List<Candidate> kept(List<Candidate> chosen) {
        return programme.kept().stream()
                .filter(answers::mayBeDone)
                .filter(one -> evaluator
                        .cut(operations(chosen))
                        .left()
                        .find(one.operation().onLimb())
                        .isPresent())
                .toList();
    }

    CutSetEvaluator evaluator() {
        return evaluator;
    }

    /**
     * What this visit does.
     *
     * @param leastGainFactor how much more than the usual least gain a step must bring
     * @param carefully whether heavy steps are weighed a second time against their alternatives
     */
    List<Candidate> choose(double leastGainFactor, boolean carefully) {
        double least = request.parameters().search().leastGain() * leastGainFactor;
        List<Candidate> chosen = fixed();
        fillAll(chosen, least);
        improve(chosen, least);
        return carefully ? new LocalSearch(this, least).of(chosen) : chosen;
    }

    /**
     * All that another visit does, and what more is worth it under this wish.
     *
     * @param leastGainFactor as for {@link #choose}
     */
    List<Candidate> beyond(List<Candidate> other, double leastGainFactor) {
        List<Candidate> chosen = new ArrayList<>(other);
        fillAll(chosen, request.parameters().search().leastGain() * leastGainFactor);
        return withoutRedundant(chosen);
    }

    /**
     * Of what another visit does, so much as is most worth it under this wish.
     *
     * @param leastGainFactor as for {@link #choose}
     */
    List<Candidate> within(List<Candidate> other, double leastGainFactor) {
        double least = request.parameters().search().leastGain() * leastGainFactor;
        Set<Operation> there = new HashSet<>(operations(other));
        List<Candidate> open = answers.usual(
                one -> there.contains(one.operation()) && (isWeighed(one) || answers.answersGraveFault(one)));
        List<Candidate> chosen = fixed();
        greedy.fill(chosen, least, open.stream().filter(Candidate::isOfALimb).toList());
        addEnds(chosen);
        greedy.fill(chosen, least, open);
        return chosen;
    }

    /**
     * What a later winter does, on the tree as it is expected then: whole limbs for faults that stand today already, the
     * system's work, and the year's uprights. Other small wood is left to be judged when it has grown.
     *
     * @param known whether a candidate's fault stands today already
     */
    List<Candidate> chooseAhead(double leastGainFactor, Predicate<Candidate> known) {
        double least = request.parameters().search().leastGain() * leastGainFactor;
        List<Candidate> chosen = fixed();
        List<Candidate> limbs = answers.usual(one -> one.isOfALimb() && known.test(one));
        greedy.fill(
                chosen,
                -request.parameters().search().graveMayCost(),
                limbs.stream().filter(answers::answersGraveFault).toList());
        greedy.fill(chosen, least, limbs);
        addEnds(chosen);
        greedy.fill(chosen, least, answers.usual(one -> one.finding().rule().isYearly()));
        return chosen;
    }

    /** Without steps that the others leave nothing to do; what the grower took stays. */
    List<Candidate> withoutRedundant(List<Candidate> chosen) {
        List<Candidate> busy = new ArrayList<>(chosen);
        for (Candidate one : chosen) {
            List<Candidate> rest = new ArrayList<>(busy);
            rest.remove(one);
            if (!request.taken().contains(one.operation()) && !evaluator.fits(operations(rest), one.operation())) {
                busy.remove(one);
            }
        }
        return busy;
    }

    /** What the search does not weigh: settled by a finding, decided by the grower, shaping the frame by the system. */
    List<Candidate> fixed() {
        List<Candidate> chosen = new ArrayList<>();
        for (Candidate candidate : answers.usual()) {
            if (candidate.settled() && Rules.isUndisputed(candidate.finding())) {
                addIfFits(chosen, candidate, false);
            }
        }
        for (Operation operation : request.taken()) {
            if (chosen.stream().noneMatch(one -> one.operation().equals(operation))) {
                addIfFits(chosen, answers.asCandidate(operation), false);
            }
        }
        // thin strays are off, unless the grower decided otherwise about them
        for (Candidate candidate : answers.usual()) {
            if (candidate.settled() && !chosen.contains(candidate)) {
                addIfFits(chosen, candidate, false);
            }
        }
        for (Candidate candidate : bySystem.frame()) {
            addIfFits(chosen, candidate, false);
        }
        return chosen;
    }

    private void addIfFits(List<Candidate> chosen, Candidate candidate, boolean limited) {
        boolean wanted = answers.mayBeDone(candidate)
                && evaluator.fits(operations(chosen), candidate.operation())
                && (!limited || evaluator.withinLimits(operations(chosen), candidate.operation()));
        if (wanted) {
            chosen.add(candidate);
        }
    }

    /**
     * Faults of whole limbs first, then what the system does to the ends that stay, then shoots and spurs, then windows for
     * light and the thinning of what is crowded.
     */
    void fillAll(List<Candidate> chosen, double least) {
        addGrave(chosen);
        greedy.fill(chosen, least, answers.usual(Candidate::isOfALimb));
        addEnds(chosen);
        greedy.fill(
                chosen,
                least,
                answers.usual(one -> one.isFault() && one.operation().onGroup()));
        greedy.fill(chosen, least, answers.usual(one -> !one.isFault()));
    }

    /**
     * What the system does to the ends that are still there, as far as it is not done yet: a limb given up, or a step dropped
     * that filled the limits, brings back what it stood in the way of. Short-spurring stands outside the limits, and so does
     * what builds a tree that still fills its space, unless the grower set the limit.
     */
    void addEnds(List<Candidate> chosen) {
        for (Candidate candidate : bySystem.ends()) {
            if (!answers.guard().forbidsEnd(candidate)) {
                addIfFits(chosen, candidate, candidate.operation().kind().cuts());
            }
        }
        bySystem.thinOneYearWood(
                chosen, evaluator, answers::mayBeDone, one -> request.taken().contains(one.operation()));
    }

    /** A visit before the system's own work on the ends; what the grower took stays. */
    List<Candidate> withoutEnds(List<Candidate> chosen) {
        return chosen.stream()
                .filter(one -> !bySystem.isOfTheEnds(one) || request.taken().contains(one.operation()))
                .toList();
    }

    /** Answers to the grave and certain faults of the frame, though they may cost more than they bring. */
    void addGrave(List<Candidate> chosen) {
        greedy.fill(chosen, -request.parameters().search().graveMayCost(), answers.usual(answers::answersGraveFault));
    }

    /** One pass over the weighed steps: drop what no longer helps, swap for a better answer to the same finding, complete the ends. */
    void improve(List<Candidate> chosen, double least) {
        for (int i = 0; i < chosen.size(); i++) {
            Candidate one = chosen.get(i);
            if (!isWeighed(one)) {
                continue;
            }
            List<Candidate> rest = new ArrayList<>(chosen);
            rest.remove(i);
            double now = evaluator.worth(operations(chosen));
            if (!answers.isAskedFor(operations(rest), one)
                    || now - evaluator.worth(operations(withEnds(rest))) < least) {
                chosen.remove(i);
                i--;
                continue;
            }
            Candidate better = bestOther(rest, one);
            if (better != null
                    && evaluator.worth(CutSetEvaluator.with(operations(rest), better.operation())) > now + 1e-9) {
                chosen.set(i, better);
            }
        }
        addEnds(chosen);
    }

    /** The same visit with better answers in the place of weighed steps, once all others stand. */
    List<Candidate> exchanged(List<Candidate> chosen) {
        List<Candidate> better = new ArrayList<>(chosen);
        for (int i = 0; i < better.size(); i++) {
            Candidate one = better.get(i);
            List<Candidate> rest = new ArrayList<>(better);
            rest.remove(i);
            Candidate other = isWeighed(one) ? bestOther(rest, one) : null;
            if (other != null
                    && evaluator.worth(CutSetEvaluator.with(operations(rest), other.operation()))
                            > evaluator.worth(operations(better)) + 1e-9) {
                better.set(i, other);
            }
        }
        return better;
    }

    /** The same visit without steps for faults that its other steps have answered. */
    List<Candidate> withoutAnswered(List<Candidate> chosen) {
        List<Candidate> asked = new ArrayList<>(chosen);
        for (Candidate one : chosen) {
            List<Candidate> rest = new ArrayList<>(asked);
            rest.remove(one);
            if (isWeighed(one) && !answers.isAskedFor(operations(rest), one)) {
                asked.remove(one);
            }
        }
        addEnds(asked);
        return asked;
    }

    private List<Candidate> withEnds(List<Candidate> chosen) {
        List<Candidate> more = new ArrayList<>(chosen);
        addEnds(more);
        return more;
    }

    /** The best other answer to a step's finding, or to its limb, that keeps to the limits; null where there is none. */
    Candidate bestSwap(List<Candidate> rest, Candidate instead) {
        return bestSwap(rest, instead, answers.all());
    }

    /** The best answer that decides otherwise: not only another cut that takes the same limb. */
    Candidate bestOther(List<Candidate> rest, Candidate instead) {
        return bestSwap(rest, instead, answers.usual().stream().filter(one -> !one.decidesAs(instead)));
    }

    private Candidate bestSwap(List<Candidate> rest, Candidate instead, Stream<Candidate> among) {
        if (instead.finding() == null) {
            return null;
        }
        List<Operation> others = operations(rest);
        List<Candidate> swaps = among.filter(candidate -> candidate.finding() == instead.finding()
                        || candidate
                                .operation()
                                .target()
                                .equals(instead.operation().target()))
                .filter(candidate -> !candidate.operation().equals(instead.operation())
                        && answers.isAskedFor(others, candidate)
                        && evaluator.fits(others, candidate.operation())
                        && evaluator.withinLimits(others, candidate.operation()))
                .toList();
        evaluator.weighAll(swaps.stream().map(candidate -> CutSetEvaluator.with(others, candidate.operation())));
        Candidate best = null;
        double bestWorth = -Double.MAX_VALUE;
        for (Candidate candidate : swaps) {
            double worth = evaluator.worth(CutSetEvaluator.with(others, candidate.operation()));
            if (worth > bestWorth) {
                best = candidate;
                bestWorth = worth;
            }
        }
        return best;
    }

    /** Whether a step stands because it was weighed: not settled, not the grower's, not the system's own. */
    boolean isWeighed(Candidate one) {
        return !one.settled()
                && !answers.answersGraveFault(one)
                && !request.taken().contains(one.operation())
                && !bySystem.includes(one.operation());
    }

    /** What a visit is worth, a weighed step counting for no less than the least it must bring. */
    double value(List<Candidate> chosen, double least) {
        long weighed = chosen.stream().filter(this::isWeighed).count();
        return evaluator.worth(operations(chosen)) - least * weighed;
    }

    /** The simple greedy search, for comparison: the step that brings most, again and again, never looked at twice. */
    List<Candidate> simplyGreedy() {
        List<Candidate> chosen = fixed();
        fillAll(chosen, request.parameters().search().leastGain());
        return chosen;
    }

    static List<Operation> operations(List<Candidate> chosen) {
        return chosen.stream().map(Candidate::operation).toList();
    }
}
