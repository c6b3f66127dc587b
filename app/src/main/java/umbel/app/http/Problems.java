package umbel.app.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.json.JsonMapper;
import umbel.cut.ImpossibleCut;
import umbel.format.FieldError;
import umbel.knowledge.NotSupported;
import umbel.survey.InvalidSurvey;

/** Every error as an RFC 9457 problem that names the fields and the way out. */
@RestControllerAdvice
public class Problems {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    private static final String RETRY_AFTER_SECONDS = "5";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * A problem as it is sent.
     *
     * @param errors faulty fields; empty when the fault lies in no field
     */
    public record Problem(String type, String title, int status, String detail, List<FieldError> errors) {}

    /** Writes a problem where no controller could. */
    public static void write(HttpServletResponse response, int status, String title, String detail) throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write(JSON.writeValueAsString(new Problem("about:blank", title, status, detail, List.of())));
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail, List<FieldError> errors) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        problem.setProperty("errors", errors);
        return problem;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refused e) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(e.status());
        if (e.status() == HttpStatus.SERVICE_UNAVAILABLE) {
            answer.header(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        }
        return answer.body(problem(e.status(), e.title(), e.getMessage(), List.of()));
    }

    /** Whoever asked has gone; what is answered reaches nobody. */
    @ExceptionHandler
    void goneAway(NobodyWaits e, HttpServletResponse response) {
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
    }

    @ExceptionHandler
    ProblemDetail invalid(InvalidSurvey e) {
        String detail = e.errors().size() == 1
                ? e.getMessage()
                : e.errors().size() + " fields are wrong; the first: " + e.getMessage();
        return problem(HttpStatus.BAD_REQUEST, "The survey cannot be read", detail, e.errors());
    }

    @ExceptionHandler
    ProblemDetail outOfBounds(HandlerMethodValidationException e) {
        List<FieldError> errors = e.getParameterValidationResults().stream()
                .map(result -> new FieldError(
                        result.getMethodParameter().getParameterName(),
                        result.getResolvableErrors().get(0).getDefaultMessage()))
                .toList();
        return problem(HttpStatus.BAD_REQUEST, "Out of bounds", "A value is out of its bounds.", errors);
    }

    @ExceptionHandler
    ProblemDetail notSupported(NotSupported e) {
        String field = e.field().startsWith("school") ? e.field() : "survey." + e.field();
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "Unknown",
                e.getMessage(),
                List.of(new FieldError(field, e.getMessage())));
    }

    @ExceptionHandler
    ProblemDetail impossible(ImpossibleCut e) {
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "That cut cannot be made",
                e.getMessage(),
                List.of(new FieldError(e.field(), e.getMessage())));
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFound e) {
        return problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage(), List.of());
    }

    @ExceptionHandler
    ProblemDetail noResource(NoResourceFoundException e) {
        return problem(HttpStatus.NOT_FOUND, "Not found", "There is nothing at this address.", List.of());
    }

    @ExceptionHandler
    ProblemDetail stale(StaleVersion e) {
        return problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage(), List.of());
    }

    @ExceptionHandler
    ProblemDetail lost(OptimisticLockingFailureException e) {
        return stale(new StaleVersion(
                "Somebody else saved this tree meanwhile. Load it again; your marks are still on screen."));
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException e) {
        Throwable cause = e.getCause();
        if (cause instanceof BodyLimit.TooLarge || cause != null && cause.getCause() instanceof BodyLimit.TooLarge) {
            return problem(
                    HttpStatus.CONTENT_TOO_LARGE, "Too large", "The request is larger than can be read.", List.of());
        }
        if (cause instanceof BodyLimit.TooSlow || cause != null && cause.getCause() instanceof BodyLimit.TooSlow) {
            return problem(HttpStatus.REQUEST_TIMEOUT, "Too slow", "The request took too long to be sent.", List.of());
        }
        if (cause instanceof DatabindException value && !value.getPath().isEmpty()) {
            String field = value.getPath().stream()
                    .map(step -> step.getPropertyName() == null ? "[" + step.getIndex() + "]" : step.getPropertyName())
                    .collect(Collectors.joining("."))
                    .replace(".[", "[");
            String message = "This is none of the values known here.";
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "Not readable",
                    field + ": " + message,
                    List.of(new FieldError(field, message)));
        }
        String where = "";
        if (cause instanceof JacksonException json && json.getLocation() != null) {
            where = " (line " + json.getLocation().getLineNr() + ", column "
                    + json.getLocation().getColumnNr() + ")";
        }
        String detail = "The body is not the JSON this address reads" + where + ".";
        return problem(HttpStatus.BAD_REQUEST, "Not readable", detail, List.of(new FieldError("", detail)));
    }

    @ExceptionHandler
    ProblemDetail media(HttpMediaTypeNotSupportedException e) {
        return problem(
                HttpStatus.UNSUPPORTED_MEDIA_TYPE, "Wrong content type", "Send this as application/json.", List.of());
    }

    @ExceptionHandler
    ProblemDetail method(HttpRequestMethodNotSupportedException e) {
        return problem(
                HttpStatus.METHOD_NOT_ALLOWED, "Wrong method", e.getMethod() + " is not answered here.", List.of());
    }

    @ExceptionHandler
    ProblemDetail badNumber(MethodArgumentTypeMismatchException e) {
        return problem(
                HttpStatus.NOT_FOUND,
                "Not found",
                "'" + e.getValue() + "' is not a number of anything here.",
                List.of());
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException e) {
        List<FieldError> errors = e.getBindingResult().getFieldErrors().stream()
                .map(error -> new FieldError(error.getField(), error.getDefaultMessage()))
                .toList();
        return problem(
                HttpStatus.BAD_REQUEST,
                "Some fields are wrong",
                errors.isEmpty() ? "Some fields are wrong." : errors.get(0).message(),
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
        return problem(
                HttpStatus.CONFLICT,
                "Not saved",
                "A value is too long, or what it refers to has been deleted. Load the page again.",
                List.of());
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            ProblemDetail told = known.getBody();
            told.setProperty("errors", List.of());
            return told;
        }
        LOG.error("Unexpected failure", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong",
                "The program failed at this; it was written to its log. Nothing was changed.",
                List.of());
    }
}
