package umbel.app.planting;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** Comparisons kept under a name. */
@ExtendWith(RunningUmbel.class)
class ScenarioApiTest {

    private static final String REQUEST =
            ("{'site':{'headland_m':6,'rowBearing_deg':12,'outline_m':[[[0,0],[90.5,0],[90.5,70],[0,70]]]},"
                            + "'options':[{'name':'A','species':'apple','system':'tall-spindle','price_perKg':0.5,'costs':{'other':2500}}]}")
                    .replace('\'', '"');

    private final RunningUmbel umbel;

    ScenarioApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private RunningUmbel.Answer keep(String name, String request) {
        return umbel.post("/api/plantings/scenarios", "{\"name\":\"" + name + "\",\"request\":" + request + "}");
    }

    @Test
    void whatIsKeptAnswersTheSameWhenItIsOpened() {
        RunningUmbel.Answer kept = keep(" Wall or wide ", REQUEST);
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        assertThat(kept.json().at("/name").asString()).isEqualTo("Wall or wide");
        assertThat(kept.json().at("/options").asInt()).isEqualTo(1);
        long id = kept.json().at("/id").asLong();
        JsonNode opened = umbel.get("/api/plantings/scenarios/" + id).json().at("/request");
        assertThat(umbel.post("/api/plantings/compare", opened.toString()).text())
                .isEqualTo(umbel.post("/api/plantings/compare", REQUEST).text());
        long other = keep("Wall or wide", REQUEST).json().at("/id").asLong();
        assertThat(other).as("nothing is written over").isNotEqualTo(id);
        JsonNode list = umbel.get("/api/plantings/scenarios").json();
        assertThat(list.get(0).at("/id").asLong()).as("the newest first").isEqualTo(other);
        for (long one : new long[] {id, other}) {
            assertThat(umbel.send("DELETE", "/api/plantings/scenarios/" + one, "", "application/json")
                            .status())
                    .isEqualTo(204);
        }
        assertThat(umbel.get("/api/plantings/scenarios/" + id).status()).isEqualTo(404);
        assertThat(umbel.get("/api/plantings/scenarios/" + id).text()).contains("kept comparison");
    }

    @Test
    void onlyWhatCanBeComparedIsKept() {
        assertThat(keep("", REQUEST).status()).isEqualTo(400);
        assertThat(keep("x".repeat(81), REQUEST).status()).isEqualTo(400);
        assertThat(keep("none", "null").status()).isEqualTo(400);
        RunningUmbel.Answer wrong = keep("bonsai", REQUEST.replace("tall-spindle", "bonsai"));
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.text()).contains("options[0].system");
    }
}
