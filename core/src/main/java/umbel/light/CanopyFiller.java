package umbel.light;

import java.util.stream.IntStream;
import umbel.knowledge.Species;
import umbel.wood.Axis;
import umbel.wood.Course;
import umbel.wood.LateralTwigs;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Places the leaves and the wood of a tree in a canopy grid, always in the order of the axes, so that equal trees give
 * equal bits. Leaves stand about the wood on their stalks: each point's leaf is spread through a ball, less by what the
 * grid itself spreads; cells as wide as that need nothing more. A winter's tree is put in the leaf of the coming season:
 * half the leaf of last season's shoots and ends then stands on what grows beyond them.
 */
final class CanopyFiller {

    private static final double[][] AROUND = evenlyAround(12, 5);
    private static final double[][] AROUND_ESTIMATED = evenlyAround(4, 1);

    private static final int FILLED_AT_ONCE = 600;

    private final CanopyGrid grid;
    private final Tree tree;
    private final Setting setting;
    private final Species.Canopy canopy;
    private final boolean coming;
    private final double season;
    private final double every;
    private final double spread;
    private final double sin;
    private final double cos;
    private final double east;
    private final double north;
    private final double middleX;
    private final double middleY;

    private CanopyFiller(CanopyGrid grid, Tree tree, double cell, boolean coming) {
        this.grid = grid;
        this.tree = tree;
        this.coming = coming;
        setting = tree.setting();
        canopy = setting.species().canopy();
        season = ComingShoot.season(setting);
        every = 0.8 * cell;
        // spreading over cells and reading between them moves leaf by a root mean square of about one cell edge already
        double wanted = canopy.spreadCm() / 100;
        spread = Math.sqrt(Math.max(0, wanted * wanted - cell * cell));
        sin = Math.sin(setting.place().rowBearing());
        cos = Math.cos(setting.place().rowBearing());
        east = setting.place().slope().east();
        north = setting.place().slope().north();
        middleX = setting.place().inRow() / 2;
        middleY = setting.place().betweenRows() / 2;
    }

    /** Points spread evenly through a ball whose root mean square radius is one: a golden spiral, each shell in turn. */
    private static double[][] evenlyAround(int count, int shellStep) {
        double[][] points = new double[count][];
        double ball = Math.sqrt(5.0 / 3);
        for (int i = 0; i < count; i++) {
            double z = 1 - (2 * i + 1.0) / count;
            double angle = Math.PI * (3 - Math.sqrt(5)) * i;
            double radius = ball * Math.cbrt((i * shellStep % count + 0.5) / count);
            double level = radius * Math.sqrt(1 - z * z);
            points[i] = new double[] {level * Math.cos(angle), level * Math.sin(angle), radius * z};
        }
        return points;
    }

    /**
     * Puts a tree into an empty box. The axes of a large tree are dealt out to two boxes that are filled beside each other
     * and then added: by the tree and not by the number of threads, so that equal trees give equal bits.
     *
     * @param coming whether the tree stands in winter and is to carry the coming season's leaf; else it stands in leaf
     */
    static void fill(CanopyGrid grid, Tree tree, double cell, boolean coming) {
        if (tree.axes().size() < FILLED_AT_ONCE) {
            new CanopyFiller(grid, tree, cell, coming).fill(0, 1);
            return;
        }
        CanopyGrid second = grid.another();
        IntStream.range(0, 2)
                .parallel()
                .forEach(half -> new CanopyFiller(half == 0 ? grid : second, tree, cell, coming).fill(half, 2));
        grid.add(second);
    }

    private void fill(int first, int step) {
        for (int i = first; i < tree.axes().size(); i += step) {
            Axis axis = tree.axis(i);
            switch (axis.kind()) {
                case SPUR -> leaf(axis.course().point(axis.course().size() - 1), axis.leafArea(), AROUND);
                case FRUITING_LATERAL -> {
                    onTwigs(axis);
                    alongWood(axis);
                }
                default -> {
                    alongLastGrowth(axis);
                    alongWood(axis);
                }
            }
        }
    }

    private void onTwigs(Axis lateral) {
        if (lateral.leafArea() <= 0) {
            return;
        }
        for (LateralTwigs.Twig twig : LateralTwigs.of(lateral, setting)) {
            alongLine(twig.from(), twig.to(), lateral.leafArea() * twig.share(), AROUND_ESTIMATED);
        }
    }

    private void alongLastGrowth(Axis axis) {
        if (axis.leafArea() <= 0) {
            return;
        }
        double start = axis.kind().isSmallWood() ? 0 : axis.length() - axis.lastGrowth();
        double span = axis.length() - start;
        double on = coming ? 0.5 : 1;
        int points = Math.max(1, (int) Math.ceil(span / Math.max(every, spread)));
        for (int i = 0; i < points; i++) {
            leaf(axis.course().at(start + span * (i + 0.5) / points), on * axis.leafArea() / points, AROUND);
        }
        if (coming) {
            Vec end = axis.course().at(axis.length());
            ComingShoot shoot = ComingShoot.of(axis, setting, season);
            alongLine(end, end.plus(shoot.heading().times(shoot.length())), axis.leafArea() / 2, AROUND);
        }
    }

    private void alongLine(Vec from, Vec to, double area, double[][] around) {
        Vec line = to.minus(from);
        int points = Math.max(1, (int) Math.ceil(line.length() / Math.max(every, 1.5 * spread)));
        for (int i = 0; i < points; i++) {
            leaf(from.plus(line.times((i + 0.5) / points)), area / points, around);
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

    private void leaf(Vec at, double area, double[][] around) {
        if (spread == 0) {
            deposit(at.x(), at.y(), at.z(), area);
            return;
        }
        for (double[] away : around) {
            deposit(
                    at.x() + away[0] * spread,
                    at.y() + away[1] * spread,
                    at.z() + away[2] * spread,
                    area / around.length);
        }
    }

    private void deposit(double x, double y, double z, double area) {
        grid.deposit(x * sin + y * cos + middleX, x * cos - y * sin + middleY, z - east * x - north * y, area);
    }
}
