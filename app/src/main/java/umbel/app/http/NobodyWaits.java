package umbel.app.http;

/** Whoever asked has gone: there is nobody to be answered. */
public class NobodyWaits extends RuntimeException {

    private static final long serialVersionUID = 1L;
}
