package umbel.light;

/**
 * The corners of a lattice over a canopy's cells at which light is worked out, as far as points need them: in each plane
 * between two layers, the rectangle that holds the corners about its points. Each direction's rays are read at the nodes by
 * bilinear interpolation of the optical depth; the points lie between the nodes, and their light is mixed trilinearly.
 */
final class LightNodes {

    private final int nx;
    private final int ny;
    private final int points;
    /** Of each point: the cell under it in both directions, the plane under it, and how far towards the next it lies. */
    private final int[][] cell;

    private final float[][] share;
    /** Of each plane: first column and row and how many, and where its nodes begin. */
    private final int[] fromColumn;

    private final int[] columns;
    private final int[] fromRow;
    private final int[] rows;
    private final int[] begin;
    private final int largest;

    /** Points in row axes, metres; may lie outside the box and wrap round. */
    LightNodes(CanopyGrid grid, double[] xs, double[] ys, double[] zs) {
        nx = grid.nx;
        ny = grid.ny;
        points = zs.length;
        cell = new int[3][points];
        share = new float[3][points];
        int planes = grid.nz + 1;
        Extent[] extents = new Extent[planes];
        for (int p = 0; p < planes; p++) {
            extents[p] = new Extent();
        }
        for (int s = 0; s < points; s++) {
            locate(0, s, xs[s] / grid.hx - 0.5, nx);
            locate(1, s, ys[s] / grid.hy - 0.5, ny);
            double height = Math.max(0, Math.min(grid.nz, zs[s] / grid.hz));
            cell[2][s] = Math.min(grid.nz - 1, (int) height);
            share[2][s] = (float) (height - cell[2][s]);
            extents[cell[2][s]].hold(cell[0][s], cell[1][s]);
            extents[cell[2][s] + 1].hold(cell[0][s], cell[1][s]);
        }
        fromColumn = new int[planes];
        columns = new int[planes];
        fromRow = new int[planes];
        rows = new int[planes];
        begin = new int[planes + 1];
        int most = nx * ny;
        for (int p = 0; p < planes; p++) {
            Extent extent = extents[p];
            fromColumn[p] = extent.first(0, nx);
            columns[p] = extent.count(0, nx);
            fromRow[p] = extent.first(1, ny);
            rows[p] = extent.count(1, ny);
            begin[p + 1] = begin[p] + columns[p] * rows[p];
            most = Math.max(most, columns[p] * (rows[p] + 1));
        }
        largest = most;
    }

    private void locate(int axis, int s, double place, int count) {
        double floor = Math.floor(place);
        cell[axis][s] = Math.floorMod((int) floor, count);
        share[axis][s] = (float) (place - floor);
    }

    /** How many nodes there are. */
    int count() {
        return begin[begin.length - 1];
    }

    /**
     * Light at the points from light at the nodes.
     *
     * @param light in the order of {@link Reader#light()}
     */
    double[] atPoints(float[] light) {
        double[] at = new double[points];
        for (int s = 0; s < points; s++) {
            double up = share[2][s];
            at[s] = (1 - up) * inPlane(cell[2][s], s, light) + up * inPlane(cell[2][s] + 1, s, light);
        }
        return at;
    }

    private double inPlane(int plane, int s, float[] light) {
        int i0 = cell[0][s] - fromColumn[plane];
        int j0 = cell[1][s] - fromRow[plane];
        // a rectangle that takes the whole box in one direction wraps round
        int i1 = i0 + 1 == columns[plane] ? 0 : i0 + 1;
        int j1 = j0 + 1 == rows[plane] ? 0 : j0 + 1;
        int row0 = begin[plane] + j0 * columns[plane];
        int row1 = begin[plane] + j1 * columns[plane];
        double fu = share[0][s];
        double fv = share[1][s];
        return (1 - fv) * ((1 - fu) * light[row0 + i0] + fu * light[row0 + i1])
                + fv * ((1 - fu) * light[row1 + i0] + fu * light[row1 + i1]);
    }

