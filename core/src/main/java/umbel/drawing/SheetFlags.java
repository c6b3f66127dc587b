package umbel.drawing;

import java.util.ArrayList;
import java.util.List;

/** Numbered boxes beside a drawing, each tied to its place; the figures are drawn as strokes, so no font is needed. */
final class SheetFlags {

    /** Room for the boxes on either side, in units of the drawing's scale. */
    static final double MARGIN = 34;

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

    private SheetFlags() {}

    /** Where a box is tied, in the drawing's units: to the right, and down. */
    record Tie(double x, double y) {}

    private record Flag(int number, double x, double y, double tieX, double tieY) {}

    /** Draws a box for each tie, numbered from 1, to the nearer edge. */
    static void draw(StringBuilder out, List<Tie> ties, double half, double unit) {
        for (Flag flag : placed(ties, half, unit)) {
            flag(out, flag, unit);
        }
    }

    /** Boxes beside their cuts, to the nearer edge, pushed apart downward. */
    private static List<Flag> placed(List<Tie> cuts, double half, double unit) {
        List<Flag> flags = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            List<Flag> onSide = new ArrayList<>();
            for (int i = 0; i < cuts.size(); i++) {
                double tieX = cuts.get(i).x();
                if ((tieX < 0 ? -1 : 1) == side) {
                    double tieY = cuts.get(i).y();
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
        out.append(Svg.of(
                "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" fill=\"#000\"/>", flag.tieX(), flag.tieY(), 2.4 * unit));
        out.append(Svg.of(
                "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" fill=\"#fff\" stroke=\"#000\" stroke-width=\"%.2f\"/>",
                flag.x() - BOX / 2 * unit, flag.y() - BOX / 2 * unit, BOX * unit, BOX * unit, 1.4 * unit));
        String digits = String.valueOf(flag.number());
        double size = 2.6 * unit;
        double left = flag.x() - (digits.length() * 3 - 1) * size / 2;
        for (int i = 0; i < digits.length(); i++) {
            out.append(Svg.of(
                    "<path transform=\"translate(%.2f %.2f) scale(%.3f)\" d=\"%s\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.7\"/>",
                    left + 3 * size * i, flag.y() - 2 * size, size, FIGURES[digits.charAt(i) - '0']));
        }
    }

    /** A straight line. */
    static void line(StringBuilder out, double x1, double y1, double x2, double y2, double width) {
        out.append(Svg.of(
                "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" stroke=\"#000\" stroke-width=\"%.2f\"/>",
                x1, y1, x2, y2, width));
    }
}
