package umbel.app.planting;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import umbel.app.http.GeoJson;
import umbel.field.FieldOutline;
import umbel.field.GroundPlane;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;

/**
 * The outline of a field from GeoJSON: the largest polygon of a geometry, a feature or a collection. Coordinates are metres where the
 * document says so, else degrees of longitude and latitude, which are laid on a plane with its zero at the first corner.
 */
final class OutlineFile {

    /**
     * What a file tells.
     *
     * @param latitudeDeg of its first corner; null where it is in metres
     */
    record Read(FieldOutline outline, Double latitudeDeg) {}

    private final List<JsonNode> polygons = new ArrayList<>();

    private OutlineFile() {}

    /**
     * Reads one.
     *
     * @throws InvalidSurvey where it holds no outline
     */
    static Read of(JsonNode document) {
        OutlineFile file = new OutlineFile();
        file.collect(document);
        boolean degrees = GeoJson.isInDegrees(document);
        Read best = null;
        FieldError fault = FieldError.of("features", "problem.no-outline");
        for (JsonNode polygon : file.polygons) {
            JsonNode first = polygon.path(0).path(0);
            GroundPlane plane = degrees
                    ? new GroundPlane(first.path(0).asDouble(0), first.path(1).asDouble(0))
                    : null;
            List<List<List<Double>>> rings = rings(polygon, plane);
            var wrong = FieldOutline.fault(rings);
            if (wrong.isPresent()) {
                fault = new FieldError("features", wrong.get());
                continue;
            }
            FieldOutline outline = FieldOutline.of(rings);
            if (best == null || outline.areaHa() > best.outline().areaHa()) {
                best = new Read(outline, degrees ? Double.valueOf(first.path(1).asDouble(0)) : null);
            }
        }
        if (best == null) {
            throw new InvalidSurvey(List.of(fault));
        }
        return best;
    }

    private void collect(JsonNode node) {
        switch (node.path("type").asString("")) {
            case "FeatureCollection" -> node.path("features").forEach(this::collect);
            case "Feature" -> collect(node.path("geometry"));
            case "GeometryCollection" -> node.path("geometries").forEach(this::collect);
            case "Polygon" -> polygons.add(node.path("coordinates"));
            case "MultiPolygon" -> node.path("coordinates").forEach(polygons::add);
            default -> {
                // points and lines are no outline
            }
        }
    }

    private static List<List<List<Double>>> rings(JsonNode polygon, GroundPlane plane) {
        List<List<List<Double>>> rings = new ArrayList<>();
        for (JsonNode ring : polygon) {
            List<List<Double>> corners = new ArrayList<>();
            for (JsonNode corner : ring) {
                double x = corner.path(0).asDouble(Double.NaN);
                double y = corner.path(1).asDouble(Double.NaN);
                double[] at = plane == null ? new double[] {x, y} : plane.metres(x, y);
                corners.add(List.of(at[0], at[1]));
            }
            rings.add(corners);
        }
        return rings;
    }
}
