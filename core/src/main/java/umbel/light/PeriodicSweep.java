package umbel.light;

import java.util.Arrays;
import java.util.stream.IntStream;
import umbel.compute.Cancellation;

/**
 * Light at points in a periodic canopy: for each sky direction one sweep from the top layer to the ground carries the
 * optical depth of a lattice of parallel rays; points read it by interpolation. Exact along each ray of the lattice.
 *
 * <p>Cost: about one nanosecond for each cell and direction, and sixty for each point and direction. Directions are
 * computed in parallel and summed in fixed order, so the answer does not depend on the number of threads.
 */
public final class PeriodicSweep {

    private static final int TABLE_STEPS = 256;
    private static final int TABLE_END = 24;
    private static final float[] EXP = table();

    private final CanopyGrid grid;
    private final int points;
    private final double[][] us;
    private final int[] byLayer;
    private final int[] layerStart;
    private final int[][] filledRuns;

    /** Points in row axes, metres; {@code x} and {@code y} may lie outside the box and wrap round. */
    public PeriodicSweep(CanopyGrid grid, double[] xs, double[] ys, double[] zs) {
        this.grid = grid;
        this.points = zs.length;
        grid.unroll();
        this.us = new double[3][points];
        for (int s = 0; s < points; s++) {
            us[0][s] = xs[s] / grid.hx - 0.5;
            us[1][s] = ys[s] / grid.hy - 0.5;
            us[2][s] = zs[s] / grid.hz;
        }
        this.layerStart = new int[grid.nz + 1];
        for (double z : zs) {
            layerStart[layerOf(z) + 1]++;
        }
        for (int l = 0; l < grid.nz; l++) {
            layerStart[l + 1] += layerStart[l];
        }
        filledRuns = new int[grid.nz][];
        for (int l = 0; l < grid.nz; l++) {
            filledRuns[l] = runs(grid.filled[l]);
        }
        byLayer = new int[zs.length];
        int[] next = layerStart.clone();
        for (int s = 0; s < zs.length; s++) {
            byLayer[next[layerOf(zs[s])]++] = s;
        }
    }

    /** The runs of rows with leaf or wood: first row and the row after the last, one pair a run. */
    private static int[] runs(boolean[] filled) {
        int[] runs = new int[filled.length + 1];
        int n = 0;
        for (int j = 0; j < filled.length; j++) {
            boolean before = j > 0 && filled[j - 1];
            if (filled[j] && !before) {
                runs[n++] = j;
            }
            if (!filled[j] && before) {
                runs[n++] = j;
            }
        }
        if (n % 2 == 1) {
            runs[n++] = filled.length;
        }
        return Arrays.copyOf(runs, n);
    }

    /**
     * What one sweep found.
     *
     * @param light share of open-sky light at each point, 0…1
     * @param ground share of the open level sky's light reaching the ground, 0…1
     * @param caught share of what came to the box that leaf and wood caught, 0…1
     */
    public record Result(double[] light, double ground, double caught) {}

    /** Light under the whole sky. */
    public Result under(Sky sky) {
        Cancellation.check();
        int directions = sky.size();
        float[][] through = new float[directions][];
        double[] ground = new double[directions];
        IntStream.range(0, directions).parallel().forEach(m -> {
            float[] tau = new float[points];
            ground[m] = sweep(sky.direction(m), tau);
            for (int s = 0; s < tau.length; s++) {
                tau[s] = exp(tau[s]);
            }
            through[m] = tau;
        });
        double[] light = new double[points];
        double reached = 0;
        for (int m = 0; m < directions; m++) {
            double weight = sky.weight(m);
            reached += weight * ground[m];
            for (int s = 0; s < light.length; s++) {
                light[s] += weight * through[m][s];
            }
        }
        return new Result(light, reached, 1 - reached / sky.total());
    }

    /** Optical depth at each point towards one unit direction. */
    public float[] opticalDepths(double[] direction) {
        float[] tau = new float[points];
        sweep(direction, tau);
        return tau;
    }

    private double sweep(double[] d, float[] tau) {
        int nx = grid.nx;
        int ny = grid.ny;
        double tx = d[0] / d[2] * grid.hz / grid.hx;
        double ty = d[1] / d[2] * grid.hz / grid.hy;
        double path = grid.hz / d[2];
        // rows as far apart as those of the layers: the second half of a row holds nothing of worth
        float[] depth = new float[2 * nx * ny];
        float[] above = new float[depth.length];
        float[] laid = new float[depth.length];
        for (int l = grid.nz - 1; l >= 0; l--) {
            boolean read = layerStart[l + 1] > layerStart[l];
            if (read) {
                System.arraycopy(depth, 0, above, 0, depth.length);
            }
            if (filledRuns[l].length > 0) {
                addLayer(l, 0.5 + l * tx, tx, 0.5 + l * ty, ty, path, depth, laid);
            }
            for (int n = layerStart[l]; n < layerStart[l + 1]; n++) {
                int s = byLayer[n];
                double inLayer = Math.max(0, Math.min(1, us[2][s] - l));
                tau[s] = (float) mixed(above, depth, inLayer, us[0][s] - us[2][s] * tx, us[1][s] - us[2][s] * ty);
            }
        }
        double reached = 0;
        for (int j = 0; j < ny; j++) {
            for (int i = 0; i < nx; i++) {
                reached += exp(depth[2 * j * nx + i]);
            }
        }
        return reached / (nx * ny);
    }

