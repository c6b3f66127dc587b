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

/** Holds a document against one of the published JSON Schemas and says in plain words which fields are wrong. */
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
            errors.add(new FieldError(fieldOf(error), messageOf(error)));
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
                errors.add(new FieldError(field, "There is no such day; write it as 2027-02-28."));
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

    private static String messageOf(Error error) {
        Object[] args = error.getArguments() == null ? new Object[0] : error.getArguments();
        String first = args.length == 0 ? "" : String.valueOf(args[0]);
        String last = args.length == 0 ? "" : String.valueOf(args[args.length - 1]);
        return switch (error.getKeyword()) {
            case "required" -> "This is missing.";
            case "additionalProperties" -> "There is no such field.";
            case "minimum" -> "Must be at least " + first + ".";
            case "maximum" -> "Must be at most " + first + ".";
            case "minItems" -> "At least " + first + " must be given.";
            case "maxItems" -> "Too many: at most " + first + " can be read.";
            case "maxLength" -> "Too long: at most " + first + " characters.";
            case "enum" -> "Must be one of " + last.replaceAll("[\\[\\]\"]", "").replace(", null", "") + ".";
            case "const" -> "Must be " + first.replaceAll("['\"]", "") + ".";
            case "pattern" -> "Not written as the format asks.";
            case "type" -> "Wrong kind of value: " + error.getMessage() + ".";
            default -> error.getMessage();
        };
    }
}
