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
import umbel.growth.FirstStand;
import umbel.growth.Forecast;
import umbel.growth.Season;
import umbel.growth.Stand;
import umbel.reading.Finding;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * Plans for a grower's goals under limits: what a {@link PlanSearch} chose, in the order of work, each step with its
 * reason, numbers and alternative, and what this winter cannot hold put off to the next. The same for equal input.
 */
public final class Planner {

    private static final int YEARS_AHEAD = 3;

    private final TreeReader.Reading reading;
    private final Wish wish;
    private final PlanSearch search;
    private final Stand stand;
    private final Forecast alone;

    private Planner(Tree found, TreeReader.Reading reading, Wish wish, Stand stand, Forecast alone, Planner shared) {
        this.reading = reading;
        this.stand = stand;
        this.alone = alone;
        this.wish = wish;
        this.search = new PlanSearch(found, reading.findings(), wish, shared == null ? null : shared.search);
    }

    /** The recommended plan, a gentler and a firmer one, and doing nothing; each with the three seasons after it. */
    public static List<Plan> plans(Tree found, TreeReader.Reading reading, Wish wish, long seed) {
        Stand stand = wish.learned().applied(FirstStand.of(found, seed));
        Forecast alone = Forecast.of(stand, Collections.nCopies(YEARS_AHEAD, Season.Work.NONE));
        Planner middle = new Planner(found, reading, wish, stand, alone, null);
        PlanVariant gentler = new PlanVariant("gentler", wish.rules().gentler());
        PlanVariant firmer = new PlanVariant("firmer", wish.rules().firmer());
        List<Plan> plans = new ArrayList<>();
        Stream.of(new PlanVariant("recommended", null), gentler, firmer)
                .parallel()
                .map(one -> one.variant() == null
                        ? middle.plan(one.name(), 1)
                        : new Planner(found, reading, wish.within(one.variant()), stand, alone, middle)
                                .plan(one.name(), one.variant().leastGain()))
                .forEachOrdered(plans::add);
        plans.add(middle.nothing());
        return plans;
    }

    private record PlanVariant(String name, umbel.knowledge.PlanRules.Variant variant) {}

    /** The recommended plan alone, re-thought around what was taken and refused. */
    public static Plan recommended(Tree found, TreeReader.Reading reading, Wish wish) {
        return new Planner(found, reading, wish, null, null, null).plan("recommended", 1);
    }

    /** What the grower marked and nothing else, put into the order of work with each step's reason and numbers. */
    public static Plan marked(Tree found, TreeReader.Reading reading, Wish wish) {
        Planner planner = new Planner(found, reading, wish, null, null, null);
        List<PlanSearch.Chosen> chosen = new ArrayList<>();
        for (Operation operation : wish.taken()) {
            chosen.add(new PlanSearch.Chosen(planner.search.asCandidate(operation), 0));
        }
        return planner.describe("marked", chosen);
    }

    private Plan plan(String name, double leastGainFactor) {
        return describe(name, search.choose(leastGainFactor, name.equals("recommended")));
    }

    private Plan nothing() {
        CutTree uncut = search.cut(List.of());
        return new Plan(
                "nothing",
                List.of(),
                Totals.of(uncut, reading.crop(), wish.limits().reach()),
                outlook(List.of()),
                List.of());
    }

    private Plan describe(String name, List<PlanSearch.Chosen> chosen) {
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
        List<Effect> effects = Effect.ofAll(search.cut(inOrder), wish.limits().reach());
        List<Step> ordered = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            ordered.add(steps.get(i).at(i + 1, effects.get(i)));
        }
        CutTree cut = search.cut(ordered.stream()
                .filter(step -> step.year() == 0)
                .map(Step::operation)
                .toList());
        Totals totals = Totals.of(cut, reading.crop(), wish.limits().reach());
        return new Plan(name, ordered, totals, outlook(ordered), leftAlone(cut, ordered));
    }

    /**
     * The seasons after a plan: this visit's cuts before the first, each later winter's before its own. How wide the ranges are
     * is worked out once, on the tree left alone.
     */
    private List<Forecast.Outlook> outlook(List<Step> steps) {
        if (alone == null) {
            return List.of();
        }
        List<Season.Work> works = new ArrayList<>();
        for (int year = 0; year < YEARS_AHEAD; year++) {
            int winter = year;
            works.add(Season.Work.dormant(steps.stream()
                    .filter(step -> step.year() == winter)
                    .map(Step::operation)
                    .toList()));
        }
        return steps.isEmpty()
                ? alone.years()
                : Forecast.like(alone, stand, works).years();
    }

    private Step step(List<PlanSearch.Chosen> chosen, int index) {
        PlanSearch.Chosen one = chosen.get(index);
        Candidate candidate = one.candidate();
        List<PlanSearch.Chosen> rest = new ArrayList<>(chosen);
        rest.remove(index);
        List<Operation> all = PlanSearch.operations(chosen);
        double gain = search.worth(all) - search.worth(PlanSearch.operations(rest));
        Candidate other = candidate.settled() ? null : search.bestSwap(rest, candidate);
        double otherGain = other == null
                ? 0
                : search.worth(PlanSearch.with(PlanSearch.operations(rest), other.operation()))
                        - search.worth(PlanSearch.operations(rest));
        boolean leave = other == null || otherGain <= 0;
        double lead = gain - Math.max(0, otherGain);
        boolean close = !candidate.settled() && lead < wish.rules().closeCall();
        CutTree cut = search.cut(all);
        return new Step(
                0,
                one.year(),
                candidate.operation(),
                candidate.stage(),
                rulesFor(candidate),
                candidate.reason(),
                Effect.of(cut, index, wish.limits().reach()),
                gain,
                confidence(candidate, lead),
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
