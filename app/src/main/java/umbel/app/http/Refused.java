package umbel.app.http;

import org.springframework.http.HttpStatus;
import umbel.text.Speech;
import umbel.text.Statement;

/** Something that is not let through, with what is said to whoever asked. */
public class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient Statement what;

    public Refused(HttpStatus status, Statement what) {
        super(Speech.english().say(what));
        this.status = status;
        this.what = what;
    }

    final HttpStatus status() {
        return status;
    }

    final Statement what() {
        return what;
    }
}
