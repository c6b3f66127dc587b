package umbel.app.http;

import jakarta.validation.ConstraintViolation;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.FutureOrPresent;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.Size;
import java.lang.annotation.Annotation;
import java.util.Map;
import umbel.format.Bounds;
import umbel.text.Statement;
import umbel.text.Value;

/** What a violated constraint of an entry says: by a code of its own where it has one, else by its kind and bounds. */
final class Violations {

    private static final String OWN_CODE = "problem.";

    private Violations() {}

    /** The statement of a violation. */
    static Statement of(ConstraintViolation<?> violation) {
        String template = violation.getMessageTemplate();
        if (template.startsWith(OWN_CODE)) {
            return Statement.of(template);
        }
        String field = violation.getPropertyPath().toString();
        Map<String, Object> bounds = violation.getConstraintDescriptor().getAttributes();
        Class<? extends Annotation> kind =
                violation.getConstraintDescriptor().getAnnotation().annotationType();
        if (kind == NotNull.class || kind == NotBlank.class || kind == NotEmpty.class) {
            return Statement.of("problem.missing");
        }
        if (kind == Min.class || kind == DecimalMin.class) {
            return Statement.of("problem.at-least")
                    .with("least", Bounds.of(field, String.valueOf(bounds.get("value"))));
        }
        if (kind == Max.class || kind == DecimalMax.class) {
            return Statement.of("problem.at-most").with("most", Bounds.of(field, String.valueOf(bounds.get("value"))));
        }
        if (kind == PastOrPresent.class) {
            return Statement.of("problem.future");
        }
        if (kind == FutureOrPresent.class) {
            return Statement.of("problem.past");
        }
        return kind == Size.class ? size(violation, bounds) : Statement.of("problem.not-as-format");
    }

    private static Statement size(ConstraintViolation<?> violation, Map<String, Object> bounds) {
        boolean text = violation.getInvalidValue() instanceof CharSequence;
        int length = text ? ((CharSequence) violation.getInvalidValue()).length() : 0;
        if (text && length < (int) bounds.get("min")) {
            return Statement.of("problem.too-short").with("least", told(bounds.get("min")));
        }
        return Statement.of(text ? "problem.too-long" : "problem.too-many-items")
                .with("most", told(bounds.get("max")));
    }

    private static Value told(Object bound) {
        return Value.name(String.valueOf(bound));
    }
}
