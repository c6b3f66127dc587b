package umbel.cut;

/** An operation that cannot be made on this tree. */
public final class ImpossibleCut extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    public ImpossibleCut(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The operation's field that is wrong. */
    public String field() {
        return field;
    }
}
