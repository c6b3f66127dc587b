package umbel.drawing;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.CutTree;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * A tree with its numbered cuts from one side, for paper and small screens: black on white, what stays solid, what goes
 * broken, each cut with its number in a box. The figures are drawn as strokes, so no font is needed.
 */
public final class SheetSvg {

    private static final double MARGIN = SheetFlags.MARGIN;

    private SheetSvg() {}

    /**
     * Draws it.
     *
     * @param fromBearing where the viewer stands, radians from north
     * @param cuts where each step's flag is tied, in the order of their numbers, from 1
     */
    public static String draw(CutTree cut, double fromBearing, List<Vec> cuts) {
        double half = 60;
        double top = 100;
        for (Axis axis : cut.found().axes()) {
            for (int i = 0; i < axis.course().size(); i++) {
                half = Math.max(half, Math.abs(across(axis.course().point(i), fromBearing)));
                top = Math.max(top, Units.toCm(axis.course().point(i).z()));
            }
        }
        double unit = (2 * half + 2 * MARGIN) / 340;
        StringBuilder out = new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\" width=\"340\" height=\"%.0f\">",
                -half - MARGIN * unit,
                -top - MARGIN * unit,
                2 * half + 2 * MARGIN * unit,
                top + (MARGIN + 12) * unit,
                340 * (top + (MARGIN + 12) * unit) / (2 * half + 2 * MARGIN * unit)));
        SheetFlags.line(out, -half, 0, half, 0, 1.2 * unit);
        for (Axis axis : cut.found().axes()) {
            if (axis.kind() != AxisKind.SPUR) {
                stem(out, cut, axis, fromBearing, unit);
            }
        }
        List<SheetFlags.Tie> ties = new ArrayList<>();
        for (Vec at : cuts) {
            ties.add(new SheetFlags.Tie(across(at, fromBearing), -Units.toCm(at.z())));
        }
        SheetFlags.draw(out, ties, half, unit);
        return out.append("</svg>").toString();
    }

    private static void stem(StringBuilder out, CutTree cut, Axis axis, double from, double unit) {
        boolean shoot = axis.kind() == AxisKind.SHOOT || axis.isUnmeasured();
        boolean touched = cut.takenBy(axis) >= 0;
        double kept = touched ? cut.kept(axis) : axis.length();
        double least = (shoot ? 0.5 : 1) * unit;
        if (kept > 1e-6) {
            path(out, axis, 0, kept, from, least, shoot ? "#777" : "#000", "");
        }
        if (kept < axis.length() - 1e-6) {
            String broken = Svg.of("%.1f %.1f", 5 * unit, 4 * unit);
            path(out, axis, kept, axis.length(), from, 0.8 * unit, "#000", broken);
        }
    }

    /** Part of a stem; thick ones in pieces, each as wide as the stem is there. */
    private static void path(
            StringBuilder out,
            Axis axis,
            double start,
            double end,
            double from,
            double least,
            String ink,
            String dash) {
        int steps = Math.max(1, (int) Math.ceil((end - start) / 0.12));
        boolean tapers = dash.isEmpty() && Units.toCm(axis.baseDiameter()) > 2 * least;
        if (!tapers) {
            piece(
                    out,
                    axis,
                    start,
                    end,
                    steps,
                    from,
                    Math.max(least, Units.toCm(axis.baseDiameter()) * 0.6),
                    ink,
                    dash);
            return;
        }
        for (int i = 0; i < steps; i++) {
            double here = start + (end - start) * i / steps;
            double next = start + (end - start) * (i + 1) / steps;
            double width = Math.max(least, Units.toCm(axis.diameterAt((here + next) / 2)));
            piece(out, axis, here, next, 1, from, width, ink, dash);
        }
    }

    private static void piece(
            StringBuilder out,
            Axis axis,
            double start,
            double end,
            int steps,
            double from,
            double width,
            String ink,
            String dash) {
        out.append("<path fill=\"none\" d=\"");
        for (int i = 0; i <= steps; i++) {
            Vec at = axis.course().at(start + (end - start) * i / steps);
            out.append(Svg.of("%s%.1f %.1f", i == 0 ? "M" : "L", across(at, from), -Units.toCm(at.z())));
        }
        out.append(Svg.of(
                "\" stroke=\"%s\" stroke-width=\"%.2f\" stroke-linecap=\"round\"%s/>", ink, width, dashed(dash)));
    }

    private static String dashed(String dash) {
        return dash.isEmpty() ? "" : " stroke-dasharray=\"" + dash + "\"";
    }

    /** Centimetres to the viewer's right of the trunk. */
    private static double across(Vec at, double from) {
        return Units.toCm(-at.x() * Math.cos(from) + at.y() * Math.sin(from));
    }
}
