package umbel.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.growth.FirstStand;
import umbel.growth.Forecast;
import umbel.growth.Season;
import umbel.growth.Stand;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * Plans for a grower's goals under limits: what a {@link PlanSearch} chose and the coming seasons agree to, in the order of
 * work, each step with its reason, numbers and alternative; and what later winters will do to the tree as it is expected then.
 * The same for equal input.
 */
public final class Planner {

    private static final int YEARS_AHEAD = 3;
    private static final double NO_LIMIT = 0.75;
    private static final int MOST_WATCHED = 3;

    private final Tree found;
    private final TreeReader.Reading reading;
    private final Wish wish;
    private final PlanSearch search;
    private final Weighing weighing;
    private final Ahead ahead;

    /** The tree as it stands, and its coming seasons when nothing is done. */
    private record Ahead(Stand stand, Forecast alone) {}

    private Planner(Tree found, TreeReader.Reading reading, Wish wish, Ahead ahead, Planner shared) {
        this.found = found;
        this.reading = reading;
        this.ahead = ahead;
        this.wish = wish;
        this.search = new PlanSearch(found, reading.findings(), wish, shared == null ? null : shared.search);
        this.weighing = search.weighing();
    }

    /**
     * The recommended plan, a gentler and a firmer one, and doing nothing; each with the three seasons after it. Where the
     * recommended plan is a renovation over several winters, the same done in one winter stands before doing nothing.
     */
    public static List<Plan> plans(Tree found, TreeReader.Reading reading, Wish wish, long seed) {
        Stand stand = wish.learned().applied(FirstStand.of(found, seed));
        Forecast alone = Forecast.of(stand, Collections.nCopies(YEARS_AHEAD, Season.Work.NONE));
        Ahead ahead = new Ahead(stand, alone);
        Planner middle = new Planner(found, reading, wish, ahead, null);
        PlanVariant gentler = new PlanVariant("gentler", wish.rules().gentler());
        PlanVariant firmer = new PlanVariant("firmer", wish.rules().firmer());
        List<Plan> plans = new ArrayList<>();
        Stream.of(new PlanVariant("recommended", null), gentler, firmer)
                .parallel()
                .map(one -> one.variant() == null
                        ? middle.plan(one.name(), 1)
                        : new Planner(found, reading, wish.within(one.variant()), ahead, middle)
                                .plan(one.name(), one.variant().leastGain()))
                .forEachOrdered(plans::add);
        // where limbs come and go every year, a heavy winter ahead is no renovation
        boolean lasting = found.setting().system().scaffolds().permanent();
        if (lasting && plans.get(0).isRenovation()) {
            Wish atOnce = wish.unlimited(NO_LIMIT);
            plans.add(new Planner(found, reading, atOnce, ahead, middle).plan(Plan.IN_ONE_WINTER, 1));
        }
        plans.add(middle.nothing());
        return plans;
    }

    private record PlanVariant(String name, umbel.knowledge.PlanRules.Variant variant) {}

    /** The recommended plan alone and without the seasons after it, re-thought around what was taken and refused. */
    public static Plan recommended(Tree found, TreeReader.Reading reading, Wish wish, long seed) {
        Stand stand = wish.learned().applied(FirstStand.of(found, seed));
        Planner planner = new Planner(found, reading, wish, new Ahead(stand, null), null);
        return planner.plan("recommended", 1);
    }

    /** What the grower marked and nothing else, put into the order of work with each step's reason and numbers. */
    public static Plan marked(Tree found, TreeReader.Reading reading, Wish wish) {
        Planner planner = new Planner(found, reading, wish, null, null);
        List<Candidate> chosen =
                wish.taken().stream().map(planner.search::asCandidate).toList();
        return planner.described("marked", planner.ordered(chosen, 0), List.of(), false);
    }

