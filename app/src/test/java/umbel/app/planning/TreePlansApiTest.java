package umbel.app.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** Plans of a whole block, worked out in the background; out of date as soon as something is known that they rest on. */
@ExtendWith(RunningUmbel.class)
class TreePlansApiTest {

    private static final int MOST_TIMES = 1200;

    private final RunningUmbel umbel;

    TreePlansApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private JsonNode planned(long block) throws InterruptedException {
        assertThat(umbel.post("/api/blocks/" + block + "/plans", "").status()).isEqualTo(202);
        for (int i = 0; i < MOST_TIMES; i++) {
            JsonNode plans = plans(block);
            if (!plans.at("/job/state").asString().equals("running")) {
                return plans;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("the planning did not end");
    }

    private JsonNode plans(long block) {
        return umbel.get("/api/blocks/" + block + "/plans").json();
    }

    @Test
    void everyTreeIsPlannedAndAChangeMakesThePlansStale() throws InterruptedException {
        LocalDate winter = LocalDate.now().minusDays(20);
        long block = NewBlock.add(umbel, "Planned", "apple", "tall-spindle", 3);
        NewBlock.surveyedSpindle(umbel, block, 1, winter);
        long other = NewBlock.surveyedSpindle(umbel, block, 2, winter);
        JsonNode before = plans(block);
        assertThat(before.path("job").isNull()).isTrue();
        assertThat(before.at("/trees/0/steps").isNull()).isTrue();

        JsonNode plans = planned(block);
        assertThat(plans.at("/job/done").asInt()).isEqualTo(2);
        assertThat(plans.at("/trees")).hasSize(2).allSatisfy(line -> {
            assertThat(line.at("/steps").isNull()).isFalse();
            assertThat(line.at("/shadeBefore").asDouble()).isBetween(0.0, 1.0);
            assertThat(line.at("/stale").asBoolean()).isFalse();
        });
        assertThat(plans.at("/treeCount").asInt()).isEqualTo(3);
        assertThat(plans.at("/seasons")).hasSize(3).allSatisfy(season -> {
            assertThat(season.at("/shade").asDouble()).isBetween(0.0, 1.0);
            assertThat(season.at("/minutes").asDouble()).isNotNegative();
        });
        assertThat(plans.at("/seasons/0/minutes").asDouble())
                .as("before the first season comes the visit")
                .isCloseTo(
                        plans.at("/trees")
                                .valueStream()
                                .mapToDouble(line -> line.at("/minutes").asDouble())
                                .average()
                                .orElseThrow(),
                        within(0.1));
        long third = NewBlock.surveyedSpindle(umbel, block, 3, winter);
        JsonNode stale = plans(block);
        assertThat(stale.at("/trees/0/stale").asBoolean()).isTrue();
        assertThat(stale.at("/trees/1/stale").asBoolean()).isTrue();
        assertThat(stale.at("/trees/2/tree").asLong()).isEqualTo(third);
        assertThat(stale.at("/trees/2/steps").isNull()).isTrue();

        JsonNode again = planned(block);
        assertThat(again.at("/trees")).hasSize(3).allSatisfy(line -> {
            assertThat(line.at("/stale").asBoolean()).isFalse();
            assertThat(line.at("/steps").isNull()).isFalse();
        });
        assertThat(again.at("/trees/1/tree").asLong()).isEqualTo(other);
        String plannedAt = again.at("/trees/1/plannedAt").asString();
        assertThat(planned(block).at("/trees/1/plannedAt").asString())
                .as("what rests on the same is not planned again")
                .isEqualTo(plannedAt);
    }

    @Test
    void itIsThePlanOfTheTreesOwnPage() throws InterruptedException {
        JsonNode plans = planned(1);
        assertThat(plans.at("/job/failed").asInt()).isZero();
        JsonNode line = plans.at("/trees/0");
        JsonNode plan = umbel.post("/api/trees/" + line.at("/tree").asLong() + "/plans/first", "{\"marks\":[]}")
                .json()
                .path("plan");
        assertThat(line.at("/steps").asInt())
                .isEqualTo((int) plan.at("/steps")
                        .valueStream()
                        .filter(step -> step.at("/year").asInt() == 0)
                        .count())
                .isPositive();
        assertThat(line.at("/minutes").asDouble())
                .isCloseTo(plan.at("/totals/minutes").asDouble(), within(0.2));
    }

    /** Blue Bank: bushes are weighed by their canes, and shade is told of none. */
    @Test
    void countedPlantsArePlannedWithTheirSeasonsToo() throws InterruptedException {
        JsonNode plans = planned(10);
        assertThat(plans.at("/job/failed").asInt()).isZero();
        assertThat(plans.at("/trees")).isNotEmpty().allSatisfy(line -> {
            assertThat(line.at("/steps").isNull()).isFalse();
            assertThat(line.at("/shadeBefore").isNull()).isTrue();
        });
        assertThat(plans.at("/seasons")).isNotEmpty().allSatisfy(season -> {
            assertThat(season.at("/shade").isNull()).isTrue();
            assertThat(season.at("/firstClassKg").asDouble()).isPositive();
        });
        assertThat(plans.at("/seasons/0/minutes").asDouble()).isPositive();
        assertThat(plans.at("/seasons/1/minutes").isNull()).isTrue();
    }

    @Test
    void aBlockGoesOnAsItsTreesOnTheirPages() throws InterruptedException {
        long block = NewBlock.add(umbel, "Grown on", "apple", "tall-spindle", 1);
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, LocalDate.now().minusDays(20));
        JsonNode seasons = planned(block).at("/seasons");
        JsonNode plans = umbel.post("/api/trees/" + tree + "/plans", "{\"marks\":[]}")
                .json()
                .at("/plans");
        JsonNode recommended = plans.at("/0/years");
        JsonNode nothing = plans.at("/" + (plans.size() - 1) + "/years");
        for (int season = 0; season < 3; season++) {
            assertThat(seasons.at("/" + season + "/shade").asDouble())
                    .isCloseTo(
                            recommended
                                    .at("/" + season + "/underFruitLight/middle")
                                    .asDouble(),
                            within(0.01));
            assertThat(seasons.at("/" + season + "/shadeAlone").asDouble())
                    .isCloseTo(
                            nothing.at("/" + season + "/underFruitLight/middle").asDouble(), within(0.01));
        }
    }

    @Test
    void thePlanningOfABlockCanBeStopped() throws InterruptedException {
        long block = NewBlock.add(umbel, "Stopped", "apple", "tall-spindle", 12);
        for (int place = 1; place <= 12; place++) {
            NewBlock.surveyedSpindle(umbel, block, place, LocalDate.now().minusDays(20));
        }
        umbel.post("/api/blocks/" + block + "/plans", "");
        JsonNode stopped = umbel.send("DELETE", "/api/blocks/" + block + "/plans", "", "application/json")
                .json();
        assertThat(stopped.at("/job/state").asString()).isEqualTo("cancelled");
        int before;
        int done = plans(block).at("/job/done").asInt();
        do { // what was under way comes to its end
            before = done;
            Thread.sleep(2500);
            done = plans(block).at("/job/done").asInt();
        } while (done > before);
        assertThat(done).isLessThan(12);
    }

    @Test
    void theFarmIsToldInFigures() {
        JsonNode farm = umbel.get("/api/plans").json();
        assertThat(farm.at("/surveyed").asInt()).isGreaterThan(20);
        assertThat(farm.at("/planned").asInt())
                .isLessThanOrEqualTo(farm.at("/surveyed").asInt());
        assertThat(farm.at("/atNight").asBoolean()).isTrue();
        assertThat(umbel.send("PUT", "/api/plans/night", "{\"on\":false}", "application/json")
                        .json()
                        .at("/atNight")
                        .asBoolean())
                .isFalse();
        umbel.send("PUT", "/api/plans/night", "{\"on\":true}", "application/json");
    }

    @Test
    void whatIsNotThereIsNotPlanned() {
        assertThat(umbel.get("/api/blocks/9999/plans").status()).isEqualTo(404);
        assertThat(umbel.post("/api/blocks/9999/plans", "").status()).isEqualTo(404);
    }
}
