package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Leaf laid into the periodic box: none is lost, and the box has no edge. */
class CanopyGridTest {

    private static final double EXTINCTION = 0.5;

    private static CanopyGrid box() {
        return new CanopyGrid(4, 5, 3, 0.2, EXTINCTION);
    }

    /** Leaf area in a box, m²: the sum over its cells, taken back from what {@code deposit} is said to keep. */
    private static double leaf(CanopyGrid grid) {
        double sum = 0;
        for (int l = 0; l < grid.nz; l++) {
            for (int j = 0; j < grid.ny; j++) {
                for (int i = 0; i < grid.nx; i++) {
                    sum += grid.get(l, j, i);
                }
            }
        }
        return sum * grid.hx * grid.hy * grid.hz / EXTINCTION;
    }

    @ParameterizedTest
    @CsvSource({"2, 2.5, 1.1", "0, 0, 0", "3.999, 4.999, 2.9", "-0.01, -0.01, 1", "17.3, -22.8, 1.5", "0.1, 0.1, 0.1"})
    void whereverALeafStandsAllOfItIsInTheBox(double x, double y, double z) {
        CanopyGrid grid = box();
        grid.deposit(x, y, z, 0.37);
        assertThat(leaf(grid)).isCloseTo(0.37, within(1e-6));
    }

    @Test
    void aLeafOneSpacingOnFillsTheSameCells() {
        SplittableRandom random = new SplittableRandom(5);
        for (int n = 0; n < 200; n++) {
            double x = random.nextDouble(4);
            double y = random.nextDouble(5);
            double z = random.nextDouble(2.8);
            CanopyGrid here = box();
            CanopyGrid there = box();
            here.deposit(x, y, z, 1);
            there.deposit(x + 4 * (n % 3 - 1), y - 5 * (n % 5), z, 1);
            for (int l = 0; l < here.nz; l++) {
                for (int j = 0; j < here.ny; j++) {
                    for (int i = 0; i < here.nx; i++) {
                        assertThat(there.get(l, j, i)).isCloseTo(here.get(l, j, i), within(1e-4));
                    }
                }
            }
        }
    }

    @Test
    void theMiddleOfWhatIsLaidDownIsWhereItWasLaid() {
        SplittableRandom random = new SplittableRandom(9);
        for (int n = 0; n < 100; n++) {
            CanopyGrid grid = box();
            double x = 1 + random.nextDouble(2);
            double y = 1 + random.nextDouble(3);
            double z = 0.4 + random.nextDouble(2);
            grid.deposit(x, y, z, 1);
            double[] middle = new double[3];
            double all = 0;
            for (int l = 0; l < grid.nz; l++) {
                for (int j = 0; j < grid.ny; j++) {
                    for (int i = 0; i < grid.nx; i++) {
                        double k = grid.get(l, j, i);
                        all += k;
                        middle[0] += k * (i + 0.5) * grid.hx;
                        middle[1] += k * (j + 0.5) * grid.hy;
                        middle[2] += k * (l + 0.5) * grid.hz;
                    }
                }
            }
            assertThat(middle[0] / all).isCloseTo(x, within(1e-5));
            assertThat(middle[1] / all).isCloseTo(y, within(1e-5));
            assertThat(middle[2] / all).isCloseTo(z, within(1e-5));
        }
    }

    @Test
    void leafLaidAfterASweepIsSeenByTheNext() {
        CanopyGrid grid = box();
        double[] at = {2.1};
        double[] across = {2.6};
        double[] height = {0.5};
        grid.deposit(2.1, 2.6, 1.5, 0.2);
        double once = new PeriodicSweep(grid, at, across, height)
                .under(Sky.uniform(16))
                .light()[0];
        grid.deposit(2.1, 2.6, 1.5, 0.2);
        double twice = new PeriodicSweep(grid, at, across, height)
                .under(Sky.uniform(16))
                .light()[0];
        assertThat(once).isLessThan(1);
        assertThat(twice).isLessThan(once);
    }
}