    private Plan plan(String name, double leastGainFactor) {
        boolean carefully = name.equals("recommended");
        List<Candidate> chosen = search.choose(leastGainFactor, carefully);
        if (carefully && !wish.summer()) {
            chosen = new GrownChoice(search, ahead.stand()).of(chosen);
        }
        List<Step> steps = ordered(chosen, 0);
        search.kept(chosen).forEach(one -> steps.add(unweighed(one)));
        boolean onward = !wish.summer() && !name.equals(Plan.IN_ONE_WINTER);
        return described(name, steps, onward ? laterWinters(steps, leastGainFactor) : List.of(), true);
    }

    private Plan nothing() {
        CutTree uncut = weighing.cut(List.of());
        return new Plan(
                "nothing",
                List.of(),
                Totals.of(uncut, reading.crop(), wish.limits().reach()),
                ahead.alone().years(),
                List.of());
    }

    private Plan described(String name, List<Step> now, List<Step> later, boolean watching) {
        List<Step> all = new ArrayList<>();
        Stream.concat(now.stream(), later.stream()).forEach(step -> all.add(step.at(all.size() + 1, step.effect())));
        CutTree cut = weighing.cut(operations(now));
        Totals totals = Totals.of(cut, reading.crop(), wish.limits().reach());
        List<Plan.Left> left = leftAlone(cut, all);
        List<Step> told = new ArrayList<>();
        List<Step> watched = watching ? toWatch(left, all) : List.of();
        Stream.of(now.stream(), watched.stream(), later.stream())
                .flatMap(steps -> steps)
                .forEach(step -> told.add(step.at(told.size() + 1, step.effect())));
        return new Plan(name, told, totals, outlook(told), left);
    }

