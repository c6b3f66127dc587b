package umbel.app.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.http.GeoJson;
import umbel.survey.InvalidSurvey;

/** Outlines in the shapes that map programs write them. */
class OutlineFileTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** A hectare in metres, and half of one. */
    private static final String HECTARE = "[[[0,0],[100,0],[100,100],[0,100],[0,0]]]";

    private static final String HALF = "[[[0,0],[100,0],[100,50],[0,50],[0,0]]]";

    private static JsonNode json(String text) {
        return JSON.readTree(text.replace('\'', '"'));
    }

    private static String inMetres(String features) {
        return "{'type':'FeatureCollection','coordinates':'metres east and north of a corner','features':[" + features
                + "]}";
    }

    private static String feature(String geometry) {
        return "{'type':'Feature','properties':{},'geometry':" + geometry + "}";
    }

    @Test
    void theLargestOfAllPolygonsIsTheField() {
        OutlineFile.Read read = OutlineFile.of(json(inMetres(feature("{'type':'Point','coordinates':[1,2]}") + ","
                + feature("{'type':'Polygon','coordinates':" + HALF + "}") + ","
                + feature("{'type':'GeometryCollection','geometries':[{'type':'MultiPolygon','coordinates':[" + HECTARE
                        + "]}]}"))));
        assertThat(read.outline().areaHa()).isCloseTo(1, within(1e-9));
        assertThat(read.latitudeDeg()).isNull();
    }

    @Test
    void aFaultyPolygonBesideAGoodOneIsPassedOver() {
        String bow = "{'type':'Polygon','coordinates':[[[0,0],[100,100],[100,0],[0,100],[0,0]]]}";
        OutlineFile.Read read = OutlineFile.of(
                json(inMetres(feature(bow) + "," + feature("{'type':'Polygon','coordinates':" + HALF + "}"))));
        assertThat(read.outline().areaHa()).isCloseTo(0.5, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{'type':'FeatureCollection','features':[]}",
                "{'type':'Feature','geometry':null}",
                "{'type':'Polygon','coordinates':[]}",
                "{'type':'Polygon','coordinates':[[['a','b'],[1,2],[3,4]]]}",
                "{'type':'Polygon','coordinates':'here'}",
                "{'type':'LineString','coordinates':[[0,0],[1,1]]}"
            })
    void whatHoldsNoFieldIsRefused(String document) {
        assertThatThrownBy(() -> OutlineFile.of(json(document))).isInstanceOf(InvalidSurvey.class);
    }

    /** Projected metres that do not say so would be a field of many degrees. */
    @Test
    void metresThatDoNotSayTheyAreAreRefusedAndNotTakenForDegrees() {
        assertThatThrownBy(() -> OutlineFile.of(json("{'type':'Polygon','coordinates':" + HECTARE + "}")))
                .isInstanceOf(InvalidSurvey.class);
    }

    @Test
    void whatTheProgramWritesItReadsBack() {
        Map<String, Object> written = GeoJson.inMetres(
                "the outline",
                List.of(GeoJson.feature(
                        "Polygon",
                        List.of(List.of(
                                List.of(0.0, 0.0), List.of(100.0, 0.0), List.of(100.0, 100.0), List.of(0.0, 100.0))),
                        Map.of("kind", "field"))));
        JsonNode tree = JSON.valueToTree(written);
        assertThat(GeoJson.isInDegrees(tree)).isFalse();
        assertThat(OutlineFile.of(tree).outline().areaHa()).isCloseTo(1, within(1e-9));
    }
}
