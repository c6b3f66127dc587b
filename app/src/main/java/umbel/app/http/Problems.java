package umbel.app.http;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.ConstraintViolation;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.reader.Reader;
import umbel.assess.StatementAnswer;
import umbel.cut.ImpossibleCut;
import umbel.format.FieldError;
import umbel.knowledge.NotSupported;
import umbel.survey.InvalidSurvey;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;

/** Every error as an RFC 9457 problem that names the fields and the way out. */
@RestControllerAdvice
public class Problems {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    private static final String RETRY_AFTER_SECONDS = "5";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * A problem as it is sent.
     *
     * @param code of the catalogue; what {@code detail} says, the same in every language
     * @param values of the statement, by name
     * @param errors faulty fields; empty when the fault lies in no field
     */
    public record Problem(
            String type,
            String title,
            int status,
            String detail,
            String code,
            Map<String, StatementAnswer.ValueAnswer> values,
            List<FieldProblem> errors) {

        static Problem of(int status, Statement what, List<FieldError> errors) {
            Speech speech = Reader.speech();
            return new Problem(
                    "about:blank",
                    title(status, speech),
                    status,
                    speech.say(what),
                    what.code(),
                    StatementAnswer.of(what).values(),
                    FieldProblem.of(errors));
        }

        private static String title(int status, Speech speech) {
            String code = "problem-title." + status;
            return speech.say(Statement.of(speech.knows(code) ? code : "problem-title.other"));
        }
    }

