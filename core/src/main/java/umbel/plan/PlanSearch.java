package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.cut.TargetAxes;
import umbel.light.LightResolution;
import umbel.reading.Finding;
import umbel.reading.RemedyContext;
import umbel.reading.Rules;
import umbel.text.Statement;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * Searches the operations worth most under a wish's limits.
 *
 * <p>What nobody argues about and what the system's programme asks for comes first. The rest is a greedy search by gain in
 * worth, with stale gains looked at again before one is accepted, followed by a pass that drops or swaps steps, and a
 * second look at the heavy ones. Every choice is appraised on the whole tree with its light, so a step's gain counts what
 * the others already did. {@link LocalSearch} looks behind the greedy search's choices.
 */
final class PlanSearch {

    private static final int LOOK_AGAIN = 6;

    private final Tree found;
    private final PlanRequest request;
    private final CutSetEvaluator evaluator;
    private final List<Candidate> candidates = new ArrayList<>();
    private final List<Candidate> otherWays = new ArrayList<>();
    private final Stubs stubs;
    private final TrainingProgramme programme;
    private final RemedyContext remedies;
    private final SystemOperations bySystem;
    private final FrameGuard guard;
    private final boolean closed;

    /**
     * A search on a tree.
     *
     * @param look how closely the sky above stubs is looked at
     * @param shared another search, whose appraisals and stubs are used again where they fit; null for none
     */
    PlanSearch(Tree found, List<Finding> findings, PlanRequest request, LightResolution look, PlanSearch shared) {
        this.found = found;
        this.request = request;
        this.closed = found.phaseRule(request.moment().word()).forbids();
        boolean sameTree = shared != null && shared.found == found;
        this.stubs = sameTree ? shared.stubs : new Stubs(found, look);
        this.programme = new TrainingProgramme(found, request.summer(), stubs, request.parameters());
        this.bySystem = new SystemOperations(programme);
        boolean building = found.setting().isFilling() && !request.limits().byGrower();
        Set<Operation> beyondLimits = building ? Set.copyOf(operations(bySystem.ends())) : Set.of();
        this.evaluator =
                new CutSetEvaluator(found, findings, request, beyondLimits, shared == null ? null : shared.evaluator);
        this.remedies = new RemedyContext(
                found,
                findings,
                request.school(),
                request.summer(),
                request.parameters().lowering(),
                stubs);
        this.guard = new FrameGuard(found, findings, request.parameters());
        for (Finding finding : findings) {
            for (Candidate candidate : remedies(finding)) {
                if (allowed(candidate) && !guard.forbids(candidate) && !patches(candidate)) {
                    // how a limb is taken is the system's choice, not a matter of gain
                    boolean usual =
                            candidates.stream().noneMatch(one -> one.finding() == finding && one.decidesAs(candidate));
                    (usual ? candidates : otherWays).add(candidate);
                }
            }
        }
        candidates.removeIf(this::isOnALimbThatGoes);
    }

    /** Whether a candidate works the small wood of a limb whose grave fault has no answer but to take it off. */
    private boolean isOnALimbThatGoes(Candidate candidate) {
        if (!candidate.operation().onGroup() || candidate.settled()) {
            return false;
        }
        List<Candidate> fates = candidates.stream()
                .filter(one -> !one.operation().onGroup()
                        && one.operation().onLimb().equals(candidate.operation().onLimb())
                        && answersGraveFault(one))
                .toList();
        return !fates.isEmpty()
                && fates.stream().allMatch(one -> one.operation().kind().takesAll());
    }

    /** The answers to one finding, the usual one first; it stands outside the weighing where nobody disputes it. */
    private List<Candidate> remedies(Finding finding) {
        List<Operation> operations = Rules.remedies(remedies, finding);
        if (!guard.isActedOn(finding)) {
            return List.of();
        }
        boolean undisputed = Rules.isUndisputed(finding) || guard.isThinStray(finding);
        List<Candidate> answers = new ArrayList<>();
        for (int i = 0; i < operations.size(); i++) {
            answers.add(Candidate.of(operations.get(i), finding, undisputed && i == 0));
        }
        return answers;
    }

    /** Whether a candidate cuts a limb for a grave fault that is still there afterwards: shortened, it is as thick at its foot. */
    private boolean patches(Candidate candidate) {
        return candidate.operation().kind().cuts() && guard.isGrave(candidate.finding()) && !clears(candidate);
    }

    /** Whether a candidate can be done, and the tree no longer shows the fault after it. */
    private boolean clears(Candidate candidate) {
        return evaluator.fits(List.of(), candidate.operation())
                && !evaluator.stands(candidate.finding(), List.of(candidate.operation()));
    }

    /** What is weighed: the answers to the findings, each in the usual way. */
    List<Candidate> candidates() {
        return candidates;
    }

    /** Why nothing is done about a finding yet, where there is a reason to wait. */
    Optional<Statement> whyNotYet(Finding finding) {
        return Rules.reasonToWait(remedies, finding);
    }

