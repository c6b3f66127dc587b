package umbel.app.backup;

/** A file that cannot be restored, or not now; the message says why. */
public final class NotABackup extends RuntimeException {

    private static final long serialVersionUID = 1L;

    NotABackup(String message) {
        super(message);
    }
}
