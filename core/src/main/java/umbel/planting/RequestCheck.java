package umbel.planting;

import java.util.ArrayList;
import java.util.List;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;

/** What checks of requests share: the faults found so far, each under its field. */
abstract class RequestCheck {

    final List<FieldError> errors = new ArrayList<>();

    /** Refuses the request where faults were found in it. */
    final void refuseFaulty() {
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
    }

    /** A number that was sent, or the usual one; the usual one too where it is not within its bounds, which is a fault. */
    final double within(String field, Double value, double usual, double least, double most) {
        double told = value == null ? usual : value;
        if (Double.isNaN(told) || told < least || told > most) {
            errors.add(FieldError.between(field, least, most));
            return usual;
        }
        return told;
    }

    /** Whether a word is one of those there are; it is a fault where it is not. */
    final boolean known(String field, String word, List<String> all) {
        if (word == null || !all.contains(word)) {
            errors.add(FieldError.oneOf(field, all));
            return false;
        }
        return true;
    }

    /** A whole number as one that {@link #within} takes. */
    static Double whole(Integer number) {
        return number == null ? null : Double.valueOf(number);
    }
}
