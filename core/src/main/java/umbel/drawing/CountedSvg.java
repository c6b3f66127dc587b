package umbel.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;
import umbel.knowledge.Species;

/**
 * A bush, a stretch of a cane row or a vine with what is done to it, seen from one side. Canes have the colour of their age, what goes
 * is marked; each carries its name, so that a page can pick it.
 */
public final class CountedSvg {

    /** Wood thinner than this is drawn as a twig. */
    private static final double TWIG_CM = 0.5;

    private CountedSvg() {}

    /** What it is drawn for. */
    public enum Ink {
        /** Colours by age, what goes in the colour of marks. */
        SCREEN,
        /** Black on white with numbered boxes, what goes broken. */
        PAPER
    }

    /** When in its year it is drawn. */
    public enum Season {
        /** As it was counted, without leaf. */
        BARE,
        BLOOM,
        SUMMER,
        HARVEST;

        /** The word of the API. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The season of a word; empty where there is none. */
        public static Optional<Season> of(String word) {
            return Arrays.stream(values())
                    .filter(season -> season.word().equals(word))
                    .findFirst();
        }
    }

    /** What a cane carries in the coming season. */
    enum Carries {
        NOTHING,
        LEAF,
        /** Flowers and fruit scattered along it, with leaf. */
        FRUIT,
        /** A few bunches low on it, with leaf. */
        BUNCHES
    }

    /**
     * One cane as it is drawn.
     *
     * @param id its name, or its class
     * @param points along it in centimetres: to the right, and up
     * @param widthCm at its foot
     * @param age years, from 1
     * @param goesFrom share of its length from its foot at which it is cut; 1 where it stays whole
     * @param step number of the step that is tied to it, from 1; 0 where none is
     * @param carries in the coming season, as far as it stays
     */
    record Cane(String id, double[][] points, double widthCm, int age, double goesFrom, int step, Carries carries) {

        Cane(String id, double[][] points, double widthCm, int age, double goesFrom, int step) {
            this(id, points, widthCm, age, goesFrom, step, Carries.NOTHING);
        }

        Cane fromBehind() {
            double[][] other = new double[points.length][];
            for (int i = 0; i < points.length; i++) {
                other[i] = new double[] {-points[i][0], points[i][1]};
            }
            return new Cane(id, other, widthCm, age, goesFrom, step, carries);
        }
    }

    /** A drawing in centimetres. */
    record Figure(double half, double top, List<Cane> canes, List<double[]> wires) {

        /** The same as it is seen from the other side. */
        Figure fromBehind() {
            return new Figure(
                    half,
                    top,
                    canes.stream().map(Cane::fromBehind).toList(),
                    wires.stream()
                            .map(wire -> new double[] {-wire[1], -wire[0], wire[2]})
                            .toList());
        }
    }

    /** Draws what was counted under operations, in the order of their numbers, from the south and without leaf. */
    public static String draw(CountSurvey survey, List<CountOperation> operations, Ink ink) {
        return draw(survey, operations, ink, 0);
    }

    /**
     * Draws what was counted under operations without leaf, in the order of their numbers.
     *
     * @param turned how far the plant is turned before the viewer, radians; a row and a vine are seen from one side or the other
     */
    public static String draw(CountSurvey survey, List<CountOperation> operations, Ink ink, double turned) {
        return write(figure(survey, operations, turned, false), ink, "");
    }

    /**
     * Draws on a screen what is left of the plant under operations in the season to come, with what goes marked.
     *
     * @param look colours of its kind
     * @param turned how far the plant is turned before the viewer, radians
     */
    public static String draw(
            CountSurvey survey, List<CountOperation> operations, Season season, Species.Look look, double turned) {
        Figure figure = figure(survey, operations, turned, season != Season.BARE);
        CountedFoliage foliage = new CountedFoliage(season, look, CountedFoliage.leafCm(survey));
        return write(figure, Ink.SCREEN, foliage.of(figure));
    }

    private static Figure figure(CountSurvey survey, List<CountOperation> operations, double turned, boolean inSeason) {
        if (survey.canes() != null) {
            return BushFigure.of(survey.canes(), operations, turned);
        }
        Figure figure = survey.row() != null
                ? RowFigure.of(survey.row(), operations)
                : VineFigure.of(survey.vine(), operations, inSeason);
        return Math.cos(turned) < 0 ? figure.fromBehind() : figure;
    }

