package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** The search held to the best of all sets of operations, on trees small enough to try them all. */
class PlanSearchTest {

    private static final List<SearchAgainstBest.Outcome> TREES = SearchAgainstBest.on(40);

    @Test
    void comesWithinTwoPercentOfTheBestOnNearlyEveryTree() {
        assertThat(SearchAgainstBest.within(TREES, 0.02)).isGreaterThanOrEqualTo(0.95);
    }

    @Test
    void comesWithinTwoPercentOfTheBestOnTheWhole() {
        assertThat(TREES.stream()
                        .mapToDouble(SearchAgainstBest.Outcome::share)
                        .average()
                        .orElse(0))
                .isGreaterThanOrEqualTo(0.98);
    }

    @Test
    void isNeverWorseOnTheWholeThanTakingTheBestStepAgainAndAgain() {
        double search =
                TREES.stream().mapToDouble(SearchAgainstBest.Outcome::search).sum();
        double greedy =
                TREES.stream().mapToDouble(SearchAgainstBest.Outcome::greedy).sum();
        assertThat(search).isGreaterThanOrEqualTo(greedy - 1e-9);
    }
}
