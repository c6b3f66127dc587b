package umbel.app.learning;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

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

    /** What a block has taught is kept as long as nothing in it changes: a survey changes it at once. */
    @Test
    void aSecondWinterTeachesAsSoonAsItIsSurveyed() {
        LocalDate winter = LocalDate.now().minusDays(20);
        long block = NewBlock.add(umbel, "Taught", "apple", "tall-spindle", 1);
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, winter.minusYears(1));
        String learned = "/api/blocks/" + block + "/learned";
        assertThat(umbel.get(learned).json().path("trees").asInt()).isZero();
        RunningUmbel.Answer saved = umbel.post(
                "/api/trees/" + tree + "/surveys",
                SurveyReader.write(PracticeTree.survey("apple", "tall-spindle", 7, 1))
                        .replaceFirst("\"surveyedOn\" : \"[^\"]*\"", "\"surveyedOn\" : \"" + winter + "\""));
        assertThat(saved.status()).as(saved.text()).isEqualTo(201);
        assertThat(umbel.get(learned).json().path("trees").asInt()).isEqualTo(1);
        umbel.send(
                "PUT",
                "/api/surveys/" + saved.json().path("id").asLong() + "/withdrawal",
                "{\"withdrawn\":true}",
                "application/json");
        assertThat(umbel.get(learned).json().path("trees").asInt())
                .as("the second survey is withdrawn")
                .isZero();
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
