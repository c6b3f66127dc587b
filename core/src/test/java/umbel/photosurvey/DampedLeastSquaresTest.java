package umbel.photosurvey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Problems whose least squares have a closed form, and one that is known to be hard to follow. */
class DampedLeastSquaresTest {

    /** The mean of measurements with errors, and its own: sum(x / e²) / sum(1 / e²), and 1 / sum(1 / e²). */
    @Test
    void aWeightedMeanHasTheErrorOfTheBook() {
        double[] measured = {10, 12, 11};
        double[] error = {1, 2, 0.5};
        DampedLeastSquares.Optimum found = DampedLeastSquares.of(
                x -> {
                    double[] off = new double[3];
                    for (int i = 0; i < 3; i++) {
                        off[i] = (x[0] - measured[i]) / error[i];
                    }
                    return off;
                },
                new double[] {0});
        double weights = 1 + 0.25 + 4;
        assertThat(found.point()[0]).isCloseTo((10 + 12 * 0.25 + 11 * 4) / weights, within(1e-6));
        assertThat(found.covariance().getEntry(0, 0)).isCloseTo(1 / weights, within(1e-6));
    }

    /** A line through points with unit errors: slope and its variance by the textbook's sums. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void aLineIsThatOfTheNormalEquations(long seed) {
        Random random = new Random(seed);
        int count = 20;
        double[] at = new double[count];
        double[] y = new double[count];
        double meanAt = 0;
        double meanY = 0;
        for (int i = 0; i < count; i++) {
            at[i] = 10 * random.nextDouble();
            y[i] = 3 - 0.7 * at[i] + random.nextGaussian();
            meanAt += at[i] / count;
            meanY += y[i] / count;
        }
        double across = 0;
        double together = 0;
        for (int i = 0; i < count; i++) {
            across += (at[i] - meanAt) * (at[i] - meanAt);
            together += (at[i] - meanAt) * (y[i] - meanY);
        }
        double[] start = {0, 0};
        DampedLeastSquares.Optimum found = DampedLeastSquares.of(
                x -> {
                    double[] off = new double[count];
                    for (int i = 0; i < count; i++) {
                        off[i] = x[0] + x[1] * at[i] - y[i];
                    }
                    return off;
                },
                start);
        assertThat(found.point()[1]).isCloseTo(together / across, within(1e-5));
        assertThat(found.point()[0]).isCloseTo(meanY - together / across * meanAt, within(1e-4));
        assertThat(found.covariance().getEntry(1, 1)).isCloseTo(1 / across, within(1e-5));
        assertThat(start).as("the start is left as it is").containsExactly(0, 0);
    }

    /** Rosenbrock's (1960) bent valley, whose floor undamped steps leave. */
    @ParameterizedTest
    @CsvSource({"-1.2, 1", "0, 0", "3, -4"})
    void aBentValleyIsFollowedToItsEnd(double x0, double y0) {
        DampedLeastSquares.Optimum found =
                DampedLeastSquares.of(x -> new double[] {10 * (x[1] - x[0] * x[0]), 1 - x[0]}, new double[] {x0, y0});
        assertThat(found.point()[0]).isCloseTo(1, within(1e-3));
        assertThat(found.point()[1]).isCloseTo(1, within(2e-3));
    }

    /** An unknown that nothing depends on stays where it was, and is told to be unknown. */
    @Test
    void whatNothingTellsOfStays() {
        DampedLeastSquares.Optimum found = DampedLeastSquares.of(x -> new double[] {x[0] - 5}, new double[] {1, 42});
        assertThat(found.point()[0]).isCloseTo(5, within(1e-6));
        assertThat(found.point()[1]).isEqualTo(42);
    }
}