    /** Why no step could answer a finding. */
    Statement whyUnanswered(Finding finding) {
        if (!guard.isActedOn(finding)) {
            return Statement.of("left.unsure");
        }
        List<Candidate> answers = remedies(finding);
        if (answers.stream().anyMatch(one -> request.refused().contains(one.key()))) {
            return Statement.of("left.asked");
        }
        if (answers.stream().anyMatch(one -> !allowed(one))) {
            return Statement.of("left.season");
        }
        boolean lasting =
                answers.stream().anyMatch(one -> one.operation().kind().takesAll() && guard.forbids(one));
        return Statement.of(lasting ? "left.lasting" : "left.no-cut");
    }

    /** What the system's choice of scaffolds keeps, of what these leave on the tree. */
    List<Candidate> kept(List<Candidate> chosen) {
        return programme.kept().stream()
                .filter(this::allowed)
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

    private boolean allowed(Candidate candidate) {
        if (request.refused().contains(candidate.key())) {
            return false;
        }
        if (closed && candidate.operation().kind().cuts() && !request.taken().contains(candidate.operation())) {
            return candidate.finding() != null && Rules.isUndisputed(candidate.finding());
        }
        if (!request.summer() || candidate.settled()) {
            return true;
        }
        double most =
                Units.fromMm(found.setting().parameters().cutting().tools().handPrunerMm());
        return candidate.operation().kind() == OperationKind.BEND
                || TargetAxes.of(found, candidate.operation()).stream().allMatch(axis -> axis.baseDiameter() <= most);
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
        List<Candidate> open =
                with(one -> there.contains(one.operation()) && (isWeighed(one) || answersGraveFault(one)));
        List<Candidate> chosen = fixed();
        fill(chosen, least, open.stream().filter(PlanSearch::isOfALimb).toList());
        addEnds(chosen);
        fill(chosen, least, open);
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
        List<Candidate> limbs = with(one -> isOfALimb(one) && known.test(one));
        fill(
                chosen,
                -request.parameters().search().graveMayCost(),
                limbs.stream().filter(this::answersGraveFault).toList());
        fill(chosen, least, limbs);
        addEnds(chosen);
        fill(chosen, least, with(one -> one.finding().rule().isYearly()));
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
        for (Candidate candidate : candidates) {
            if (candidate.settled() && Rules.isUndisputed(candidate.finding())) {
                addIfFits(chosen, candidate, false);
            }
        }
        for (Operation operation : request.taken()) {
            if (chosen.stream().noneMatch(one -> one.operation().equals(operation))) {
                addIfFits(chosen, asCandidate(operation), false);
            }
        }
        // thin strays are off, unless the grower decided otherwise about them
        for (Candidate candidate : candidates) {
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
        boolean wanted = allowed(candidate)
                && evaluator.fits(operations(chosen), candidate.operation())
                && (!limited || evaluator.withinLimits(operations(chosen), candidate.operation()));
        if (wanted) {
            chosen.add(candidate);
        }
    }

    /** A grower's own operation, with the finding it answers if there is one: in the same way, or by taking the same limb off. */
    Candidate asCandidate(Operation operation) {
        Candidate byHand = Candidate.byHand(operation);
        List<Candidate> known =
                Stream.concat(candidates.stream(), otherWays.stream()).toList();
        return Stream.concat(
                        known.stream().filter(candidate -> candidate.key().equals(PlanRequest.key(operation))),
                        known.stream().filter(candidate -> candidate.decidesAs(byHand)))
                .findFirst()
                .map(candidate -> Candidate.of(operation, candidate.finding(), false))
                .or(() -> bySystem.asDecided(operation))
                .orElse(byHand);
    }

    /**
     * Faults of whole limbs first, then what the system does to the ends that stay, then shoots and spurs, then windows for
     * light and the thinning of what is crowded.
     */
    void fillAll(List<Candidate> chosen, double least) {
        addGrave(chosen);
        fill(chosen, least, with(PlanSearch::isOfALimb));
        addEnds(chosen);
        fill(chosen, least, with(one -> isFault(one) && one.operation().onGroup()));
        fill(chosen, least, with(one -> !isFault(one)));
    }

    /**
     * What the system does to the ends that are still there, as far as it is not done yet: a limb given up, or a step dropped
     * that filled the limits, brings back what it stood in the way of. Short-spurring stands outside the limits, and so does
     * what builds a tree that still fills its space, unless the grower set the limit.
     */
    void addEnds(List<Candidate> chosen) {
        for (Candidate candidate : bySystem.ends()) {
            if (!guard.forbidsEnd(candidate)) {
                addIfFits(chosen, candidate, candidate.operation().kind().cuts());
            }
        }
        bySystem.thinOneYearWood(
                chosen, evaluator, this::allowed, one -> request.taken().contains(one.operation()));
    }

    /** A visit before the system's own work on the ends; what the grower took stays. */
    List<Candidate> withoutEnds(List<Candidate> chosen) {
        return chosen.stream()
                .filter(one -> !bySystem.isOfTheEnds(one) || request.taken().contains(one.operation()))
                .toList();
    }

    /** Answers to the grave and certain faults of the frame, though they may cost more than they bring. */
    void addGrave(List<Candidate> chosen) {
        fill(chosen, -request.parameters().search().graveMayCost(), with(this::answersGraveFault));
    }

    /** Whether a candidate rids a limb of a grave and certain fault. */
    private boolean answersGraveFault(Candidate candidate) {
        return candidate.finding() != null
                && isOfALimb(candidate)
                && guard.isGrave(candidate.finding())
                && clears(candidate);
    }

    static boolean isOfALimb(Candidate candidate) {
        return isFault(candidate) && !candidate.operation().onGroup();
    }

    List<Candidate> with(Predicate<Candidate> which) {
        return candidates.stream().filter(which).toList();
    }

    static boolean isFault(Candidate candidate) {
        return !candidate.finding().rule().isWeighedLast();
    }

    /** Adds the candidate that brings most, again and again, while one brings enough. */
    void fill(List<Candidate> chosen, double least, List<Candidate> among) {
        Map<Candidate, Double> gains = new LinkedHashMap<>();
        for (Candidate candidate : among) {
            if (!candidate.settled()) {
                gains.put(candidate, Double.MAX_VALUE);
            }
        }
        double worth = evaluator.worth(operations(chosen));
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
            worth = evaluator.worth(operations(chosen));
        }
    }

    /** Looks at the most promising candidates afresh, and takes the best that fits this year and is worth it. */
    private Candidate bestOf(Map<Candidate, Double> gains, List<Candidate> chosen, double worth, double least) {
        List<Candidate> order = new ArrayList<>(gains.keySet());
        order.sort(Comparator.comparingDouble((Candidate one) -> gains.get(one)).reversed());
        List<Operation> now = operations(chosen);
        weighFirst(gains, order, now);
        Candidate best = null;
        double bestGain = least;
        int looked = 0;
        for (Candidate candidate : order) {
            boolean unseen = gains.get(candidate) == Double.MAX_VALUE;
            if (!unseen && (looked >= LOOK_AGAIN || gains.get(candidate) <= bestGain && looked >= LOOK_AGAIN / 2)) {
                continue;
            }
            if (!evaluator.fits(now, candidate.operation()) || !isAskedFor(now, candidate)) {
                gains.put(candidate, 0.0);
                continue;
            }
            double gain = evaluator.worth(CutSetEvaluator.with(now, candidate.operation())) - worth;
            gains.put(candidate, gain);
            looked += unseen ? 0 : 1;
            boolean room = answersGraveFault(candidate)
                    ? evaluator.nearlyWithinLimits(now, candidate.operation())
                    : evaluator.withinLimits(now, candidate.operation());
            if (gain > bestGain && room) {
                best = candidate;
                bestGain = gain;
            }
        }
        return best;
    }

    /** Whether the fault a candidate answers still stands when these are done without it. */
    boolean isAskedFor(List<Operation> others, Candidate candidate) {
        return candidate.finding() == null || candidate.settled() || evaluator.stands(candidate.finding(), others);
    }

    /** What has not been looked at yet, and what surely will be looked at again, is weighed at once. */
    private void weighFirst(Map<Candidate, Double> gains, List<Candidate> order, List<Operation> now) {
        Stream<Candidate> unseen = order.stream().filter(one -> gains.get(one) == Double.MAX_VALUE);
        Stream<Candidate> again =
                order.stream().filter(one -> gains.get(one) < Double.MAX_VALUE).limit(LOOK_AGAIN / 2 + 1);
        evaluator.weighAll(Stream.concat(unseen, again)
                .filter(one -> evaluator.fits(now, one.operation()) && isAskedFor(now, one))
                .map(one -> CutSetEvaluator.with(now, one.operation())));
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
            if (!isAskedFor(operations(rest), one) || now - evaluator.worth(operations(withEnds(rest))) < least) {
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

    /** The same visit without steps for faults that its other steps have answered. */
    List<Candidate> withoutAnswered(List<Candidate> chosen) {
        List<Candidate> asked = new ArrayList<>(chosen);
        for (Candidate one : chosen) {
            List<Candidate> rest = new ArrayList<>(asked);
            rest.remove(one);
            if (isWeighed(one) && !isAskedFor(operations(rest), one)) {
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
        return bestSwap(rest, instead, Stream.concat(candidates.stream(), otherWays.stream()));
    }

    /** The best answer that decides otherwise: not only another cut that takes the same limb. */
    Candidate bestOther(List<Candidate> rest, Candidate instead) {
        return bestSwap(rest, instead, candidates.stream().filter(one -> !one.decidesAs(instead)));
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
                        && isAskedFor(others, candidate)
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
                && !answersGraveFault(one)
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
