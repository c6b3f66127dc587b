package umbel.drawing;

import umbel.instruction.Sentence;

/** A sentence of a block's instruction as a small picture: what is meant, its gauge, and what goes, broken. */
public final class SentenceFigure {

    private static final int WIDTH = 160;
    private static final int HEIGHT = 100;
    private static final int GROUND = 94;
    private static final int TRUNK = 40;
    private static final String WOOD = "#6b5a44";
    private static final String GOES = "#c2185b";
    private static final String GAUGE = "#1f4e79";

    private final StringBuilder out = new StringBuilder();

    private SentenceFigure() {}

    /**
     * Draws a sentence.
     *
     * @param label its gauge as it is told; empty where it has none
     */
    public static String draw(Sentence sentence, String label) {
        SentenceFigure figure = new SentenceFigure();
        figure.out.append(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" width=\"%d\" height=\"%d\">",
                WIDTH, HEIGHT, WIDTH, HEIGHT));
        figure.line(8, GROUND, WIDTH - 8, GROUND, 1, "#9a9a92", false);
        figure.of(sentence, label);
        return figure.out.append("</svg>").toString();
    }

    private void of(Sentence sentence, String label) {
        double angle = sentence.gauge();
        switch (sentence.form()) {
            case SECOND_LEADER -> {
                trunk(8);
                path(Svg.of("M%d 60 C%d 50 %d 40 %d 12", TRUNK, TRUNK + 16, TRUNK + 20, TRUNK + 20), 4, GOES, true);
            }
            case UPRIGHTS -> {
                trunk(8);
                limb(90, 70, 60, 4, WOOD, false);
                for (int i = 0; i < 4; i++) {
                    line(TRUNK + 18 + 15 * i, 60, TRUNK + 18 + 15 * i, 22, 2, GOES, true);
                }
                span(TRUNK + 74, 60, TRUNK + 74, 22, label);
            }
            case STEEP_OFF, STEEP_BENT -> {
                trunk(8);
                boolean bent = sentence.form() == Sentence.Form.STEEP_BENT;
                limb(angle, 62, 70, 4, bent ? WOOD : GOES, !bent);
                if (bent) {
                    limb(80, 62, 70, 4, WOOD, true);
                }
                arc(angle, 70, label);
            }
            case HANGING -> {
                trunk(8);
                path(Svg.of("M%d 40 C%d 30 %d 40 %d 82", TRUNK, TRUNK + 40, TRUNK + 62, TRUNK + 66), 4, GOES, true);
                text(TRUNK + 72, 66, label);
            }
            case THICK -> {
                trunk(8);
                limb(60, 62, 58, 9, GOES, true);
                text(TRUNK + 62, 30, label);
                limb(75, 50, 82, 3, WOOD, false);
            }
            case THICK_TOP -> {
                trunk(8);
                limb(65, 44, 34, 7, GOES, true);
                limb(80, 60, 70, 3, WOOD, false);
                text(TRUNK + 50, 22, label);
            }
            case CLOSE -> {
                trunk(8);
                limb(85, 66, 68, 4, WOOD, false);
                limb(85, 66, 46, 4, GOES, true);
                span(TRUNK + 72, 64, TRUNK + 72, 42, label);
            }
            case REACH -> {
                trunk(8);
                limb(88, 44, 50, 4, WOOD, false);
                line(TRUNK + 44, 49, TRUNK + 76, 48, 3, GOES, true);
                span(TRUNK, 62, TRUNK + 44, 62, label);
            }
            case SHOOTS -> {
                trunk(8);
                limb(90, 76, 60, 4, WOOD, false);
                for (int i = 0; i < 7; i++) {
                    boolean goes = i % 2 == 1;
                    int x = TRUNK + 12 + 10 * i;
                    line(x, 60, x + 5, i % 4 < 2 ? 42 : 78, 2, goes ? GOES : WOOD, goes);
                }
                text(TRUNK + 10, 30, label);
            }
            case HEIGHT -> {
                line(TRUNK, GROUND, TRUNK, 34, 6, WOOD, false);
                line(TRUNK, 34, TRUNK, 6, 5, GOES, true);
                limb(55, 30, 38, 4, WOOD, false);
                limb(80, 55, 70, 4, WOOD, false);
                span(TRUNK - 26, GROUND, TRUNK - 26, 30, label);
            }
        }
    }

    private void trunk(double width) {
        line(TRUNK, GROUND, TRUNK, 10, width * 0.75, WOOD, false);
    }

    /** A limb to the right from the trunk at a height of the picture, at an angle from upright. */
    private void limb(double degrees, double length, double from, double width, String ink, boolean broken) {
        double turn = Math.toRadians(degrees);
        line(TRUNK, from, TRUNK + length * Math.sin(turn), from - length * Math.cos(turn), width, ink, broken);
    }

    /** The angle between the upright and a limb. */
    private void arc(double degrees, double from, String label) {
        double turn = Math.toRadians(degrees);
        double radius = 34;
        path(
                Svg.of(
                        "M%d %.1f A%.0f %.0f 0 0 1 %.1f %.1f",
                        TRUNK,
                        from - radius,
                        radius,
                        radius,
                        TRUNK + radius * Math.sin(turn),
                        from - radius * Math.cos(turn)),
                1.5,
                GAUGE,
                false);
        text(TRUNK + 44, 22, label);
    }

    /** A measured stretch with its figure. */
    private void span(double x1, double y1, double x2, double y2, String label) {
        line(x1, y1, x2, y2, 1.5, GAUGE, false);
        double across = Math.atan2(y2 - y1, x2 - x1) + Math.PI / 2;
        for (double[] end : new double[][] {{x1, y1}, {x2, y2}}) {
            double dx = 3 * Math.cos(across);
            double dy = 3 * Math.sin(across);
            line(end[0] - dx, end[1] - dy, end[0] + dx, end[1] + dy, 1.5, GAUGE, false);
        }
        boolean level = Math.abs(y2 - y1) < 1;
        text(level ? (x1 + x2) / 2 - 12 : Math.max(x1, x2) + 5, level ? y1 + 14 : (y1 + y2) / 2 + 4, label);
    }

    private void line(double x1, double y1, double x2, double y2, double width, String ink, boolean broken) {
        path(Svg.of("M%.1f %.1f L%.1f %.1f", x1, y1, x2, y2), width, ink, broken);
    }

    private void path(String course, double width, String ink, boolean broken) {
        out.append(Svg.of(
                "<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"%.1f\" stroke-linecap=\"%s\"%s/>",
                course, ink, width, broken ? "butt" : "round", broken ? " stroke-dasharray=\"5 3\"" : ""));
    }

    private void text(double x, double y, String label) {
        out.append(Svg.of(
                "<text x=\"%.1f\" y=\"%.1f\" font-size=\"12\" font-family=\"sans-serif\" fill=\"%s\">%s</text>",
                x, y, GAUGE, label));
    }
}
