package umbel.format;

/**
 * One thing wrong with what was sent.
 *
 * @param field path of the field, as {@code limbs[3].angle_deg}; empty for the whole document
 * @param message what is wrong and what would be right, in plain words
 */
public record FieldError(String field, String message) {

    /** The same error seen from a document that holds this one under {@code prefix}. */
    public FieldError under(String prefix) {
        return new FieldError(field.isEmpty() ? prefix : prefix + "." + field, message);
    }
}