    /** Writes a problem where no controller could. */
    public static void write(HttpServletResponse response, int status, Statement what) throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(JSON.writeValueAsString(Problem.of(status, what, List.of())));
    }

    private static ProblemDetail problem(HttpStatus status, String code) {
        return problem(status, Statement.of(code), List.of());
    }

    private static ProblemDetail problem(HttpStatus status, Statement what, List<FieldError> errors) {
        Problem told = Problem.of(status.value(), what, errors);
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, told.detail());
        problem.setTitle(told.title());
        problem.setProperty("code", told.code());
        problem.setProperty("values", told.values());
        problem.setProperty("errors", told.errors());
        return problem;
    }

    /** A problem of one field, said once for the whole and once at the field. */
    private static ProblemDetail problem(HttpStatus status, String field, Statement what) {
        return problem(status, what, List.of(new FieldError(field, what)));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refused e) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(e.status());
        if (e.status() == HttpStatus.SERVICE_UNAVAILABLE) {
            answer.header(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        }
        return answer.body(problem(e.status(), e.what(), List.of()));
    }

    /** Whoever asked has gone; what is answered reaches nobody. */
    @ExceptionHandler
    void goneAway(NobodyWaits e, HttpServletResponse response) {
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
    }

    @ExceptionHandler
    ProblemDetail invalid(InvalidSurvey e) {
        return problem(HttpStatus.BAD_REQUEST, together(e.errors()), e.errors());
    }

    /** What is said of several faults at once: the first, and how many there are. */
    private static Statement together(List<FieldError> errors) {
        if (errors.isEmpty()) {
            return Statement.of("problem.some-fields");
        }
        FieldError error = errors.get(0);
        Statement first = error.field().isEmpty()
                ? error.what()
                : Statement.of("problem.field")
                        .with("field", Value.name(error.field()))
                        .with("fault", new Value.Sentences(List.of(error.what())));
        return errors.size() == 1
                ? first
                : Statement.of("problem.several-fields")
                        .with("count", Value.count(errors.size()))
                        .with("first", new Value.Sentences(List.of(first)));
    }

    @ExceptionHandler
    ProblemDetail outOfBounds(HandlerMethodValidationException e) {
        List<FieldError> errors = e.getParameterValidationResults().stream()
                .map(result -> new FieldError(
                        result.getMethodParameter().getParameterName(),
                        Violations.of(result.unwrap(result.getResolvableErrors().get(0), ConstraintViolation.class))))
                .toList();
        return problem(HttpStatus.BAD_REQUEST, Statement.of("problem.some-fields"), errors);
    }

    @ExceptionHandler
    ProblemDetail notSupported(NotSupported e) {
        String field = e.field().startsWith("school") ? e.field() : "survey." + e.field();
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, field, e.what());
    }

    @ExceptionHandler
    ProblemDetail impossible(ImpossibleCut e) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, e.field(), e.what());
    }

    @ExceptionHandler
    ProblemDetail noResource(NoResourceFoundException e) {
        return problem(HttpStatus.NOT_FOUND, "problem.no-address");
    }

    @ExceptionHandler
    ProblemDetail lost(OptimisticLockingFailureException e) {
        return problem(HttpStatus.CONFLICT, "problem.saved-meanwhile");
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException e) {
        Throwable cause = e.getCause();
        if (cause instanceof BodyLimit.TooLarge || cause != null && cause.getCause() instanceof BodyLimit.TooLarge) {
            return problem(HttpStatus.CONTENT_TOO_LARGE, "problem.too-large-body");
        }
        if (cause instanceof BodyLimit.TooSlow || cause != null && cause.getCause() instanceof BodyLimit.TooSlow) {
            return problem(HttpStatus.REQUEST_TIMEOUT, "problem.too-slow");
        }
        if (cause instanceof DatabindException value && !value.getPath().isEmpty()) {
            String field = value.getPath().stream()
                    .map(step -> step.getPropertyName() == null ? "[" + step.getIndex() + "]" : step.getPropertyName())
                    .collect(Collectors.joining("."))
                    .replace(".[", "[");
            List<FieldError> errors = List.of(FieldError.of(field, "problem.unknown-value"));
            return problem(HttpStatus.BAD_REQUEST, together(errors), errors);
        }
        Statement what = Statement.of("problem.unreadable-body")
                .with("line", Value.count(0))
                .with("column", Value.count(0));
        if (cause instanceof JacksonException json && json.getLocation() != null) {
            what = what.with("line", Value.count(json.getLocation().getLineNr()))
                    .with("column", Value.count(json.getLocation().getColumnNr()));
        }
        return problem(HttpStatus.BAD_REQUEST, "", what);
    }

    @ExceptionHandler
    ProblemDetail media(HttpMediaTypeNotSupportedException e) {
        String types = e.getSupportedMediaTypes().stream()
                .map(type -> type.getType() + "/" + type.getSubtype())
                .distinct()
                .filter(type -> !type.contains("*"))
                .collect(Collectors.joining(", "));
        return problem(
                HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                Statement.of("problem.not-this-type")
                        .with("types", Value.name(types.isEmpty() ? MediaType.APPLICATION_JSON_VALUE : types)),
                List.of());
    }

    @ExceptionHandler
    ProblemDetail method(HttpRequestMethodNotSupportedException e) {
        return problem(
                HttpStatus.METHOD_NOT_ALLOWED,
                Statement.of("problem.wrong-method").with("method", Value.name(e.getMethod())),
                List.of());
    }

    /** A wrong number in the path names nothing that is here; a wrong parameter is a mistake in the request. */
    @ExceptionHandler
    ProblemDetail wrongType(MethodArgumentTypeMismatchException e) {
        Value value = Value.name(String.valueOf(e.getValue()));
        if (e.getParameter().hasParameterAnnotation(PathVariable.class)) {
            return problem(
                    HttpStatus.NOT_FOUND, Statement.of("problem.no-such-number").with("value", value), List.of());
        }
        return problem(
                HttpStatus.BAD_REQUEST,
                e.getName(),
                Statement.of("problem.wrong-value").with("value", value));
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException e) {
        List<FieldError> errors = e.getBindingResult().getFieldErrors().stream()
                .map(error -> new FieldError(error.getField(), Violations.of(error.unwrap(ConstraintViolation.class))))
                .toList();
        return problem(
                HttpStatus.BAD_REQUEST,
                errors.isEmpty()
                        ? Statement.of("problem.some-fields")
                        : errors.get(0).what(),
                errors);
    }

    /** The reader went away before the answer was written; there is nobody left to tell. */
    @ExceptionHandler
    void goneAway(HttpMessageNotWritableException e) throws HttpMessageNotWritableException {
        if (!(e.getMostSpecificCause() instanceof IOException)) {
            throw e;
        }
    }

    /** Something the database's own rules refuse, where no rule of ours did: something it refers to is gone, or it is too long. */
    @ExceptionHandler
    ProblemDetail refusedByTheDatabase(DataIntegrityViolationException e) {
        LOG.warn("Refused by the database", e);
        return problem(HttpStatus.CONFLICT, "problem.refused-by-database");
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            ProblemDetail told = known.getBody();
            told.setProperty("errors", List.of());
            return told;
        }
        LOG.error("Unexpected failure", e);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "problem.unexpected");
    }
}
