package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sweep against transfer theory: numbers worked out apart from the code. */
class PeriodicSweepTest {

    private static final double G = 0.5;

    @ParameterizedTest
    @CsvSource({"0.5, .6493683", "1, .4432087", "2, .2193839", "3, .1134790", "5, .0325907"})
    void anEvenLayerPassesTwiceTheThirdExponentialIntegral(double leafAreaIndex, double expected) {
        CanopyGrid grid = layer(leafAreaIndex);
        double ground = noPoints(grid).under(Sky.uniform(46)).ground();
        assertThat(ground).isCloseTo(expected, within(expected * 0.001));
    }

    @ParameterizedTest
    @CsvSource({"2, 60, .135335", "1, 45, .493069", "3, 30, .176921", "2, 0, .367879"})
    void oneDirectionPassesByItsSlantedPath(double leafAreaIndex, double zenith, double expected) {
        CanopyGrid grid = layer(leafAreaIndex);
        double ground =
                noPoints(grid).under(Sky.single(Math.toRadians(zenith), 0.7)).ground();
        assertThat(ground).isCloseTo(expected, within(2e-5));
    }

    @Test
    void twoSlabsShareTheLightBetweenThem() {
        CanopyGrid grid = new CanopyGrid(1, 1, 0.9, 0.1, G);
        for (int l = 0; l < 4; l++) {
            grid.fillLayer(l, G * 2 / 0.4);
        }
        for (int l = 5; l < 9; l++) {
            grid.fillLayer(l, G * 1 / 0.4);
        }
        PeriodicSweep.Result result = new PeriodicSweep(
                        grid, new double[] {0.31}, new double[] {0.77}, new double[] {0.45})
                .under(Sky.uniform(46));
        double between = result.light()[0];
        assertThat(between).isCloseTo(.4432087, within(5e-4));
        assertThat(1 - between).as("caught by the upper slab").isCloseTo(.5567913, within(5e-4));
        assertThat(between - result.ground()).as("caught by the lower slab").isCloseTo(.3297297, within(5e-4));
        assertThat(result.ground()).isCloseTo(.1134790, within(1.2e-4));
    }

    @Test
    void anIsolatedCubeShadesOnlyWhatLiesBehindIt() {
        double[][] cases = {{0, .606531}, {.25, .597269}, {.4, .874040}, {.5, 1}, {.8, 1}};
        for (double[] one : cases) {
            CanopyGrid grid = new CanopyGrid(30.1, 30.1, 2, 0.1, G);
            grid.set(1, 150, 150, 5);
            double zenith = Math.atan(one[0]);
            PeriodicSweep sweep =
                    new PeriodicSweep(grid, new double[] {15.05}, new double[] {15.05}, new double[] {0.0});
            assertThat(sweep.under(Sky.single(zenith, Math.PI / 2)).light()[0])
                    .as("tangent %s", one[0])
                    .isCloseTo(one[1], within(2e-5));
        }
    }

    /** In each plane those directions whose rays pass through the cells' middles, where nothing is interpolated. */
    @Test
    void sweepAndRayMarchAgreeOnARandomCanopy() {
        CanopyGrid grid = randomGrid(1.0, 3.5, 2.0, 11);
        Random random = new Random(5);
        int points = 20;
        for (int plane = 1; plane < grid.nz; plane++) {
            double along = cellsOverAll(random) * grid.hx / (plane * grid.hz);
            double across = cellsOverAll(random) * grid.hy / (plane * grid.hz);
            Sky sky = Sky.single(Math.atan(Math.hypot(along, across)), Math.atan2(along, across));
            double[] xs = new double[points];
            double[] ys = new double[points];
            double[] zs = new double[points];
            for (int p = 0; p < points; p++) {
                zs[p] = plane * grid.hz;
                xs[p] = (random.nextInt(grid.nx) + 0.5) * grid.hx;
                ys[p] = (random.nextInt(grid.ny) + 0.5) * grid.hy;
            }
            double[] light = new PeriodicSweep(grid, xs, ys, zs).under(sky).light();
            for (int p = 0; p < points; p++) {
                double marched = RayMarch.depth(grid, xs[p], ys[p], zs[p] + 1e-9, sky.direction(0));
                assertThat(light[p]).isCloseTo(Math.exp(-marched), within(2e-5));
            }
        }
    }

    private static int cellsOverAll(Random random) {
        return random.nextInt(61) - 30;
    }

