package umbel.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class TreeApiTest {

    private final RunningUmbel umbel;

    TreeApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void theHoldingShowsWhatEachTreeNeeds() {
        JsonNode holding = umbel.get("/api/holding").json();
        assertThat(holding.get("name").asString()).isEqualTo("Halden Combe Orchards");
        assertThat(holding.get("blocks").findValuesAsString("holding").stream()
                        .filter(name -> name.equals("Halden Combe Orchards") || name.equals("Karo Terrace")))
                .as("the demo's own blocks, whatever other tests add")
                .hasSize(12);
        assertThat(holding.get("trees").size()).isGreaterThanOrEqualTo(20);
        holding.get("trees").forEach(tree -> {
            assertThat(tree.get("act").asInt())
                    .isLessThanOrEqualTo(tree.get("all").asInt());
            assertThat(tree.get("state").asString()).isIn("to-decide", "marked", "done");
        });
    }

    @Test
    void aTreeComesWithItsDrawingAndReading() {
        JsonNode page = umbel.get("/api/trees/1").json();
        JsonNode axes = page.at("/drawing/axes");
        assertThat(axes.size()).isGreaterThan(500);
        assertThat(axes.get(0).get("kind").asString()).isEqualTo("trunk");
        axes.forEach(axis -> {
            assertThat(axis.get("points").size() % 4).isZero();
            assertThat(axis.get("ages").size()).isEqualTo(axis.get("points").size() / 4);
        });
        assertThat(page.at("/reading/findings").size()).isPositive();
        assertThat(page.get("limbs").size()).isEqualTo(page.at("/name/limbs").asInt());
    }

    @Test
    void onlyAVisitAfterItsSurveyMakesATreeWorkedOn() {
        JsonNode worked = umbel.get("/api/trees/25").json();
        assertThat(worked.get("workedOn").asString())
                .isGreaterThanOrEqualTo(worked.at("/name/surveyedOn").asString());
        JsonNode before = umbel.get("/api/trees/5").json();
        assertThat(umbel.get("/api/trees/5/records").json())
                .as("a visit a year before")
                .isNotEmpty();
        assertThat(before.get("workedOn").asString()).isEmpty();
    }

    @Test
    void aMarkMovesTheGaugesAndSaysWhatFalls() {
        JsonNode nothing = umbel.post("/api/trees/1/marks", "{\"marks\":[]}").json();
        JsonNode one = umbel.post("/api/trees/1/marks", marks("remove", "2")).json();
        assertThat(nothing.at("/totals/woodShare").asDouble()).isZero();
        assertThat(nothing.get("cuts")).isEmpty();
        assertThat(one.at("/totals/woodShare").asDouble()).isGreaterThan(0.05);
        assertThat(one.at("/totals/under30After").asDouble())
                .isNotEqualTo(nothing.at("/totals/under30After").asDouble());
        assertThat(one.get("cuts").size()).isGreaterThan(20);
        assertThat(one.get("effects")).hasSize(1);
        assertThat(one.at("/effects/0/title").asString()).contains("limb 2");
        assertThat(one.at("/effects/0/flag")).hasSize(3);
    }

    @Test
    void takingAMarkBackGivesTheSameAnswerToTheLetter() {
        String before = umbel.post("/api/trees/2/marks", marks("remove", "3")).text();
        umbel.post("/api/trees/2/marks", marks("remove", "4"));
        assertThat(umbel.post("/api/trees/2/marks", marks("remove", "3")).text())
                .isEqualTo(before);
    }

    @Test
    void aBendMovesTheLimbOnTheDrawing() {
        JsonNode page = umbel.get("/api/trees/8").json();
        String limb = page.at("/limbs/2/id").asString();
        JsonNode bent = umbel.post(
                        "/api/trees/8/marks",
                        "{\"marks\":[{\"operation\":\"bend\",\"limb\":\"" + limb + "\",\"toAngle_deg\":88}]}")
                .json();
        assertThat(bent.get("moved").size()).isPositive();
        assertThat(bent.get("cuts")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "chop, 2, marks[0].operation",
        "remove, 99, limb",
        "remove, trunk, operation",
        "shorten, 2, at_cm",
        "bend, 2, toAngle_deg",
    })
    void aMarkThatCannotBeMadeIsRefusedByName(String operation, String limb, String field) {
        RunningUmbel.Answer answer = umbel.post("/api/trees/1/marks", marks(operation, limb));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.type()).startsWith("application/problem+json");
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo(field);
    }

    @Test
    void plansAreThoughtRoundWhatWasRefused() {
        JsonNode plans = umbel.post("/api/trees/6/plans", "{}").json();
        JsonNode first = plans.at("/plans/0/steps/0");
        assertThat(first.get("operation").asString()).isEqualTo("renew-bevel");
        String key = first.get("operation").asString() + "@" + first.get("limb").asString();
        JsonNode again = umbel.post("/api/trees/6/plans", "{\"refused\":[\"" + key + "\"]}")
                .json();
        again.at("/plans/0/steps")
                .forEach(step -> assertThat(step.get("operation").asString() + "@"
                                + step.get("limb").asString())
                        .isNotEqualTo(key));
        assertThat(plans.at("/timing/verdict").asString()).isEqualTo("allowed");
    }

    @Test
    void theRecommendedPlanComesFirstAndIsTheOneThatFollows() {
        String decided = "{\"refused\":[\"remove@2\"]}";
        JsonNode first = umbel.post("/api/trees/7/plans/first", decided).json();
        JsonNode all = umbel.post("/api/trees/7/plans", decided).json();
        assertThat(first.at("/plan/name").asString()).isEqualTo("recommended");
        assertThat(first.at("/plan/steps").size()).isPositive();
        assertThat(first.at("/plan/steps")).isEqualTo(all.at("/plans/0/steps"));
        assertThat(first.at("/plan/totals/under30After")).isEqualTo(all.at("/plans/0/totals/under30After"));
        assertThat(first.at("/plan/years")).as("seasons come with the others").isEmpty();
        assertThat(all.at("/plans/0/years")).hasSize(3);
        assertThat(first.get("timing")).isEqualTo(all.get("timing"));
        assertThat(umbel.post("/api/trees/9999/plans/first", "{}").status()).isEqualTo(404);
    }

    @Test
    void optionsTellWhatEachCutWouldDo() {
        JsonNode options = umbel.post("/api/trees/1/limbs/2/options", "{}").json();
        assertThat(options.size()).isGreaterThan(2);
        options.forEach(option -> {
            assertThat(option.get("title").asString()).isNotBlank();
            assertThat(option.get("woodShare").asDouble()).isBetween(0.0, 1.0);
            assertThat(option.get("shadeAfter").asDouble()).isBetween(0.0, 1.0);
        });
        assertThat(umbel.post("/api/trees/1/limbs/99/options", "{}").status()).isEqualTo(404);
    }

    @Test
    void decisionsAreKeptAndAStaleSaveIsRefused() {
        JsonNode page = umbel.get("/api/trees/10").json();
        long version = page.get("workVersion").asLong();
        String limb = page.at("/limbs/0/id").asString();
        RunningUmbel.Answer kept = keep(10, limb, version);
        assertThat(kept.status()).isEqualTo(200);
        JsonNode again = umbel.get("/api/trees/10").json();
        assertThat(again.at("/decisions/marks/0/limb").asString()).isEqualTo(limb);
        RunningUmbel.Answer stale = keep(10, limb, version);
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.json().get("detail").asString()).contains("another window");
        assertThat(keep(10, limb, again.get("workVersion").asLong()).status()).isEqualTo(200);
    }

    @Test
    void marksThatCannotBeMadeAreNotKept() {
        long before = umbel.get("/api/trees/9").json().get("workVersion").asLong();
        assertThat(keep(9, "nowhere", before).status()).isEqualTo(422);
        assertThat(umbel.get("/api/trees/9").json().get("workVersion").asLong()).isEqualTo(before);
    }

    @Test
    void theSheetPutsMarksInTheOrderOfTheWork() {
        JsonNode steps = umbel.post(
                        "/api/trees/1/sheet",
                        "{\"marks\":[{\"operation\":\"remove\",\"limb\":\"2\"},{\"operation\":\"rub\",\"limb\":\"s1\"}]}")
                .json();
        assertThat(steps).hasSize(2);
        assertThat(steps.at("/0/limb").asString()).isEqualTo("s1");
        assertThat(steps.at("/1/reason").asString()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({"/api/trees/9999", "/api/trees/abc", "/api/nothing", "/api/surveys/77777", "/api/trees/9999/records"})
    void whatIsNotThereIsSaidNotToBe(String path) {
        RunningUmbel.Answer answer = umbel.get(path);
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.json().get("detail").asString()).isNotBlank();
    }

    private RunningUmbel.Answer keep(long tree, String limb, long version) {
        String body = "{\"version\":" + version + ",\"decisions\":" + marks("remove", limb) + "}";
        return umbel.send("PUT", "/api/trees/" + tree + "/work", body, "application/json");
    }

    private static String marks(String operation, String limb) {
        return "{\"marks\":[{\"operation\":\"" + operation + "\",\"limb\":\"" + limb + "\"}]}";
    }
}
