package umbel.format;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import umbel.text.Value;

/** Bounds of a field, told in the unit that the ending of its name gives: {@code length_cm}, {@code betweenRowsM}. */
public final class Bounds {

    private static final Pattern ENDING =
            Pattern.compile("(?:_(cm|mm|m|kg|deg)|(?<=[a-z])(Mm|M|Kg|Deg))(?:\\[\\d+])?$");

    private Bounds() {}

    /** A bound of a field; a plain number where the field's name gives no unit. */
    public static Value of(String field, String bound) {
        Matcher ending = ENDING.matcher(field);
        if (!ending.find() || !bound.matches("-?\\d+(\\.\\d+)?")) {
            return Value.name(bound);
        }
        double value = new BigDecimal(bound).doubleValue();
        String unit = ending.group(1) == null ? ending.group(2) : ending.group(1);
        return switch (unit) {
            case "cm" -> Value.centimetres(value);
            case "mm", "Mm" -> Value.millimetres(value);
            case "kg", "Kg" -> new Value.Mass(value);
            case "deg", "Deg" -> Value.degrees(value);
            default -> Value.reach(value);
        };
    }
}
