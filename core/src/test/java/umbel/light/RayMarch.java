package umbel.light;

/** A slow, plain march of one ray from cell to cell: an oracle that shares nothing with the sweep. */
final class RayMarch {

    private RayMarch() {}

    /** Optical depth from a point out of the top of the box, towards a unit direction. */
    static double depth(CanopyGrid grid, double x, double y, double z, double[] d) {
        double[] at = {x / grid.hx, y / grid.hy, z / grid.hz};
        double[] step = {d[0] / grid.hx, d[1] / grid.hy, d[2] / grid.hz};
        double depth = 0;
        while (at[2] < grid.nz - 1e-9) {
            double nearest = Double.MAX_VALUE;
            for (int axis = 0; axis < 3; axis++) {
                if (Math.abs(step[axis]) > 1e-12) {
                    double wall = step[axis] > 0 ? Math.floor(at[axis] + 1e-9) + 1 : Math.ceil(at[axis] - 1e-9) - 1;
                    nearest = Math.min(nearest, (wall - at[axis]) / step[axis]);
                }
            }
            int i = (int) Math.floor(at[0] + step[0] * nearest / 2);
            int j = (int) Math.floor(at[1] + step[1] * nearest / 2);
            int l = (int) Math.floor(at[2] + step[2] * nearest / 2);
            depth += nearest * grid.get(l, Math.floorMod(j, grid.ny), Math.floorMod(i, grid.nx));
            for (int axis = 0; axis < 3; axis++) {
                at[axis] += step[axis] * nearest;
            }
        }
        return depth;
    }

    /** Share of one direction's light that is caught, summed cell by cell along rays through the ground's cell centres. */
    static double caughtFromAbove(CanopyGrid grid, double[] d) {
        double caught = 0;
        for (int j = 0; j < grid.ny; j++) {
            for (int i = 0; i < grid.nx; i++) {
                double light = 1;
                double x = (i + 0.5) * grid.hx;
                double y = (j + 0.5) * grid.hy;
                double below = 0;
                for (int l = grid.nz - 1; l >= 0; l--) {
                    double z = l * grid.hz;
                    double to = depth(grid, x + z * d[0] / d[2], y + z * d[1] / d[2], z, d);
                    double left = Math.exp(-to);
                    below += light - left;
                    light = left;
                }
                caught += below;
            }
        }
        return caught / (grid.nx * grid.ny);
    }
}
