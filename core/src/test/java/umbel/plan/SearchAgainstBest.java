package umbel.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SplittableRandom;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.light.LightResolution;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * The plan's search held to the best there is: small seeded trees on which every set of operations can be tried. Also a
 * program that prints the table of docs/benchmarks.md.
 */
final class SearchAgainstBest {

    private static final int FEWEST = 3;
    private static final int MOST = 9;
    private static final String[][] KINDS = {
        {"apple", "tall-spindle"},
        {"apple", "central-leader"},
        {"pear", "central-leader"},
        {"peach", "open-centre"},
        {"cherry-sweet", "central-leader"},
        {"plum-european", "open-centre"},
        {"apple", "vertical-axis"}
    };

    private SearchAgainstBest() {}

    /**
     * What three searches gained on one tree over doing only what is fixed.
     *
     * @param candidates operations weighed
     */
    record Outcome(int candidates, double best, double search, double greedy) {

        double share() {
            return best <= 1e-9 ? 1 : search / best;
        }

        double greedyShare() {
            return best <= 1e-9 ? 1 : greedy / best;
        }
    }

    /** So many trees on which something is to be weighed, and not too much to try it all. */
    static List<Outcome> on(int trees) {
        List<Outcome> outcomes = new ArrayList<>();
        Assessor assessor = new Assessor(Knowledge.shipped());
        Fault[] faults = Fault.values();
        for (int seed = 1; outcomes.size() < trees; seed++) {
            SplittableRandom random = new SplittableRandom(seed);
            String[] kind = KINDS[random.nextInt(KINDS.length)];
            Set<Fault> chosen = EnumSet.noneOf(Fault.class);
            for (int i = 0; i < 1 + random.nextInt(3); i++) {
                chosen.add(faults[random.nextInt(faults.length)]);
            }
            int leaf = 2 + random.nextInt(5);
            AssessRequest assessed =
                    AssessRequest.of(PracticeTree.survey(kind[0], kind[1], leaf, seed, chosen.toArray(Fault[]::new)));
            Tree tree = assessor.tree(assessed);
            PlanRequest asked = assessor.planRequest(assessed, tree, List.of(), Set.of());
            PlanRequest request = new PlanRequest(
                    asked.school(),
                    asked.parameters(),
                    asked.goals(),
                    asked.limits(),
                    Moment.DORMANT,
                    1,
                    List.of(),
                    Set.of());
            TreeReader.Reading reading =
                    TreeReader.read(tree, request.school(), request.limits().reach());
            PlanSearch search = new PlanSearch(tree, reading.findings(), request, LightResolution.CLOSE, null);
            long open = search.answers().usual().stream()
                    .filter(one -> !one.settled())
                    .count();
            if (open >= FEWEST && open <= MOST) {
                outcomes.add(outcome(search, (int) open));
            }
        }
        return outcomes;
    }

    private static Outcome outcome(PlanSearch search, int open) {
        ExhaustiveSearch all = new ExhaustiveSearch(search);
        double fixed = worth(search, all.onlyFixed());
        return new Outcome(
                open,
                worth(search, all.best()) - fixed,
                worth(search, search.choose(1, true)) - fixed,
                worth(search, search.simplyGreedy()) - fixed);
    }

    private static double worth(PlanSearch search, List<Candidate> chosen) {
        return search.value(
                chosen, search.evaluator().request().parameters().search().leastGain());
    }

    /** Share of trees within a part of the best. */
    static double within(List<Outcome> outcomes, double part) {
        return outcomes.stream().filter(one -> one.share() >= 1 - part).count() / (double) outcomes.size();
    }

    /** Argument: how many trees. */
    public static void main(String[] args) {
        List<Outcome> outcomes = on(args.length == 0 ? 200 : Integer.parseInt(args[0]));
        double[] shares = outcomes.stream().mapToDouble(Outcome::share).sorted().toArray();
        double[] greedy =
                outcomes.stream().mapToDouble(Outcome::greedyShare).sorted().toArray();
        List<Integer> sizes =
                new ArrayList<>(outcomes.stream().map(Outcome::candidates).toList());
        Collections.sort(sizes);
        System.out.printf(
                Locale.ROOT,
                "%d trees, %d to %d candidates%n",
                outcomes.size(),
                sizes.get(0),
                sizes.get(sizes.size() - 1));
        System.out.printf(
                Locale.ROOT,
                "search: mean %.4f of the best gain, worst %.3f, 5 %% point %.3f, within 2 %% on %.1f %% of trees%n",
                Arrays.stream(shares).average().orElse(0),
                shares[0],
                shares[shares.length / 20],
                100 * within(outcomes, 0.02));
        System.out.printf(
                Locale.ROOT,
                "simple greedy: mean %.4f, worst %.3f, 5 %% point %.3f, within 2 %% on %.1f %%%n",
                Arrays.stream(greedy).average().orElse(0),
                greedy[0],
                greedy[greedy.length / 20],
                100.0 * Arrays.stream(greedy).filter(share -> share >= 0.98).count() / greedy.length);
    }
}