    private static String write(Figure figure, Ink ink, String foliage) {
        boolean paper = ink == Ink.PAPER;
        double half = Math.max(60, figure.half());
        double top = Math.max(80, figure.top());
        double unit = (2 * half) / 300;
        double margin = (paper ? SheetFlags.MARGIN : 12) * unit;
        StringBuilder out = new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"%.0f %.0f %.0f %.0f\" width=\"340\">",
                -half - margin, -top - margin, 2 * half + 2 * margin, top + margin + 14 * unit));
        out.append(Svg.of(
                "<line x1=\"%.1f\" y1=\"0\" x2=\"%.1f\" y2=\"0\" stroke=\"%s\" stroke-width=\"%.2f\"/>",
                -half, half, paper ? "#000" : "#6b5a44", 1.2 * unit));
        for (double[] wire : figure.wires()) {
            out.append(Svg.of(
                    "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" stroke=\"%s\" stroke-width=\"%.2f\"/>",
                    wire[0], -wire[2], wire[1], -wire[2], paper ? "#555" : "#7f8a8c", 0.8 * unit));
        }
        List<Cane> order = new ArrayList<>(figure.canes());
        order.sort(java.util.Comparator.comparingDouble(Cane::goesFrom).reversed());
        Map<Integer, SheetFlags.Tie> ties = new HashMap<>();
        for (Cane cane : order) {
            cane(out, cane, paper, unit);
            if (cane.step() > 0) {
                double[] at = along(cane, Math.min(0.5, Math.max(0.3, cane.goesFrom())));
                ties.putIfAbsent(cane.step(), new SheetFlags.Tie(at[0], -at[1]));
            }
        }
        out.append(foliage);
        if (paper) {
            int last = ties.keySet().stream().mapToInt(Integer::intValue).max().orElse(0);
            List<SheetFlags.Tie> all = new ArrayList<>();
            for (int number = 1; number <= last; number++) {
                all.add(ties.getOrDefault(number, new SheetFlags.Tie(0, -8 * unit)));
            }
            SheetFlags.draw(out, all, half, unit);
        }
        return out.append("</svg>").toString();
    }

    private static void cane(StringBuilder out, Cane cane, boolean paper, double unit) {
        out.append("<g data-cane=\"").append(cane.id()).append("\" fill=\"none\" stroke-linecap=\"round\">");
        double least = cane.widthCm() < TWIG_CM ? 0.7 : paper ? 1 : 1.3;
        double width = Math.max(least * unit, cane.widthCm());
        if (cane.goesFrom() > 0.01) {
            path(out, cane, 0, cane.goesFrom(), width, paper ? "#000" : colour(cane.age()), "");
        }
        if (cane.goesFrom() < 0.99) {
            String dash = paper ? Svg.of("%.1f %.1f", 5 * unit, 4 * unit) : "";
            path(out, cane, cane.goesFrom(), 1, paper ? 0.9 * unit : width, paper ? "#000" : "#c2185b", dash);
        }
        out.append("</g>");
    }

    private static void path(
            StringBuilder out, Cane cane, double from, double to, double width, String ink, String dash) {
        int pieces = cane.widthCm() < TWIG_CM ? 4 : 12;
        out.append("<path d=\"");
        for (int i = 0; i <= pieces; i++) {
            double[] at = along(cane, from + (to - from) * i / pieces);
            out.append(Svg.of("%s%.1f %.1f", i == 0 ? "M" : "L", at[0], -at[1]));
        }
        out.append(Svg.of("\" stroke=\"%s\" stroke-width=\"%.2f\"", ink, width));
        if (!dash.isEmpty()) {
            out.append(" stroke-dasharray=\"").append(dash).append('"');
        }
        out.append("/>");
    }

    /** A place on a cane, by share of its length. */
    static double[] along(Cane cane, double share) {
        double[][] points = cane.points();
        int last = points.length - 1;
        double at = share * last;
        int before = (int) Math.min(last - 1, Math.floor(at));
        double rest = at - before;
        double[] ahead = points[Math.max(0, before - 1)];
        double[] from = points[before];
        double[] to = points[before + 1];
        double[] behind = points[Math.min(last, before + 2)];
        return new double[] {
            smooth(ahead[0], from[0], to[0], behind[0], rest), smooth(ahead[1], from[1], to[1], behind[1], rest)
        };
    }

    /** Between two of four values in a row, on a Catmull–Rom curve. */
    private static double smooth(double a, double b, double c, double d, double t) {
        return 0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t);
    }

    private static String colour(int age) {
        String[] byAge = {"#b5392c", "#98522f", "#7d5f42", "#6b6153", "#5b5752", "#484644"};
        return byAge[Math.max(1, Math.min(byAge.length, age)) - 1];
    }

    /** A number in 0…1 that is always the same for a name, for a drawing that does not jump. */
    static double noise(String name, int salt) {
        int hash = (name + salt).hashCode();
        hash ^= hash >>> 16;
        hash *= 0x45d9f3b;
        hash ^= hash >>> 16;
        return (hash & 0xffff) / 65536.0;
    }

    /** The number of the step done to a target, from 1; 0 where none is. */
    static int stepOn(List<CountOperation> operations, String target) {
        for (int i = 0; i < operations.size(); i++) {
            if (operations.get(i).target().equals(target)) {
                return i + 1;
            }
        }
        return 0;
    }
}
