package umbel.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Parameters;

class LabourTest {

    private static final Parameters PARAMETERS = Knowledge.shipped().parameters();

    @ParameterizedTest
    @CsvSource({"4, HAND_PRUNER", "20, HAND_PRUNER", "20.5, LOPPER", "50, LOPPER", "51, SAW", "180, SAW"})
    void theToolGoesByTheCut(double mm, Tool tool) {
        assertThat(Tool.forCut(mm / 1000, PARAMETERS.cutting().tools())).isEqualTo(tool);
    }

    @Test
    void minutesAddUpByTheCut() {
        assertThat(Labour.minutes(Tool.HAND_PRUNER, 0.01, 10, false, false, PARAMETERS.labour()))
                .isCloseTo(0.6, within(1e-9));
        assertThat(Labour.minutes(Tool.LOPPER, 0.03, 2, false, false, PARAMETERS.labour()))
                .isCloseTo(0.5, within(1e-9));
    }

    @Test
    void aSawTakesLongerThroughThickerWood() {
        // 60 mm is 28.27 cm²: 1.2 + 0.035 · 28.27
        assertThat(Labour.minutes(Tool.SAW, 0.06, 1, false, false, PARAMETERS.labour()))
                .isCloseTo(2.19, within(0.01));
        assertThat(Labour.minutes(Tool.SAW, 0.06, 1, true, false, PARAMETERS.labour()))
                .isCloseTo(3.69, within(0.01));
    }

    @Test
    void aLadderMoreThanDoublesTheWork() {
        double ground = Labour.minutes(Tool.LOPPER, 0.03, 4, false, false, PARAMETERS.labour());
        double ladder = Labour.minutes(Tool.LOPPER, 0.03, 4, false, true, PARAMETERS.labour());
        assertThat(ladder).isGreaterThan(2 * ground);
    }

    @Test
    void wordsAreThoseOfTheFormat() {
        assertThat(Tool.HAND_PRUNER.word()).isEqualTo("hand-pruner");
        assertThat(Tool.HAND_PRUNER.spoken()).isEqualTo("hand pruner");
    }
}