    /** One row of thick cells under an open sky: a shadow's edge is as wide as a cell, and the same on the far side of the box. */
    @Test
    void betweenNodesLightIsMixedAndGoesRoundTheBox() {
        CanopyGrid grid = new CanopyGrid(1, 1.2, 0.5, 0.1, G);
        for (int j = 0; j < grid.ny; j++) {
            grid.set(4, j, 9, 20);
        }
        double[] xs = {0.85, 0.875, 0.9, 0.95, 1.0, 1.05, -0.05, 0.0, 2.9};
        double[] ys = {0.3, 0.7, 0.05, 1.15, 1.2, 0, 1.3, -0.4, 0.6};
        double[] zs = {0.2, 0.3, 0.1, 0, 0.2, 0.4, 0.3, 0, 0.33};
        double dark = Math.exp(-2);
        double[] expected = {
            1, 1 - 0.25 * (1 - dark), (1 + dark) / 2, dark, (1 + dark) / 2, 1, dark, (1 + dark) / 2, (1 + dark) / 2
        };
        double[] light =
                new PeriodicSweep(grid, xs, ys, zs).under(Sky.single(0, 0)).light();
        for (int p = 0; p < xs.length; p++) {
            assertThat(light[p]).as("point %s", p).isCloseTo(expected[p], within(1e-5));
        }
    }

    /** Half way down an even layer: by its depth where a plane lies, by the mean of the planes' light between two. */
    @Test
    void lightFallsOffPlaneByPlane() {
        CanopyGrid grid = new CanopyGrid(1, 1, 0.4, 0.1, G);
        for (int l = 0; l < grid.nz; l++) {
            grid.fillLayer(l, 3);
        }
        double[] zs = {grid.nz * 0.1, 0.3, 0.35, -1, 9};
        double[] at = new double[zs.length];
        double[] light =
                new PeriodicSweep(grid, at, at, zs).under(Sky.single(0, 0)).light();
        double[] planes = new double[grid.nz + 1];
        for (int l = 0; l <= grid.nz; l++) {
            planes[l] = Math.exp(-0.3 * (grid.nz - l));
        }
        double[] expected = {1, planes[3], (planes[3] + planes[4]) / 2, planes[0], 1};
        for (int p = 0; p < zs.length; p++) {
            assertThat(light[p]).as("height %s", zs[p]).isCloseTo(expected[p], within(1e-5));
        }
    }

    @Test
    void neighboursAreTheTreeItselfHoweverManyCopiesTheBoxHolds() {
        CanopyGrid one = randomGrid(1.0, 1.5, 1.0, 3);
        CanopyGrid three = new CanopyGrid(3.0, 1.5, 1.0, 0.1, G);
        for (int l = 0; l < one.nz; l++) {
            for (int j = 0; j < one.ny; j++) {
                for (int i = 0; i < three.nx; i++) {
                    three.set(l, j, i, one.get(l, j, i % one.nx));
                }
            }
        }
        double[] xs = {0.33, 0.71};
        double[] ys = {0.2, 1.3};
        double[] zs = {0.11, 0.52};
        PeriodicSweep.Result single = new PeriodicSweep(one, xs, ys, zs).under(Sky.uniform(46));
        PeriodicSweep.Result triple = new PeriodicSweep(three, xs, ys, zs).under(Sky.uniform(46));
        assertThat(triple.light()[0]).isCloseTo(single.light()[0], within(1e-6));
        assertThat(triple.light()[1]).isCloseTo(single.light()[1], within(1e-6));
        assertThat(triple.ground()).isCloseTo(single.ground(), within(1e-6));
    }

    @Test
    void whatTheCellsCatchAndWhatReachesTheGroundMakeOne() {
        CanopyGrid grid = randomGrid(1.0, 1.5, 1.0, 8);
        Sky sky = Sky.uniform(46);
        double ground = noPoints(grid).under(sky).ground();
        double caught = 0;
        for (int m = 0; m < sky.size(); m++) {
            caught += sky.weight(m) * RayMarch.caughtFromAbove(grid, sky.direction(m));
        }
        assertThat(caught + ground).isCloseTo(1, within(1e-6));
    }

    private static CanopyGrid layer(double leafAreaIndex) {
        CanopyGrid grid = new CanopyGrid(1, 1.3, 0.9, 0.1, G);
        for (int l = 2; l < 7; l++) {
            grid.fillLayer(l, G * leafAreaIndex / 0.5);
        }
        return grid;
    }

    private static CanopyGrid randomGrid(double along, double across, double height, long seed) {
        CanopyGrid grid = new CanopyGrid(along, across, height, 0.1, G);
        Random random = new Random(seed);
        for (int l = 0; l < grid.nz; l++) {
            for (int j = 0; j < grid.ny; j++) {
                for (int i = 0; i < grid.nx; i++) {
                    grid.set(l, j, i, random.nextDouble() < 0.4 ? 4 * random.nextDouble() : 0);
                }
            }
        }
        return grid;
    }

    private static PeriodicSweep noPoints(CanopyGrid grid) {
        return new PeriodicSweep(grid, new double[0], new double[0], new double[0]);
    }
}
