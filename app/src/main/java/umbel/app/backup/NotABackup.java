package umbel.app.backup;

import umbel.text.Speech;
import umbel.text.Statement;

/** A file that cannot be restored, or not now. */
public final class NotABackup extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient Statement why;

    NotABackup(Statement why) {
        super(Speech.english().say(why));
        this.why = why;
    }

    /** Why it cannot. */
    Statement why() {
        return why;
    }
}
