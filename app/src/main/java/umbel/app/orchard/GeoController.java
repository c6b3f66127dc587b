package umbel.app.orchard;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.FieldProblem;
import umbel.app.http.GeoJson;
import umbel.wood.Units;

/**
 * Blocks and rows as GeoJSON, for the map and for other programs. Coordinates are metres east and north of the holding's own
 * zero, as the file says; no place on earth is told.
 */
@RestController
@RequestMapping("/api")
class GeoController {

    private static final JsonMapper JSON = JsonMapper.builder().build();

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
            features.add(GeoJson.feature(
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
                features.add(GeoJson.feature(
                        "LineString",
                        plot.rows().get(row),
                        Map.of("kind", "row", "block", block.id(), "row", row + 1)));
            }
        }
        return GeoJson.inMetres("the holding", features);
    }

    /**
     * Where a block would lie, or lies now.
     *
     * @param movedM how far its first tree moved
     */
    public record PlacedBlockLine(
            long blockId,
            String block,
            double movedM,
            double bearingDeg,
            double bearingBeforeDeg,
            double betweenRowsM,
            double betweenRowsBeforeM) {}

    /** What a file of places holds; {@code written} tells whether it was taken over. */
    public record GeoRead(boolean written, List<PlacedBlockLine> places, List<FieldProblem> errors) {}

    /** Looks at where a GeoJSON file lays blocks and rows, and takes it over when asked to: all of it, or nothing. */
    @PostMapping("/map")
    @Transactional
    public GeoRead take(
            @RequestBody Map<String, Object> collection, @RequestParam(defaultValue = "false") boolean write) {
        GeoImport.Read read = GeoImport.of(JSON.valueToTree(collection), blocks.findAllByOrderById());
        boolean writes = write && read.errors().isEmpty();
        List<PlacedBlockLine> lines = new ArrayList<>();
        for (GeoImport.Place place : read.places()) {
            Block block = place.block();
            lines.add(new PlacedBlockLine(
                    block.id(),
                    block.name(),
                    Units.round(Math.hypot(place.east() - block.eastM(), place.north() - block.northM()), 1),
                    place.bearingDeg(),
                    block.rowBearingDeg(),
                    place.betweenRows(),
                    block.betweenRowsM()));
            if (writes) {
                blocks.saveAndFlush(
                        block.at(place.east(), place.north()).laidOut(place.bearingDeg(), place.betweenRows()));
            }
        }
        return new GeoRead(writes, lines, FieldProblem.of(read.errors()));
    }
}