    /** Adds what rays meet in one layer: piece by piece between the cell walls they cross, x from {@code x0} on and y from {@code y0}. */
    private void addLayer(int l, double x0, double tx, double y0, double ty, double path, float[] depth, float[] laid) {
        int ox = Math.floorMod((int) Math.floor(x0), grid.nx);
        int oy = Math.floorMod((int) Math.floor(y0), grid.ny);
        double stepX = 1 / Math.abs(tx);
        double stepY = 1 / Math.abs(ty);
        double wallX = firstWall(x0, tx);
        double wallY = firstWall(y0, ty);
        double at = 0;
        while (at < 1) {
            double next = Math.min(1, Math.min(wallX, wallY));
            if (next > at) {
                addShifted(l, ox, oy, (float) ((next - at) * path), depth, laid);
            }
            if (wallX <= next) {
                ox = neighbour(ox, tx, grid.nx);
                wallX += stepX;
            }
            if (wallY <= next) {
                oy = neighbour(oy, ty, grid.ny);
                wallY += stepY;
            }
            at = next;
        }
    }

    /** Where in the layer, 0 at its foot and 1 at its head, the first wall is crossed. */
    private static double firstWall(double start, double slope) {
        double within = start - Math.floor(start);
        return slope == 0 ? Double.POSITIVE_INFINITY : slope > 0 ? (1 - within) / slope : within / -slope;
    }

    private static int neighbour(int cell, double slope, int count) {
        return slope > 0 ? (cell + 1 == count ? 0 : cell + 1) : (cell == 0 ? count : cell) - 1;
    }

    /** Adds a layer, seen from rays shifted by whole cells, to the depths; rows without leaf or wood are passed over. */
    private void addShifted(int l, int ox, int oy, float length, float[] depth, float[] laid) {
        float[] layer = grid.layers[l];
        int[] runs = filledRuns[l];
        for (int n = 0; n < runs.length; n += 2) {
            // rows under the shift lie at their number less oy; the run is cut where that wraps round
            int cut = Math.max(runs[n], Math.min(runs[n + 1], oy));
            addRows(depth, runs[n] - oy + grid.ny, layer, runs[n], cut, ox, length, laid);
            addRows(depth, cut - oy, layer, cut, runs[n + 1], ox, length, laid);
        }
    }

    /**
     * Adds neighbouring rows as one stretch. The stretch is laid where it is added first: only then does the compiler see
     * that the two cannot overlap, and takes many cells at once.
     */
    private void addRows(
            float[] depth, int row, float[] layer, int fromRow, int toRow, int ox, float length, float[] laid) {
        if (toRow <= fromRow) {
            return;
        }
        int stride = 2 * grid.nx;
        int start = row * stride;
        int end = start + (toRow - fromRow - 1) * stride + grid.nx;
        System.arraycopy(layer, fromRow * stride + ox, laid, start, end - start);
        add(depth, laid, start, end, length);
    }

    private static void add(float[] depth, float[] laid, int start, int end, float length) {
        for (int i = start; i < end; i++) {
            depth[i] += length * laid[i];
        }
    }

    /** Bilinear in both planes at one wrapped place, mixed by height in the layer. */
    private double mixed(float[] above, float[] below, double inLayer, double u, double v) {
        int nx = grid.nx;
        int ny = grid.ny;
        double x = u - Math.floor(u / nx) * nx;
        double y = v - Math.floor(v / ny) * ny;
        int i0 = Math.min(nx - 1, (int) x);
        int j0 = Math.min(ny - 1, (int) y);
        double fu = x - i0;
        double fv = y - j0;
        int i1 = i0 + 1 == nx ? 0 : i0 + 1;
        int row0 = 2 * j0 * nx;
        int row1 = j0 + 1 == ny ? 0 : row0 + 2 * nx;
        double w00 = (1 - fu) * (1 - fv);
        double w10 = fu * (1 - fv);
        double w01 = (1 - fu) * fv;
        double w11 = fu * fv;
        double over = w00 * above[row0 + i0] + w10 * above[row0 + i1] + w01 * above[row1 + i0] + w11 * above[row1 + i1];
        double under =
                w00 * below[row0 + i0] + w10 * below[row0 + i1] + w01 * below[row1 + i0] + w11 * below[row1 + i1];
        return inLayer * over + (1 - inLayer) * under;
    }

    private int layerOf(double z) {
        return Math.max(0, Math.min(grid.nz - 1, (int) Math.floor(z / grid.hz)));
    }

    private static float exp(float depth) {
        if (depth >= TABLE_END) {
            return 0;
        }
        float place = Math.max(0, depth) * TABLE_STEPS;
        int i = (int) place;
        return EXP[i] + (EXP[i + 1] - EXP[i]) * (place - i);
    }

    private static float[] table() {
        float[] table = new float[TABLE_STEPS * TABLE_END + 2];
        for (int i = 0; i < table.length; i++) {
            table[i] = (float) Math.exp(-i / (double) TABLE_STEPS);
        }
        return table;
    }
}
