package umbel.drawing;

import java.util.List;
import umbel.instruction.Sentence;
import umbel.text.Speech;
import umbel.text.Value;

/**
 * A card to cut out and carry: a ruler along its edge, a notch for every thickness and a ray for every angle that an instruction
 * names. Its units are millimetres, so it prints true to size.
 */
public final class GaugeCard {

    private static final int LEAST_WIDTH_MM = 140;
    private static final int NOTCHES_FROM_MM = 56;
    private static final int APART_MM = 8;
    private static final int HEIGHT_MM = 95;
    private static final int RULER_CM = 13;
    private static final int NOTCH_DEPTH_MM = 26;
    private static final int ARC_MM = 42;

    private final StringBuilder out = new StringBuilder();

    private final double width;
    private final Speech speech;

    private GaugeCard(List<Double> notches, Speech speech) {
        this.speech = speech;
        double wanted = NOTCHES_FROM_MM
                + notches.stream().mapToDouble(one -> one + APART_MM).sum();
        width = Math.max(LEAST_WIDTH_MM, wanted);
    }

    /**
     * The card of an instruction.
     *
     * @param speech how its notches and rays are labelled
     */
    public static String draw(List<Sentence> sentences, Speech speech) {
        List<Double> notches = of(sentences, Sentence.Unit.MM);
        GaugeCard card = new GaugeCard(notches, speech);
        card.out.append(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %1$.0f %2$d\" width=\"%1$.0fmm\" height=\"%2$dmm\">",
                card.width, HEIGHT_MM));
        card.line(0.2, 0.2, card.width - 0.2, 0.2);
        card.line(card.width - 0.2, 0.2, card.width - 0.2, HEIGHT_MM - 0.2);
        card.line(card.width - 0.2, HEIGHT_MM - 0.2, 0.2, HEIGHT_MM - 0.2);
        card.line(0.2, HEIGHT_MM - 0.2, 0.2, 0.2);
        card.ruler();
        card.notches(notches);
        card.rays(of(sentences, Sentence.Unit.DEGREES));
        return card.out.append("</svg>").toString();
    }

    private static List<Double> of(List<Sentence> sentences, Sentence.Unit unit) {
        return sentences.stream()
                .filter(one -> one.form().unit() == unit)
                .map(Sentence::gauge)
                .distinct()
                .sorted()
                .toList();
    }

    private void ruler() {
        for (int mm = 0; mm <= 10 * RULER_CM; mm += 5) {
            line(mm, 0, mm, mm % 50 == 0 ? 8 : mm % 10 == 0 ? 5 : 3);
            if (mm % 50 == 0 && mm > 0) {
                text(mm + 1, 8, speech.value(Value.centimetres(mm / 10.0)));
            }
        }
    }

    /** Slots from the lower edge: a limb that does not go in is thicker. */
    private void notches(List<Double> widths) {
        double x = NOTCHES_FROM_MM;
        for (double width : widths) {
            line(x, HEIGHT_MM, x, HEIGHT_MM - NOTCH_DEPTH_MM);
            line(x, HEIGHT_MM - NOTCH_DEPTH_MM, x + width, HEIGHT_MM - NOTCH_DEPTH_MM);
            line(x + width, HEIGHT_MM - NOTCH_DEPTH_MM, x + width, HEIGHT_MM);
            text(x, HEIGHT_MM - NOTCH_DEPTH_MM - 2, speech.value(Value.millimetres(width)));
            x += width + APART_MM;
        }
    }

    /** Angles from the upright, held with the left edge along the stem. */
    private void rays(List<Double> angles) {
        double foot = HEIGHT_MM - 18;
        for (double angle : angles) {
            double turn = Math.toRadians(angle);
            double x = ARC_MM * Math.sin(turn);
            double y = foot - ARC_MM * Math.cos(turn);
            line(0.2, foot, x, y);
            text(x + 1, y, speech.value(Value.degrees(angle)));
        }
    }

    private void line(double x1, double y1, double x2, double y2) {
        out.append(Svg.of(
                "<line x1=\"%.2f\" y1=\"%.2f\" x2=\"%.2f\" y2=\"%.2f\" stroke=\"#000\" stroke-width=\"0.35\"/>",
                x1, y1, x2, y2));
    }

    private void text(double x, double y, String words) {
        out.append(Svg.of(
                "<text x=\"%.1f\" y=\"%.1f\" font-size=\"4\" font-family=\"sans-serif\">%s</text>", x, y, words));
    }
}
