package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.cut.Operation;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;

/** The search held to the best of all sets of operations, on trees small enough to try them all. */
class PlanSearchTest {

    private static final List<SearchAgainstBest.Outcome> TREES = SearchAgainstBest.on(40);

    @Test
    void comesWithinTwoPercentOfTheBestOnNearlyEveryTree() {
        assertThat(SearchAgainstBest.within(TREES, 0.02)).isGreaterThanOrEqualTo(0.95);
    }

    @Test
    void comesWithinTwoPercentOfTheBestOnTheWhole() {
        double search =
                TREES.stream().mapToDouble(SearchAgainstBest.Outcome::search).sum();
        double best =
                TREES.stream().mapToDouble(SearchAgainstBest.Outcome::best).sum();
        assertThat(search / best).isGreaterThanOrEqualTo(0.98);
    }

    @Test
    void isNeverWorseOnTheWholeThanTakingTheBestStepAgainAndAgain() {
        double search =
                TREES.stream().mapToDouble(SearchAgainstBest.Outcome::search).sum();
        double greedy =
                TREES.stream().mapToDouble(SearchAgainstBest.Outcome::greedy).sum();
        assertThat(search).isGreaterThanOrEqualTo(greedy - 1e-9);
    }

    @Test
    void nothingIsBetterThanTheBestOfAllSets() {
        assertThat(TREES).allSatisfy(one -> assertThat(one.share()).isLessThanOrEqualTo(1 + 1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "peach, open-centre, 3",
        "plum-european, open-centre, 4",
        "cherry-sweet, slender-axe, 3",
        "pear, espalier, 6"
    })
    void whatTheSystemDoesToTheEndsIsDoneToAllOfThem(String species, String system, int leaf) {
        for (long seed = 1; seed <= 6; seed++) {
            PlanCase one = PlanCase.of(PracticeTree.survey(
                    species, system, leaf, seed, Fault.INWARD_LIMB, Fault.WATER_SPROUTS, Fault.STACKED_LIMBS));
            PlanSearch search = one.search();
            List<Candidate> chosen = search.choose(1, true);
            List<Candidate> more = new ArrayList<>(chosen);
            search.addEnds(more);
            assertThat(PlanSearch.operations(more)).as("seed %d", seed).isEqualTo(PlanSearch.operations(chosen));
        }
    }

    @Test
    void whatTheGrowerTookIsNeverGivenUpForSomethingBetter() {
        int taken = 0;
        for (long seed = 1; seed <= 40; seed++) {
            PlanCase one = PlanCase.of(
                    PracticeTree.survey("peach", "open-centre", 3, seed, Fault.INWARD_LIMB, Fault.STACKED_LIMBS));
            List<Operation> ends = new ArrayList<>();
            List<Candidate> byItself = new ArrayList<>();
            one.search().addEnds(byItself);
            byItself.forEach(end -> ends.add(end.operation()));
            for (Operation end : ends) {
                taken++;
                List<Candidate> chosen =
                        one.wishing(List.of(end), Set.of(), Map.of()).search().choose(1, true);
                assertThat(PlanSearch.operations(chosen)).as("seed %d", seed).contains(end);
            }
        }
        assertThat(taken).isGreaterThan(40);
    }
}
