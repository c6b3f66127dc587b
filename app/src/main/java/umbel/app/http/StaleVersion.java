package umbel.app.http;

import org.springframework.http.HttpStatus;
import umbel.text.Statement;

/** A save made from something that has changed meanwhile. */
public final class StaleVersion extends Refused {

    private static final long serialVersionUID = 1L;

    public StaleVersion(Statement what) {
        super(HttpStatus.CONFLICT, what);
    }
}
