package umbel.light;

import java.util.Arrays;
import java.util.stream.IntStream;
import umbel.compute.Cancellation;

/**
 * Light at points in a periodic canopy. For each sky direction one sweep from the top layer to the ground carries the optical
 * depth of a lattice of parallel rays, exact along each ray; {@link LightNodes} near the points read it, sum the light of all
 * directions and are mixed at the points.
 *
 * <p>The cost grows with cells and directions, and with nodes and directions; hardly with the points. The directions are
 * dealt out to a fixed number of parts, which are computed in parallel and summed in fixed order, so that the answer does not
 * depend on the number of threads.
 */
public final class PeriodicSweep {

    private static final int PARTS = 8;

    private final CanopyGrid grid;
    private final LightNodes nodes;
    private final int[][] filledRuns;

    /** Points in row axes, metres; {@code x} and {@code y} may lie outside the box and wrap round. */
    public PeriodicSweep(CanopyGrid grid, double[] xs, double[] ys, double[] zs) {
        this.grid = grid;
        this.nodes = new LightNodes(grid, xs, ys, zs);
        grid.unroll();
        filledRuns = new int[grid.nz][];
        for (int l = 0; l < grid.nz; l++) {
            filledRuns[l] = runs(grid.filled[l]);
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
        float[][] light = new float[PARTS][];
        double[] ground = new double[PARTS];
        IntStream.range(0, PARTS).parallel().forEach(part -> {
            LightNodes.Reader reader = nodes.reader();
            float[] depth = new float[grid.nx * grid.ny];
            float[] laid = new float[depth.length];
            float[] sum = new float[nodes.count()];
            for (int m = part; m < sky.size(); m += PARTS) {
                Arrays.fill(depth, 0);
                sweep(sky.direction(m), depth, laid, reader);
                ground[part] += sky.weight(m) * reader.mean(depth);
                add(sum, reader.light(), 0, sum.length, (float) sky.weight(m));
            }
            light[part] = sum;
        });
        float[] all = light[0];
        double reached = ground[0];
        for (int part = 1; part < PARTS; part++) {
            add(all, light[part], 0, all.length, 1);
            reached += ground[part];
        }
        return new Result(nodes.atPoints(all), reached, 1 - reached / sky.total());
    }

    /** Carries the depths of one direction down to the ground and lets each plane be read. */
    private void sweep(double[] d, float[] depth, float[] laid, LightNodes.Reader reader) {
        double tx = d[0] / d[2] * grid.hz / grid.hx;
        double ty = d[1] / d[2] * grid.hz / grid.hy;
        double path = grid.hz / d[2];
        reader.read(grid.nz, tx, ty, depth);
        for (int l = grid.nz - 1; l >= 0; l--) {
            if (filledRuns[l].length > 0) {
                addLayer(l, 0.5 + l * tx, tx, 0.5 + l * ty, ty, path, depth, laid);
            }
            reader.read(l, tx, ty, depth);
        }
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
     * Adds neighbouring rows as one stretch. The rows are laid where they are added first: only then does the compiler see
     * that the two cannot overlap, and takes many cells at once.
     */
    private void addRows(
            float[] depth, int row, float[] layer, int fromRow, int toRow, int ox, float length, float[] laid) {
        int nx = grid.nx;
        for (int j = fromRow; j < toRow; j++) {
            System.arraycopy(layer, j * 2 * nx + ox, laid, (row + j - fromRow) * nx, nx);
        }
        add(depth, laid, row * nx, (row + Math.max(0, toRow - fromRow)) * nx, length);
    }

    private static void add(float[] depth, float[] laid, int start, int end, float length) {
        for (int i = start; i < end; i++) {
            depth[i] += length * laid[i];
        }
    }
}
