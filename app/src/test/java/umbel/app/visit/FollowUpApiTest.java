package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class FollowUpApiTest {

    private static final long TREE = 20;

    private final RunningUmbel umbel;

    FollowUpApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private String limb() {
        return umbel.get("/api/trees/" + TREE).json().at("/limbs/0/id").asString();
    }

    private JsonNode visit(String steps, String more) {
        String body = "{\"doneOn\":\"" + LocalDate.now() + "\",\"who\":\"Ines\",\"minutes\":6,\"steps\":[" + steps + "]"
                + more + "}";
        RunningUmbel.Answer answer = umbel.post("/api/trees/" + TREE + "/records", body);
        assertThat(answer.status()).as(answer.text()).isIn(200, 201);
        return umbel.workedOut(TREE, answer.json().at("/record/id").asLong());
    }

    private List<JsonNode> open(long after) {
        List<JsonNode> lines = new ArrayList<>();
        for (JsonNode line : umbel.get("/api/follow-ups").json()) {
            if (line.path("treeId").asLong() == TREE && line.path("id").asLong() > after) {
                lines.add(line);
            }
        }
        return lines;
    }

    private long newest() {
        long most = 0;
        for (JsonNode line : umbel.get("/api/follow-ups").json()) {
            most = Math.max(most, line.path("id").asLong());
        }
        return most;
    }

    @Test
    void tiesAreLookedAtAsSoonAsAWindHasBlown() {
        long holding =
                umbel.get("/api/season").json().at("/weather/0/holdingId").asLong();
        StringBuilder calm = new StringBuilder("date,min_C,max_C,rain_mm,wind_mPerS\n");
        for (int ago = 5; ago >= 0; ago--) {
            calm.append(LocalDate.now().minusDays(ago)).append(",2,8,0,3\n");
        }
        weather(holding, calm.toString());
        long before = newest();
        String body = "{\"doneOn\":\"" + LocalDate.now().minusDays(5) + "\",\"who\":\"Ines\",\"minutes\":6,\"steps\":["
                + bend(limb(), "as-planned", "") + "]}";
        RunningUmbel.Answer saved = umbel.post("/api/trees/" + TREE + "/records", body);
        assertThat(saved.status()).isEqualTo(201);
        umbel.workedOut(TREE, saved.json().at("/record/id").asLong());
        assertThat(ties(before).path("state").asString()).isEqualTo("coming");
        LocalDate windy = LocalDate.now().minusDays(1);
        weather(holding, calm.toString().replace(windy + ",2,8,0,3", windy + ",2,8,0,17.5"));
        JsonNode now = ties(before);
        assertThat(now.path("state").asString()).isEqualTo("due");
        assertThat(now.path("text").asString())
                .matches("Wind of 18 m/s on \\w+ \\d+, " + windy.getYear() + ": look now\\. .*");
        umbel.send("DELETE", "/api/holdings/" + holding + "/weather", "", "text/plain");
    }

    private void weather(long holding, String table) {
        RunningUmbel.Answer taken =
                umbel.send("POST", "/api/holdings/" + holding + "/weather?write=true", table, "text/plain");
        assertThat(taken.json().path("written").asBoolean()).as(taken.text()).isTrue();
    }

    private JsonNode ties(long after) {
        return open(after).stream()
                .filter(line -> line.path("kind").asString().equals("check-ties"))
                .findFirst()
                .orElseThrow();
    }

    private static String bend(String limb, String outcome, String reason) {
        return "{\"mark\":{\"operation\":\"bend\",\"limb\":\"" + limb
                + "\",\"toAngle_deg\":70},\"title\":\"Bend it\",\"outcome\":\"" + outcome + "\",\"reason\":\"" + reason
                + "\"}";
    }

    @Test
    void aBentLimbIsComeBackForAndTickedOff() throws Exception {
        long before = newest();
        visit(bend(limb(), "as-planned", ""), "");
        List<JsonNode> lines = open(before);
        assertThat(lines).extracting(line -> line.path("kind").asString()).contains("check-ties", "take-off-ties");
        String ics = umbel.get("/api/follow-ups/calendar.ics").text();
        assertThat(new CalendarBuilder().build(new StringReader(ics)).getComponents("VEVENT"))
                .hasSizeGreaterThanOrEqualTo(2);
        assertThat(ics).contains("Check ties");
        long id = lines.get(0).path("id").asLong();
        JsonNode done = umbel.send("PUT", "/api/follow-ups/" + id, "{\"done\":true}", "application/json")
                .json();
        assertThat(done.path("state").asString()).isEqualTo("done");
        assertThat(umbel.get("/api/follow-ups/calendar.ics").text()).doesNotContain("follow-up-" + id + "@");
    }

    @Test
    void whatWasSkippedIsNotComeBackFor() {
        long before = newest();
        visit(bend(limb(), "skipped", "no string"), "");
        assertThat(open(before)).isEmpty();
    }

    @Test
    void aCorrectionTakesTheOldFollowUpsWithIt() {
        long before = newest();
        long first = visit(bend(limb(), "as-planned", ""), "").path("id").asLong();
        assertThat(open(before)).isNotEmpty();
        visit(bend(limb(), "skipped", "was another tree"), ",\"corrects\":" + first);
        assertThat(open(before)).isEmpty();
    }

    @Test
    void aVisitSentTwiceIsOneVisitAndTellsWhatItCameTo() {
        String same = ",\"clientId\":\"phone-1-visit-77\"";
        JsonNode first = visit(bend(limb(), "as-planned", ""), same);
        JsonNode again = visit(bend(limb(), "as-planned", ""), same);
        assertThat(again.path("id").asLong()).isEqualTo(first.path("id").asLong());
        assertThat(first.at("/outcome/after/minutes").asDouble()).isPositive();
    }
}
