package umbel.drawing;

import java.util.List;
import umbel.field.FieldOutline;
import umbel.field.FieldRows;

/**
 * A field from above with its rows, north up, and a bar to tell its size by. In the page's own ink ({@code currentColor}), so that it is read
 * by day, at dusk and on paper.
 */
public final class FieldSvg {

    private static final double WIDE = 1000;
    private static final double MARGIN = 36;
    /** How large it is where nothing else says so, as on a sheet of paper, in pixels of 1/96 inch. */
    private static final double PAPER_WIDE = 660;

    private static final double PAPER_HIGH = 620;
    private static final double FOOT = 60;
    private static final double LETTERS = 26;
    /** Rows are numbered in steps that leave at least this much between numbers. */
    private static final double NUMBER_ROOM = 34;
    /** Of lines nearer to each other than this only every so many are drawn. */
    private static final double LINE_ROOM = 2.5;
    /** Trees are drawn one by one where they stand at least this far apart. */
    private static final double TREE_ROOM = 7;

    private final double left;
    private final double top;
    private final double scale;
    private final StringBuilder out = new StringBuilder();

    private FieldSvg(double left, double top, double scale) {
        this.left = left;
        this.top = top;
        this.scale = scale;
    }

    /** The length of the bar that a field is drawn with, metres: 1, 2 or 5 times a power of ten, up to a third of its width. */
    public static double bar(FieldOutline outline) {
        double third = size(outline)[0] / 3;
        double power = Math.pow(10, Math.floor(Math.log10(third)));
        double times = third / power;
        return power * (times >= 5 ? 5 : times >= 2 ? 2 : 1);
    }

    /** West and north edge are the origin; width and height, metres, the larger of them for the width. */
    private static double[] size(FieldOutline outline) {
        double[] box = box(outline);
        return new double[] {Math.max(box[2] - box[0], box[3] - box[1]), box[3] - box[1]};
    }

    /** West, south, east and north edge. */
    private static double[] box(FieldOutline outline) {
        double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (List<Double> corner : outline.rings().get(0)) {
            box[0] = Math.min(box[0], corner.get(0));
            box[1] = Math.min(box[1], corner.get(1));
            box[2] = Math.max(box[2], corner.get(0));
            box[3] = Math.max(box[3], corner.get(1));
        }
        return box;
    }

