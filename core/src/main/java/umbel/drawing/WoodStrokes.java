package umbel.drawing;

import java.util.function.Predicate;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** A tree's wood as strokes in centimetres, each piece as wide as it is there; in the ink of the group they stand in. */
final class WoodStrokes {

    private static final double PIECE = 0.25;
    private static final double LEAST_WIDTH_CM = 1.2;
    private static final double FINE_WIDTH_CM = 0.8;

    private WoodStrokes() {}

    /**
     * Appends them.
     *
     * @param from where the viewer stands, radians from north
     */
    static void append(StringBuilder out, Tree tree, double from) {
        append(out, tree, from, axis -> true);
    }

    /** Appends those that are wanted. */
    static void append(StringBuilder out, Tree tree, double from, Predicate<Axis> wanted) {
        for (Axis axis : tree.axes()) {
            if (axis.kind() != AxisKind.SPUR && wanted.test(axis)) {
                stem(out, axis, from);
            }
        }
    }

    /** Fine wood is one piece. */
    private static void stem(StringBuilder out, Axis axis, double from) {
        boolean fine = axis.kind() == AxisKind.SHOOT || axis.isUnmeasured();
        int pieces = fine ? 1 : Math.max(1, (int) Math.ceil(axis.length() / PIECE));
        for (int i = 0; i < pieces; i++) {
            double here = axis.length() * i / pieces;
            double next = axis.length() * (i + 1) / pieces;
            Vec start = axis.course().at(here);
            Vec end = axis.course().at(next);
            double width =
                    Math.max(fine ? FINE_WIDTH_CM : LEAST_WIDTH_CM, Units.toCm(axis.diameterAt((here + next) / 2)));
            out.append(Svg.of(
                    "<path d=\"M%.0f %.0fL%.0f %.0f\" stroke-width=\"%.1f\"%s/>",
                    across(start, from),
                    -Units.toCm(start.z()),
                    across(end, from),
                    -Units.toCm(end.z()),
                    width,
                    fine ? " opacity=\"0.55\"" : ""));
        }
    }

    /** Centimetres to the viewer's right of the trunk. */
    static double across(Vec at, double from) {
        return Units.toCm(-at.x() * Math.cos(from) + at.y() * Math.sin(from));
    }
}
