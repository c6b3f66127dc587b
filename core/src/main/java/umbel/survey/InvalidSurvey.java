package umbel.survey;

import java.util.List;
import umbel.format.FieldError;

/** A survey that cannot be read; carries every fault found, each with its field. */
public final class InvalidSurvey extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<FieldError> errors;

    public InvalidSurvey(List<FieldError> errors) {
        super(errors.isEmpty() ? "" : errors.get(0).toString());
        this.errors = List.copyOf(errors);
    }

    /** The faults, in the order of the document; never empty. */
    public List<FieldError> errors() {
        return errors;
    }
}
