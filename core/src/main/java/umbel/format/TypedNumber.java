package umbel.format;

import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * A number as people write it in a table: with a decimal point or a decimal comma, and with signs between thousands where they
 * can only be that.
 */
public final class TypedNumber {

    private static final Pattern SHAPE = Pattern.compile("[+-]?[\\d.,]*\\d[\\d.,]*(?:[eE][+-]?\\d{1,3})?");
    private static final Pattern BLANKS = Pattern.compile("[\\s\u00a0\u202f'\u2019]");

    private TypedNumber() {}

    /** The number; empty where the text is none. */
    public static OptionalDouble read(String text) {
        String plain = BLANKS.matcher(text).replaceAll("");
        if (!SHAPE.matcher(plain).matches()) {
            return OptionalDouble.empty();
        }
        int comma = plain.lastIndexOf(',');
        int point = plain.lastIndexOf('.');
        String number;
        if (comma >= 0 && point >= 0) {
            number = plain.replace(comma > point ? "." : ",", "").replace(',', '.');
        } else {
            String sign = comma >= 0 ? "," : ".";
            boolean thousands = plain.indexOf(sign) != plain.lastIndexOf(sign);
            number = thousands ? plain.replace(sign, "") : plain.replace(',', '.');
        }
        try {
            return OptionalDouble.of(Double.parseDouble(number));
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }
}
