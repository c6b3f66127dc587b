package umbel.assess;

import java.util.Locale;
import umbel.wood.Units;

/** Numbers and names as the open format writes them. */
final class FormatWords {

    private FormatWords() {}

    /** A share or a severity, to three digits after the point. */
    static double round(double value) {
        return Units.round(value, 3);
    }

    /** A length in metres as centimetres, to a millimetre. */
    static double cm(double metres) {
        return Units.round(Units.toCm(metres), 1);
    }

    /** A constant's name in small letters with hyphens. */
    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
