package umbel.text;

import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Metric measures that stand within sentences of the knowledge files, as “head at 70 to 80 cm”, told in US customary units. A
 * figure counts as a measure where a metric unit follows it, or follows the figure it makes a range with.
 */
final class MeasuresInProse {

    /** A figure, a second one after a joining word of any language there is, and the unit. */
    private static final Pattern MEASURE = Pattern.compile(
            "(\\d+(?:[.,]\\d+)?)(?:(\\s?(?:to|and|or|a|y|o|–|-)\\s?)(\\d+(?:[.,]\\d+)?))?[ \\u00a0](cm|mm|m|kg|°C)(?![\\p{L}\\d²³])");

    private static final double FEET_FROM_CM = 91.44;

    /** How one metric unit is told: the customary figure of a metric one, its sign, and its decimals. */
    private record Told(DoubleUnaryOperator customary, String sign, int digits) {}

    private static final Told INCHES = new Told(cm -> cm / 2.54, "in", 0);
    private static final Told FEET_OF_CM = new Told(cm -> cm / 30.48, "ft", 1);
    private static final Map<String, Told> UNITS = Map.of(
            "cm", INCHES,
            "mm", new Told(mm -> mm / 25.4, "in", 1),
            "m", new Told(m -> m / 0.3048, "ft", 0),
            "kg", new Told(kg -> kg / 0.45359237, "lb", 0),
            "°C", new Told(c -> c * 1.8 + 32, "°F", 0));

    private MeasuresInProse() {}

    /**
     * A sentence with its metric measures in US customary units.
     *
     * @param figures writes a figure with so many decimals as the reader's language does
     */
    static String customary(String text, Figures figures) {
        return MEASURE.matcher(text).replaceAll(found -> Matcher.quoteReplacement(told(found, figures)));
    }

    /** Writes a figure with a number of decimals. */
    @FunctionalInterface
    interface Figures {
        String write(double value, int digits);
    }

    private static String told(MatchResult found, Figures figures) {
        double first = number(found.group(1));
        boolean range = found.group(3) != null;
        double last = range ? number(found.group(3)) : first;
        String unit = found.group(4);
        Told told = unit.equals("cm") && last >= FEET_FROM_CM ? FEET_OF_CM : UNITS.get(unit);
        String from = figures.write(told.customary().applyAsDouble(first), told.digits());
        String to = figures.write(told.customary().applyAsDouble(last), told.digits());
        return (range && !from.equals(to) ? from + found.group(2) + to : to) + " " + told.sign();
    }

    private static double number(String figure) {
        return Double.parseDouble(figure.replace(',', '.'));
    }
}
