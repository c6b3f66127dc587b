package umbel.app.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.StringReader;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** The comparison as other software asks for it. */
@ExtendWith(RunningUmbel.class)
class PlantingApiTest {

    private static final String SENT =
            "{\"site\":{\"latitude_deg\":47.6,\"area_ha\":1.0,\"headland_m\":8},\"horizon_y\":25,"
                    + "\"interest\":0.05,\"wage_perHour\":18,\"currency\":\"EUR\",\"options\":["
                    + "{\"name\":\"A\",\"species\":\"apple\",\"system\":\"tall-spindle\",\"rootstockClass\":\"dwarfing\","
                    + "\"vigour\":\"moderate\",\"spacing_m\":{\"inRow\":1.0,\"betweenRows\":3.5},\"price_perKg\":0.55,"
                    + "\"priceTrend\":-0.01,\"cultivarLife_y\":15,\"costs\":{\"other\":3000}},"
                    + "{\"name\":\"B\",\"species\":\"apple\",\"system\":\"central-leader\",\"price_perKg\":0.55}],\"seed\":7}";

    private final RunningUmbel umbel;

    PlantingApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static final String STANDING =
            "{\"horizon_y\":20,\"standing\":{\"leaf\":28,\"trees\":{\"species\":\"apple\",\"system\":\"central-leader\","
                    + "\"price_perKg\":0.4}},\"options\":["
                    + "{\"name\":\"kept\",\"onStanding\":{\"act\":\"keep\"}},"
                    + "{\"name\":\"grafted\",\"price_perKg\":0.6,\"onStanding\":{\"act\":\"topwork\"}},"
                    + "{\"name\":\"new\",\"species\":\"apple\",\"system\":\"tall-spindle\",\"price_perKg\":0.6,"
                    + "\"onStanding\":{\"act\":\"replant\",\"over_y\":3}}]}";

    @Test
    void whatIsDoneWithStandingTreesIsComparedInTheSameSums() {
        JsonNode options = umbel.post("/api/plantings/compare", STANDING).json().at("/options");
        assertThat(options.at("/0/capital/total").asDouble()).isZero();
        assertThat(options.at("/0/years/1/yield_kgPerHa").asDouble()).isPositive();
        assertThat(options.at("/1/years/1/yield_kgPerHa").asDouble()).isZero();
        assertThat(options.at("/1/years/6/yield_kgPerHa").asDouble()).isPositive();
        assertThat(options.at("/2/years/1/yield_kgPerHa").asDouble())
                .as("two thirds of the old trees stand in year 1")
                .isCloseTo(
                        2.0 / 3 * options.at("/0/years/1/yield_kgPerHa").asDouble(),
                        within(1.0 + options.at("/2/years/2/yield_kgPerHa").asDouble() / 100));
        assertThat(options.at("/0/risks/0/code").asString()).isEqualTo("keep");
        assertThat(options.at("/0/risks/0/text").asString()).contains("48");
        JsonNode rows = umbel.post("/api/plantings/rows", STANDING).json();
        assertThat(rows.at("/0/years").size()).isEqualTo(5);
        assertThat(rows.at("/1/years").size()).as("no typical tree to draw").isZero();
    }