    /** Steps in the order of work; what falls together is told with the step that comes first at the tree. */
    private List<Step> ordered(List<Candidate> chosen, int year) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < chosen.size(); i++) {
            steps.add(step(chosen, i, year));
        }
        steps.sort(Comparator.comparing(Step::stage)
                .thenComparing(
                        Comparator.comparingDouble((Step step) -> step.effect().diameter())
                                .reversed())
                .thenComparing(step -> step.operation().limb()));
        List<Effect> effects =
                Effect.ofAll(weighing.cut(operations(steps)), wish.limits().reach());
        List<Step> inOrder = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            inOrder.add(steps.get(i).at(i + 1, effects.get(i)));
        }
        return inOrder;
    }

    /** What the coming winters will do, each on the tree as the one before and a season leave it. */
    private List<Step> laterWinters(List<Step> now, double leastGainFactor) {
        List<Step> later = new ArrayList<>();
        Stand stand = ahead.stand();
        List<Operation> work = operations(now);
        Set<String> cutBackTo = new HashSet<>();
        for (int year = 1; year < Math.min(wish.years(), YEARS_AHEAD + 1); year++) {
            stand = Season.grow(stand, Season.Work.dormant(work)).after();
            work.forEach(one -> cutBackTo.add(one.toLimb()));
            Wish then = wish.later(cutBackTo);
            TreeReader.Reading expected =
                    TreeReader.read(stand.tree(), then.school(), then.limits().reach());
            Planner next = new Planner(stand.tree(), expected, then, null, null);
            List<Step> steps = next.ordered(next.search.chooseAhead(leastGainFactor), year);
            later.addAll(steps);
            work = operations(steps);
        }
        return later;
    }

    private static List<Operation> operations(List<Step> steps) {
        return steps.stream().map(Step::operation).toList();
    }

    /**
     * The seasons after a plan: this visit's cuts before the first, each later winter's before its own. How wide the ranges are
     * is worked out once, on the tree left alone.
     */
    private List<Forecast.Outlook> outlook(List<Step> steps) {
        if (ahead == null || ahead.alone() == null) {
            return List.of();
        }
        List<Season.Work> works = new ArrayList<>();
        for (int year = 0; year < YEARS_AHEAD; year++) {
            int winter = year;
            works.add(Season.Work.dormant(operations(
                    steps.stream().filter(step -> step.year() == winter).toList())));
        }
        return steps.isEmpty()
                ? ahead.alone().years()
                : Forecast.like(ahead.alone(), ahead.stand(), works).years();
    }

    /** The limbs most worth looking at again of those whose findings are left: nothing is done to them this winter. */
    private List<Step> toWatch(List<Plan.Left> left, List<Step> steps) {
        Set<String> touched = new HashSet<>();
        steps.forEach(step -> touched.add(step.operation().onLimb()));
        List<Step> watched = new ArrayList<>();
        left.stream()
                .filter(one -> one.finding().severity() == Severity.ACT)
                .filter(one -> !one.finding().limbs().isEmpty())
                .sorted(Comparator.comparingDouble((Plan.Left one) -> -weightOf(one.finding())))
                .forEach(one -> {
                    String limb = one.finding().limbs().get(0);
                    boolean measured = limb.indexOf('/') < 0 && found.find(limb).isPresent();
                    Operation watch = Operation.whole(OperationKind.WATCH, limb);
                    boolean wanted = measured
                            && watched.size() < MOST_WATCHED
                            && weightOf(one.finding()) > 0
                            && !wish.refused().contains(Wish.key(watch));
                    if (wanted && touched.add(limb)) {
                        String reason = one.finding().reason() + " Left for now: " + one.why() + ".";
                        watched.add(unweighed(
                                Candidate.of(watch, one.finding(), true).because(reason)));
                    }
                });
        return watched;
    }

    private double weightOf(Finding finding) {
        return wish.rules().structure().getOrDefault(finding.rule(), 0.0) * finding.confidence();
    }

    /** A step that does nothing to the tree and so needs no weighing: keeping, watching. */
    private Step unweighed(Candidate candidate) {
        CutTree alone = weighing.cut(List.of(candidate.operation()));
        return new Step(
                0,
                0,
                found,
                candidate.operation(),
                candidate.stage(),
                candidate.finding() == null
                        ? List.of()
                        : List.of(candidate.finding().rule()),
                candidate.reason(),
                Effect.of(alone, 0, wish.limits().reach()),
                0,
                candidate.finding() == null ? 0.5 : candidate.finding().confidence(),
                false,
                null,
                0,
                true);
    }

    private Step step(List<Candidate> chosen, int index, int year) {
        Candidate candidate = chosen.get(index);
        List<Candidate> rest = new ArrayList<>(chosen);
        rest.remove(index);
        List<Operation> all = PlanSearch.operations(chosen);
        List<Operation> without = PlanSearch.operations(rest);
        double gain = weighing.worth(all) - weighing.worth(without);
        Candidate other = candidate.settled() || year > 0 ? null : search.bestSwap(rest, candidate);
        double otherGain =
                other == null ? 0 : weighing.worth(Weighing.with(without, other.operation())) - weighing.worth(without);
        boolean leave = other == null || otherGain <= 0;
        double lead = gain - Math.max(0, otherGain);
        boolean close = !candidate.settled() && lead < wish.rules().closeCall();
        return new Step(
                0,
                year,
                found,
                candidate.operation(),
                candidate.stage(),
                rulesFor(candidate),
                candidate.reason(),
                Effect.of(weighing.cut(all), index, wish.limits().reach()),
                gain,
                confidence(candidate, lead) * Math.pow(wish.rules().ahead().sureness(), year),
                close,
                leave ? null : other.operation(),
                leave ? 0 : otherGain,
                candidate.settled());
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
            boolean answers = candidate.operation().kind().takesAll()
                    && !finding.limbs().isEmpty()
                    && finding.limbs().get(0).equals(candidate.operation().limb())
                    && rules.add(finding.rule());
            if (answers) {
                ordered.add(finding.rule());
            }
        }
        return ordered;
    }

    /** A step is as sure as its finding, less where its lead over the next best choice is small. */
    private double confidence(Candidate candidate, double lead) {
        double finding = candidate.finding() == null ? 0.5 : candidate.finding().confidence();
        if (candidate.settled()) {
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
            boolean refused = search.candidates().stream().noneMatch(candidate -> sameAs(candidate.finding(), finding));
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
}
