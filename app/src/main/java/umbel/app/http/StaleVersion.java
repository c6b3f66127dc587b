package umbel.app.http;

/** A save made from something that has changed meanwhile. */
public final class StaleVersion extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public StaleVersion(String message) {
        super(message);
    }
}
