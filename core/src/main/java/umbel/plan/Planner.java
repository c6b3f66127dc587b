package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.reading.Finding;
import umbel.reading.Stage;
import umbel.reading.TreeReader;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * Chooses operations for a grower's goals under limits, orders them, and puts off what this winter cannot hold.
 *
 * <p>Suckers and unsound wood come first and outside the limits. The rest is a greedy search by gain in worth, with
 * stale gains looked at again before one is accepted, followed by one pass that drops or swaps steps. Every choice is
 * appraised on the whole tree with its light, so a step's gain counts what the others already did.
 *
 * <p>Cost: some hundred glances at the tree; the same for equal input.
 */
public final class Planner {

    private static final int LOOK_AGAIN = 6;
    private static final int MOST_ALTERNATIVES = 2;
    private static final double LIKE_SHARE = 0.4;

    private final Tree found;
    private final TreeReader.Reading reading;
    private final Wish wish;
    private final Appraisal.Ground ground;
    private final Map<List<Operation>, Appraisal> appraised;
    private final Map<List<Operation>, CutTree> cuts;
    private final List<Candidate> candidates = new ArrayList<>();

    private Planner(Tree found, TreeReader.Reading reading, Wish wish, Planner shared) {
        this.found = found;
        this.reading = reading;
        this.wish = wish;
        this.ground = shared == null ? Appraisal.Ground.of(found, wish.rules()) : shared.ground;
        this.appraised = shared == null ? new HashMap<>() : shared.appraised;
        this.cuts = shared == null ? new HashMap<>() : shared.cuts;
        Remedies remedies = new Remedies(found, wish.school(), wish.rules());
        for (Finding finding : reading.findings()) {
            for (Candidate candidate : remedies.of(finding)) {
                if (allowed(candidate)) {
                    candidates.add(candidate);
                }
            }
        }
    }

    /** The recommended plan, a gentler and a firmer one, and doing nothing. */
    public static List<Plan> plans(Tree found, TreeReader.Reading reading, Wish wish) {
        Planner middle = new Planner(found, reading, wish, null);
        Planner gentler = new Planner(found, reading, wish.within(wish.rules().gentler()), middle);
        Planner firmer = new Planner(found, reading, wish.within(wish.rules().firmer()), middle);
        return List.of(
                middle.plan("recommended", 1),
                gentler.plan("gentler", wish.rules().gentler().leastGain()),
                firmer.plan("firmer", wish.rules().firmer().leastGain()),
                middle.nothing());
    }

    /** The recommended plan alone, re-thought around what was taken and refused. */
    public static Plan recommended(Tree found, TreeReader.Reading reading, Wish wish) {
        return new Planner(found, reading, wish, null).plan("recommended", 1);
    }

    /** What the grower marked and nothing else, put into the order of work with each step's reason and numbers. */
    public static Plan marked(Tree found, TreeReader.Reading reading, Wish wish) {
        Planner planner = new Planner(found, reading, wish, null);
        List<Chosen> chosen = new ArrayList<>();
        for (Operation operation : wish.taken()) {
            chosen.add(new Chosen(planner.asCandidate(operation), 0));
        }
        return planner.describe("marked", chosen);
    }

    private boolean allowed(Candidate candidate) {
        if (wish.refused().contains(candidate.key())) {
            return false;
        }
        if (!wish.summer() || candidate.beyondArgument()) {
            return true;
        }
        double most = Units.fromMm(found.setting().trade().tools().handPrunerMm());
        return candidate.operation().kind() == OperationKind.BEND
                || Target.of(found, candidate.operation()).stream().allMatch(axis -> axis.baseDiameter() <= most);
    }

    private record Chosen(Candidate candidate, int year) {}

    private Plan plan(String name, double leastGainFactor) {
        List<Chosen> chosen = new ArrayList<>();
        for (Candidate candidate : candidates) {
            if (candidate.beyondArgument() && fits(operations(chosen), candidate.operation())) {
                chosen.add(new Chosen(candidate, 0));
            }
        }
        for (Operation operation : wish.taken()) {
            if (chosen.stream().noneMatch(one -> one.candidate().operation().equals(operation))
                    && fits(operations(chosen), operation)) {
                chosen.add(new Chosen(asCandidate(operation), 0));
            }
        }
        double least = wish.rules().leastGain() * leastGainFactor;
        for (int year = 0; year < (wish.summer() ? 1 : wish.years()); year++) {
            fillYear(chosen, year, least);
            if (year == 0) {
                improve(chosen, least);
                chosen = reconsiderHeavySteps(chosen, least);
                improve(chosen, least);
            }
        }
        return describe(name, chosen);
    }

    private Plan nothing() {
        CutTree uncut = cut(List.of());
        return new Plan(
                "nothing",
                List.of(),
                Totals.of(uncut, reading.crop(), wish.limits().reach()),
                List.of());
    }

