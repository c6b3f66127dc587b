package umbel.app.http;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * GeoJSON as this program writes it: metres east and north of a zero of its own, which the collection says in its line
 * {@code coordinates}. A collection without that line is in degrees, as the standard has it.
 */
public final class GeoJson {

    private static final String COORDINATES = "coordinates";
    private static final String METRES = "metres";

    private GeoJson() {}

    /** A feature of a type, as {@code LineString}. */
    public static Map<String, Object> feature(String type, Object coordinates, Map<String, Object> properties) {
        return Map.of(
                "type",
                "Feature",
                "geometry",
                Map.of("type", type, COORDINATES, coordinates),
                "properties",
                properties);
    }

    /**
     * A collection in metres.
     *
     * @param zero whose zero they are counted from, as {@code the holding}
     */
    public static Map<String, Object> inMetres(String zero, List<Map<String, Object>> features) {
        Map<String, Object> collection = new LinkedHashMap<>();
        collection.put("type", "FeatureCollection");
        collection.put(COORDINATES, METRES + " east and north of " + zero + "'s own zero");
        collection.put("features", features);
        return collection;
    }

    /** Whether a document is in degrees of longitude and latitude. */
    public static boolean isInDegrees(JsonNode document) {
        return !document.path(COORDINATES).asString("").startsWith(METRES);
    }
}
