package umbel.app.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** A field with its own outline, filled with rows; the plan it is planted by. */
@ExtendWith(RunningUmbel.class)
class PlantingFieldApiTest {

    /** An angle of 0.75 ha with a pond of 100 m² in its long arm. */
    private static final String OUTLINE =
            "[[[0,0],[100,0],[100,50],[50,50],[50,100],[0,100]],[[20,70],[30,70],[30,80],[20,80]]]";

    private static final String SENT = ("{'site':{'latitude_deg':47.6,'headland_m':0,'rowBearing_deg':0,'outline_m':"
                    + OUTLINE
                    + "},'options':["
                    + "{'name':'A','species':'apple','system':'tall-spindle','spacing_m':{'inRow':2,'betweenRows':5},'price_perKg':0.5},"
                    + "{'name':'B','species':'apple','system':'open-centre','spacing_m':{'inRow':5,'betweenRows':10},'price_perKg':0.5}]}")
            .replace('\'', '"');

    private final RunningUmbel umbel;

    PlantingFieldApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void eachOptionFillsTheFieldAndTheComparisonCountsItsTrees() {
        RunningUmbel.Answer answer = umbel.post("/api/plantings/field", SENT);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode wall = answer.json().get(0);
        // ten rows of 50 trees and ten of 25; the pond takes ten metres out of two of them, and rounds them down
        assertThat(wall.at("/trees").asInt()).isEqualTo(10 * 50 + 10 * 25 - 2 * 5);
        assertThat(wall.at("/rows").asInt()).isEqualTo(20);
        assertThat(wall.at("/area_ha").asDouble()).isCloseTo(0.74, within(1e-6));
        assertThat(wall.at("/drawing").asString()).startsWith("<svg").contains("evenodd");
        assertThat(wall.at("/materials").toString())
                .contains("\"code\":\"wire\"")
                .contains("\"unit\":\"m\"")
                .contains("Posts between");
        assertThat(answer.json().get(1).at("/materials").toString())
                .contains("spreaders")
                .doesNotContain("wire");
        JsonNode compared = umbel.post("/api/plantings/compare", SENT).json();
        assertThat(compared.at("/options/0/treesPerHa").asDouble()).isCloseTo(740 / 0.74, within(0.1));
        assertThat(umbel.send("POST", "/api/plantings/field", SENT, "application/json", "es", "us")
                        .text())
                .contains("Postes intermedios");
    }

    @Test
    void thePlanHoldsEveryTreeOnce() {
        RunningUmbel.Answer answer = umbel.post("/api/plantings/plan.geojson?option=1", SENT);
        assertThat(answer.type()).startsWith("application/geo+json");
        JsonNode features = answer.json().at("/features");
        long trees = 0;
        for (JsonNode feature : features) {
            trees += feature.at("/properties/kind").asString().equals("tree") ? 1 : 0;
        }
        JsonNode field = umbel.post("/api/plantings/field", SENT).json().get(1);
        assertThat(trees).isEqualTo(field.at("/trees").asLong()).isPositive();
        assertThat(features.get(0).at("/geometry/coordinates")).hasSize(2);
        // the plan is an outline too: what was drawn can be read again
        JsonNode again = umbel.post("/api/plantings/outline", answer.text()).json();
        assertThat(again.at("/area_ha").asDouble()).isCloseTo(0.74, within(1e-3));
        assertThat(again.at("/latitude_deg").isNull()).isTrue();
    }

    @Test
    void thePlanIsPrinted() {
        RunningUmbel.Answer answer = umbel.post("/api/plantings/plan.pdf?option=0", SENT);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.type()).isEqualTo("application/pdf");
        assertThat(answer.text()).startsWith("%PDF");
        assertThat(umbel.post("/api/plantings/plan.pdf?option=2", SENT).status())
                .isEqualTo(400);
    }

    /** A hundred square kilometres with a tree on every half square metre: told, but never listed. */
    @Test
    void aPlanOfTooManyTreesIsRefusedBeforeItIsMade() {
        String huge =
                ("{'site':{'area_ha':10000},'options':[{'species':'apple','system':'tall-spindle','price_perKg':1,"
                                + "'spacing_m':{'inRow':0.5,'betweenRows':1}}]}")
                        .replace('\'', '"');
        RunningUmbel.Answer field = umbel.post("/api/plantings/field", huge);
        assertThat(field.json().get(0).at("/trees").asLong()).isGreaterThan(100_000_000);
        assertThat(field.text().length()).isLessThan(1_000_000);
        for (String plan : new String[] {"plan.geojson", "plan.pdf"}) {
            RunningUmbel.Answer refused = umbel.post("/api/plantings/" + plan, huge);
            assertThat(refused.status()).isEqualTo(400);
            assertThat(refused.text()).contains("50,000");
        }
    }

    /** About a hundred metres each way at 60° north, where a degree of longitude is half as long as one of latitude. */
    @Test
    void aMapFileInDegreesBecomesMetres() {
        String map =
                ("{'type':'FeatureCollection','features':[{'type':'Feature','properties':{},'geometry':{'type':'MultiPolygon',"
                                + "'coordinates':[[[[10,60],[10.0018,60],[10.0018,60.0009],[10,60.0009],[10,60]]],"
                                + "[[[10,60],[10.0002,60],[10.0002,60.0002],[10,60]]]]}}]}")
                        .replace('\'', '"');
        JsonNode read = umbel.post("/api/plantings/outline", map).json();
        assertThat(read.at("/area_ha").asDouble()).isCloseTo(1.004, within(0.002));
        assertThat(read.at("/latitude_deg").asDouble()).isEqualTo(60);
        assertThat(read.at("/outline_m/0")).hasSize(5);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/plantings/outline|{'type':'FeatureCollection','features':[]}|no polygon",
                "/api/plantings/outline|{'type':'Polygon','coordinates':[[[0,0],['a',1],[2,2]]]}|three different corners",
                "/api/plantings/field|{'site':{'outline_m':[[[0,0],[99,99],[99,0],[0,99]]]},'options':[]}|cross",
                "/api/plantings/field|{'site':{'outline_m':[]},'options':[]}|site.outline_m",
            })
    void whatIsNoFieldIsSaid(String path, String sent, String says) {
        RunningUmbel.Answer answer = umbel.post(path, sent.replace('\'', '"'));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text()).contains(says);
    }
}
