package umbel.app.archive;

import umbel.text.Statement;

/** A file that cannot be read into a farm. */
final class NotAnArchive extends Exception {

    private static final long serialVersionUID = 1L;

    private final transient Statement why;

    NotAnArchive(String code) {
        this(code, null);
    }

    NotAnArchive(String code, Throwable cause) {
        super(code, cause);
        this.why = Statement.of(code);
    }

    Statement why() {
        return why;
    }
}
