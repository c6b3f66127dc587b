package umbel.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.LateralTwigs;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * A tree seen level from one side, as an SVG drawing in centimetres: wood by age and thickness, nearer wood over farther,
 * a staff with half metres, the limbs' numbers at their tips. Reads in black and white.
 */
public final class TreeSvg {

    private static final double MARGIN = 40;
    private static final String OLD = "#4d443d";
    private static final String TWO_YEAR = "#7a4c3c";
    private static final String ONE_YEAR = "#9b3d30";
    private static final String INK = "#241f1c";

    private TreeSvg() {}

    /**
     * Draws a tree.
     *
     * @param fromBearing where the viewer stands, radians from north
     */
    public static String draw(Tree tree, double fromBearing) {
        double half = 50;
        for (Axis axis : tree.axes()) {
            for (int i = 0; i < axis.course().size(); i++) {
                half = Math.max(half, Math.abs(across(axis.course().point(i), fromBearing)));
            }
        }
        double top = Math.max(100, Units.toCm(tree.top()));
        double width = 2 * half + 2 * MARGIN + 30;
        double height = top + 2 * MARGIN;
        StringBuilder out = new StringBuilder();
        out.append(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\" width=\"%.0fmm\" height=\"%.0fmm\" font-family=\"sans-serif\">%n",
                -half - MARGIN, -top - MARGIN, width, height, width / 4, height / 4));
        out.append("<title>").append(Svg.escaped(title(tree))).append("</title>\n");
        out.append(Svg.of(
                "<line x1=\"%.0f\" y1=\"0\" x2=\"%.0f\" y2=\"0\" stroke=\"%s\" stroke-width=\"1\"/>%n",
                -half - MARGIN / 2, half + MARGIN / 2, INK));
        staff(out, half + MARGIN / 2, top);
        List<Axis> order = new ArrayList<>(tree.axes());
        order.sort(Comparator.comparingDouble(axis -> depth(axis.course().at(axis.length() / 2), fromBearing)));
        for (Axis axis : order) {
            stem(out, axis, fromBearing);
            if (axis.isUnmeasured()) {
                branches(out, LateralTwigs.branches(axis, tree.setting()), fromBearing);
            }
        }
        for (Axis limb : tree.limbs()) {
            Vec tip = limb.course().at(limb.length());
            out.append(Svg.of(
                    "<text x=\"%.0f\" y=\"%.0f\" font-size=\"9\" fill=\"%s\" stroke=\"#fff\" stroke-width=\"2\" paint-order=\"stroke\">%s</text>%n",
                    across(tip, fromBearing) + 3, -Units.toCm(tip.z()) - 3, INK, Svg.escaped(limb.id())));
        }
        return out.append("</svg>\n").toString();
    }

    private static String title(Tree tree) {
        String label = tree.setting().label();
        return (label.isEmpty() ? tree.setting().species().name() : label) + ", "
                + tree.setting().system().name();
    }

    private static void staff(StringBuilder out, double x, double top) {
        for (int cm = 0; cm <= top; cm += 50) {
            out.append(Svg.of(
                    "<line x1=\"%.0f\" y1=\"%d\" x2=\"%.0f\" y2=\"%d\" stroke=\"%s\" stroke-width=\"0.8\"/>%n",
                    x, -cm, x + (cm % 100 == 0 ? 8 : 4), -cm, INK));
            if (cm % 100 == 0) {
                out.append(Svg.of(
                        "<text x=\"%.0f\" y=\"%d\" font-size=\"9\" fill=\"%s\">%d m</text>%n",
                        x + 10, -cm + 3, INK, cm / 100));
            }
        }
    }

    private static void stem(StringBuilder out, Axis axis, double from) {
        if (axis.kind() == AxisKind.SPUR) {
            Vec at = axis.course().at(axis.length());
            out.append(Svg.of(
                    "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" fill=\"%s\"/>%n",
                    across(at, from), -Units.toCm(at.z()), axis.flowerBuds() > 0.4 ? 1.3 : 0.8, TWO_YEAR));
            return;
        }
        // a tapered stem as one closed outline
        StringBuilder left = new StringBuilder();
        StringBuilder right = new StringBuilder();
        int count = axis.course().size();
        for (int i = 0; i < count; i++) {
            Vec here = axis.course().point(i);
            Vec next = axis.course().point(Math.min(count - 1, i + 1));
            Vec before = axis.course().point(Math.max(0, i - 1));
            double dx = across(next, from) - across(before, from);
            double dy = -Units.toCm(next.z() - before.z());
            double length = Math.max(1e-6, Math.hypot(dx, dy));
            double r = Math.max(0.25, Units.toCm(axis.diameters()[i]) / 2);
            double x = across(here, from);
            double y = -Units.toCm(here.z());
            left.append(Svg.of("%s%.1f %.1f", i == 0 ? "M" : "L", x - dy / length * r, y + dx / length * r));
            right.insert(0, Svg.of("L%.1f %.1f", x + dy / length * r, y - dx / length * r));
        }
        int age = axis.ageAt(axis.length() / 2);
        String colour = age <= 1 ? ONE_YEAR : age == 2 ? TWO_YEAR : OLD;
        out.append("<path d=\"")
                .append(left)
                .append(right)
                .append("Z\" fill=\"")
                .append(colour)
                .append("\"/>\n");
    }

    /** Side branches of a fruiting lateral, as strokes of one path. */
    private static void branches(StringBuilder out, List<LateralTwigs.Twig> branches, double from) {
        if (branches.isEmpty()) {
            return;
        }
        out.append("<path fill=\"none\" stroke=\"").append(TWO_YEAR).append("\" stroke-width=\"0.5\" d=\"");
        for (LateralTwigs.Twig branch : branches) {
            out.append(Svg.of(
                    "M%.1f %.1fL%.1f %.1f",
                    across(branch.from(), from),
                    -Units.toCm(branch.from().z()),
                    across(branch.to(), from),
                    -Units.toCm(branch.to().z())));
        }
        out.append("\"/>\n");
    }

    /** Centimetres to the viewer's right of the trunk. */
    private static double across(Vec at, double from) {
        return Units.toCm(-at.x() * Math.cos(from) + at.y() * Math.sin(from));
    }

    /** How near the viewer, metres. */
    private static double depth(Vec at, double from) {
        return at.x() * Math.sin(from) + at.y() * Math.cos(from);
    }
}
