package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** A tree that was looked at is kept with all it needs, or not at all. */
@ExtendWith(RunningUmbel.class)
class KeptTreeApiTest {

    private static final String KEPT = "/api/survey/kept";
    private static final String NEW_HOLDING =
            "\"holding\":{\"name\":\"Looked Farm\",\"latitudeDeg\":-38.5,\"elevationM\":120,\"timeZone\":\"UTC\"}";

    private final RunningUmbel umbel;

    KeptTreeApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void itIsTheFirstTreeOfANewBlockLaidOutAsItsSurveySays() {
        JsonNode looked = umbel.get("/api/survey/typical?species=pear&system=espalier&leaf=9")
                .json();
        RunningUmbel.Answer kept = keep(looked, "\"block\":{\"name\":\"Looked Wall\"," + NEW_HOLDING + "}");
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        assertThat(kept.json().at("/label").asString()).isEqualTo("Looked Wall 1-1");
        JsonNode place = umbel.get("/api/trees/" + kept.json().at("/treeId").asLong() + "/place")
                .json();
        assertThat(place.at("/block/species").asString()).isEqualTo("pear");
        assertThat(place.at("/block/system").asString()).isEqualTo("espalier");
        assertThat(place.at("/block/latitudeDeg").asDouble()).isEqualTo(-38.5);
        JsonNode page =
                umbel.get("/api/trees/" + kept.json().at("/treeId").asLong()).json();
        assertThat(page.at("/limbs").size()).isEqualTo(looked.at("/limbs").size());
        assertThat(page.at("/name/leaf").asInt()).isEqualTo(9);
    }

    @Test
    void itTakesAFreePlaceOfABlockAndNoOther() {
        JsonNode looked = umbel.get("/api/survey/typical?species=apple&system=tall-spindle&leaf=5")
                .json();
        long block = NewBlock.add(umbel, "Apple Row", "apple", "tall-spindle", 10);
        String place = "\"place\":{\"blockId\":" + block + ",\"row\":1,\"place\":%d}";
        assertThat(keep(looked, place.formatted(2)).status()).isEqualTo(201);
        RunningUmbel.Answer again = keep(looked, place.formatted(2));
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.json().at("/detail").asString()).contains("Apple Row 1-2");
        assertThat(keep(looked, place.formatted(99)).status()).isEqualTo(400);
    }

    @Test
    void nothingIsLeftOfOneThatWasRefused() {
        JsonNode looked = umbel.get("/api/survey/typical?species=apple&system=tall-spindle&leaf=5")
                .json();
        int holdings = umbel.get("/api/holdings").json().size();
        assertThat(keep(looked, "").status()).isEqualTo(400);
        assertThat(keep(looked, "\"block\":{\"name\":\"Neither\"}").status()).isEqualTo(400);
        assertThat(keep(looked, "\"block\":{\"name\":\"\"," + NEW_HOLDING + "}").status())
                .isEqualTo(400);
        String survey = looked.toString().replace("\"format\"", "\"surveyedOn\":\"2999-01-01\",\"format\"");
        RunningUmbel.Answer later = umbel.post(
                KEPT, "{\"survey\":" + survey + ",\"where\":{\"block\":{\"name\":\"Later\"," + NEW_HOLDING + "}}}");
        assertThat(later.status()).isEqualTo(400);
        assertThat(umbel.get("/api/holdings").json().size())
                .as("the holding was begun and taken back")
                .isEqualTo(holdings);
    }

    private RunningUmbel.Answer keep(JsonNode survey, String where) {
        return umbel.post(KEPT, "{\"survey\":" + survey + ",\"where\":{" + where + "}}");
    }
}
