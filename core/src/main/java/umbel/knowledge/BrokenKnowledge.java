package umbel.knowledge;

/** A knowledge file that cannot be used; the message names file, line and reason. */
public final class BrokenKnowledge extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public BrokenKnowledge(String message, Throwable cause) {
        super(message, cause);
    }
}
