package umbel.light;

import java.util.Arrays;

/**
 * Extinction in a periodic box of cells round one tree: the same tree stands again at every spacing. Leaf and wood are
 * spread over the eight nearest cells of each point. Cells are kept as {@code k} = extinction coefficient × leaf area
 * density, 1/m. Each row has room beside it for itself once more, so that a shifted row is one copy.
 */
public final class CanopyGrid {

    final int nx;
    final int ny;
    final int nz;
    final double hx;
    final double hy;
    final double hz;
    final float[][] layers;
    final boolean[][] filled;

    private final double extinction;

    /**
     * An empty box.
     *
     * @param along box length along the row, metres
     * @param across box length across the row, metres
     * @param height least height, metres
     * @param cell wished cell edge, metres; edges are adjusted so that a whole number fits
     * @param extinction share of leaf area a direction sees on average, 0.5 for leaves facing all ways
     */
    public CanopyGrid(double along, double across, double height, double cell, double extinction) {
        nx = Math.max(1, (int) Math.round(along / cell));
        ny = Math.max(1, (int) Math.round(across / cell));
        hx = along / nx;
        hy = across / ny;
        hz = cell;
        nz = Math.max(1, (int) Math.ceil(height / cell) + 1);
        layers = new float[nz][2 * nx * ny];
        filled = new boolean[nz][ny];
        this.extinction = extinction;
    }

    private CanopyGrid(CanopyGrid like) {
        nx = like.nx;
        ny = like.ny;
        nz = like.nz;
        hx = like.hx;
        hy = like.hy;
        hz = like.hz;
        layers = new float[nz][2 * nx * ny];
        filled = new boolean[nz][ny];
        extinction = like.extinction;
    }

    /** Number of cells such a box has, without making it. */
    static long cells(double along, double across, double height, double cell) {
        return Math.max(1, Math.round(along / cell))
                * Math.max(1, Math.round(across / cell))
                * ((long) Math.ceil(height / cell) + 1);
    }

    /** Cells in the box. */
    public int size() {
        return nx * ny * nz;
    }

    /** Adds area (m² of leaf, or of wood as its leaf equivalent) about a point; x and y in row axes wrap round. */
    public void deposit(double x, double y, double z, double area) {
        double k = extinction * area / (hx * hy * hz);
        double u = x / hx - 0.5;
        double v = y / hy - 0.5;
        double w = Math.max(0, Math.min(nz - 1.0, z / hz - 0.5));
        int i = (int) Math.floor(u);
        int j = (int) Math.floor(v);
        int i0 = wrapped(i, nx);
        int i1 = i0 + 1 == nx ? 0 : i0 + 1;
        int j0 = wrapped(j, ny);
        int j1 = j0 + 1 == ny ? 0 : j0 + 1;
        int l = Math.min(nz - 1, (int) w);
        double fu = u - i;
        double fv = v - j;
        double fw = w - l;
        for (int c = 0; c <= 1; c++) {
            int layer = Math.min(nz - 1, l + c);
            double pz = c == 0 ? 1 - fw : fw;
            if (pz <= 0) {
                continue;
            }
            for (int b = 0; b <= 1; b++) {
                int row = b == 0 ? j0 : j1;
                double pb = k * pz * (b == 0 ? 1 - fv : fv);
                filled[layer][row] = true;
                float[] cells = layers[layer];
                int start = 2 * row * nx;
                cells[start + i0] += (float) (pb * (1 - fu));
                cells[start + i1] += (float) (pb * fu);
            }
        }
    }

    /** Into 0…count−1; most places lie in the box already. */
    private static int wrapped(int i, int count) {
        return i >= 0 && i < count ? i : Math.floorMod(i, count);
    }

    /** Fills a whole layer evenly with {@code k}, 1/m. */
    public void fillLayer(int layer, double k) {
        Arrays.fill(filled[layer], true);
        Arrays.fill(layers[layer], (float) k);
    }

    /** Sets one cell's {@code k}, 1/m. */
    public void set(int layer, int j, int i, double k) {
        filled[layer][j] = true;
        int row = j * 2 * nx;
        layers[layer][row + i] = (float) k;
    }

    /** One cell's {@code k}, 1/m. */
    public double get(int layer, int j, int i) {
        return layers[layer][j * 2 * nx + i];
    }

    /** An empty box of the same cells. */
    CanopyGrid another() {
        return new CanopyGrid(this);
    }

    /** Adds what stands in another box of the same cells. */
    void add(CanopyGrid other) {
        for (int l = 0; l < nz; l++) {
            for (int j = 0; j < ny; j++) {
                if (other.filled[l][j]) {
                    filled[l][j] = true;
                    addRow(layers[l], other.layers[l], 2 * j * nx, (2 * j + 1) * nx);
                }
            }
        }
    }

    private static void addRow(float[] to, float[] from, int start, int end) {
        for (int at = start; at < end; at++) {
            to[at] += from[at];
        }
    }

    /** Writes every row a second time beside itself; to be done again after cells change. */
    void unroll() {
        for (int l = 0; l < nz; l++) {
            for (int j = 0; j < ny; j++) {
                if (filled[l][j]) {
                    System.arraycopy(layers[l], 2 * j * nx, layers[l], (2 * j + 1) * nx, nx);
                }
            }
        }
    }
}
