package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.reading.Finding;
import umbel.reading.Stage;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * Searches the operations worth most under a wish's limits.
 *
 * <p>What nobody argues about and what the system's programme asks for comes first. The rest is a greedy search by gain in
 * worth, with stale gains looked at again before one is accepted, followed by a pass that drops or swaps steps, and a
 * second look at the heavy ones. Every choice is appraised on the whole tree with its light, so a step's gain counts what
 * the others already did. {@link #best()} tries everything, for small trees, and holds the search to it.
 */
final class PlanSearch {

    private static final int LOOK_AGAIN = 6;
    private static final int MOST_ALTERNATIVES = 2;
    private static final int MOST_HEAVY = 4;
    private static final int MOST_TO_CLIMB = 12;
    private static final int MOST_TO_KICK = 9;

    private final Tree found;
    private final Wish wish;
    private final Appraisal.Ground ground;
    private final Map<List<Operation>, Appraisal> appraised;
    private final Map<List<Operation>, CutTree> cuts;
    private final List<Candidate> candidates = new ArrayList<>();
    private final Programme programme;
    private final Set<Operation> bySystem = new HashSet<>();

    /** One chosen operation, and the winter it is for; 0 is this visit. */
    record Chosen(Candidate candidate, int year) {}

    /**
     * A search on a tree.
     *
     * @param shared another search on the same tree, whose appraisals are used again; null for none
     */
    PlanSearch(Tree found, List<Finding> findings, Wish wish, PlanSearch shared) {
        this.found = found;
        this.wish = wish;
        this.ground = shared == null ? Appraisal.Ground.of(found, wish.rules()) : shared.ground;
        this.appraised = shared == null ? new ConcurrentHashMap<>() : shared.appraised;
        this.cuts = shared == null ? new ConcurrentHashMap<>() : shared.cuts;
        this.programme = new Programme(found, wish.summer());
        programme.ofTheFrame().forEach(one -> bySystem.add(one.operation()));
        programme.ofTheEnds().forEach(one -> bySystem.add(one.operation()));
        boolean tall = findings.stream().anyMatch(finding -> finding.rule().equals("over-height"));
        Remedies remedies = new Remedies(found, wish.school(), wish.rules(), tall);
        for (Finding finding : findings) {
            for (Candidate candidate : remedies.of(finding)) {
                if (allowed(candidate)) {
                    candidates.add(candidate);
                }
            }
        }
    }

    /** Whether any operation was thought of for a finding, or refused for it. */
    List<Candidate> candidates() {
        return candidates;
    }

    Tree found() {
        return found;
    }

    Wish wish() {
        return wish;
    }

    private boolean allowed(Candidate candidate) {
        if (wish.refused().contains(candidate.key())) {
            return false;
        }
        if (!wish.summer() || candidate.settled()) {
            return true;
        }
        double most = Units.fromMm(found.setting().trade().tools().handPrunerMm());
        return candidate.operation().kind() == OperationKind.BEND
                || Target.of(found, candidate.operation()).stream().allMatch(axis -> axis.baseDiameter() <= most);
    }

    /**
     * The plan for all years.
     *
     * @param leastGainFactor how much more than the usual least gain a step must bring
     * @param carefully whether heavy steps are weighed a second time against their alternatives
     */
    List<Chosen> choose(double leastGainFactor, boolean carefully) {
        double least = wish.rules().leastGain() * leastGainFactor;
        List<Chosen> chosen = fixed();
        fillYear(chosen, 0, least);
        improve(chosen, least);
        if (carefully) {
            chosen = reconsiderHeavySteps(chosen, least);
            improve(chosen, least);
            chosen = kicked(climbed(chosen, least), least);
        }
        for (int year = 1; year < (wish.summer() ? 1 : wish.years()); year++) {
            fillYear(chosen, year, least);
        }
        return chosen;
    }

    /** What the search does not weigh: settled by a finding, decided by the grower, shaping the frame by the system. */
    private List<Chosen> fixed() {
        List<Chosen> chosen = new ArrayList<>();
        for (Candidate candidate : candidates) {
            if (candidate.settled()) {
                addIfFits(chosen, candidate, false);
            }
        }
        for (Operation operation : wish.taken()) {
            if (chosen.stream().noneMatch(one -> one.candidate().operation().equals(operation))) {
                addIfFits(chosen, asCandidate(operation), false);
            }
        }
        for (Candidate candidate : programme.ofTheFrame()) {
            addIfFits(chosen, candidate, false);
        }
        return chosen;
    }

    private void addIfFits(List<Chosen> chosen, Candidate candidate, boolean limited) {
        boolean wanted = allowed(candidate)
                && fits(operations(chosen), candidate.operation())
                && (!limited || withinLimits(chosen, candidate, 0));
        if (wanted) {
            chosen.add(new Chosen(candidate, 0));
        }
    }

    /** A grower's own operation, with the finding it answers if there is one. */
    Candidate asCandidate(Operation operation) {
        return candidates.stream()
                .filter(candidate -> candidate.key().equals(Wish.key(operation)))
                .findFirst()
                .map(candidate -> Candidate.of(operation, candidate.finding(), false))
                .or(() -> bySystem(operation))
                .orElseGet(() -> Candidate.byHand(operation));
    }

    private Optional<Candidate> bySystem(Operation operation) {
        List<Candidate> all = new ArrayList<>(programme.ofTheFrame());
        all.addAll(programme.ofTheEnds());
        return all.stream()
                .filter(candidate -> candidate.key().equals(Wish.key(operation)))
                .findFirst();
    }

    /**
     * Faults of whole limbs first, then what the system does to the ends that stay, then shoots and spurs, then windows for
     * light and the thinning of what is crowded.
     */
    private void fillYear(List<Chosen> chosen, int year, double least) {
        fill(chosen, year, least, with(PlanSearch::isOfALimb));
        if (year == 0) {
            for (Candidate candidate : programme.ofTheEnds()) {
                addIfFits(chosen, candidate, candidate.operation().kind().cuts());
            }
        }
        fill(chosen, year, least, with(one -> isFault(one) && one.operation().onGroup()));
        fill(chosen, year, least, with(one -> !isFault(one)));
    }

    private static boolean isOfALimb(Candidate candidate) {
        return isFault(candidate) && !candidate.operation().onGroup();
    }

    private List<Candidate> with(Predicate<Candidate> which) {
        return candidates.stream().filter(which).toList();
    }

    private static boolean isFault(Candidate candidate) {
        String rule = candidate.finding().rule();
        return !rule.equals("shade") && !rule.equals("crowding");
    }

    private void fill(List<Chosen> chosen, int year, double least, List<Candidate> among) {
        Map<Candidate, Double> gains = new LinkedHashMap<>();
        for (Candidate candidate : among) {
            if (!candidate.settled()) {
                gains.put(candidate, Double.MAX_VALUE);
            }
        }
        double worth = worth(operations(chosen));
        while (!gains.isEmpty()) {
            Candidate best = bestOf(gains, chosen, year, worth, least);
            if (best == null) {
                return;
            }
            chosen.add(new Chosen(best, year));
            gains.remove(best);
            gains.keySet()
                    .removeIf(other -> other.finding() == best.finding()
                            && !best.finding().rule().equals("shade")
                            && !best.finding().rule().equals("over-height"));
            worth = worth(operations(chosen));
        }
    }

    /** Looks at the most promising candidates afresh, and takes the best that fits this year and is worth it. */
    private Candidate bestOf(Map<Candidate, Double> gains, List<Chosen> chosen, int year, double worth, double least) {
        List<Candidate> order = new ArrayList<>(gains.keySet());
        order.sort(Comparator.comparingDouble((Candidate one) -> gains.get(one)).reversed());
        List<Operation> now = operations(chosen);
        Candidate best = null;
        double bestGain = least;
        int looked = 0;
        for (Candidate candidate : order) {
            boolean unseen = gains.get(candidate) == Double.MAX_VALUE;
            if (!unseen && (looked >= LOOK_AGAIN || gains.get(candidate) <= bestGain && looked >= LOOK_AGAIN / 2)) {
                continue;
            }
            if (!fits(now, candidate.operation())) {
                gains.put(candidate, 0.0);
                continue;
            }
            double gain = worth(with(now, candidate.operation())) - worth;
            gains.put(candidate, gain);
            looked += unseen ? 0 : 1;
            if (gain > bestGain && withinLimits(chosen, candidate, year)) {
                best = candidate;
                bestGain = gain;
            }
        }
        return best;
    }

    /** Whether the operation still has its whole target on what the others leave. */
    boolean fits(List<Operation> others, Operation operation) {
        Tree left = cut(others).left();
        List<Axis> there = Target.of(found, operation);
        if (there.isEmpty() || left.find(operation.onLimb()).isEmpty()) {
            return false;
        }
        if (!operation.toLimb().isEmpty() && left.find(operation.toLimb()).isEmpty()) {
            return false;
        }
        if (operation.onGroup()) {
            return others.stream().noneMatch(other -> other.onGroup() && overlaps(other.limb(), operation.limb()));
        }
        return others.stream().noneMatch(other -> other.limb().equals(operation.limb()) && clash(other, operation))
                && operation.at() < left.find(operation.limb()).orElseThrow().length();
    }

    /** Two operations on one limb clash, but for a bend of what a cut partway leaves, and flowers taken off it. */
    private static boolean clash(Operation one, Operation other) {
        if (one.kind() == OperationKind.DEFLOWER || other.kind() == OperationKind.DEFLOWER) {
            return one.kind() == other.kind();
        }
        boolean bendOne = one.kind() == OperationKind.BEND;
        boolean bendOther = other.kind() == OperationKind.BEND;
        return bendOne == bendOther || (bendOne ? other : one).kind().takesAll();
    }

    private static boolean overlaps(String group, String other) {
        return group.startsWith(other) || other.startsWith(group);
    }

    /** Whether a year with this candidate keeps to the limits; what is beyond argument is counted, and only never refused. */
    boolean withinLimits(List<Chosen> chosen, Candidate candidate, int year) {
        List<Operation> before =
                operations(chosen.stream().filter(one -> one.year() < year).toList());
        List<Operation> upToNow =
                operations(chosen.stream().filter(one -> one.year() <= year).toList());
        List<Operation> after = with(upToNow, candidate.operation());
        double share = cut(after).woodShare() - cut(before).woodShare();
        return share <= wish.limits().woodShare() + 1e-9
                && bigCuts(after, before) <= wish.limits().bigCuts();
    }

    private int bigCuts(List<Operation> operations, List<Operation> earlier) {
        List<Effect> effects = Effect.ofAll(cut(operations), wish.limits().reach());
        int big = 0;
        for (int i = 0; i < operations.size(); i++) {
            if (!earlier.contains(operations.get(i)) && (effects.get(i).big() || renewsALimb(operations.get(i)))) {
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
        Axis limb = found.find(operation.limb()).orElseThrow();
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

    /** One pass over this visit's steps: drop what no longer helps, swap for a better answer to the same finding. */
    private void improve(List<Chosen> chosen, double least) {
        for (int i = 0; i < chosen.size(); i++) {
            Chosen one = chosen.get(i);
            if (one.candidate().settled()
                    || wish.taken().contains(one.candidate().operation())) {
                continue;
            }
            List<Chosen> rest = new ArrayList<>(chosen);
            rest.remove(i);
            double without = worth(operations(rest));
            double now = worth(operations(chosen));
            if (now - without < least) {
                chosen.remove(i);
                i--;
                continue;
            }
            Candidate better = bestSwap(rest, one.candidate());
            if (better != null
                    && withinLimits(rest, better, 0)
                    && worth(with(operations(rest), better.operation())) > now + 1e-9) {
                chosen.set(i, new Chosen(better, 0));
            }
        }
    }

    /**
     * A heavy step chosen early can hide a better pair of lighter ones. Each is set aside once for the next best answer
     * to its finding, the visit is filled again around that, and the better whole is kept.
     */
    private List<Chosen> reconsiderHeavySteps(List<Chosen> chosen, double least) {
        List<Chosen> best = chosen;
        double bestWorth = worth(operations(best));
        for (Chosen heavy : heaviest(chosen)) {
            Candidate step = heavy.candidate();
            boolean fixed = step.settled()
                    || wish.taken().contains(step.operation())
                    || step.finding() == null
                    || !isFault(step);
            if (fixed
                    || cut(List.of(step.operation())).woodShare() < wish.rules().heavyShare()) {
                continue;
            }
            List<Chosen> rest = new ArrayList<>(chosen.stream()
                    .filter(one -> one != heavy)
                    .filter(one -> one.candidate().settled()
                            || wish.taken().contains(one.candidate().operation())
                            || one.candidate().stage() == Stage.FRAME)
                    .toList());
            for (Candidate other : othersFor(step)) {
                if (!fits(operations(rest), other.operation()) || !withinLimits(rest, other, 0)) {
                    continue;
                }
                List<Chosen> trial = new ArrayList<>(rest);
                trial.add(new Chosen(other, 0));
                fillYear(trial, 0, least);
                improve(trial, least);
                double worth = worth(operations(trial));
                if (worth > bestWorth + 1e-9) {
                    best = trial;
                    bestWorth = worth;
                }
            }
        }
        return best;
    }

    /** While any one step put in, left out or put in another's place makes the visit better, it is; for short lists only. */
    private List<Chosen> climbed(List<Chosen> chosen, double least) {
        List<Candidate> open = candidates.stream().filter(one -> !one.settled()).toList();
        List<Chosen> best = chosen;
        if (open.size() > MOST_TO_CLIMB) {
            return best;
        }
        double bestValue = value(best, least);
        boolean better = true;
        while (better) {
            better = false;
            for (List<Chosen> near : neighbours(best, open)) {
                double value = value(near, least);
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
    private List<Chosen> kicked(List<Chosen> chosen, double least) {
        long open = candidates.stream().filter(one -> !one.settled()).count();
        List<Chosen> best = chosen;
        if (open > MOST_TO_KICK) {
            return best;
        }
        double bestValue = value(best, least);
        for (List<Candidate> aside : asides(chosen)) {
            List<Chosen> trial = new ArrayList<>(chosen.stream()
                    .filter(one -> !aside.contains(one.candidate()))
                    .toList());
            fill(trial, 0, least, with(one -> !aside.contains(one)));
            List<Chosen> climbed = climbed(trial, least);
            double value = value(climbed, least);
            if (value > bestValue + 1e-9) {
                best = climbed;
                bestValue = value;
            }
        }
        return best;
    }

    /** Each weighed step, and each two of them. */
    private List<List<Candidate>> asides(List<Chosen> chosen) {
        List<Candidate> weighed =
                chosen.stream().filter(this::isWeighed).map(Chosen::candidate).toList();
        List<List<Candidate>> asides = new ArrayList<>();
        for (int i = 0; i < weighed.size(); i++) {
            asides.add(List.of(weighed.get(i)));
            for (int j = i + 1; j < weighed.size(); j++) {
                asides.add(List.of(weighed.get(i), weighed.get(j)));
            }
        }
        return asides;
    }

    private List<List<Chosen>> neighbours(List<Chosen> chosen, List<Candidate> open) {
        List<List<Chosen>> near = new ArrayList<>();
        List<List<Chosen>> bases = new ArrayList<>();
        bases.add(chosen);
        for (Chosen one : chosen) {
            if (isWeighed(one)) {
                List<Chosen> without = new ArrayList<>(chosen);
                without.remove(one);
                bases.add(without);
                near.add(without);
            }
        }
        for (List<Chosen> base : bases) {
            List<Operation> operations = operations(base);
            for (Candidate candidate : open) {
                boolean fresh = chosen.stream().noneMatch(one -> one.candidate() == candidate);
                if (fresh && fits(operations, candidate.operation()) && withinLimits(base, candidate, 0)) {
                    List<Chosen> more = new ArrayList<>(base);
                    more.add(new Chosen(candidate, 0));
                    near.add(more);
                }
            }
        }
        return near;
    }

    private List<Chosen> heaviest(List<Chosen> chosen) {
        return chosen.stream()
                .sorted(Comparator.comparingDouble((Chosen one) ->
                        -cut(List.of(one.candidate().operation())).woodShare()))
                .limit(MOST_HEAVY)
                .toList();
    }

    /** The other answers to a step's finding, the usual ones first. */
    private List<Candidate> othersFor(Candidate step) {
        return candidates.stream()
                .filter(other -> other.finding() == step.finding() && other != step)
                .limit(MOST_ALTERNATIVES)
                .toList();
    }

    Candidate bestSwap(List<Chosen> rest, Candidate instead) {
        if (instead.finding() == null) {
            return null;
        }
        List<Operation> others = operations(rest);
        Candidate best = null;
        double bestWorth = -Double.MAX_VALUE;
        for (Candidate candidate : candidates) {
            boolean same = candidate.finding() == instead.finding()
                    || candidate.operation().limb().equals(instead.operation().limb());
            if (!same || candidate.operation().equals(instead.operation()) || !fits(others, candidate.operation())) {
                continue;
            }
            double worth = worth(with(others, candidate.operation()));
            if (worth > bestWorth) {
                best = candidate;
                bestWorth = worth;
            }
        }
        return best;
    }

    /**
     * The best of all sets of answers to the findings, each set tried: for trees with few candidates. Nothing beyond what is
     * fixed is taken for granted, and the limits hold.
     */
    List<Chosen> best() {
        List<Candidate> open = new ArrayList<>(with(one -> !one.settled() && isOfALimb(one)));
        int ends = open.size();
        open.addAll(with(one -> !one.settled() && !isOfALimb(one)));
        return bestFrom(fixed(), open, 0, ends);
    }

    /** What stands without weighing, and nothing else. */
    List<Chosen> onlyFixed() {
        return withEnds(fixed());
    }

    /** With what the system does to the ends that are still there. */
    private List<Chosen> withEnds(List<Chosen> chosen) {
        List<Chosen> more = new ArrayList<>(chosen);
        for (Candidate candidate : programme.ofTheEnds()) {
            addIfFits(more, candidate, candidate.operation().kind().cuts());
        }
        return more;
    }

    /** Tries all from the {@code next} candidate on; the system's ends come where the whole limbs are done with. */
    private List<Chosen> bestFrom(List<Chosen> before, List<Candidate> open, int next, int ends) {
        List<Chosen> chosen = next == ends ? withEnds(before) : before;
        if (next == open.size()) {
            return chosen;
        }
        List<Chosen> without = bestFrom(chosen, open, next + 1, ends);
        Candidate candidate = open.get(next);
        if (!fits(operations(chosen), candidate.operation()) || !withinLimits(chosen, candidate, 0)) {
            return without;
        }
        List<Chosen> more = new ArrayList<>(chosen);
        more.add(new Chosen(candidate, 0));
        List<Chosen> with = bestFrom(more, open, next + 1, ends);
        double least = wish.rules().leastGain();
        return value(with, least) > value(without, least) ? with : without;
    }

    /** Whether a step stands because it was weighed: not settled, not the grower's, not the system's own. */
    private boolean isWeighed(Chosen one) {
        Candidate candidate = one.candidate();
        return !candidate.settled()
                && !wish.taken().contains(candidate.operation())
                && !bySystem.contains(candidate.operation());
    }

    /** What a visit is worth, a weighed step counting for no less than the least it must bring. */
    double value(List<Chosen> chosen, double least) {
        long weighed = chosen.stream().filter(this::isWeighed).count();
        return worth(operations(chosen)) - least * weighed;
    }

    /** The simple greedy search, for comparison: the step that brings most, again and again, never looked at twice. */
    List<Chosen> simplyGreedy() {
        List<Chosen> chosen = fixed();
        fillYear(chosen, 0, wish.rules().leastGain());
        return chosen;
    }

    double worth(List<Operation> operations) {
        return appraised
                .computeIfAbsent(operations, key -> Appraisal.of(ground, cut(key), wish))
                .worth(wish);
    }

    CutTree cut(List<Operation> operations) {
        return cuts.computeIfAbsent(operations, key -> CutTree.of(found, key));
    }

    static List<Operation> operations(List<Chosen> chosen) {
        return chosen.stream().map(one -> one.candidate().operation()).toList();
    }

    static List<Operation> with(List<Operation> operations, Operation one) {
        List<Operation> more = new ArrayList<>(operations);
        more.add(one);
        return more;
    }
}
