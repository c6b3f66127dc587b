package umbel.format;

import java.math.BigDecimal;
import java.util.Collection;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * One thing wrong with what was sent.
 *
 * @param field path of the field, as {@code limbs[3].angle_deg}; empty for the whole document
 * @param what what is wrong and what would be right
 */
public record FieldError(String field, Statement what) {

    /** An error that needs no values. */
    public static FieldError of(String field, String code) {
        return new FieldError(field, Statement.of(code));
    }

    /** A word that is none of those there are. */
    public static FieldError oneOf(String field, Collection<String> words) {
        return new FieldError(
                field, Statement.of("problem.one-of").with("values", Value.name(String.join(", ", words))));
    }

    /** A number that is not within its bounds. */
    public static FieldError between(String field, double least, double most) {
        return new FieldError(
                field,
                Statement.of("problem.between")
                        .with("least", Value.name(plain(least)))
                        .with("most", Value.name(plain(most))));
    }

    /** As people write it: 500 and not 500.0. */
    private static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    /** The same error seen from a document that holds this one under {@code prefix}. */
    public FieldError under(String prefix) {
        return new FieldError(field.isEmpty() ? prefix : prefix + "." + field, what);
    }

    /** In English, for logs and for the messages of exceptions. */
    @Override
    public String toString() {
        String said = Speech.english().say(what);
        return field.isEmpty() ? said : field + ": " + said;
    }
}
