package umbel.app.http;

import java.util.List;
import java.util.Map;
import umbel.app.reader.Reader;
import umbel.assess.StatementAnswer;
import umbel.format.FieldError;

/**
 * A field at fault, as it is sent.
 *
 * @param field its path, as {@code limbs[3].angle_deg}
 * @param message what is wrong, in the reader's language
 * @param code of the catalogue; the same in every language
 * @param values of the statement, by name
 */
public record FieldProblem(String field, String message, String code, Map<String, StatementAnswer.ValueAnswer> values) {

    /** Errors as they are told to whoever asks now. */
    public static List<FieldProblem> of(List<FieldError> errors) {
        return errors.stream()
                .map(error -> new FieldProblem(
                        error.field(),
                        Reader.speech().say(error.what()),
                        error.what().code(),
                        StatementAnswer.of(error.what()).values()))
                .toList();
    }
}
