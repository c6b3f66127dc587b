package umbel.drawing;

import java.util.ArrayList;
import java.util.List;
import umbel.counted.CountSurvey;
import umbel.knowledge.Species;

/** Leaf, flowers and fruit on the canes of a counted plant that stay: where they stand is by chance, always the same. */
final class CountedFoliage {

    private static final double BUSH_LEAF_CM = 5;
    private static final double ROW_LEAF_CM = 8;
    private static final double VINE_LEAF_CM = 12;
    /** The first leaves beside the flowers, as a share of summer's. */
    private static final double YOUNG = 0.4;
    /** Leaves stand so many of their lengths apart along a cane. */
    private static final double APART = 0.75;
    /** Flowers and fruit stand so many leaf lengths apart along what bears. */
    private static final double FRUIT_APART = 0.8;
    /** Leaf in the shade, in half light and in the open. */
    private static final double[] TONES = {0.72, 0.9, 1.1};
    /** Of a cane's length from its foot, without leaf: it is shaded there. */
    private static final double BARE_FOOT = 0.25;

    private static final double[] BUNCHES_AT = {0.16, 0.3};
    private static final int BERRIES = 9;

    private final CountedSvg.Season season;
    private final Species.Look look;
    private final double leafCm;
    private final List<StringBuilder> leaves = new ArrayList<>();
    private final StringBuilder dots = new StringBuilder();

    CountedFoliage(CountedSvg.Season season, Species.Look look, double leafCm) {
        this.season = season;
        this.look = look;
        this.leafCm = season == CountedSvg.Season.BLOOM ? YOUNG * leafCm : leafCm;
        for (int i = 0; i < TONES.length; i++) {
            leaves.add(new StringBuilder());
        }
    }

    /** Usual length of a leaf of a plant of this form, cm. */
    static double leafCm(CountSurvey survey) {
        return survey.canes() != null ? BUSH_LEAF_CM : survey.row() != null ? ROW_LEAF_CM : VINE_LEAF_CM;
    }

    /** What stands on a figure's canes, to be laid over them; empty where the plant is bare. */
    String of(CountedSvg.Figure figure) {
        if (season == CountedSvg.Season.BARE) {
            return "";
        }
        int number = 0;
        for (CountedSvg.Cane cane : figure.canes()) {
            String name = cane.id() + "#" + number++;
            if (cane.carries() != CountedSvg.Carries.NOTHING && cane.goesFrom() > 0.01) {
                leaf(cane, name);
                if (season != CountedSvg.Season.SUMMER) {
                    fruit(cane, name);
                }
            }
        }
        StringBuilder out = new StringBuilder("<g pointer-events=\"none\">");
        for (int i = 0; i < TONES.length; i++) {
            out.append(Svg.of("<path fill=\"%s\" d=\"", toned(look.leaf(), TONES[i])))
                    .append(leaves.get(i))
                    .append("\"/>");
        }
        boolean bloom = season == CountedSvg.Season.BLOOM;
        double wide = bloom ? Math.max(1.6, look.blossomCm()) : fruitCm();
        out.append(Svg.of(
                        "<path fill=\"none\" stroke=\"%s\" stroke-width=\"%.1f\" stroke-linecap=\"round\" d=\"",
                        bloom ? look.blossom() : look.fruit(), wide))
                .append(dots)
                .append("\"/>");
        return out.append("</g>").toString();
    }

