package umbel.drawing;

import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * A row of trees seen across it: the tree in its place between two like it, with the ground and the height a person reaches. In the page's own
 * ink ({@code currentColor}), so that it is read by day and at dusk.
 */
public final class RowSvg {

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
        StringBuilder out = begin(wide, top);
        out.append(Svg.of("<defs><g id=\"%s\" fill=\"none\" stroke=\"currentColor\" stroke-linecap=\"round\">", id));
        WoodStrokes.append(out, tree, from);
        out.append("</g></defs>");
        ground(out, wide, reach);
        int beside = (int) Math.ceil(wide / spacing);
        for (int k = -beside; k <= beside; k++) {
            out.append(Svg.of("<use href=\"#%s\" x=\"%.0f\"%s/>", id, k * spacing, k == 0 ? "" : " opacity=\"0.35\""));
        }
        return out.append("</svg>").toString();
    }

    /**
     * Draws one tree by itself with the ground and the height a person reaches.
     *
     * @param reach height a person on the ground reaches, metres
     * @param half how far it shows on either side of the tree, metres
     * @param top how high, metres
     */
    public static String drawAlone(Tree tree, double reach, double half, double top) {
        double wide = Units.toCm(half);
        StringBuilder out = begin(wide, top);
        out.append("<g fill=\"none\" stroke=\"currentColor\" stroke-linecap=\"round\">");
        WoodStrokes.append(out, tree, tree.setting().place().rowBearing() + Math.PI / 2);
        out.append("</g>");
        ground(out, wide, reach);
        return out.append("</svg>").toString();
    }

    private static StringBuilder begin(double wide, double top) {
        return new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\">",
                -wide, -Units.toCm(top), 2 * wide, Units.toCm(top) + BELOW_CM));
    }

    /** The ground, and how high a person reaches. */
    private static void ground(StringBuilder out, double wide, double reach) {
        line(out, -wide, 0, wide, 2, "");
        line(out, -wide, -Units.toCm(reach), wide, 1, " stroke-dasharray=\"6 8\" opacity=\"0.6\"");
    }

    private static void line(StringBuilder out, double x1, double y, double x2, double width, String more) {
        out.append(Svg.of(
                "<path d=\"M%.0f %.0fH%.0f\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"%.1f\"%s/>",
                x1, y, x2, width, more));
    }
}