    /** A grower's own operation, with the finding it answers if there is one. */
    private Candidate asCandidate(Operation operation) {
        return candidates.stream()
                .filter(candidate -> candidate.key().equals(Wish.key(operation)))
                .findFirst()
                .map(candidate -> new Candidate(operation, candidate.finding(), false))
                .orElse(new Candidate(operation, null, false));
    }

    /** What everybody agrees on first, then windows for light and the thinning of what is crowded. */
    private void fillYear(List<Chosen> chosen, int year, double least) {
        fill(chosen, year, least, candidates.stream().filter(Planner::isFault).toList());
        fill(
                chosen,
                year,
                least,
                candidates.stream().filter(one -> !isFault(one)).toList());
    }

    private static boolean isFault(Candidate candidate) {
        String rule = candidate.finding().rule();
        return !rule.equals("shade") && !rule.equals("crowding");
    }

    private void fill(List<Chosen> chosen, int year, double least, List<Candidate> among) {
        Map<Candidate, Double> gains = new LinkedHashMap<>();
        for (Candidate candidate : among) {
            if (!candidate.beyondArgument()) {
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

    /** Small wood on different limbs hardly interacts: groups nearly as good as the best go with it, unweighed again. */
    private void takeItsLike(Map<Candidate, Double> gains, List<Chosen> chosen, int year, double least) {
        List<Candidate> like = gains.entrySet().stream()
                .filter(entry -> entry.getKey().operation().onGroup())
                .filter(entry -> entry.getValue() < Double.MAX_VALUE && entry.getValue() > least)
                .sorted(Map.Entry.<Candidate, Double>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
        for (Candidate candidate : like) {
            if (fits(operations(chosen), candidate.operation()) && withinLimits(chosen, candidate, year)) {
                chosen.add(new Chosen(candidate, year));
                gains.remove(candidate);
            }
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
    private boolean fits(List<Operation> others, Operation operation) {
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
        return others.stream().noneMatch(other -> other.limb().equals(operation.limb()))
                && operation.at() < left.find(operation.limb()).orElseThrow().length();
    }

    private static boolean overlaps(String group, String other) {
        return group.startsWith(other) || other.startsWith(group);
    }

    /** Whether a year with this candidate keeps to the limits; what is beyond argument is counted, and only never refused. */
    private boolean withinLimits(List<Chosen> chosen, Candidate candidate, int year) {
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
            if (!earlier.contains(operations.get(i)) && effects.get(i).big()) {
                big += effects.get(i).cuts();
            }
        }
        return big;
    }

    /** One pass over this visit's steps: drop what no longer helps, swap for a better answer to the same finding. */
    private void improve(List<Chosen> chosen, double least) {
        for (int i = 0; i < chosen.size(); i++) {
            Chosen one = chosen.get(i);
            if (one.candidate().beyondArgument()
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
        for (Chosen heavy : List.copyOf(chosen)) {
            Candidate step = heavy.candidate();
            boolean fixed = step.beyondArgument()
                    || wish.taken().contains(step.operation())
                    || step.finding() == null
                    || !isFault(step);
            if (fixed
                    || cut(List.of(step.operation())).woodShare() < wish.rules().heavyShare()) {
                continue;
            }
            List<Chosen> rest = new ArrayList<>(chosen.stream()
                    .filter(one -> one != heavy)
                    .filter(one -> one.candidate().beyondArgument()
                            || wish.taken().contains(one.candidate().operation())
                            || stageOf(one.candidate()) == Stage.FRAME)
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

    /** The other answers to a step's finding, the usual ones first. */
    private List<Candidate> othersFor(Candidate step) {
        return candidates.stream()
                .filter(other -> other.finding() == step.finding() && other != step)
                .limit(MOST_ALTERNATIVES)
                .toList();
    }

    private Candidate bestSwap(List<Chosen> rest, Candidate instead) {
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

    private Plan describe(String name, List<Chosen> chosen) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < chosen.size(); i++) {
            steps.add(step(chosen, i));
        }
        steps.sort(Comparator.comparingInt(Step::year)
                .thenComparing(Step::stage)
                .thenComparing(
                        Comparator.comparingDouble((Step step) -> step.effect().diameter())
                                .reversed())
                .thenComparing(step -> step.operation().limb()));
        // what falls together is told with the step that comes first at the tree
        List<Operation> inOrder = steps.stream().map(Step::operation).toList();
        List<Effect> effects = Effect.ofAll(cut(inOrder), wish.limits().reach());
        List<Step> ordered = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            ordered.add(steps.get(i).at(i + 1, effects.get(i)));
        }
        CutTree cut = cut(ordered.stream()
                .filter(step -> step.year() == 0)
                .map(Step::operation)
                .toList());
        Totals totals = Totals.of(cut, reading.crop(), wish.limits().reach());
        return new Plan(name, ordered, totals, leftAlone(cut, ordered));
    }

    private Step step(List<Chosen> chosen, int index) {
        Chosen one = chosen.get(index);
        Candidate candidate = one.candidate();
        List<Chosen> rest = new ArrayList<>(chosen);
        rest.remove(index);
        List<Operation> all = operations(chosen);
        double gain = worth(all) - worth(operations(rest));
        Candidate other = candidate.beyondArgument() ? null : bestSwap(rest, candidate);
        double otherGain =
                other == null ? 0 : worth(with(operations(rest), other.operation())) - worth(operations(rest));
        boolean leave = other == null || otherGain <= 0;
        double lead = gain - Math.max(0, otherGain);
        boolean close = !candidate.beyondArgument() && lead < wish.rules().closeCall();
        CutTree cut = cut(all);
        return new Step(
                0,
                one.year(),
                candidate.operation(),
                stageOf(candidate),
                rulesFor(candidate),
                reasonFor(candidate),
                Effect.of(cut, index, wish.limits().reach()),
                gain,
                confidence(candidate, lead),
                close,
                leave ? null : other.operation(),
                leave ? 0 : otherGain,
                candidate.beyondArgument());
    }

    private static Stage stageOf(Candidate candidate) {
        if (candidate.operation().kind() == OperationKind.BEND) {
            return Stage.TRAIN;
        }
        return candidate.finding() == null ? Stage.DETAIL : candidate.finding().stage();
    }

    /** The finding answered, and every other whose limb this operation takes. */
    private List<String> rulesFor(Candidate candidate) {
        Set<String> rules = new HashSet<>();
        List<String> ordered = new ArrayList<>();
        if (candidate.finding() != null) {
            ordered.add(candidate.finding().rule());
            rules.add(candidate.finding().rule());
        }
        for (Finding finding : reading.findings()) {
            boolean answers = !finding.limbs().isEmpty()
                    && finding.limbs().get(0).equals(candidate.operation().limb())
                    && rules.add(finding.rule());
            if (answers) {
                ordered.add(finding.rule());
            }
        }
        return ordered;
    }

    private static String reasonFor(Candidate candidate) {
        return candidate.finding() == null
                ? "Marked by hand."
                : candidate.finding().reason();
    }

    /** A step is as sure as its finding, less where its lead over the next best choice is small. */
    private double confidence(Candidate candidate, double lead) {
        double finding = candidate.finding() == null ? 0.5 : candidate.finding().confidence();
        if (candidate.beyondArgument()) {
            return finding;
        }
        double sure = Math.max(0, Math.min(1, lead / wish.rules().sureGain()));
        return finding * (0.6 + 0.4 * sure);
    }

    private List<Plan.Left> leftAlone(CutTree cut, List<Step> steps) {
        List<Plan.Left> left = new ArrayList<>();
        for (Finding finding : Appraisal.findingsLeft(cut, wish)) {
            boolean later = steps.stream()
                    .anyMatch(step -> step.year() > 0
                            && step.rules().contains(finding.rule())
                            && finding.limbs().contains(step.operation().limb()));
            boolean refused = candidates.stream().noneMatch(candidate -> sameAs(candidate.finding(), finding));
            boolean begun = steps.stream()
                    .anyMatch(step -> step.year() == 0 && step.rules().contains(finding.rule()));
            String why = later
                    ? "kept for a later winter: this one has reached its limit"
                    : refused
                            ? "left as you asked, or nothing sensible can be cut"
                            : begun
                                    ? "part of it is done this visit; more at once would cost more than it brings"
                                    : "cutting it would cost more than it brings, by the goals set";
            left.add(new Plan.Left(finding, why));
        }
        return left;
    }

    private static boolean sameAs(Finding finding, Finding other) {
        boolean wholeTree = finding.rule().equals("shade") || finding.rule().equals("over-height");
        return finding.rule().equals(other.rule())
                && (wholeTree || finding.limbs().equals(other.limbs()));
    }

    private double worth(List<Operation> operations) {
        return appraised
                .computeIfAbsent(operations, key -> Appraisal.of(ground, cut(key), wish))
                .worth(wish);
    }

    private CutTree cut(List<Operation> operations) {
        return cuts.computeIfAbsent(operations, key -> CutTree.of(found, key));
    }

    private static List<Operation> operations(List<Chosen> chosen) {
        return chosen.stream().map(one -> one.candidate().operation()).toList();
    }

    private static List<Operation> with(List<Operation> operations, Operation one) {
        List<Operation> more = new ArrayList<>(operations);
        more.add(one);
        return more;
    }
}