    Reader reader() {
        return new Reader();
    }

    /** Columns and rows of the nodes in one plane. */
    private static final class Extent {

        private final int[] least = {Integer.MAX_VALUE, Integer.MAX_VALUE};
        private final int[] most = {-1, -1};

        void hold(int column, int row) {
            least[0] = Math.min(least[0], column);
            least[1] = Math.min(least[1], row);
            most[0] = Math.max(most[0], column + 1);
            most[1] = Math.max(most[1], row + 1);
        }

        /** The first column or row; all of them where the nodes lie across the edge of the box. */
        int first(int axis, int count) {
            return most[axis] < 0 || most[axis] >= count ? 0 : least[axis];
        }

        int count(int axis, int count) {
            return most[axis] < 0 ? 0 : most[axis] >= count ? count : most[axis] - least[axis] + 1;
        }
    }

    /**
     * Reads one direction's depths plane by plane. Steps are kept apart and arrays walked from the same place on, so that the
     * compiler takes many nodes at once.
     */
    final class Reader {

        private final float[] light = new float[count()];
        private final float[] here = new float[largest];
        private final float[] beside = new float[largest];
        /** A row of rays twice over, to be read round the box from any column on. */
        private final float[] turned = new float[2 * nx];

        /** Share of this direction's light that comes to each node, plane by plane, row by row. */
        float[] light() {
            return light;
        }

        /**
         * Reads a plane.
         *
         * @param plane under the layer of the same number
         * @param tx cells that a ray goes along in one layer
         * @param ty cells that a ray goes across in one layer
         * @param depth of each ray, row by row
         */
        void read(int plane, double tx, double ty, float[] depth) {
            int wide = columns[plane];
            int many = wide * rows[plane];
            if (many == 0) {
                return;
            }
            double alongX = wrapped(-plane * tx, nx);
            double alongY = wrapped(-plane * ty, ny);
            int ox = Math.min(nx - 1, (int) alongX);
            int oy = Math.min(ny - 1, (int) alongY);
            int column = (fromColumn[plane] + ox) % nx;
            int row = (fromRow[plane] + oy) % ny;
            for (int j = 0; j <= rows[plane]; j++) {
                System.arraycopy(depth, row * nx, turned, 0, nx);
                System.arraycopy(depth, row * nx, turned, nx, nx);
                System.arraycopy(turned, column, here, j * wide, wide);
                System.arraycopy(turned, column + 1, beside, j * wide, wide);
                row = row + 1 == ny ? 0 : row + 1;
            }
            mix(here, beside, (float) (alongX - ox), many + wide);
            System.arraycopy(here, wide, beside, 0, many);
            mix(here, beside, (float) (alongY - oy), many);
            transmit(here, many);
            System.arraycopy(here, 0, light, begin[plane], many);
        }

        /** The mean light under all rays. */
        double mean(float[] depth) {
            System.arraycopy(depth, 0, here, 0, nx * ny);
            transmit(here, nx * ny);
            double sum = 0;
            for (int n = 0; n < nx * ny; n++) {
                sum += here[n];
            }
            return sum / (nx * ny);
        }
    }

    private static double wrapped(double place, int count) {
        return place - Math.floor(place / count) * count;
    }

    private static void mix(float[] here, float[] beside, float share, int many) {
        for (int n = 0; n < many; n++) {
            here[n] += share * (beside[n] - here[n]);
        }
    }

    /** Depths become light: exp(−depth), the 32nd power of the inverse of a short series; right to 4·10⁻⁶. */
    private static void transmit(float[] values, int many) {
        for (int n = 0; n < many; n++) {
            float x = values[n] * (1 / 32f);
            float e = 1 / (1 + x * (1 + x * (1 / 2f + x * (1 / 6f + x * (1 / 24f)))));
            e *= e;
            e *= e;
            e *= e;
            e *= e;
            values[n] = e * e;
        }
    }
}
