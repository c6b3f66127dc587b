package umbel.knowledge;

/** A species, system or school that is unknown, or known but not yet supported. */
public final class NotSupported extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final boolean known;

    /**
     * @param field the survey's field, as {@code tree.species}
     * @param known true when the format knows the word but no knowledge file covers it yet
     */
    public NotSupported(String field, boolean known, String message) {
        super(message);
        this.field = field;
        this.known = known;
    }

    /** The field that names what is not supported. */
    public String field() {
        return field;
    }

    /** Whether the word is a word of the format, only not yet covered. */
    public boolean known() {
        return known;
    }
}
