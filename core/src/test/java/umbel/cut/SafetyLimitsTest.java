package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.CutParameters;
import umbel.knowledge.Knowledge;
import umbel.work.Tool;

class SafetyLimitsTest {

    private static final CutParameters.Tools TOOLS =
            Knowledge.shipped().parameters().cutting().tools();

    private static Effect cut(double diameterMm, double massKg, double heightM, boolean ladder) {
        return new Effect(
                Tool.forCut(diameterMm / 1000, TOOLS),
                1,
                diameterMm / 1000,
                heightM,
                diameterMm > 50,
                false,
                false,
                massKg,
                0.1,
                0.1,
                0.001,
                ladder,
                2,
                1);
    }

    @ParameterizedTest
    @CsvSource({
        // diameter mm, mass kg, height m, ladder | limits: mm, kg, m, lines | stop
        "60, 8, 2.0, false, , , , false, false",
        "60, 8, 2.0, false, 60, , , false, true",
        "60, 8, 2.0, false, 61, , , false, false",
        "60, 8, 2.0, false, , 8, , false, true",
        "60, 8, 3.5, true, , , 3.5, false, true",
        "60, 8, 2.0, false, , , , true, true",
        "20, 1, 3.0, true, , , , true, true",
        "20, 1, 2.0, false, , , , true, false",
        "150, 8, 2.0, false, , , , false, true",
        "60, 60, 2.0, false, , , , false, true",
    })
    void whatIsPastALimitIsForAQualifiedPerson(
            double diameter,
            double mass,
            double height,
            boolean ladder,
            Double mm,
            Double kg,
            Double m,
            boolean lines,
            boolean stop) {
        assertThat(new SafetyLimits(mm, kg, m, lines).stop(cut(diameter, mass, height, ladder), TOOLS))
                .isEqualTo(stop);
    }

    @Test
    void aLooserLimitDoesNotUndoTheTradesOwn() {
        assertThat(new SafetyLimits(400.0, 900.0, 30.0, false).stop(cut(160, 80, 2, false), TOOLS))
                .isTrue();
    }
}
