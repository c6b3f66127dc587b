package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class RecordApiTest {

    private static final String STEP =
            "{\"mark\":{\"operation\":\"remove\",\"limb\":\"2\"},\"title\":\"Remove limb 2\",\"outcome\":\"as-planned\"}";

    private final RunningUmbel umbel;

    RecordApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aVisitIsSavedListedAndEndsTheMarks() {
        JsonNode page = umbel.get("/api/trees/11").json();
        String limb = page.at("/limbs/1/id").asString();
        umbel.send(
                "PUT",
                "/api/trees/11/work",
                "{\"version\":" + page.get("workVersion").asLong()
                        + ",\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}]}}",
                "application/json");
        assertThat(state(11)).isEqualTo("marked");
        RunningUmbel.Answer saved = umbel.post(
                "/api/trees/11/records",
                entry(
                        LocalDate.now().toString(),
                        "Ines",
                        "12",
                        STEP.replace("\"limb\":\"2\"", "\"limb\":\"" + limb + "\"")));
        assertThat(saved.status()).isEqualTo(201);
        JsonNode records = umbel.get("/api/trees/11/records").json();
        assertThat(records.at("/0/who").asString()).isEqualTo("Ines");
        assertThat(records.at("/0/steps/0/title").asString()).isEqualTo("Remove limb 2");
        assertThat(umbel.get("/api/trees/11").json().at("/decisions/marks")).isEmpty();
        assertThat(state(11)).isEqualTo("done");
    }

    @Test
    void aCorrectionIsANewEntryAndTheOldOneStays() {
        long first = umbel.post("/api/trees/12/records", entry("2026-03-01", "Ines", "12", STEP))
                .json()
                .at("/record/id")
                .asLong();
        String corrected = entry("2026-03-01", "Tomas", "15", STEP).replaceFirst("\\{", "{\"corrects\":" + first + ",");
        assertThat(umbel.post("/api/trees/12/records", corrected).status()).isEqualTo(201);
        JsonNode records = umbel.get("/api/trees/12/records").json();
        assertThat(records).hasSize(2);
        assertThat(records.at("/0/corrects").asLong()).isEqualTo(first);
        assertThat(records.at("/1/correctedBy").asLong())
                .isEqualTo(records.at("/0/id").asLong());
        assertThat(records.at("/1/who").asString())
                .as("nothing of the past is overwritten")
                .isEqualTo("Ines");
    }

    @Test
    void whatIsCorrectedMustBeThere() {
        String corrected = entry("2026-03-01", "Ines", "1", STEP).replaceFirst("\\{", "{\"corrects\":424242,");
        assertThat(umbel.post("/api/trees/12/records", corrected).status()).isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({
        "2999-01-01, Ines, 5, as-planned, '', doneOn",
        "2026-03-01, '', 5, as-planned, '', who",
        "2026-03-01, Ines, -1, as-planned, '', minutes",
        "2026-03-01, Ines, 5000, as-planned, '', minutes",
        "2026-03-01, Ines, 5, forgotten, '', steps[0].outcome",
        "2026-03-01, Ines, 5, skipped, '', steps[0].reason",
        "2026-03-01, Ines, 5, changed, ' ', steps[0].reason",
    })
    void aFaultyEntryNamesItsFieldAndIsNotSaved(
            String day, String who, String minutes, String outcome, String reason, String field) {
        int before = umbel.get("/api/trees/13/records").json().size();
        String step = STEP.replace("as-planned\"", outcome + "\",\"reason\":\"" + reason + "\"");
        RunningUmbel.Answer answer = umbel.post("/api/trees/13/records", entry(day, who, minutes, step));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo(field);
        assertThat(umbel.get("/api/trees/13/records").json()).hasSize(before);
    }

    @Test
    void aVisitWithoutStepsIsNoVisit() {
        RunningUmbel.Answer answer = umbel.post("/api/trees/13/records", entry("2026-03-01", "Ines", "5", ""));
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("steps");
    }

    private String state(long tree) {
        for (JsonNode line : umbel.get("/api/holding").json().get("trees")) {
            if (line.get("id").asLong() == tree) {
                return line.get("state").asString();
            }
        }
        return "";
    }

    private static String entry(String day, String who, String minutes, String step) {
        return "{\"doneOn\":\"" + day + "\",\"who\":\"" + who + "\",\"minutes\":" + minutes
                + ",\"note\":\"\",\"steps\":[" + step + "]}";
    }
}
