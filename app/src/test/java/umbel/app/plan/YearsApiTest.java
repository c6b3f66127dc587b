package umbel.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** Years to come and other schools, as the tree view asks for them. */
@ExtendWith(RunningUmbel.class)
class YearsApiTest {

    private static final String REMOVE_3 = "{\"marks\":[{\"operation\":\"remove\",\"limb\":\"3\"}]}";

    private final RunningUmbel umbel;

    YearsApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void everyYearIsARangeForTheMarkedTreeAndTheOneLeftAlone() {
        JsonNode years = umbel.post("/api/trees/2/years?years=2", REMOVE_3).json();
        assertThat(years.at("/marked")).hasSize(2);
        assertThat(years.at("/alone")).hasSize(2);
        for (JsonNode year : years.at("/marked")) {
            for (String figure : new String[] {"fruits", "under30", "height_m", "growth_m", "sprouts"}) {
                JsonNode range = year.at("/" + figure);
                assertThat(range.at("/low").asDouble())
                        .as(figure)
                        .isLessThanOrEqualTo(range.at("/middle").asDouble());
                assertThat(range.at("/middle").asDouble())
                        .as(figure)
                        .isLessThanOrEqualTo(range.at("/high").asDouble());
            }
        }
    }

    @Test
    void withoutMarksBothFuturesAreTheSame() {
        JsonNode years = umbel.post("/api/trees/6/years", "{}").json();
        assertThat(years.at("/marked")).isEqualTo(years.at("/alone"));
    }

    @Test
    void aLimbThatIsCutIsNotInTheTreeOfNextYear() {
        JsonNode cut = umbel.post("/api/trees/2/years/1/drawing", REMOVE_3).json();
        JsonNode alone =
                umbel.post("/api/trees/2/years/1/drawing?alone=true", REMOVE_3).json();
        assertThat(has(cut, "3")).isFalse();
        assertThat(has(alone, "3")).isTrue();
        assertThat(has(cut, "trunk")).isTrue();
    }

    @Test
    void aYearBeyondTheOnesAskedForIsNotThere() {
        assertThat(umbel.post("/api/trees/2/years/3/drawing?years=2", "{}").status())
                .isEqualTo(404);
        assertThat(umbel.post("/api/trees/2/years?years=9", "{}").status()).isEqualTo(400);
    }

    @Test
    void theSameCutsInSummerLeaveLessToGrowOnThanInWinter() {
        String cuts =
                "{\"marks\":[{\"operation\":\"remove\",\"limb\":\"3\"},{\"operation\":\"remove\",\"limb\":\"4\"}],\"phase\":";
        double winter = growth(umbel.post("/api/trees/4/years?years=1", cuts + "\"dormant\"}"));
        double summer = growth(umbel.post("/api/trees/4/years?years=1", cuts + "\"summer\"}"));
        assertThat(summer).isLessThan(winter);
        assertThat(growth(umbel.post("/api/trees/4/years?years=1", cuts + "null}")))
                .isEqualTo(winter);
    }

    private static double growth(RunningUmbel.Answer answer) {
        return answer.json().at("/marked/0/growth_m/middle").asDouble();
    }

    @Test
    void aSummerPlanIsWorkForTheHandPrunerAndOneWinterLooksNoFurther() {
        JsonNode summer =
                umbel.post("/api/trees/23/plans", "{\"phase\":\"summer\"}").json();
        assertThat(summer.at("/plans/0/steps").size()).isPositive();
        for (JsonNode step : summer.at("/plans/0/steps")) {
            assertThat(step.at("/cutDiameter_mm").asDouble()).isLessThanOrEqualTo(20);
            assertThat(step.at("/year").asInt()).isZero();
        }
        assertThat(summer.at("/timing/reasons/0").asString()).isNotBlank();
        JsonNode one = umbel.post("/api/trees/19/plans", "{\"winters\":1}").json();
        JsonNode four = umbel.post("/api/trees/19/plans", "{\"winters\":4}").json();
        assertThat(lastYear(one)).isZero();
        assertThat(lastYear(four)).isGreaterThanOrEqualTo(2);
    }

    private static int lastYear(JsonNode plans) {
        int last = 0;
        for (JsonNode stage : plans.at("/plans/0/stages")) {
            last = Math.max(last, stage.at("/year").asInt());
        }
        return last;
    }

    @Test
    void aTimeOfTheYearNobodyKnowsAndTooManyWintersAreRefusedByName() {
        RunningUmbel.Answer phase = umbel.post("/api/trees/2/plans", "{\"phase\":\"harvest-moon\"}");
        assertThat(phase.status()).isEqualTo(400);
        assertThat(phase.text()).contains("phase");
        RunningUmbel.Answer winters = umbel.post("/api/trees/2/plans", "{\"winters\":9}");
        assertThat(winters.status()).isEqualTo(400);
        assertThat(winters.text()).contains("winters");
    }

