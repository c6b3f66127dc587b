package umbel.drawing;

import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * A row of trees seen across it: the tree in its place between two like it, with the ground and the height a person reaches. In the page's own
 * ink ({@code currentColor}), so that it is read by day and at dusk.
 */
public final class RowSvg {

    private static final double PIECE = 0.25;
    private static final double LEAST_WIDTH_CM = 1.2;
    private static final double FINE_WIDTH_CM = 0.8;
    private static final double BELOW_CM = 12;

    private RowSvg() {}

    /**
     * Draws it.
     *
     * @param id to tell its parts from those of other drawings on a page; letters and digits
     * @param reach height a person on the ground reaches, metres
     * @param half how far it shows on either side of the tree, metres
     * @param top how high, metres
     */
    public static String draw(Tree tree, String id, double reach, double half, double top) {
        double from = tree.setting().place().rowBearing() + Math.PI / 2;
        double spacing = Units.toCm(tree.setting().place().inRow());
        double wide = Units.toCm(half);
        StringBuilder out = new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\"><defs><g id=\"%s\" fill=\"none\" stroke=\"currentColor\" stroke-linecap=\"round\">",
                -wide, -Units.toCm(top), 2 * wide, Units.toCm(top) + BELOW_CM, id));
        for (Axis axis : tree.axes()) {
            if (axis.kind() != AxisKind.SPUR) {
                stem(out, axis, from);
            }
        }
        out.append("</g></defs>");
        line(out, -wide, 0, wide, 2, "");
        line(out, -wide, -Units.toCm(reach), wide, 1, " stroke-dasharray=\"6 8\" opacity=\"0.6\"");
        int beside = (int) Math.ceil(wide / spacing);
        for (int k = -beside; k <= beside; k++) {
            out.append(Svg.of("<use href=\"#%s\" x=\"%.0f\"%s/>", id, k * spacing, k == 0 ? "" : " opacity=\"0.35\""));
        }
        return out.append("</svg>").toString();
    }

    private static void line(StringBuilder out, double x1, double y, double x2, double width, String more) {
        out.append(Svg.of(
                "<path d=\"M%.0f %.0fH%.0f\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"%.1f\"%s/>",
                x1, y, x2, width, more));
    }

    /** A stem in pieces, each as wide as it is there; fine wood in one. */
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
    private static double across(Vec at, double from) {
        return Units.toCm(-at.x() * Math.cos(from) + at.y() * Math.sin(from));
    }
}
