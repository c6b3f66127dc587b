package umbel.app.orchard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;
import umbel.format.FieldError;

/** Places of blocks read from GeoJSON, held against hand-made geometry. */
class GeoImportTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Block block = new Block(
            new Holding("Home", 47, 400),
            "Long Wall",
            "apple",
            "tall-spindle",
            "",
            "dwarfing",
            2020,
            200,
            1,
            3.5,
            10,
            "");

    private GeoImport.Read read(String features, boolean metres) {
        String mark = metres ? "\"coordinates\":\"metres east and north\"," : "";
        return GeoImport.of(
                JSON.readTree("{\"type\":\"FeatureCollection\"," + mark + "\"features\":[" + features + "]}"),
                List.of(block));
    }

    private static String row(String block, String line) {
        return "{\"type\":\"Feature\",\"properties\":{\"kind\":\"row\",\"block\":\"" + block
                + "\"},\"geometry\":{\"type\":\"LineString\",\"coordinates\":" + line + "}}";
    }

    @Test
    void rowsTellWhereABlockStartsWhichWayItRunsAndHowWideItsAlleysAre() {
        GeoImport.Read read = read(
                row("Long Wall", "[[10,20],[10,120]]") + "," + row("long wall", "[[14,20],[14,120]]") + ","
                        + row("Long Wall", "[[18,20],[18,120]]"),
                true);
        assertThat(read.errors()).isEmpty();
        assertThat(read.places()).singleElement().satisfies(place -> {
            assertThat(place.east()).isEqualTo(10);
            assertThat(place.north()).isEqualTo(20);
            assertThat(place.bearingDeg()).isZero();
            assertThat(place.betweenRows()).isEqualTo(4);
        });
    }

    @ParameterizedTest
    @CsvSource({"0,100,0", "100,0,90", "0,-100,180", "-100,0,270", "100,100,45"})
    void theBearingIsReadClockwiseFromNorth(int east, int north, double bearing) {
        GeoImport.Read read = read(row("Long Wall", "[[0,0],[" + east + "," + north + "]]"), true);
        assertThat(read.places().get(0).bearingDeg()).isEqualTo(bearing);
        assertThat(read.places().get(0).betweenRows()).as("as it was").isEqualTo(3.5);
    }

    @Test
    void degreesAreLaidOnThePlaneOfTheirSouthWestCorner() {
        // at 60° north a degree of longitude is half as long as one of latitude
        GeoImport.Read read = read(
                row("Long Wall", "[[20.0,60.0],[20.0,60.001]]") + ","
                        + row("Long Wall", "[[20.0001,60.0],[20.0001,60.001]]"),
                false);
        assertThat(read.places()).singleElement().satisfies(place -> {
            assertThat(place.east()).isZero();
            assertThat(place.north()).isZero();
            assertThat(place.betweenRows()).isCloseTo(0.0001 * 111_320 * 0.5, within(0.01));
        });
    }

    @Test
    void whatTheProgramWritesItReadsBackToTheSamePlace() {
        block.at(64, -14);
        BlockPlot plot = BlockPlot.of(block);
        String polygon = "{\"type\":\"Feature\",\"properties\":{\"kind\":\"block\",\"name\":\"Long Wall\"},"
                + "\"geometry\":{\"type\":\"Polygon\",\"coordinates\":[" + plot.outline() + "]}}";
        assertThat(read(polygon, true).places()).singleElement().satisfies(place -> {
            assertThat(place.east()).isCloseTo(64, within(0.02));
            assertThat(place.north()).isCloseTo(-14, within(0.02));
            assertThat(place.bearingDeg()).isCloseTo(10, within(0.05));
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Nowhere|[[0,0],[0,9]]|features[0].properties",
                "Long Wall|[[0,0]]|features[0].geometry",
                "Long Wall|[[0,0],[0,0.1]]|features[0].geometry",
                "Long Wall|[[0,\"north\"],[0,9]]|features[0].geometry"
            })
    void aFaultIsNamedByItsPlaceAndNothingIsPlaced(String name, String line, String field) {
        GeoImport.Read read = read(row(name, line) + "," + row("Long Wall", "[[0,0],[0,9]]"), true);
        assertThat(read.errors()).extracting(FieldError::field).containsExactly(field);
        assertThat(read.places()).isEmpty();
    }

    @Test
    void whatIsNoGeoJsonIsRefused() {
        assertThat(GeoImport.of(JSON.readTree("{\"type\":\"Point\"}"), List.of(block))
                        .errors())
                .hasSize(1);
        assertThat(GeoImport.of(JSON.readTree("{\"type\":\"FeatureCollection\",\"features\":[]}"), List.of(block))
                        .errors())
                .hasSize(1);
    }
}
