package umbel.light;

import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Light along all wood of a tree, read at the middles of even cells once and mixed between them afterwards, so that
 * thousands of buds can be asked at little cost. Away from the tree's wood it is not known, and told as open sky. Coarser than {@link LightModel#read(Tree)}: for growth, not for
 * the reading.
 */
public final class LightField {

    private final Setting setting;
    private final int nx;
    private final int ny;
    private final int nz;
    private final double cell;
    private final double hx;
    private final double hy;
    private final double[] light;
    private final double caught;

    private LightField(Setting setting, int nx, int ny, int nz, double cell, double[] light, double caught) {
        this.setting = setting;
        this.nx = nx;
        this.ny = ny;
        this.nz = nz;
        this.cell = cell;
        this.hx = setting.place().inRow() / nx;
        this.hy = setting.place().betweenRows() / ny;
        this.light = light;
        this.caught = caught;
    }

    /**
     * The field of a tree among its like.
     *
     * @param cell edge, metres
     * @param directions of the sky that are looked into
     */
    public static LightField of(Tree tree, double cell, int directions) {
        Setting setting = tree.setting();
        int nx = Math.max(1, (int) Math.round(setting.place().inRow() / cell));
        int ny = Math.max(1, (int) Math.round(setting.place().betweenRows() / cell));
        int nz = Math.max(1, (int) Math.ceil(LightModel.topOverGround(tree) / cell) + 1);
        double hx = setting.place().inRow() / nx;
        double hy = setting.place().betweenRows() / ny;
        boolean[] asked = new boolean[nx * ny * nz];
        for (Axis axis : tree.axes()) {
            mark(axis, setting, hx, hy, cell, nx, ny, nz, asked);
        }
        int count = 0;
        for (boolean one : asked) {
            count += one ? 1 : 0;
        }
        double[][] away = LightModel.outside(setting);
        double[] xs = new double[count * away.length];
        double[] ys = new double[xs.length];
        double[] zs = new double[xs.length];
        int n = 0;
        for (int c = 0; c < asked.length; c++) {
            for (int k = 0; asked[c] && k < away.length; k++) {
                xs[n] = (c % nx + 0.5) * hx + away[k][0];
                ys[n] = (c / nx % ny + 0.5) * hy + away[k][1];
                zs[n] = (c / (nx * ny) + 0.5) * cell + away[k][2];
                n++;
            }
        }
        PeriodicSweep.Result result = LightModel.sweepInRow(tree, xs, ys, zs, cell, directions, false);
        double[] outside = LightModel.lightest(result.light(), away.length);
        double[] light = new double[asked.length];
        n = 0;
        for (int c = 0; c < asked.length; c++) {
            light[c] = asked[c] ? outside[n++] : 1;
        }
        return new LightField(setting, nx, ny, nz, cell, light, result.caught());
    }

    /** Marks the cells whose light is needed to read any place along an axis. */
    private static void mark(
            Axis axis, Setting setting, double hx, double hy, double cell, int nx, int ny, int nz, boolean[] asked) {
        int steps = (int) Math.ceil(2 * axis.length() / cell);
        for (int s = 0; s <= steps; s++) {
            double[] at = LightModel.inBox(setting, axis.course().at(axis.length() * s / Math.max(1, steps)));
            int i = (int) Math.floor(at[0] / hx - 0.5);
            int j = (int) Math.floor(at[1] / hy - 0.5);
            int l = (int) Math.floor(at[2] / cell - 0.5);
            for (int corner = 0; corner < 8; corner++) {
                int x = Math.floorMod(i + (corner & 1), nx);
                int y = Math.floorMod(j + (corner >> 1 & 1), ny);
                int z = Math.max(0, Math.min(nz - 1, l + (corner >> 2)));
                asked[(z * ny + y) * nx + x] = true;
            }
        }
    }

    /** Share of the light on the whole ground that leaf and wood catch, 0…1. */
    public double caught() {
        return caught;
    }

    /** Light at a place about the tree, share of open sky. */
    public double at(Vec place) {
        double[] at = LightModel.inBox(setting, place);
        double u = at[0] / hx - 0.5;
        double v = at[1] / hy - 0.5;
        double w = Math.max(0, Math.min(nz - 1.0, at[2] / cell - 0.5));
        int i = (int) Math.floor(u);
        int j = (int) Math.floor(v);
        int l = Math.min(nz - 1, (int) w);
        int above = Math.min(nz - 1, l + 1);
        double fw = w - l;
        return (1 - fw) * level(l, i, j, u - i, v - j) + fw * level(above, i, j, u - i, v - j);
    }

    private double level(int l, int i, int j, double fu, double fv) {
        int i0 = Math.floorMod(i, nx);
        int i1 = i0 + 1 == nx ? 0 : i0 + 1;
        int j0 = Math.floorMod(j, ny);
        int j1 = j0 + 1 == ny ? 0 : j0 + 1;
        int row0 = (l * ny + j0) * nx;
        int row1 = (l * ny + j1) * nx;
        return (1 - fv) * ((1 - fu) * light[row0 + i0] + fu * light[row0 + i1])
                + fv * ((1 - fu) * light[row1 + i0] + fu * light[row1 + i1]);
    }
}
