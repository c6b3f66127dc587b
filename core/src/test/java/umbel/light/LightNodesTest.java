package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The nodes alone: depths that are known in closed form are read and mixed as a plain loop over the lattice would. */
class LightNodesTest {

    private static final double G = 0.5;

    private static CanopyGrid box() {
        return new CanopyGrid(0.9, 0.7, 0.5, 0.1, G);
    }

    /** Depths of rays that differ from ray to ray, read straight down: each node sees its own ray. */
    @Test
    void underTheZenithANodeSeesItsOwnRay() {
        CanopyGrid grid = box();
        float[] depth = depths(grid, 4);
        for (int j = 0; j < grid.ny; j++) {
            for (int i = 0; i < grid.nx; i++) {
                double seen = read(grid, depth, 0, 0, (i + 0.5) * grid.hx, (j + 0.5) * grid.hy, 0.2);
                assertThat(seen).isCloseTo(Math.exp(-depth[j * grid.nx + i]), within(1e-5));
            }
        }
    }

    /** Slanted rays: node (i, j) of plane l stands at place i − l·tx, j − l·ty of the lattice, between four rays. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void underASlantItMixesTheFourRaysAboutIt(long seed) {
        Random random = new Random(seed);
        CanopyGrid grid = box();
        float[] depth = depths(grid, seed);
        double tx = 8 * random.nextDouble() - 4;
        double ty = 8 * random.nextDouble() - 4;
        int plane = 1 + random.nextInt(3);
        for (int n = 0; n < 20; n++) {
            int i = random.nextInt(grid.nx);
            int j = random.nextInt(grid.ny);
            double seen = read(grid, depth, tx, ty, (i + 0.5) * grid.hx, (j + 0.5) * grid.hy, plane * grid.hz);
            double expected = bilinear(grid, depth, i - plane * tx, j - plane * ty);
            assertThat(seen).isCloseTo(Math.exp(-expected), within(2e-5));
        }
    }

    /** Light of a single plane read for one point at a node; every other plane is open. */
    private static double read(CanopyGrid grid, float[] depth, double tx, double ty, double x, double y, double z) {
        LightNodes nodes = new LightNodes(grid, new double[] {x}, new double[] {y}, new double[] {z});
        LightNodes.Reader reader = nodes.reader();
        float[] open = new float[depth.length];
        int plane = (int) Math.round(z / grid.hz);
        for (int l = grid.nz; l >= 0; l--) {
            reader.read(l, tx, ty, l == plane ? depth : open);
        }
        return nodes.atPoints(reader.light())[0];
    }

    private static float[] depths(CanopyGrid grid, long seed) {
        Random random = new Random(seed);
        float[] depth = new float[grid.nx * grid.ny];
        for (int n = 0; n < depth.length; n++) {
            depth[n] = 4 * random.nextFloat();
        }
        return depth;
    }

    private static double bilinear(CanopyGrid grid, float[] depth, double u, double v) {
        double sum = 0;
        for (int b = 0; b <= 1; b++) {
            for (int a = 0; a <= 1; a++) {
                int i = (int) Math.floor(u) + a;
                int j = (int) Math.floor(v) + b;
                double share = (1 - Math.abs(u - i)) * (1 - Math.abs(v - j));
                sum += share * depth[Math.floorMod(j, grid.ny) * grid.nx + Math.floorMod(i, grid.nx)];
            }
        }
        return sum;
    }

    /** From open sky to far under a hedge: the series for exp(−depth) against the library's. */
    @Test
    void transmittedLightIsThatOfTheExponential() {
        CanopyGrid grid = box();
        for (double depth = 0; depth < 60; depth += 0.37) {
            float[] even = new float[grid.nx * grid.ny];
            java.util.Arrays.fill(even, (float) depth);
            assertThat(read(grid, even, 0.3, -0.2, 0.45, 0.35, 0.2)).isCloseTo(Math.exp(-depth), within(5e-6));
            assertThat(new LightNodes(grid, new double[0], new double[0], new double[0])
                            .reader()
                            .mean(even))
                    .isCloseTo(Math.exp(-depth), within(5e-6));
        }
    }

    @Test
    void withoutPointsThereAreNoNodes() {
        assertThat(new LightNodes(box(), new double[0], new double[0], new double[0]).count())
                .isZero();
    }
}
