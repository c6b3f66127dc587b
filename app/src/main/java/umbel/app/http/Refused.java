package umbel.app.http;

import org.springframework.http.HttpStatus;

/** Something that is not let through, with the words for whoever asked. */
public class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final String title;

    public Refused(HttpStatus status, String title, String detail) {
        super(detail);
        this.status = status;
        this.title = title;
    }

    HttpStatus status() {
        return status;
    }

    String title() {
        return title;
    }
}
