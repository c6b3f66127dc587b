package umbel.light;

import java.util.ArrayList;
import java.util.List;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Light on an upright plane through the trunk, as if the tree in leaf were sliced.
 *
 * @param bearing the plane's direction, radians from north; {@code from} to the left, rising to the right
 * @param from level distance from the trunk where the first column stands, metres, negative to the left
 * @param step between columns and between rows, metres
 * @param columns number of columns
 * @param light share of open sky by row from the ground up, then column
 */
public record LightSection(double bearing, double from, double step, int columns, double[] light) {

    private static final double STEP = 0.15;

    /** The section along one bearing. */
    public static LightSection of(Tree tree, double bearing) {
        double reach = 0;
        for (Axis axis : tree.axes()) {
            for (int i = 0; i < axis.course().size(); i++) {
                reach = Math.max(reach, axis.course().point(i).level().length());
            }
        }
        int half = (int) Math.ceil((reach + STEP) / STEP);
        int rows = (int) Math.ceil((tree.top() + STEP) / STEP);
        List<Vec> places = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = -half; column <= half; column++) {
                Vec level = Vec.heading(bearing, Math.PI / 2).times(column * STEP);
                places.add(new Vec(level.x(), level.y(), (row + 0.5) * STEP));
            }
        }
        return new LightSection(
                bearing, -half * STEP, STEP, 2 * half + 1, LightModel.at(tree, places, LightResolution.CLOSE));
    }
}
