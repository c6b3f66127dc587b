package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.ReadingParameters;

class ThresholdConfidenceTest {

    private static final ReadingParameters.Severe LINES = new ReadingParameters.Severe(0.15, 0.05);

    @ParameterizedTest
    @CsvSource({"0, 0.5", "1, 0.8413447", "-1, 0.1586553", "1.96, 0.9750021", "-3, 0.0013499", "0.2533471, 0.6"})
    void theNormalCurveIsTheOneInTheTables(double z, double p) {
        assertThat(ThresholdConfidence.above(z, 0, 1)).isCloseTo(p, within(1e-6));
    }

    @Test
    void aValueOnTheLineIsEvenOdds() {
        assertThat(ThresholdConfidence.above(0.5, 0.5, 0.1)).isCloseTo(0.5, within(1e-7));
        assertThat(ThresholdConfidence.below(40, 40, 7)).isCloseTo(0.5, within(1e-7));
    }

    @Test
    void withoutErrorThereIsNoDoubt() {
        assertThat(ThresholdConfidence.above(2, 1, 0)).isEqualTo(1);
        assertThat(ThresholdConfidence.above(1, 2, 0)).isZero();
    }

    @Test
    void aboveAndBelowMakeOne() {
        assertThat(ThresholdConfidence.above(31, 40, 7) + ThresholdConfidence.below(31, 40, 7))
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void severityGrowsWithTheDistancePastTheLine() {
        assertThat(ThresholdConfidence.severity(0.51, 0.5, LINES)).isEqualTo(Severity.WATCH);
        assertThat(ThresholdConfidence.severity(0.54, 0.5, LINES)).isEqualTo(Severity.CONSIDER);
        assertThat(ThresholdConfidence.severity(0.6, 0.5, LINES)).isEqualTo(Severity.ACT);
        assertThat(ThresholdConfidence.severity(20, 40, LINES)).isEqualTo(Severity.ACT);
    }
}
