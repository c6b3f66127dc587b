package umbel.format;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import umbel.text.Statement;
import umbel.text.Value;

/** Holds a document against one of the published JSON Schemas and says which fields are wrong. */
public final class FormatCheck {

    private static final int MOST_ERRORS = 50;

    private final Schema schema;

    /** Checks against {@code formats/NAME.schema.json}. */
    public FormatCheck(String name) {
        try (InputStream in = FormatCheck.class.getResourceAsStream("/formats/" + name + ".schema.json")) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What is wrong with the document, at most fifty faults; empty when nothing is. */
    public List<FieldError> check(JsonNode document) {
        List<FieldError> errors = new ArrayList<>();
        for (Error error : schema.validate(document)) {
            errors.add(new FieldError(fieldOf(error), faultOf(fieldOf(error), error)));
            if (errors.size() >= MOST_ERRORS) {
                break;
            }
        }
        return errors;
    }

    /** Adds an error when a field holds a day that does not exist. */
    public static void checkDay(JsonNode document, String field, List<FieldError> errors) {
        JsonNode day = document.get(field);
        if (day != null && day.isString()) {
            try {
                LocalDate.parse(day.asString());
            } catch (DateTimeException e) {
                errors.add(FieldError.of(field, "problem.no-such-day"));
            }
        }
    }

    private static String fieldOf(Error error) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < error.getInstanceLocation().getNameCount(); i++) {
            append(path, error.getInstanceLocation().getElement(i));
        }
        boolean inside = "required".equals(error.getKeyword()) || "additionalProperties".equals(error.getKeyword());
        if (error.getProperty() != null && inside) {
            append(path, error.getProperty());
        }
        return path.toString();
    }

    private static void append(StringBuilder path, Object element) {
        if (element instanceof Number) {
            path.append('[').append(element).append(']');
        } else {
            path.append(path.isEmpty() ? "" : ".").append(element);
        }
    }

    private static Statement faultOf(String field, Error error) {
        Object[] args = error.getArguments() == null ? new Object[0] : error.getArguments();
        String first = args.length == 0 ? "" : String.valueOf(args[0]);
        String last = args.length == 0 ? "" : String.valueOf(args[args.length - 1]);
        return switch (error.getKeyword()) {
            case "required" -> Statement.of("problem.missing");
            case "additionalProperties" -> Statement.of("problem.unknown-field");
            case "minimum" -> Statement.of("problem.at-least").with("least", Bounds.of(field, first));
            case "maximum" -> Statement.of("problem.at-most").with("most", Bounds.of(field, first));
            case "minItems" -> Statement.of("problem.too-few-items").with("least", Value.name(first));
            case "maxItems" -> Statement.of("problem.too-many-items").with("most", Value.name(first));
            case "maxLength" -> Statement.of("problem.too-long").with("most", Value.name(first));
            case "enum" -> Statement.of("problem.one-of").with("values", bare(last.replace(", null", "")));
            case "const" -> Statement.of("problem.must-be").with("value", bare(first));
            case "type" -> Statement.of("problem.wrong-kind").with("expected", Value.choice(kindOf(last)));
            default -> Statement.of("problem.not-as-format");
        };
    }

    /** Values without the brackets and quotes they are listed in. */
    private static Value bare(String values) {
        return Value.name(values.replaceAll("[\\[\\]'\"]", ""));
    }

    /** The kind of value that was expected; null beside it does not count. */
    private static String kindOf(String expected) {
        return expected.replaceAll("[\\[\\]]", "").replaceAll(",? ?null", "").strip();
    }
}
