package umbel.app.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** Each person's day with why, and what to leave where days are missing. */
@ExtendWith(RunningUmbel.class)
class CrewDayApiTest {

    private final RunningUmbel umbel;

    CrewDayApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void everyoneHasAListForTheDayWithWhyAndTheRestWaits() throws Exception {
        umbel.post("/api/schedule", "");
        JsonNode schedule = settled();
        assertThat(schedule.get("work")).isNotEmpty();
        LocalDate date = LocalDate.parse(schedule.get("work").get(0).get("date").asString());
        JsonNode day = umbel.get("/api/field/days/" + date).json();
        assertThat(day.at("/planned").asBoolean()).isTrue();
        assertThat(day.at("/weather")).isNotEmpty();
        double planned = 0;
        for (JsonNode piece : schedule.get("work")) {
            planned += piece.at("/date").asString().equals(date.toString())
                    ? piece.at("/hours").asDouble()
                    : 0;
        }
        Set<Long> counted = new HashSet<>();
        umbel.get("/api/blocks").json().forEach(block -> {
            if (!block.at("/counted").asString().isEmpty()) {
                counted.add(block.at("/id").asLong());
            }
        });
        double listed = 0;
        for (JsonNode person : day.at("/people")) {
            listed += person.at("/hours").asDouble();
            for (JsonNode piece : person.at("/pieces")) {
                assertThat(piece.at("/reasons")).as(piece.toString()).isNotEmpty();
                assertThat(piece.at("/verdict").asString()).isNotEqualTo("not");
                assertThat(piece.at("/counted").asBoolean())
                        .isEqualTo(counted.contains(piece.at("/blockId").asLong()));
            }
        }
        assertThat(listed).as("the lists add up to the schedule").isCloseTo(planned, within(0.3));
        // whoever has work left and nobody on it is told why
        for (JsonNode block : day.at("/waiting")) {
            assertThat(block.at("/reasons")).isNotEmpty();
        }
        assertThat(umbel.get("/api/field/days/yesterday").status()).isBetween(400, 404);
    }

    @Test
    void theHoursThatLoseLeastAreLeftFirst() throws Exception {
        JsonNode none = weighed(0);
        assertThat(none.at("/toWeigh").asInt()).isPositive();
        double judged = 0;
        double before = -1;
        for (JsonNode block : none.at("/blocks")) {
            assertThat(block.at("/leaveHours").asDouble()).isZero();
            if (block.at("/trees").asInt() > 0) {
                judged += block.at("/hours").asDouble();
                assertThat(block.at("/lossPerHour").asDouble()).isGreaterThanOrEqualTo(before);
                before = block.at("/lossPerHour").asDouble();
            }
        }
        assertThat(none.at("/blocks"))
                .filteredOn(block -> block.at("/block").asString().equals("Slope Vines"))
                .singleElement()
                .satisfies(vines -> {
                    assertThat(vines.at("/trees").asInt()).isPositive();
                    assertThat(vines.path("shadeUndone").isNumber()).isFalse();
                    assertThat(vines.at("/firstClassDoneKg").asDouble()).isPositive();
                });
        double missing = Math.round(judged / 3);
        JsonNode page = weighed(missing);
        double left = 0;
        boolean partly = false;
        for (JsonNode block : page.at("/blocks")) {
            double hours = block.at("/leaveHours").asDouble();
            assertThat(partly && hours > 0)
                    .as("after one that is left in part, none is left")
                    .isFalse();
            partly = partly || (hours > 0 && !block.at("/whole").asBoolean());
            left += hours;
        }
        assertThat(left).isCloseTo(missing, within(0.5));
        assertThat(umbel.get("/api/schedule/give-up?hours=-1").status()).isEqualTo(400);
    }

    private JsonNode weighed(double hours) throws Exception {
        Instant end = Instant.now().plus(Duration.ofSeconds(120));
        while (Instant.now().isBefore(end)) {
            JsonNode page = umbel.get("/api/schedule/give-up?hours=" + hours).json();
            if (page.at("/weighed").asInt() == page.at("/toWeigh").asInt()) {
                return page;
            }
            Thread.sleep(500);
        }
        throw new AssertionError("the plans were not weighed in time");
    }

    private JsonNode settled() throws Exception {
        Instant end = Instant.now().plus(Duration.ofSeconds(60));
        while (Instant.now().isBefore(end)) {
            JsonNode page = umbel.get("/api/schedule").json();
            if (page.at("/state").asString().equals("idle") && !page.get("work").isEmpty()) {
                return page;
            }
            Thread.sleep(500);
        }
        throw new AssertionError("the schedule was not made in time");
    }
}
