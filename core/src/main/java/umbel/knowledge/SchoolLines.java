package umbel.knowledge;

import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.format.FormatCheck;

/** The lines of a school by name, and a school with some of them set otherwise. */
public final class SchoolLines {

    private static final FormatCheck SCHEMA = new FormatCheck("umbel-school-1");
    private static final JsonMapper JSON = JsonMapper.builder().build();

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

    static School changed(KnowledgeFile file, Map<String, Object> lines) {
        ObjectNode above = JSON.createObjectNode();
        lines.forEach((line, value) -> {
            String part = file.values().path("thresholds").has(line)
                    ? "thresholds"
                    : file.values().path("preferences").has(line) ? "preferences" : null;
            if (part == null) {
                throw file.refuse("", "There is no line '" + line + "' in a school.");
            }
            above.withObject("/" + part).set(line, JSON.valueToTree(value));
        });
        KnowledgeFile changes = KnowledgeFile.read("schoolLines", above.toString());
        return changes.over(file).checkedBy(SCHEMA).as(School.class);
    }
}
