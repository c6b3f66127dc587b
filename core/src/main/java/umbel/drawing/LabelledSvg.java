package umbel.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** A tree seen level from one side with some of its parts named beside it, each joined to its place by a line; in the page's own ink. */
public final class LabelledSvg {

    private static final double MARGIN = 14;
    private static final double TEXT = 11;
    private static final double LINE = 16;
    /** Width of a letter against its height, at the widest a name comes to. */
    private static final double LETTER = 0.58;

    private LabelledSvg() {}

    /**
     * A name and the place it points to.
     *
     * @param id told with it as {@code data-term}
     * @param share of the axis' length from its origin
     */
    public record Label(String id, String text, Axis axis, double share) {

        private Vec at() {
            return axis.course().at(share * axis.length());
        }
    }

    /**
     * Draws it.
     *
     * @param from where the viewer stands, radians from north
     */
    public static String draw(Tree tree, double from, List<Label> labels) {
        double half = tree.axes().stream()
                .filter(axis -> !axis.isUnmeasured())
                .mapToDouble(axis -> Math.abs(WoodStrokes.across(axis.course().at(axis.length()), from)))
                .max()
                .orElse(0);
        double top = Units.toCm(tree.top());
        int longest =
                labels.stream().mapToInt(label -> label.text().length()).max().orElse(0);
        double wide = half + 2 * MARGIN + LETTER * TEXT * longest;
        StringBuilder out = new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\" width=\"170mm\" font-family=\"sans-serif\">",
                -wide, -top - MARGIN, 2 * wide, top + 2 * MARGIN));
        out.append(Svg.of(
                "<path d=\"M%.0f 0H%.0f\" stroke=\"currentColor\" stroke-width=\"1.5\"/>",
                -half - MARGIN, half + MARGIN));
        out.append("<g fill=\"none\" stroke=\"currentColor\" stroke-linecap=\"round\">");
        WoodStrokes.append(out, tree, from, axis -> !axis.isUnmeasured());
        out.append("</g>");
        List<Label> left = new ArrayList<>();
        List<Label> right = new ArrayList<>();
        labels.forEach(label -> (WoodStrokes.across(label.at(), from) < 0 ? left : right).add(label));
        column(out, left, from, -half - MARGIN, top);
        column(out, right, from, half + MARGIN, top);
        return out.append("</svg>").toString();
    }

    /** Names of one side from the top down, as near to their places' heights as they find room. */
    private static void column(StringBuilder out, List<Label> labels, double from, double x, double top) {
        List<Label> order = new ArrayList<>(labels);
        order.sort(Comparator.comparingDouble(label -> -label.at().z()));
        double[] y = new double[order.size()];
        double least = -top;
        for (int i = 0; i < y.length; i++) {
            y[i] = Math.max(least, -Units.toCm(order.get(i).at().z()));
            least = y[i] + LINE;
        }
        double most = 0;
        for (int i = y.length - 1; i >= 0; i--) {
            y[i] = Math.min(most, y[i]);
            most = y[i] - LINE;
        }
        for (int i = 0; i < y.length; i++) {
            label(out, order.get(i), from, x, y[i]);
        }
    }

    private static void label(StringBuilder out, Label label, double from, double x, double y) {
        double across = WoodStrokes.across(label.at(), from);
        double up = -Units.toCm(label.at().z());
        out.append(Svg.of(
                "<g data-term=\"%s\"><path d=\"M%.0f %.0fL%.1f %.1f\" stroke=\"currentColor\" stroke-width=\"0.7\" opacity=\"0.7\"/>",
                label.id(), x, y, across, up));
        out.append(Svg.of("<circle cx=\"%.1f\" cy=\"%.1f\" r=\"2.2\" fill=\"currentColor\"/>", across, up));
        out.append(Svg.of(
                "<text x=\"%.0f\" y=\"%.1f\" font-size=\"%.0f\" fill=\"currentColor\" text-anchor=\"%s\">%s</text></g>",
                x + (x < 0 ? -3 : 3), y + TEXT / 3, TEXT, x < 0 ? "end" : "start", Svg.escaped(label.text())));
    }
}
