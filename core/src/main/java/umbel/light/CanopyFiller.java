package umbel.light;

import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Course;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Places the leaves and the wood of a tree in a canopy grid, always in the order of the axes, so that equal trees give
 * equal bits. Leaves stand about the wood on their stalks: each point's leaf is spread through a ball, less by what the
 * grid itself spreads; cells as wide as that need nothing more.
 */
final class CanopyFiller {

    private static final int AROUND_COUNT = 12;
    private static final int SHELL_STEP = 5;
    private static final double[][] AROUND = evenlyAround();

    private final CanopyGrid grid;
    private final Tree tree;
    private final double every;
    private final double spread;
    private final double sin;
    private final double cos;
    private final double east;
    private final double north;
    private final double middleX;
    private final double middleY;

    CanopyFiller(CanopyGrid grid, Tree tree, double cell) {
        this.grid = grid;
        this.tree = tree;
        Setting setting = tree.setting();
        every = 0.8 * cell;
        // spreading over cells and reading between them moves leaf by a root mean square of about one cell edge already
        double wanted = setting.parameters().light().leafSpreadCm() / 100;
        spread = Math.sqrt(Math.max(0, wanted * wanted - cell * cell));
        sin = Math.sin(setting.place().rowBearing());
        cos = Math.cos(setting.place().rowBearing());
        east = setting.place().slope().east();
        north = setting.place().slope().north();
        middleX = setting.place().inRow() / 2;
        middleY = setting.place().betweenRows() / 2;
    }

    /** Points spread evenly through a ball whose root mean square radius is one: a golden spiral, each shell in turn. */
    private static double[][] evenlyAround() {
        double[][] points = new double[AROUND_COUNT][];
        double ball = Math.sqrt(5.0 / 3);
        for (int i = 0; i < AROUND_COUNT; i++) {
            double z = 1 - (2 * i + 1.0) / AROUND_COUNT;
            double angle = Math.PI * (3 - Math.sqrt(5)) * i;
            double radius = ball * Math.cbrt((i * SHELL_STEP % AROUND_COUNT + 0.5) / AROUND_COUNT);
            double level = radius * Math.sqrt(1 - z * z);
            points[i] = new double[] {level * Math.cos(angle), level * Math.sin(angle), radius * z};
        }
        return points;
    }

    void fill() {
        for (Axis axis : tree.axes()) {
            if (axis.kind() == AxisKind.SPUR) {
                leaf(axis.course().point(axis.course().size() - 1), axis.leafArea());
                continue;
            }
            if (axis.leafArea() > 0) {
                double start = axis.kind().isSmallWood() ? 0 : axis.length() - axis.lastGrowth();
                alongLeaves(axis, start);
            }
            alongWood(axis);
        }
    }

    private void alongLeaves(Axis axis, double start) {
        double span = axis.length() - start;
        int points = Math.max(1, (int) Math.ceil(span / Math.max(every, spread)));
        for (int i = 0; i < points; i++) {
            leaf(axis.course().at(start + span * (i + 0.5) / points), axis.leafArea() / points);
        }
    }

    /** Wood as the leaf area that would stop as much light: half its bark. */
    private void alongWood(Axis axis) {
        Course course = axis.course();
        for (int i = 1; i < course.size(); i++) {
            double length = course.along(i) - course.along(i - 1);
            int pieces = Math.max(1, (int) Math.ceil(length / every));
            Vec from = course.point(i - 1);
            Vec to = course.point(i);
            double thick = axis.diameters()[i - 1];
            double thin = axis.diameters()[i];
            for (int k = 0; k < pieces; k++) {
                double share = (k + 0.5) / pieces;
                double diameter = thick + (thin - thick) * share;
                deposit(
                        from.x() + (to.x() - from.x()) * share,
                        from.y() + (to.y() - from.y()) * share,
                        from.z() + (to.z() - from.z()) * share,
                        Math.PI * diameter * length / pieces / 2);
            }
        }
    }

    private void leaf(Vec at, double area) {
        if (spread == 0) {
            deposit(at.x(), at.y(), at.z(), area);
            return;
        }
        for (double[] away : AROUND) {
            deposit(
                    at.x() + away[0] * spread,
                    at.y() + away[1] * spread,
                    at.z() + away[2] * spread,
                    area / AROUND.length);
        }
    }

    private void deposit(double x, double y, double z, double area) {
        grid.deposit(x * sin + y * cos + middleX, x * cos - y * sin + middleY, z - east * x - north * y, area);
    }
}
