package umbel.app.orchard;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Blocks and rows as GeoJSON, for the map and for other programs. Coordinates are metres east and north of the holding's own
 * zero, as the file says; no place on earth is told.
 */
@RestController
@RequestMapping("/api")
class GeoController {

    private final BlockRepository blocks;

    GeoController(BlockRepository blocks) {
        this.blocks = blocks;
    }

    /** Every block as an outline and every row as a line. */
    @GetMapping(value = "/holding.geojson", produces = "application/geo+json")
    @Transactional(readOnly = true)
    public Map<String, Object> geoJson() {
        List<Map<String, Object>> features = new ArrayList<>();
        for (Block block : blocks.findAllByOrderById()) {
            BlockPlot plot = BlockPlot.of(block);
            features.add(feature(
                    "Polygon",
                    List.of(plot.outline()),
                    Map.of(
                            "kind",
                            "block",
                            "id",
                            block.id(),
                            "name",
                            block.name(),
                            "holding",
                            block.holding().name())));
            for (int row = 0; row < plot.rows().size(); row++) {
                features.add(feature(
                        "LineString",
                        plot.rows().get(row),
                        Map.of("kind", "row", "block", block.id(), "row", row + 1)));
            }
        }
        Map<String, Object> collection = new LinkedHashMap<>();
        collection.put("type", "FeatureCollection");
        collection.put("coordinates", "metres east and north of the holding's own zero");
        collection.put("features", features);
        return collection;
    }

    private static Map<String, Object> feature(String type, Object coordinates, Map<String, Object> properties) {
        return Map.of(
                "type",
                "Feature",
                "geometry",
                Map.of("type", type, "coordinates", coordinates),
                "properties",
                properties);
    }
}
