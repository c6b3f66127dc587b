package umbel.practice;

import umbel.drawing.Svg;

/** Small drawings of wood for the eye to judge, in the page's own ink; 240 wide and 180 high. */
final class EyeFigures {

    static final double WIDTH = 240;
    static final double HEIGHT = 180;
    private static final double LETTER_RADIUS = 9;

    private final StringBuilder out = new StringBuilder(Svg.of(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\" fill=\"none\" stroke=\"currentColor\" stroke-linecap=\"round\">",
            WIDTH, HEIGHT));

    /** A stem from one point to another. */
    EyeFigures stem(double x1, double y1, double x2, double y2, double width, String what) {
        out.append(Svg.of(
                "<path d=\"M%.1f %.1fL%.1f %.1f\" stroke-width=\"%.1f\" data-what=\"%s\"/>",
                x1, y1, x2, y2, width, what));
        return this;
    }

    /** A ring of scars across a twig that runs level. */
    EyeFigures scar(double x, double y, double half) {
        for (int i = -1; i <= 1; i++) {
            out.append(Svg.of(
                    "<path d=\"M%.1f %.1fV%.1f\" stroke-width=\"1.4\" data-what=\"scar\"/>",
                    x + 2.6 * i, y - half - 2, y + half + 2));
        }
        return this;
    }

    /**
     * A bud.
     *
     * @param turn degrees from upright, to the right
     */
    EyeFigures bud(double x, double y, double halfWidth, double halfLength, double turn, String what) {
        out.append(Svg.of(
                "<ellipse cx=\"%.1f\" cy=\"%.1f\" rx=\"%.1f\" ry=\"%.1f\" transform=\"rotate(%.0f %.1f %.1f)\" fill=\"currentColor\" stroke=\"none\" data-what=\"%s\"/>",
                x, y, halfWidth, halfLength, turn, x, y, what));
        return this;
    }

    /** A dashed line where somebody might cut, with its letter at the first end. */
    EyeFigures cut(double x1, double y1, double x2, double y2, String letter) {
        out.append(Svg.of(
                "<path d=\"M%.1f %.1fL%.1f %.1f\" stroke-width=\"1.8\" stroke-dasharray=\"5 4\" data-cut=\"%s\"/>",
                x1, y1, x2, y2, letter));
        double length = Math.hypot(x2 - x1, y2 - y1);
        return letter(
                x1 - (x2 - x1) / length * (LETTER_RADIUS + 3), y1 - (y2 - y1) / length * (LETTER_RADIUS + 3), letter);
    }

    /** A letter in a ring. */
    EyeFigures letter(double x, double y, String letter) {
        out.append(Svg.of(
                "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.0f\" stroke-width=\"1.2\" fill=\"var(--color-paper, #fff)\"/><text x=\"%.1f\" y=\"%.1f\" font-size=\"12\" text-anchor=\"middle\" stroke=\"none\" fill=\"currentColor\" font-family=\"sans-serif\">%s</text>",
                x, y, LETTER_RADIUS, x, y + 4.3, letter));
        return this;
    }

    /** An arrow that points at a place from above. */
    EyeFigures arrow(double x, double y) {
        out.append(Svg.of(
                "<path d=\"M%.1f %.1fV%.1fM%.1f %.1fL%.1f %.1fL%.1f %.1f\" stroke-width=\"2.4\" stroke=\"var(--color-tape, #b3124a)\" data-what=\"mark\"/>",
                x, y - 40, y, x - 6, y - 9, x, y, x + 6, y - 9));
        return this;
    }

    String drawn() {
        return out + "</svg>";
    }
}
