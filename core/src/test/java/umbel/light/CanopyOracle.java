package umbel.light;

import umbel.wood.Setting;
import umbel.wood.Tree;

/**
 * Two judgements of a canopy that know nothing of where its single leaves are: the model of Jackson and Palmer (1979) for
 * canopies that do not cover the ground, and the same leaf spread evenly in the same envelope.
 *
 * @param leaf over the whole ground
 * @param through share of the light that would reach the ground if the envelope were solid
 * @param evenInterception share the evenly spread leaf catches
 * @param evenUnder30 share of the evenly spread leaf under 0.30 of open light
 * @param evenUnder50 share of it under 0.50
 */
record CanopyOracle(double leaf, double through, double evenInterception, double evenUnder30, double evenUnder50) {

    private static final double CELL = 0.20;
    private static final int GAP = 2;
    private static final int DIRECTIONS = 96;
    private static final double SOLID = 500;
    private static final double JACKSON_PALMER_K = 0.6;
    private static final double EVEN_G = 0.5;
    /** Leaf angle factor that extinguishes as the published coefficient does. */
    private static final double EVEN_G_FOR_SHARES = 0.4;

    static CanopyOracle of(Tree tree) {
        Setting setting = tree.setting();
        double leaf = tree.leafArea() / setting.place().ground();
        boolean[][][] envelope = envelope(tree);
        int cells = 0;
        for (boolean[][] layer : envelope) {
            for (boolean[] row : layer) {
                for (boolean cell : row) {
                    cells += cell ? 1 : 0;
                }
            }
        }
        Sky sky = SkyCache.season(DIRECTIONS, setting);
        double through = new PeriodicSweep(filled(tree, envelope, SOLID), new double[0], new double[0], new double[0])
                .under(sky)
                .ground();
        CanopyGrid shape = empty(tree);
        double density = tree.leafArea() / (cells * shape.hx * shape.hy * shape.hz);
        double caught = new PeriodicSweep(
                        filled(tree, envelope, EVEN_G * density), new double[0], new double[0], new double[0])
                .under(sky)
                .caught();
        double[] xs = new double[cells];
        double[] ys = new double[cells];
        double[] zs = new double[cells];
        int n = 0;
        for (int l = 0; l < envelope.length; l++) {
            for (int j = 0; j < envelope[l].length; j++) {
                for (int i = 0; i < envelope[l][j].length; i++) {
                    if (envelope[l][j][i]) {
                        xs[n] = (i + 0.5) * shape.hx;
                        ys[n] = (j + 0.5) * shape.hy;
                        zs[n++] = (l + 0.5) * shape.hz;
                    }
                }
            }
        }
        double[] light = new PeriodicSweep(filled(tree, envelope, EVEN_G_FOR_SHARES * density), xs, ys, zs)
                .under(sky)
                .light();
        return new CanopyOracle(leaf, through, caught, under(light, 0.3), under(light, 0.5));
    }

    /** Share of the ground's light the canopy catches, by Jackson and Palmer. */
    double interception() {
        double dense = leaf / (1 - through);
        return (1 - through) * (1 - Math.exp(-JACKSON_PALMER_K * dense));
    }

    /** Share of the leaf that gets less than a share of open light, by Jackson and Palmer. */
    double under(double light) {
        double above = (1 - through) * -Math.log(light) / JACKSON_PALMER_K;
        return Math.max(0, 1 - above / leaf);
    }

    private static double under(double[] light, double limit) {
        double under = 0;
        for (double one : light) {
            under += one < limit ? 1 : 0;
        }
        return under / light.length;
    }

    private static CanopyGrid empty(Tree tree) {
        Setting.Place place = tree.setting().place();
        return new CanopyGrid(place.inRow(), place.betweenRows(), LightModel.topOverGround(tree) + 0.4, CELL, 0.5);
    }

    private static CanopyGrid filled(Tree tree, boolean[][][] envelope, double k) {
        CanopyGrid grid = empty(tree);
        for (int l = 0; l < envelope.length; l++) {
            for (int j = 0; j < envelope[l].length; j++) {
                for (int i = 0; i < envelope[l][j].length; i++) {
                    if (envelope[l][j][i]) {
                        grid.set(l, j, i, k);
                    }
                }
            }
        }
        return grid;
    }

    /** Cells the tree's leaf stands in, with gaps between them closed along each axis. */
    private static boolean[][][] envelope(Tree tree) {
        CanopyGrid grid = empty(tree);
        CanopyFiller.fill(grid, tree, CELL, true);
        boolean[][][] in = new boolean[grid.nz][grid.ny][grid.nx];
        for (int l = 0; l < grid.nz; l++) {
            for (int j = 0; j < grid.ny; j++) {
                for (int i = 0; i < grid.nx; i++) {
                    in[l][j][i] = grid.get(l, j, i) > 0.02;
                }
            }
        }
        boolean[][][] closed = new boolean[grid.nz][grid.ny][grid.nx];
        int[][] ways = {{0, 0, 1}, {0, 1, 0}, {1, 0, 0}};
        for (int l = 0; l < grid.nz; l++) {
            for (int j = 0; j < grid.ny; j++) {
                for (int i = 0; i < grid.nx; i++) {
                    closed[l][j][i] = in[l][j][i];
                    for (int[] way : ways) {
                        closed[l][j][i] |= near(in, l, j, i, way, 1) && near(in, l, j, i, way, -1);
                    }
                }
            }
        }
        return closed;
    }

    private static boolean near(boolean[][][] in, int l, int j, int i, int[] way, int sense) {
        for (int step = 1; step <= GAP; step++) {
            int a = l + sense * step * way[0];
            int b = Math.floorMod(j + sense * step * way[1], in[0].length);
            int c = Math.floorMod(i + sense * step * way[2], in[0][0].length);
            if (a >= 0 && a < in.length && in[a][b][c]) {
                return true;
            }
        }
        return false;
    }
}
