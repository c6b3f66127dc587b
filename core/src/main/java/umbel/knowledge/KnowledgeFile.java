package umbel.knowledge;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.dataformat.yaml.YAMLMapper;
import umbel.format.FieldError;
import umbel.format.FormatCheck;

/**
 * One YAML file of knowledge: its values, and the line each stands on, so that what is wrong can be shown where it is
 * written.
 */
final class KnowledgeFile {

    private static final YAMLMapper YAML = YAMLMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private final String name;
    private final JsonNode values;
    private final String text;

    private KnowledgeFile(String name, JsonNode values, String text) {
        this.name = name;
        this.values = values;
        this.text = text;
    }

    /**
     * Reads a file's text.
     *
     * @throws BrokenKnowledge when it is not YAML, or not a list of named values
     */
    static KnowledgeFile read(String name, String text) {
        try {
            JsonNode values = YAML.readTree(text);
            if (!values.isObject()) {
                throw new BrokenKnowledge("Knowledge file " + name + ", line 1: expected named values.", null);
            }
            return new KnowledgeFile(name, values, text);
        } catch (JacksonException e) {
            throw broken(name, lineOf(e), e.getOriginalMessage(), e);
        }
    }

    JsonNode values() {
        return values;
    }

    /** The file's {@code base}, empty where it stands alone. */
    String base() {
        JsonNode base = values.path("base");
        return base.isString() ? base.asString() : "";
    }

    /** This file's values over those of its base; what it does not name is the base's. */
    KnowledgeFile over(KnowledgeFile below) {
        return new KnowledgeFile(name, overlay(below.values, values), text);
    }

    /** What is wrong with the values by a schema; empty when nothing is. */
    List<FieldError> faults(FormatCheck schema) {
        return schema.check(values);
    }

    /**
     * Holds the values against a schema.
     *
     * @throws BrokenKnowledge naming file, line, field and reason of the first fault
     */
    KnowledgeFile checkedBy(FormatCheck schema) {
        List<FieldError> errors = faults(schema);
        if (!errors.isEmpty()) {
            FieldError first = errors.get(0);
            throw broken(name, lineOf(first.field()), first.toString(), null);
        }
        return this;
    }

    /**
     * The values as a record.
     *
     * @throws BrokenKnowledge when a value is missing, unknown or of the wrong kind
     */
    <T> T as(Class<T> type) {
        try {
            return YAML.treeToValue(values, type);
        } catch (JacksonException e) {
            StringBuilder path = new StringBuilder();
            e.getPath()
                    .forEach(step -> path.append(path.isEmpty() ? "" : ".")
                            .append(step.getPropertyName() == null ? "" : step.getPropertyName()));
            throw broken(name, lineOf(path.toString()), e.getOriginalMessage(), e);
        }
    }

    /**
     * Refuses the file.
     *
     * @param field the field that is wrong
     */
    BrokenKnowledge refuse(String field, String reason) {
        return broken(name, lineOf(field), reason, null);
    }

    private int lineOf(String field) {
        Map<String, Integer> lines = linesOf(text); // looked for only where something is wrong
        String at = field;
        while (!at.isEmpty()) {
            Integer line = lines.get(at);
            if (line != null) {
                return line;
            }
            at = at.substring(0, Math.max(0, Math.max(at.lastIndexOf('.'), at.lastIndexOf('['))));
        }
        return 1;
    }

    private static JsonNode overlay(JsonNode below, JsonNode above) {
        ObjectNode merged = ((ObjectNode) below).deepCopy();
        above.properties().forEach(entry -> {
            JsonNode under = merged.get(entry.getKey());
            boolean both = under != null && under.isObject() && entry.getValue().isObject();
            merged.set(entry.getKey(), both ? overlay(under, entry.getValue()) : entry.getValue());
        });
        return merged;
    }

    /** The line of every named value, by its path as the schema check writes it. */
    private static Map<String, Integer> linesOf(String text) {
        Map<String, Integer> lines = new HashMap<>();
        Deque<String> path = new ArrayDeque<>();
        Deque<Integer> index = new ArrayDeque<>();
        try (JsonParser parser = YAML.createParser(text)) {
            String here = "";
            JsonToken token = parser.nextToken();
            while (token != null) {
                if (token == JsonToken.PROPERTY_NAME) {
                    here = (path.isEmpty() || path.peek().isEmpty() ? "" : path.peek() + ".") + parser.currentName();
                    lines.putIfAbsent(here, parser.currentTokenLocation().getLineNr());
                } else if (token == JsonToken.END_OBJECT || token == JsonToken.END_ARRAY) {
                    path.pop();
                    index.pop();
                } else {
                    if (!index.isEmpty() && index.peek() >= 0) {
                        int i = index.pop();
                        index.push(i + 1);
                        here = path.peek() + "[" + i + "]";
                        lines.putIfAbsent(here, parser.currentTokenLocation().getLineNr());
                    }
                    if (token == JsonToken.START_OBJECT || token == JsonToken.START_ARRAY) {
                        path.push(here);
                        index.push(token == JsonToken.START_ARRAY ? 0 : -1);
                    }
                }
                token = parser.nextToken();
            }
        }
        return lines;
    }

    private static int lineOf(JacksonException e) {
        return e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getLineNr());
    }

    private static BrokenKnowledge broken(String name, int line, String reason, Exception cause) {
        return new BrokenKnowledge("Knowledge file " + name + ", line " + line + ": " + reason, cause);
    }
}
