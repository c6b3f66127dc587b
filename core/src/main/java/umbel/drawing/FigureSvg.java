package umbel.drawing;

import umbel.knowledge.RuleKnowledge;

/** A finding or a cut drawn in a few strokes, for paper: wood, what is meant in red, what it is measured by dashed. */
public final class FigureSvg {

    private static final String INK = "#241f1c";
    private static final String MEANT = "#c2352a";
    private static final String MEASURE = "#6a625b";
    /** A stroke that begins here is the trunk. */
    private static final String TRUNK = "M50 98";

    private FigureSvg() {}

    /**
     * Draws it.
     *
     * @param millimetres its width and height on the page
     */
    public static String draw(RuleKnowledge.Figure figure, double millimetres) {
        StringBuilder out = new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 100 100\" width=\"%.0fmm\" height=\"%.0fmm\">",
                millimetres, millimetres));
        figure.line().forEach(path -> stroke(out, path, MEASURE, 1, " stroke-dasharray=\"3 2\""));
        figure.wood().forEach(path -> stroke(out, path, INK, path.startsWith(TRUNK) ? 4.5 : 3, ""));
        figure.marked().forEach(path -> stroke(out, path, MEANT, 3, ""));
        figure.dots()
                .forEach(dot -> out.append(Svg.of(
                        "<circle cx=\"%.0f\" cy=\"%.0f\" r=\"%.1f\" fill=\"%s\" stroke=\"%s\" stroke-width=\"0.6\"/>",
                        dot.x(),
                        dot.y(),
                        dot.kind().equals("light") ? 6.0 : 3.2,
                        dot.kind().equals("shade") ? "#999" : dot.kind().equals("light") ? "#fff" : MEANT,
                        INK)));
        return out.append("</svg>").toString();
    }

    private static void stroke(StringBuilder out, String path, String ink, double width, String more) {
        out.append(Svg.of(
                "<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"%.1f\" stroke-linecap=\"round\"%s/>",
                path, ink, width, more));
    }
}
