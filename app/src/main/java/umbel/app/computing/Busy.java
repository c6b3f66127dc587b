package umbel.app.computing;

import org.springframework.http.HttpStatus;
import umbel.app.http.Refused;
import umbel.text.Statement;

/** There is no room or no time to compute an answer now. */
public final class Busy extends Refused {

    private static final long serialVersionUID = 1L;

    Busy(Statement what) {
        super(HttpStatus.SERVICE_UNAVAILABLE, what);
    }
}
