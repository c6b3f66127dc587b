package umbel.app.http;

import org.springframework.http.HttpStatus;
import umbel.text.Statement;
import umbel.text.Value;

/** Something asked for by its number that is not there. */
public final class NotFound extends Refused {

    private static final long serialVersionUID = 1L;

    /** @param what one of the words that {@code problem.not-found} knows, as {@code surveyOfTree} */
    public NotFound(String what, Object id) {
        super(
                HttpStatus.NOT_FOUND,
                Statement.of("problem.not-found")
                        .with("what", Value.choice(what))
                        .with("id", Value.name(String.valueOf(id))));
    }
}