    @Test
    void anOptionForStandingTreesWithoutAnyIsRefused() {
        RunningUmbel.Answer refused =
                umbel.post("/api/plantings/compare", STANDING.replaceFirst("\"standing\":\\{.*?\\}\\},", ""));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().at("/errors/0/field").asString()).isEqualTo("standing");
    }

    @Test
    void theAnswerHasEverythingTheFormatNames() {
        RunningUmbel.Answer answer = umbel.post("/api/plantings/compare", SENT);
        assertThat(answer.status()).isEqualTo(200);
        JsonNode options = answer.json().at("/options");
        assertThat(options.size()).isEqualTo(2);
        for (JsonNode one : options) {
            for (String field : List.of(
                    "treesPerHa",
                    "boxFit",
                    "capital",
                    "years",
                    "npv",
                    "irr",
                    "paybackYear",
                    "breakEvenPrice_perKg",
                    "hoursByMonth",
                    "times",
                    "pollination",
                    "risks",
                    "ranges",
                    "sensitivity",
                    "toWin",
                    "assumed")) {
                assertThat(one.has(field)).as(field).isTrue();
            }
            assertThat(one.at("/years").size()).isEqualTo(26);
            JsonNode year = one.at("/years/8");
            for (String field : List.of(
                    "interception", "yield_kgPerHa", "firstClass", "revenue", "costs", "hours", "net", "cumulative")) {
                assertThat(year.has(field)).as(field).isTrue();
            }
            assertThat(one.at("/years/0/net").asDouble())
                    .isEqualTo(-one.at("/capital/total").asDouble());
            assertThat(one.at("/hoursByMonth").size()).isEqualTo(12);
            assertThat(one.at("/boxFit/why").asString()).isNotBlank();
        }
        assertThat(options.at("/0/toWin").size() + options.at("/1/toWin").size())
                .isPositive();
        assertThat(options.at("/0/assumed").toString())
                .contains("\"other\",\"value\":3000.0")
                .contains("yours");
        assertThat(options.at("/0/times/bloom").asString()).matches("--0[45]-\\d\\d");
        assertThat(options.at("/0/pollination").asString()).contains("another cultivar");
        assertThat(answer.json().at("/gaps")).isEmpty();
        assertThat(umbel.post("/api/plantings/compare", SENT.replaceFirst("apple", "cherry-sour"))
                        .json()
                        .at("/gaps"))
                .hasSize(1);
        JsonNode mango = umbel.post("/api/plantings/compare", SENT.replaceFirst("apple", "mango"))
                .json()
                .at("/options/0");
        assertThat(mango.at("/times").isNull()).isTrue();
        assertThat(umbel.post("/api/plantings/compare", SENT).text()).isEqualTo(answer.text());
    }

    @Test
    void whatIsWrongIsNamedByField() {
        RunningUmbel.Answer wrong = umbel.post(
                "/api/plantings/compare",
                SENT.replace("tall-spindle", "bonsai").replace("\"area_ha\":1.0", "\"area_ha\":-2"));
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.json().at("/errors").toString())
                .contains("options[0].system")
                .contains("site.area_ha");
        assertThat(umbel.post("/api/plantings/compare", "{}").status()).isEqualTo(400);
        assertThat(umbel.post("/api/plantings/compare", "[]").status()).isEqualTo(400);
        assertThat(umbel.post("/api/plantings/compare", SENT.replace("0.55", "\"cheap\""))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void theRowsAreDrawnInTheirYearsAtOneScale() throws Exception {
        RunningUmbel.Answer answer = umbel.post("/api/plantings/rows", SENT);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.json()).hasSize(2);
        double tallest = 0;
        String scale = null;
        for (JsonNode option : answer.json()) {
            double before = 0;
            assertThat(option.at("/years")).hasSize(5);
            for (JsonNode year : option.at("/years")) {
                assertThat(year.at("/topM").asDouble()).isGreaterThan(before - 0.3);
                before = year.at("/topM").asDouble();
                tallest = Math.max(tallest, before);
                Element svg = DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new InputSource(
                                new StringReader(year.at("/drawing").asString())))
                        .getDocumentElement();
                String box = svg.getAttribute("viewBox");
                assertThat(scale == null || scale.equals(box))
                        .as("one scale: " + box)
                        .isTrue();
                scale = box;
                assertThat(svg.getElementsByTagName("use").getLength()).isGreaterThanOrEqualTo(3);
            }
        }
        double shown = -Double.parseDouble(scale.split(" ")[1]) / 100;
        assertThat(shown).as("the tallest fits").isGreaterThan(tallest);
    }

    /** The demo's old apple block is surveyed; nobody surveyed a quince. */
    @Test
    void pruningTakesWhatThePlansOfSurveyedTreesTake() {
        String asked = "/api/plantings/pruning?species=apple&system=central-leader";
        RunningUmbel.Answer answer = umbel.get(asked);
        for (int times = 0; answer.status() == 503 && times < 6; times++) {
            // a slow machine gives the answer up, and goes on where it was when it is asked again
            answer = umbel.get(asked);
        }
        JsonNode own = answer.json();
        assertThat(own.at("/trees").asInt()).isEqualTo(3);
        assertThat(own.at("/minutes").asDouble()).isBetween(2.0, 40.0);
        JsonNode none = umbel.get("/api/plantings/pruning?species=quince&system=central-leader")
                .json();
        assertThat(none.at("/trees").asInt()).isZero();
        assertThat(none.path("minutes").isNumber()).isFalse();
    }
}
