package umbel.text;

import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Metric measures that stand within sentences of the knowledge files, as “head at 70 to 80 cm”, told as a reader tells such values. A
 * figure counts as a measure where a metric unit follows it, or follows the figure it makes a range with.
 */
final class MeasuresInProse {

    /** A figure, a second one after a joining word of any language there is, and the unit. */
    private static final Pattern MEASURE =
            Pattern.compile("(\\d+(?:[.,]\\d+)?)(?:(\\s?(?:to|and|or|a|y|o|–|-)\\s?)(\\d+(?:[.,]\\d+)?))?"
                    + "[ \\u00a0](cm|mm|m|kg|°C)(?![\\p{L}\\d²³])");

    /** A measure as it is told: its figure, and its unit with what stands between. */
    private static final Pattern TOLD = Pattern.compile("([-\\d.,]+)(.*)");

    private MeasuresInProse() {}

    /**
     * A sentence with its metric measures told otherwise.
     *
     * @param tell a value as the reader tells it
     */
    static String told(String text, Function<Value, String> tell) {
        return MEASURE.matcher(text).replaceAll(found -> Matcher.quoteReplacement(one(found, tell)));
    }

    private static String one(MatchResult found, Function<Value, String> tell) {
        String last = tell.apply(value(found.group(3) == null ? found.group(1) : found.group(3), found.group(4)));
        if (found.group(3) == null) {
            return last;
        }
        String first = tell.apply(value(found.group(1), found.group(4)));
        Matcher from = TOLD.matcher(first);
        Matcher to = TOLD.matcher(last);
        boolean alike = from.matches() && to.matches() && from.group(2).equals(to.group(2));
        if (first.equals(last)) {
            return last;
        }
        return (alike ? from.group(1) : first) + found.group(2) + last;
    }

    private static Value value(String figure, String unit) {
        double number = Double.parseDouble(figure.replace(',', '.'));
        return switch (unit) {
            case "cm" -> Value.centimetres(number);
            case "mm" -> Value.millimetres(number);
            case "m" -> Value.reach(number);
            case "kg" -> new Value.Mass(number);
            default -> new Value.Temperature(number);
        };
    }
}