    /**
     * Draws it.
     *
     * @param inRow between trees, metres
     * @param barLabel what the bar's length is called
     * @param north the letter of north
     */
    public static String draw(FieldOutline outline, FieldRows rows, double inRow, String barLabel, String north) {
        double[] box = box(outline);
        double scale = (WIDE - 2 * MARGIN) / size(outline)[0];
        FieldSvg svg = new FieldSvg(box[0], box[3], scale);
        double width = Math.max(WIDE / 2, (box[2] - box[0]) * scale + 2 * MARGIN);
        double height = (box[3] - box[1]) * scale + 2 * MARGIN + FOOT;
        double paper = Math.min(PAPER_WIDE / width, PAPER_HIGH / height);
        svg.out.append(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\" width=\"%.0f\" height=\"%.0f\" fill=\"none\" stroke=\"currentColor\">",
                width, height, width * paper, height * paper));
        svg.edge(outline);
        svg.rows(rows, inRow);
        svg.foot(height, bar(outline) * scale, barLabel, north);
        return svg.out.append("</svg>").toString();
    }

    private double x(double east) {
        return MARGIN + (east - left) * scale;
    }

    private double y(double north) {
        return MARGIN + (top - north) * scale;
    }

    private void edge(FieldOutline outline) {
        StringBuilder path = new StringBuilder();
        for (List<List<Double>> ring : outline.rings()) {
            String move = "M";
            for (List<Double> corner : ring) {
                path.append(Svg.of("%s%.1f %.1f", move, x(corner.get(0)), y(corner.get(1))));
                move = "L";
            }
            path.append('Z');
        }
        out.append("<path d=\"")
                .append(path)
                .append("\" fill=\"currentColor\" fill-opacity=\"0.05\" fill-rule=\"evenodd\" stroke-width=\"2.5\"/>");
    }

    private void rows(FieldRows rows, double inRow) {
        boolean singly = inRow * scale >= TREE_ROOM;
        double between = between(rows) * scale;
        int step = between <= 0 ? 1 : (int) Math.max(1, Math.ceil(NUMBER_ROOM / between));
        int drawn = between <= 0 ? 1 : (int) Math.max(1, Math.ceil(LINE_ROOM / between));
        int numbered = 0;
        for (FieldRows.Row row : rows.rows()) {
            if (row.number() % drawn != 0) {
                continue;
            }
            double x1 = x(row.from()[0]);
            double y1 = y(row.from()[1]);
            double x2 = x(row.to()[0]);
            double y2 = y(row.to()[1]);
            out.append(Svg.of(
                    "<path d=\"M%.1f %.1fL%.1f %.1f\" stroke-width=\"%.1f\" stroke-linecap=\"round\"/>",
                    x1, y1, x2, y2, singly ? 0.8 : Math.max(0.8, Math.min(3, between / 4))));
            if (singly) {
                row.places().forEach(tree -> dot(tree, inRow));
            }
            if (row.number() >= numbered + step || numbered == 0) {
                numbered = row.number();
                number(row, x1, y1, x2, y2);
            }
        }
    }

    private void dot(double[] tree, double inRow) {
        out.append(Svg.of(
                "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" fill=\"currentColor\" stroke=\"none\"/>",
                x(tree[0]), y(tree[1]), Math.min(6, inRow * scale / 4)));
    }

    /** The number of a row before its first tree. */
    private void number(FieldRows.Row row, double x1, double y1, double x2, double y2) {
        double length = Math.hypot(x2 - x1, y2 - y1);
        double ahead = LETTERS * 1.1;
        double x = length == 0 ? x1 - ahead : x1 - ahead * (x2 - x1) / length;
        double y = length == 0 ? y1 : y1 - ahead * (y2 - y1) / length;
        text(x, y + LETTERS / 3, "middle", String.valueOf(row.number()));
    }

    /** The distance between two neighbouring lines; 0 where there is one only. */
    private static double between(FieldRows rows) {
        FieldRows.Row first = null;
        for (FieldRows.Row row : rows.rows()) {
            if (first != null && row.number() > first.number()) {
                double east = first.to()[0] - first.from()[0];
                double north = first.to()[1] - first.from()[1];
                double length = Math.hypot(east, north);
                double across =
                        Math.abs((row.from()[0] - first.from()[0]) * north - (row.from()[1] - first.from()[1]) * east);
                return length == 0 ? 0 : across / length / (row.number() - first.number());
            }
            first = first == null ? row : first;
        }
        return 0;
    }

    private void foot(double height, double bar, String barLabel, String north) {
        double y = height - MARGIN;
        out.append(Svg.of("<path d=\"M%.1f %.1fv8h%.1fv-8\" stroke-width=\"2\"/>", MARGIN, y - 8, bar));
        text(MARGIN + bar + 10, y, "start", barLabel);
        double x = WIDE / 2 - MARGIN;
        out.append(Svg.of("<path d=\"M%.1f %.1fv-34m-8 12l8 -12l8 12\" stroke-width=\"2\"/>", x, y));
        text(x + 14, y - 8, "start", north);
    }

    private void text(double x, double y, String anchor, String words) {
        out.append(Svg.of(
                        "<text x=\"%.1f\" y=\"%.1f\" text-anchor=\"%s\" font-size=\"%.0f\" fill=\"currentColor\" stroke=\"none\" font-family=\"sans-serif\">",
                        x, y, anchor, LETTERS))
                .append(Svg.escaped(words))
                .append("</text>");
    }
}
