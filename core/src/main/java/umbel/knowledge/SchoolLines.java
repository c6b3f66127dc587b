package umbel.knowledge;

import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.FieldError;
import umbel.format.FormatCheck;
import umbel.text.Statement;
import umbel.text.Value;

/** The lines of a school by name, and a school with some of them set otherwise. */
public final class SchoolLines {

    private static final FormatCheck SCHEMA = new FormatCheck("umbel-school-1");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final String LINES = "schoolLines";

    private SchoolLines() {}

    /** Every line of a school with its value, thresholds and preferences together, by name. */
    public static Map<String, Object> of(School school) {
        Map<String, Object> lines = new TreeMap<>();
        JsonNode values = JSON.valueToTree(school);
        for (String part : new String[] {"thresholds", "preferences"}) {
            values.path(part)
                    .properties()
                    .forEach(line -> lines.put(
                            line.getKey(),
                            line.getValue().isBoolean()
                                    ? (Object) line.getValue().asBoolean()
                                    : (Object) line.getValue().asDouble()));
        }
        return lines;
    }

    /** @throws NotSupported for a line that no school has, or a value out of its range */
    static School changed(KnowledgeFile file, Map<String, Object> lines) {
        ObjectNode above = JSON.createObjectNode();
        lines.forEach((line, value) -> {
            String part = file.values().path("thresholds").has(line)
                    ? "thresholds"
                    : file.values().path("preferences").has(line) ? "preferences" : null;
            if (part == null) {
                throw new NotSupported(
                        LINES, Statement.of("problem.no-such-line").with("line", Value.name(line)));
            }
            above.withObject("/" + part).set(line, JSON.valueToTree(value));
        });
        KnowledgeFile changed = KnowledgeFile.read(LINES, above.toString()).over(file);
        for (FieldError fault : changed.faults(SCHEMA)) {
            String line = fault.field().substring(fault.field().lastIndexOf('.') + 1);
            throw new NotSupported(LINES + "." + line, fault.what());
        }
        return changed.as(School.class);
    }
}
