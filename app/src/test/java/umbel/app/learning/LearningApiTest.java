package umbel.app.learning;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class LearningApiTest {

    /** Gean Walk 2-4, surveyed in two winters. */
    private static final long TWICE = 15;

    private final RunningUmbel umbel;

    LearningApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aSeasonBetweenTwoSurveysIsHeldAgainstItsForecast() {
        JsonNode seasons = umbel.get("/api/trees/" + TWICE + "/forecasts").json();
        assertThat(seasons.size()).isEqualTo(1);
        assertThat(seasons.at("/0/measures").size()).isEqualTo(5);
        for (JsonNode measure : seasons.at("/0/measures")) {
            double found = measure.path("found").asDouble();
            boolean inside = found >= measure.path("low").asDouble() - 0.001
                    && found <= measure.path("high").asDouble() + 0.001;
            assertThat(measure.path("right").asBoolean()).isEqualTo(inside);
        }
    }

    @Test
    void aBlockTellsFromHowManyTreesItLearnedAndForgetsWhenAsked() {
        long block = umbel.get("/api/trees/" + TWICE).json().at("/name/blockId").asLong();
        JsonNode learned = umbel.get("/api/blocks/" + block + "/learned").json();
        assertThat(learned.path("trees").asInt()).isPositive();
        assertThat(learned.path("of").asInt())
                .isEqualTo(5 * learned.path("trees").asInt());
        JsonNode forgotten = umbel.send(
                        "PUT", "/api/blocks/" + block + "/learned", "{\"forget\":true}", "application/json")
                .json();
        assertThat(forgotten.path("trees").asInt()).isZero();
        assertThat(forgotten.path("vigour").asDouble()).isEqualTo(1);
        JsonNode again = umbel.send(
                        "PUT", "/api/blocks/" + block + "/learned", "{\"forget\":false}", "application/json")
                .json();
        assertThat(again.path("vigour").asDouble())
                .isEqualTo(learned.path("vigour").asDouble());
    }

    @Test
    void theNextSurveyStartsWithoutWhatWasCut() {
        long tree = 17;
        JsonNode before = umbel.get("/api/trees/" + tree + "/surveys/expected").json();
        String limb = before.at("/limbs/0/id").asString();
        umbel.post(
                "/api/trees/" + tree + "/records",
                "{\"doneOn\":\"" + LocalDate.now()
                        + "\",\"who\":\"Ines\",\"minutes\":3,\"steps\":[{\"mark\":{\"operation\":\"remove\",\"limb\":\""
                        + limb + "\"},\"title\":\"Off\",\"outcome\":\"as-planned\"}]}");
        JsonNode after = umbel.get("/api/trees/" + tree + "/surveys/expected").json();
        assertThat(after.path("limbs").size()).isLessThan(before.path("limbs").size());
        for (JsonNode one : after.path("limbs")) {
            assertThat(one.path("id").asString()).isNotEqualTo(limb);
        }
    }
}
