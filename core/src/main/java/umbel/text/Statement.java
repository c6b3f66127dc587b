package umbel.text;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * One thing that is said: a code of the catalogue, and the values its message needs.
 *
 * @param code as {@code finding.limb-too-thick.ratio}
 * @param values by the names the message uses; keep the order they were given in
 */
public record Statement(String code, Map<String, Value> values) {

    public Statement {
        values = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(values));
    }

    /** A statement without values. */
    public static Statement of(String code) {
        return new Statement(code, Map.of());
    }

    /** The same with one value more. */
    public Statement with(String name, Value value) {
        Map<String, Value> more = new LinkedHashMap<>(values);
        more.put(name, value);
        return new Statement(code, more);
    }
}
