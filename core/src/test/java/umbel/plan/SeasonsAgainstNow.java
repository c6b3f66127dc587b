package umbel.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.growth.Seasons;
import umbel.growth.TreeState;
import umbel.knowledge.PlanParameters;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;

/**
 * How often the coming seasons turn what this winter's sum chose, and what it brings: seeded faulty trees planned with and
 * without them. Also a program that prints the figures of docs/benchmarks.md.
 */
final class SeasonsAgainstNow {

    private static final String[][] KINDS = {
        {"apple", "central-leader"},
        {"pear", "central-leader"},
        {"peach", "open-centre"},
        {"apple", "multi-leader"}
    };

    private static final List<PlanCase> MANY = new ArrayList<>();
    private static final Map<PlanCase, List<Plan>> PLANNED = Collections.synchronizedMap(new IdentityHashMap<>());

    private SeasonsAgainstNow() {}

    /** Trees of four kinds, five to twelve years old, with one to three faults each. */
    static synchronized List<PlanCase> manyTrees(int count) {
        Fault[] faults = Fault.values();
        for (int seed = MANY.size() + 1; MANY.size() < count; seed++) {
            SplittableRandom random = new SplittableRandom(seed);
            String[] kind = KINDS[random.nextInt(KINDS.length)];
            Set<Fault> chosen = EnumSet.noneOf(Fault.class);
            for (int i = 0; i < 3; i++) {
                chosen.add(faults[random.nextInt(faults.length)]);
            }
            int leaf = 5 + random.nextInt(8);
            MANY.add(PlanCase.of(PracticeTree.survey(kind[0], kind[1], leaf, seed, chosen.toArray(Fault[]::new))));
        }
        return List.copyOf(MANY.subList(0, count));
    }

    /** The plans of one of these trees, made once for all tests that look at them. */
    static List<Plan> plansOf(PlanCase one) {
        List<Plan> plans = PLANNED.get(one);
        if (plans == null) {
            plans = one.plans();
            PLANNED.put(one, plans);
        }
        return plans;
    }

    /** The worth over now and three seasons, worked out here from the definition and not by the class under test. */
    static double overTheYears(PlanCase one, List<Candidate> visit) {
        PlanParameters.Ahead ahead = one.request().parameters().ahead();
        CutSetEvaluator evaluator = one.search().evaluator();
        TreeState stand = InitialState.of(one.tree(), 1);
        List<Season.Work> works = new ArrayList<>(Collections.nCopies(3, Season.Work.NONE));
        works.set(0, Season.Work.dormant(PlanSearch.operations(visit)));
        List<Forecast.Figures> years = Forecast.middle(stand, works, 0.3);
        return ahead.now() * evaluator.worth(PlanSearch.operations(visit))
                + ahead.one() * evaluator.worthOf(years.get(0).tree())
                + ahead.three() * evaluator.worthOf(years.get(2).tree());
    }

    /** Argument: how many trees. */
    public static void main(String[] args) {
        int count = args.length == 0 ? 100 : Integer.parseInt(args[0]);
        int turned = 0;
        double gained = 0;
        double fruits = 0;
        for (PlanCase one : manyTrees(count)) {
            PlanSearch search = one.search();
            List<Candidate> now = search.choose(1, true);
            List<Candidate> then =
                    new ForecastDecision(search, new Seasons(InitialState.of(one.tree(), 1), 0.3)).of(now);
            if (!Set.copyOf(PlanSearch.operations(now)).equals(Set.copyOf(PlanSearch.operations(then)))) {
                turned++;
                gained += overTheYears(one, then) - overTheYears(one, now);
                fruits += inThree(one, then) / Math.max(1, inThree(one, now)) - 1;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%d trees: the seasons turned a close choice on %d; there the worth over the years rose by %.4f on average, the"
                        + " crop of the third season by %.1f %%%n",
                count,
                turned,
                gained / Math.max(1, turned),
                100 * fruits / Math.max(1, turned));
    }

    private static double inThree(PlanCase one, List<Candidate> visit) {
        List<Season.Work> works = new ArrayList<>(Collections.nCopies(3, Season.Work.NONE));
        works.set(0, Season.Work.dormant(PlanSearch.operations(visit)));
        return Forecast.middle(InitialState.of(one.tree(), 1), works, 0.3)
                .get(2)
                .fruits();
    }
}
