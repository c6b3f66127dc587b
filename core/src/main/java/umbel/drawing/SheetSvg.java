package umbel.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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

    private static final double MARGIN = 34;
    private static final double BOX = 20;

    /** Strokes of the ten figures on a grid three wide and five high. */
    private static final String[] FIGURES = {
        "M0 0H2V4H0Z",
        "M0.4 0.8L1.2 0V4",
        "M0 0H2V2H0V4H2",
        "M0 0H2V4H0M0.4 2H2",
        "M0 0V2H2M2 0V4",
        "M2 0H0V2H2V4H0",
        "M2 0H0V4H2V2H0",
        "M0 0H2L0.8 4",
        "M0 0H2V4H0ZM0 2H2",
        "M0 4H2V0H0V2H2"
    };

    private SheetSvg() {}

    private record Flag(int number, double x, double y, double tieX, double tieY) {}

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
        StringBuilder out = new StringBuilder(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\" width=\"340\" height=\"%.0f\">",
                -half - MARGIN * unit,
                -top - MARGIN * unit,
                2 * half + 2 * MARGIN * unit,
                top + (MARGIN + 12) * unit,
                340 * (top + (MARGIN + 12) * unit) / (2 * half + 2 * MARGIN * unit)));
        line(out, -half, 0, half, 0, 1.2 * unit);
        for (Axis axis : cut.found().axes()) {
            if (axis.kind() != AxisKind.SPUR) {
                stem(out, cut, axis, fromBearing, unit);
            }
        }
        for (Flag flag : placed(cuts, fromBearing, half, unit)) {
            flag(out, flag, unit);
        }
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
            String broken = String.format(Locale.ROOT, "%.1f %.1f", 5 * unit, 4 * unit);
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
            out.append(String.format(
                    Locale.ROOT, "%s%.1f %.1f", i == 0 ? "M" : "L", across(at, from), -Units.toCm(at.z())));
        }
        out.append(String.format(
                Locale.ROOT,
                "\" stroke=\"%s\" stroke-width=\"%.2f\" stroke-linecap=\"round\"%s/>",
                ink,
                width,
                dashed(dash)));
    }

    private static String dashed(String dash) {
        return dash.isEmpty() ? "" : " stroke-dasharray=\"" + dash + "\"";
    }

    /** Boxes beside their cuts, to the nearer edge, pushed apart downward. */
    private static List<Flag> placed(List<Vec> cuts, double from, double half, double unit) {
        List<Flag> flags = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            List<Flag> onSide = new ArrayList<>();
            for (int i = 0; i < cuts.size(); i++) {
                double tieX = across(cuts.get(i), from);
                if ((tieX < 0 ? -1 : 1) == side) {
                    double tieY = -Units.toCm(cuts.get(i).z());
                    double x = side * (half + (MARGIN - BOX / 2 - 2) * unit);
                    onSide.add(new Flag(i + 1, x, tieY, tieX, tieY));
                }
            }
            onSide.sort(java.util.Comparator.comparingDouble(Flag::y));
            double least = Double.NEGATIVE_INFINITY;
            double over = 0;
            for (Flag flag : onSide) {
                least = Math.max(flag.y(), least + BOX * 1.05 * unit);
                over = Math.max(over, least);
            }
            double shift = Math.min(0, -over);
            least = Double.NEGATIVE_INFINITY;
            for (Flag flag : onSide) {
                least = Math.max(flag.y() + shift, least + BOX * 1.05 * unit);
                flags.add(new Flag(flag.number(), flag.x(), least, flag.tieX(), flag.tieY()));
            }
        }
        return flags;
    }

    private static void flag(StringBuilder out, Flag flag, double unit) {
        line(out, flag.tieX(), flag.tieY(), flag.x(), flag.y(), 0.9 * unit);
        out.append(String.format(
                Locale.ROOT,
                "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" fill=\"#000\"/>",
                flag.tieX(),
                flag.tieY(),
                2.4 * unit));
        out.append(String.format(
                Locale.ROOT,
                "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" fill=\"#fff\" stroke=\"#000\" stroke-width=\"%.2f\"/>",
                flag.x() - BOX / 2 * unit,
                flag.y() - BOX / 2 * unit,
                BOX * unit,
                BOX * unit,
                1.4 * unit));
        String digits = String.valueOf(flag.number());
        double size = 2.6 * unit;
        double left = flag.x() - (digits.length() * 3 - 1) * size / 2;
        for (int i = 0; i < digits.length(); i++) {
            out.append(String.format(
                    Locale.ROOT,
                    "<path transform=\"translate(%.2f %.2f) scale(%.3f)\" d=\"%s\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.7\"/>",
                    left + 3 * size * i,
                    flag.y() - 2 * size,
                    size,
                    FIGURES[digits.charAt(i) - '0']));
        }
    }

    private static void line(StringBuilder out, double x1, double y1, double x2, double y2, double width) {
        out.append(String.format(
                Locale.ROOT,
                "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" stroke=\"#000\" stroke-width=\"%.2f\"/>",
                x1,
                y1,
                x2,
                y2,
                width));
    }

    /** Centimetres to the viewer's right of the trunk. */
    private static double across(Vec at, double from) {
        return Units.toCm(-at.x() * Math.cos(from) + at.y() * Math.sin(from));
    }
}