    private void leaf(CountedSvg.Cane cane, String name) {
        double length = length(cane);
        double from = length > 4 * leafCm ? BARE_FOOT : 0;
        double to = cane.goesFrom();
        int count = (int) Math.max(1, Math.round((to - from) * length / (APART * leafCm)));
        for (int i = 0; i < count; i++) {
            double share = from + (to - from) * (i + 0.5) / count;
            double[] at = CountedSvg.along(cane, share);
            double[] on = CountedSvg.along(cane, Math.min(1, share + 0.02));
            double along = Math.atan2(on[1] - at[1], on[0] - at[0]);
            double side = i % 2 == 0 ? 1 : -1;
            double turn = along + side * (0.6 + 0.8 * CountedSvg.noise(name, 11 + i));
            double size = leafCm * (0.75 + 0.5 * CountedSvg.noise(name, 211 + i));
            int tone = (int) Math.min(TONES.length - 1, TONES.length * CountedSvg.noise(name, 411 + i));
            oneLeaf(leaves.get(tone), at, turn, size);
        }
    }

    /** A pointed leaf of two bows from its foot to its tip and back. */
    private static void oneLeaf(StringBuilder out, double[] at, double turn, double size) {
        double x = size * Math.cos(turn);
        double y = -size * Math.sin(turn);
        double half = 0.38 * size;
        double acrossX = -half * Math.sin(turn);
        double acrossY = -half * Math.cos(turn);
        out.append(Svg.of(
                "M%.1f %.1fq%.1f %.1f %.1f %.1fq%.1f %.1f %.1f %.1fz",
                at[0],
                -at[1],
                0.45 * x + acrossX,
                0.45 * y + acrossY,
                x,
                y,
                -0.55 * x - acrossX,
                -0.55 * y - acrossY,
                -x,
                -y));
    }

    private void fruit(CountedSvg.Cane cane, String name) {
        if (cane.carries() == CountedSvg.Carries.BUNCHES) {
            for (double share : BUNCHES_AT) {
                if (share < cane.goesFrom()) {
                    bunch(CountedSvg.along(cane, share));
                }
            }
        }
        if (cane.carries() != CountedSvg.Carries.FRUIT) {
            return;
        }
        double length = length(cane);
        int count = (int) Math.max(1, Math.round(cane.goesFrom() * length / (FRUIT_APART * BUSH_LEAF_CM)));
        for (int i = 0; i < count; i++) {
            double share = cane.goesFrom() * (0.35 + 0.65 * (i + 0.5) / count);
            double[] at = CountedSvg.along(cane, share);
            double away = 3.5 * (CountedSvg.noise(name, 611 + i) - 0.5);
            // flowers stand up, fruit hangs
            double hang = season == CountedSvg.Season.BLOOM ? 1 : -1.5 - 1.5 * CountedSvg.noise(name, 811 + i);
            dot(at[0] + away, at[1] + hang);
        }
    }

    /** A bunch hanging from a place: broad above, narrowing downwards. */
    private void bunch(double[] at) {
        double wide = season == CountedSvg.Season.BLOOM ? Math.max(1.6, look.blossomCm()) : fruitCm();
        int row = 4;
        double down = wide;
        for (int i = 0; i < BERRIES; row--) {
            for (int k = 0; k < row && i < BERRIES; k++, i++) {
                dot(at[0] + wide * 0.9 * (k - (row - 1) / 2.0), at[1] - down);
            }
            down += 0.85 * wide;
        }
    }

    private void dot(double x, double y) {
        dots.append(Svg.of("M%.1f %.1fh0", x, -y));
    }

    private double fruitCm() {
        return leafCm >= VINE_LEAF_CM ? 2.1 : leafCm >= ROW_LEAF_CM ? 2.2 : 1.6;
    }

    private static double length(CountedSvg.Cane cane) {
        double length = 0;
        double[][] points = cane.points();
        for (int i = 1; i < points.length; i++) {
            length += Math.hypot(points[i][0] - points[i - 1][0], points[i][1] - points[i - 1][1]);
        }
        return length;
    }

    private static String toned(String hex, double tone) {
        StringBuilder out = new StringBuilder("#");
        for (int i = 1; i < 7; i += 2) {
            int part = (int) Math.round(Integer.parseInt(hex.substring(i, i + 2), 16) * tone);
            out.append(Svg.of("%02x", Math.min(255, part)));
        }
        return out.toString();
    }
}
