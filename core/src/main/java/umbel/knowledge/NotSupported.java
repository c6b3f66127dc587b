package umbel.knowledge;

/** A species, system, school or line of a school that no knowledge file covers. */
public final class NotSupported extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * @param field the survey's or request's field, as {@code tree.species}
     * @param message what is unknown and what there is instead
     */
    public NotSupported(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The field that names what is not supported. */
    public String field() {
        return field;
    }
}
