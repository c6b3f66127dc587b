package umbel.app.http;

/** A save made from something that has changed meanwhile. */
public final class Stale extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public Stale(String message) {
        super(message);
    }
}
