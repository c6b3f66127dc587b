package umbel.app.orchard;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import umbel.app.http.GeoJson;
import umbel.field.GroundPlane;
import umbel.format.FieldError;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/**
 * Reads where blocks and rows lie from GeoJSON: rows as lines (kind row, with their block), or blocks as polygons (kind
 * block, with their name). Coordinates are metres where the collection says so, else degrees of longitude and latitude,
 * which are laid on a plane with its zero at the collection's south-west corner.
 */
final class GeoImport {

    private static final double LEAST_ROW = 0.5;

    private final List<Block> blocks;
    private final List<FieldError> errors = new ArrayList<>();
    private final Map<Block, List<double[][]>> rows = new LinkedHashMap<>();
    private final Map<Block, double[][]> outlines = new LinkedHashMap<>();
    /** What degrees are laid on; null where the collection is in metres. */
    private GroundPlane plane;

    private GeoImport(List<Block> blocks) {
        this.blocks = blocks;
    }

    /**
     * Where a block is to lie.
     *
     * @param betweenRows metres; the block's own where the file has fewer than two rows
     */
    record Place(Block block, double east, double north, double bearingDeg, double betweenRows) {}

    /** What a file holds; nothing is to be written while there are errors. */
    record Read(List<Place> places, List<FieldError> errors) {}

    static Read of(JsonNode collection, List<Block> blocks) {
        GeoImport one = new GeoImport(blocks);
        one.read(collection);
        List<Place> places = new ArrayList<>();
        if (one.errors.isEmpty()) {
            one.rows.forEach((block, lines) -> places.add(one.byRows(block, lines)));
            one.outlines.forEach((block, outline) -> {
                if (!one.rows.containsKey(block)) {
                    places.add(one.byOutline(block, outline));
                }
            });
        }
        return new Read(places, one.errors);
    }

    private void read(JsonNode collection) {
        if (!collection.path("type").asString("").equals("FeatureCollection")
                || !collection.path("features").isArray()) {
            errors.add(FieldError.of("type", "problem.not-geojson"));
            return;
        }
        plane = GeoJson.isInDegrees(collection) ? southWest(collection.path("features")) : null;
        JsonNode features = collection.path("features");
        for (int i = 0; i < features.size(); i++) {
            feature("features[" + i + "]", features.get(i));
        }
        if (errors.isEmpty() && rows.isEmpty() && outlines.isEmpty()) {
            errors.add(FieldError.of("features", "problem.map-empty"));
        }
    }

    private static GroundPlane southWest(JsonNode features) {
        double west = Double.POSITIVE_INFINITY;
        double south = Double.POSITIVE_INFINITY;
        for (JsonNode feature : features) {
            for (JsonNode point : points(feature)) {
                west = Math.min(west, point.path(0).asDouble(0));
                south = Math.min(south, point.path(1).asDouble(0));
            }
        }
        return new GroundPlane(west, south);
    }

    private static JsonNode points(JsonNode feature) {
        JsonNode geometry = feature.path("geometry");
        JsonNode coordinates = geometry.path("coordinates");
        return geometry.path("type").asString("").equals("Polygon") ? coordinates.path(0) : coordinates;
    }

    private void feature(String field, JsonNode feature) {
        JsonNode properties = feature.path("properties");
        String kind = properties.path("kind").asString("");
        boolean row = kind.equals("row");
        if (!row && !kind.equals("block")) {
            return;
        }
        Block block = block(properties, row);
        if (block == null) {
            errors.add(new FieldError(
                    field + ".properties",
                    Statement.of("problem.map-unknown-block").with("block", Value.name(named(properties, row)))));
            return;
        }
        double[][] line = line(points(feature));
        if (line == null || line.length < (row ? 2 : 4)) {
            errors.add(new FieldError(
                    field + ".geometry",
                    Statement.of("problem.map-shape").with("shape", Value.choice(row ? "row" : "block"))));
            return;
        }
        if (row
                && Math.hypot(line[line.length - 1][0] - line[0][0], line[line.length - 1][1] - line[0][1])
                        < LEAST_ROW) {
            errors.add(FieldError.of(field + ".geometry", "problem.map-short-row"));
            return;
        }
        if (row) {
            rows.computeIfAbsent(block, key -> new ArrayList<>()).add(line);
        } else {
            outlines.put(block, line);
        }
    }

    private Block block(JsonNode properties, boolean row) {
        JsonNode id = row ? properties.path("block") : properties.path("id");
        String name = named(properties, row);
        return blocks.stream()
                .filter(one -> name.isEmpty()
                        ? id.isNumber() && one.id() == id.asLong()
                        : one.name().equalsIgnoreCase(name))
                .findFirst()
                .orElse(null);
    }

    private static String named(JsonNode properties, boolean row) {
        JsonNode name = row ? properties.path("block") : properties.path("name");
        return name.isString() ? name.asString().strip() : "";
    }

    private double[][] line(JsonNode points) {
        if (!points.isArray()) {
            return null;
        }
        double[][] line = new double[points.size()][];
        for (int i = 0; i < line.length; i++) {
            JsonNode point = points.get(i);
            if (!point.path(0).isNumber() || !point.path(1).isNumber()) {
                return null;
            }
            double x = point.get(0).asDouble();
            double y = point.get(1).asDouble();
            line[i] = plane == null ? new double[] {x, y} : plane.metres(x, y);
        }
        return line;
    }

    /** From the first row's foot and direction, and the mean distance between neighbouring rows. */
    private Place byRows(Block block, List<double[][]> lines) {
        double[][] first = lines.get(0);
        double[] last = first[first.length - 1];
        double bearing = Math.atan2(last[0] - first[0][0], last[1] - first[0][1]);
        double sum = 0;
        for (int i = 1; i < lines.size(); i++) {
            double dx = lines.get(i)[0][0] - lines.get(i - 1)[0][0];
            double dy = lines.get(i)[0][1] - lines.get(i - 1)[0][1];
            sum += Math.abs(dx * Math.cos(bearing) - dy * Math.sin(bearing));
        }
        double between = lines.size() < 2 ? block.betweenRowsM() : sum / (lines.size() - 1);
        return place(block, first[0][0], first[0][1], bearing, between);
    }

    /** From the corner the outline starts at, half a tree and half an alley outside the first tree. */
    private Place byOutline(Block block, double[][] outline) {
        double bearing = Math.atan2(outline[1][0] - outline[0][0], outline[1][1] - outline[0][1]);
        double end = block.inRowM() / 2;
        double half = block.betweenRowsM() / 2;
        return place(
                block,
                outline[0][0] + end * Math.sin(bearing) + half * Math.cos(bearing),
                outline[0][1] + end * Math.cos(bearing) - half * Math.sin(bearing),
                bearing,
                block.betweenRowsM());
    }

    private static Place place(Block block, double east, double north, double bearing, double between) {
        double degrees = (Math.toDegrees(bearing) + 360) % 360;
        return new Place(
                block, Units.round(east, 2), Units.round(north, 2), Units.round(degrees, 2), Units.round(between, 3));
    }
}
