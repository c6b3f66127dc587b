package umbel.app.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.test.util.AopTestUtils;
import org.springframework.test.util.ReflectionTestUtils;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class SeasonApiTest {

    private final RunningUmbel umbel;

    SeasonApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static JsonNode block(JsonNode page, String name) {
        for (JsonNode one : page.path("blocks")) {
            if (one.path("name").asString().equals(name)) {
                return one;
            }
        }
        throw new AssertionError("no block " + name);
    }

    @Test
    void everyBlockHasAVerdictForEveryDayOfTheYear() {
        JsonNode page = umbel.get("/api/season").json();
        LocalDate from = LocalDate.parse(page.path("from").asString());
        LocalDate to = LocalDate.parse(page.path("to").asString());
        assertThat(page.path("blocks").size()).isGreaterThanOrEqualTo(9);
        for (JsonNode block : page.path("blocks")) {
            LocalDate next = from;
            for (JsonNode span : block.path("spans")) {
                assertThat(LocalDate.parse(span.path("from").asString())).isEqualTo(next);
                next = LocalDate.parse(span.path("to").asString()).plusDays(1);
                assertThat(span.path("verdict").asString()).isIn("not", "allowed", "better", "best");
                assertThat(span.path("reason").asString()).isNotBlank();
            }
            assertThat(next).isEqualTo(to.plusDays(1));
        }
    }

    @Test
    void theTwoHemispheresBloomInTheirOwnSpring() {
        JsonNode page = umbel.get("/api/season").json();
        int north = LocalDate.parse(block(page, "Kiln Field").at("/dates/bloom").asString())
                .getMonthValue();
        int south = LocalDate.parse(
                        block(page, "Karo Terrace").at("/dates/bloom").asString())
                .getMonthValue();
        assertThat(north).isBetween(4, 5);
        assertThat(south).isBetween(9, 12);
    }

    @Test
    void recordedCankerKeepsPeachesFromBeingCutInDormancy() {
        JsonNode court = block(umbel.get("/api/season").json(), "South Court");
        assertThat(court.path("diseases").toString()).contains("canker");
        for (JsonNode span : court.path("spans")) {
            if (span.path("phase").asString().equals("dormant")) {
                assertThat(span.path("verdict").asString()).isEqualTo("not");
            }
        }
    }

    @Test
    void aDayTellsWhereToGoAndWhyNotElsewhere() {
        LocalDate tomorrow = LocalDate.now().plusDays(1);
        JsonNode day = umbel.get("/api/season/days/" + tomorrow).json();
        assertThat(day.path("crewHours").asDouble()).isGreaterThan(0);
        List<String> names = new ArrayList<>();
        for (JsonNode one : day.path("blocks")) {
            names.add(one.path("name").asString());
            assertThat(one.path("why").asString()).isNotBlank();
            if (one.path("go").asBoolean()) {
                assertThat(one.path("verdict").asString()).isNotEqualTo("not");
            }
        }
        assertThat(names).contains("Kiln Field", "South Court", "Karo Terrace");
    }

    @Test
    void importedWeatherIsLookedAtFirstAndThenChangesTheDay() {
        long holding =
                umbel.get("/api/season").json().at("/weather/0/holdingId").asLong();
        LocalDate tomorrow = LocalDate.now().plusDays(1);
        String table = "date,min_C,max_C,rain_mm,wind_mPerS,kind\n" + tomorrow + ",3,9,12,4,forecast\n";
        JsonNode looked = umbel.send("POST", "/api/holdings/" + holding + "/weather", table, "text/plain")
                .json();
        assertThat(looked.path("days").asInt()).isEqualTo(1);
        assertThat(looked.path("written").asBoolean()).isFalse();
        umbel.send("POST", "/api/holdings/" + holding + "/weather?write=true", table, "text/plain");
        JsonNode wet = umbel.get("/api/season/days/" + tomorrow).json();
        boolean told = false;
        for (JsonNode one : wet.path("blocks")) {
            told |= one.path("why").asString().startsWith("Rain, 12 mm");
        }
        assertThat(told).isTrue();
        umbel.send("DELETE", "/api/holdings/" + holding + "/weather", "", "text/plain");
        assertThat(umbel.get("/api/season/days/" + tomorrow).text()).doesNotContain("Rain, 12 mm");
    }

    @Test
    void theLastPickingEndsTheHarvestInTheCalendar() {
        JsonNode before = block(umbel.get("/api/season").json(), "Karo Terrace");
        long id = before.path("id").asLong();
        LocalDate day = LocalDate.now().minusDays(4);
        String body = "{\"kind\":\"harvest\",\"pickedOn\":\"" + day + "\",\"kg\":840,\"lastOne\":true}";
        RunningUmbel.Answer kept = umbel.post("/api/blocks/" + id + "/pickings", body);
        assertThat(kept.status()).isEqualTo(201);
        assertThat(block(umbel.get("/api/season").json(), "Karo Terrace")
                        .at("/dates/harvest")
                        .asString())
                .isEqualTo(day.toString());
        umbel.send(
                "DELETE",
                "/api/blocks/" + id + "/pickings/" + kept.json().path("id").asLong(),
                "",
                "application/json");
        assertThat(umbel.get("/api/blocks/" + id + "/pickings").json().size()).isZero();
        assertThat(umbel.post("/api/blocks/" + id + "/pickings", "{\"kind\":\"harvest\",\"pickedOn\":\"" + day + "\"}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aFaultyTableOfWeatherIsRefusedWholeAndNamesItsLines() {
        long holding =
                umbel.get("/api/season").json().at("/weather/0/holdingId").asLong();
        String table = "date,min_C,max_C,rain_mm,wind_mPerS\n2026-01-01,2,1,0,0\n2026-01-02,-5,2,0,3\n";
        JsonNode answer = umbel.send("POST", "/api/holdings/" + holding + "/weather?write=true", table, "text/plain")
                .json();
        assertThat(answer.path("written").asBoolean()).isFalse();
        assertThat(answer.at("/errors/0/field").asString()).isEqualTo("line 2");
    }

    @Test
    void aRecordedVisitMakesTheScheduleAgain() throws Exception {
        theScheduleIsMadeChangedByHandAndKeepsWhatWasPutThere();
        Object service = AopTestUtils.getTargetObject(umbel.part(ScheduleService.class));
        Object usual = ReflectionTestUtils.getField(service, "quiet");
        ReflectionTestUtils.setField(service, "quiet", Duration.ofMillis(50));
        try {
            String limb = umbel.get("/api/trees/24").json().at("/limbs/0/id").asString();
            String visit = "{\"doneOn\":\"" + LocalDate.now()
                    + "\",\"who\":\"Ines\",\"minutes\":3,\"steps\":[{\"mark\":{\"operation\":\"watch\",\"limb\":\""
                    + limb + "\"},\"title\":\"Watch it\",\"outcome\":\"as-planned\",\"reason\":\"\"}]}";
            assertThat(umbel.post("/api/trees/24/records", visit).status()).isEqualTo(201);
            String because = "work was recorded in Nursery Corner";
            JsonNode page = umbel.get("/api/schedule").json();
            for (int i = 0; i < 150 && !page.at("/again/because").asString("").equals(because); i++) {
                Thread.sleep(200);
                page = umbel.get("/api/schedule").json();
            }
            assertThat(page.at("/again/because").asString()).isEqualTo(because);
            assertThat(umbel.send("GET", "/api/schedule", "", "application/json", "es", "metric")
                            .json()
                            .at("/again/because")
                            .asString())
                    .as("in the language of whoever looks")
                    .contains("Nursery Corner")
                    .isNotEqualTo(because);
            assertThat(page.path("state").asString()).isEqualTo("idle");
            assertThat(page.path("work").size()).isPositive();
        } finally {
            ReflectionTestUtils.setField(service, "quiet", usual);
        }
    }

    @Test
    void theScheduleIsMadeChangedByHandAndKeepsWhatWasPutThere() throws Exception {
        for (JsonNode piece : umbel.get("/api/schedule").json().path("work")) {
            if (piece.path("pinned").asBoolean()) {
                umbel.send(
                        "DELETE", "/api/schedule/pieces/" + piece.path("id").asLong() + "/pin", "", "application/json");
            }
        }
        assertThat(umbel.post("/api/schedule", "").status()).isEqualTo(202);
        JsonNode page = umbel.get("/api/schedule").json();
        while (page.path("state").asString().equals("running")) {
            Thread.sleep(300);
            page = umbel.get("/api/schedule").json();
        }
        assertThat(page.path("state").asString()).isEqualTo("idle");
        assertThat(page.path("work").size()).isPositive();
        for (JsonNode conflict : page.path("conflicts")) {
            assertThat(conflict.path("kind").asString()).isNotIn("closed-day", "skill", "overfull");
        }
        JsonNode piece = page.path("work").get(0);
        LocalDate odd = LocalDate.now().plusDays(240);
        long person = piece.path("personId").asLong();
        JsonNode moved = umbel.send(
                        "PUT",
                        "/api/schedule/pieces/" + piece.path("id").asLong(),
                        "{\"personId\":" + person + ",\"date\":\"" + odd + "\"}",
                        "application/json")
                .json();
        assertThat(moved.path("conflicts").toString()).contains("closed-day");
        JsonNode letGo = umbel.send(
                        "DELETE", "/api/schedule/pieces/" + piece.path("id").asLong() + "/pin", "", "application/json")
                .json();
        assertThat(letGo.path("work").toString()).doesNotContain("\"pinned\":true");
    }
}