    @Test
    void twoSchoolsDifferForASettingThatIsNamed() {
        JsonNode beside = umbel.post("/api/trees/2/schools?beside=gentle", "{}").json();
        assertThat(beside.at("/school").asString()).isEqualTo("Classic");
        assertThat(beside.at("/otherSchool").asString()).isEqualTo("Gentle");
        assertThat(beside.at("/differing").size()).isPositive();
        for (JsonNode one : beside.at("/differing")) {
            assertThat(one.at("/because").asString()).isNotBlank();
            assertThat(one.at("/mine").isNull() && one.at("/other").isNull()).isFalse();
        }
    }

    @Test
    void oneLineOfTheSchoolIsTriedTheOtherWay() {
        JsonNode less = umbel.post("/api/trees/2/schools/line?line=woodShareFactor&value=0.4", "{}")
                .json();
        assertThat(less.at("/other/totals/woodShare").asDouble())
                .isLessThan(less.at("/mine/totals/woodShare").asDouble());
        JsonNode taken = umbel.post("/api/trees/2/schools/line?line=chopPrunings&value=0", "{}")
                .json();
        assertThat(taken.at("/differing")).isEmpty();
        assertThat(taken.at("/mineAfterwards").toString())
                .isNotEqualTo(taken.at("/otherAfterwards").toString());
        JsonNode once = umbel.post("/api/trees/19/schools/line?line=renovationWinters&value=1", "{\"winters\":3}")
                .json();
        assertThat(once.at("/mine/steps").toString()).contains("\"year\":1");
        assertThat(once.at("/other/steps").toString()).doesNotContain("\"year\":1");
        assertThat(umbel.post("/api/trees/2/schools/line?line=nonsense&value=1", "{}")
                        .status())
                .isEqualTo(422);
        assertThat(umbel.post("/api/trees/2/schools/line?line=bench", "{}").status())
                .isEqualTo(400);
    }

    @Test
    void theGuideAsksWhereGrowersDiffer() {
        JsonNode questions = umbel.get("/api/guide").json().at("/questions");
        assertThat(questions).hasSize(19);
        assertThat(umbel.send("GET", "/api/guide", "", "application/json", "es", "metric")
                        .json()
                        .at("/questions/0/asks")
                        .asString())
                .startsWith("¿");
    }

    @Test
    void aSchoolBesideItselfMakesTheSameCuts() {
        assertThat(umbel.post("/api/trees/2/schools?beside=classic", "{}")
                        .json()
                        .at("/differing"))
                .isEmpty();
    }

    @Test
    void aBendThatIsKeptIsCountedForItsTreeItsRowAndTheBlock() {
        JsonNode page = umbel.get("/api/trees/20").json();
        long block = page.at("/name/blockId").asLong();
        String keep =
                "{\"decisions\":{\"marks\":[{\"operation\":\"bend\",\"limb\":\"1\",\"toAngle_deg\":70}]},\"version\":"
                        + page.at("/workVersion").asLong() + "}";
        assertThat(umbel.send("PUT", "/api/trees/20/work", keep, "application/json")
                        .status())
                .isEqualTo(200);
        JsonNode ofTree = umbel.get("/api/trees/20/material").json();
        assertThat(ofTree.at("/lines")).hasSize(1);
        assertThat(ofTree.at("/lines/0/count").asInt()).isEqualTo(1);
        JsonNode ofBlock = umbel.get("/api/blocks/" + block + "/material").json();
        assertThat(ofBlock.at("/0/lines")).isEqualTo(ofTree.at("/lines"));
        assertThat(ofBlock.at("/1/row").asInt()).isPositive();
    }

    @Test
    void whatFallsByTheMarksIsSummedForTheBlockAndItsTrailers() {
        long block = NewBlock.add(umbel, "Loads Row", "apple", "tall-spindle", 300);
        assertThat(umbel.get("/api/blocks/" + block + "/prunings")
                        .json()
                        .at("/loads")
                        .asDouble())
                .isZero();
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, LocalDate.now().minusDays(10));
        JsonNode page = umbel.get("/api/trees/" + tree).json();
        String limb = page.at("/limbs/0/id").asString();
        String keep = "{\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}]},\"version\":"
                + page.at("/workVersion").asLong() + "}";
        assertThat(umbel.send("PUT", "/api/trees/" + tree + "/work", keep, "application/json")
                        .status())
                .isEqualTo(200);
        JsonNode prunings = umbel.get("/api/blocks/" + block + "/prunings").json();
        assertThat(prunings.at("/trees").asInt()).isEqualTo(1);
        double kg = prunings.at("/kg").asDouble();
        assertThat(kg).isPositive();
        assertThat(prunings.at("/kgOfBlock").asDouble()).isCloseTo(300 * kg, within(300 * 0.05 + 1));
        assertThat(prunings.at("/loads").asDouble())
                .isCloseTo(
                        prunings.at("/kgOfBlock").asDouble()
                                / prunings.at("/loadKg").asDouble(),
                        within(0.06));
    }

    private static boolean has(JsonNode drawing, String id) {
        for (JsonNode axis : drawing.at("/axes")) {
            if (axis.at("/id").asString().equals(id)) {
                return true;
            }
        }
        return false;
    }
}
