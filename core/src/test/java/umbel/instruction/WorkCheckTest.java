package umbel.instruction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.instruction.WorkCheck.Seen;
import umbel.instruction.WorkCheck.Verdict;
import umbel.knowledge.InstructionParameters;
import umbel.knowledge.Knowledge;

class WorkCheckTest {

    private static final InstructionParameters.Check RULES =
            Knowledge.shipped().instruction().check();

    /** Good at or under 0.8 n - 2.6 faults, again at or over 0.8 n + 3.3; on ten trees eight pass. */
    @ParameterizedTest
    @CsvSource({
        "3, 0, GO_ON",
        "4, 0, GOOD",
        "5, 1, GOOD",
        "5, 2, GO_ON",
        "1, 4, GO_ON",
        "1, 5, AGAIN",
        "5, 8, AGAIN",
        "9, 5, GO_ON",
        "10, 8, GOOD",
        "10, 9, AGAIN",
        "20, 16, GOOD",
        "20, 17, AGAIN"
    })
    void faultsAreCountedUntilTheyTell(int trees, int faults, Verdict verdict) {
        assertThat(WorkCheck.of(trees, faults, RULES)).isEqualTo(verdict);
    }

    /** By Poisson's law eight or fewer on ten trees come with probability 0.93 at half a fault a tree, 0.33 at one, 0.04 at 1.5. */
    @ParameterizedTest
    @CsvSource({"0.5, 0.932", "1.0, 0.333", "1.5, 0.037"})
    void carefulWorkPassesAndRoughWorkDoesNot(double aTree, double passes) {
        SplittableRandom random = new SplittableRandom(7);
        int good = 0;
        for (int i = 0; i < 20_000; i++) {
            double line = Math.exp(-aTree * RULES.trees());
            int faults = -1;
            for (double product = 1; product > line; faults++) {
                product *= random.nextDouble();
            }
            good += WorkCheck.of(RULES.trees(), faults, RULES) == Verdict.GOOD ? 1 : 0;
        }
        assertThat(good / 20_000.0).isCloseTo(passes, within(0.01));
    }

    @Test
    void aSentenceThatEverybodyMissesIsItselfAtFault() {
        List<Seen> checks = List.of(
                new Seen("Tomas", 10, Map.of("thick", 6, "reach", 1)), new Seen("Lucia", 10, Map.of("thick", 4)));
        assertThat(WorkCheck.missedByAll(checks, RULES)).containsExactly("thick");
        assertThat(WorkCheck.missedByAll(checks.subList(0, 1), RULES)).isEmpty();
        assertThat(WorkCheck.missedByAll(
                        List.of(new Seen("Tomas", 10, Map.of("thick", 6)), new Seen("Lucia", 10, Map.of("reach", 5))),
                        RULES))
                .isEmpty();
    }
}
