package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** What is done after the last cut: told with the marks and on the sheet, kept with the visit, come back for where it was left. */
@ExtendWith(RunningUmbel.class)
class AftercareApiTest {

    private static final String SICK = """
            {"format": "umbel-survey/1", "surveyedOn": "2026-11-02",
             "tree": {"species": "apple", "system": "central-leader", "leaf": 9},
             "trunk": {"diameter_mm": 90, "height_cm": 320},
             "limbs": [
               {"id": "1", "parent": "trunk", "at_cm": 90, "bearing_deg": 180, "angle_deg": 60,
                "diameter_mm": 38, "length_cm": 190, "condition": ["diseased"], "disease": "canker"},
               {"id": "2", "parent": "trunk", "at_cm": 120, "bearing_deg": 40, "angle_deg": 60,
                "diameter_mm": 34, "length_cm": 180}]}
            """;
    private static final String OFF = "{\"operation\": \"remove\", \"limb\": \"1\"}";

    private final RunningUmbel umbel;

    AftercareApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private long tree(int place) {
        long id = umbel.post("/api/trees", "{\"blockId\": 1, \"row\": 3, \"place\": " + place + "}")
                .json()
                .get("id")
                .asLong();
        assertThat(umbel.post("/api/trees/" + id + "/surveys", SICK).status()).isEqualTo(201);
        return id;
    }

    private JsonNode visit(long tree, String afterwards) {
        RunningUmbel.Answer saved = umbel.post("/api/trees/" + tree + "/records", """
                {"doneOn": "2026-11-20", "who": "Rosa", "minutes": 12, "note": "",
                 "steps": [{"mark": %s, "title": "Remove limb 1", "outcome": "as-planned"}]%s}
                """.formatted(OFF, afterwards));
        assertThat(saved.status()).as(saved.text()).isEqualTo(201);
        return umbel.workedOut(tree, saved.json().at("/record/id").asLong());
    }

    private List<String> due(long tree) {
        return umbel.get("/api/follow-ups")
                .json()
                .valueStream()
                .filter(one -> one.get("treeId").asLong() == tree)
                .map(one -> one.get("kind").asString())
                .toList();
    }

    @Test
    void itIsToldWithTheMarksAndOnTheSheetInEveryLanguage() {
        long tree = tree(2);
        JsonNode told = umbel.post("/api/trees/" + tree + "/marks", "{\"marks\": [" + OFF + "]}")
                .json()
                .get("afterwards");
        assertThat(told.valueStream().map(one -> one.get("kind").asString()))
                .containsExactly("wounds", "tools", "diseased-prunings");
        assertThat(told.get(0).get("text").asString()).startsWith("Dress the wound of 38 mm the same day");
        umbel.send(
                "PUT",
                "/api/trees/" + tree + "/work",
                "{\"version\": -1, \"decisions\": {\"marks\": [" + OFF + "]}}",
                "application/json");
        JsonNode sheet = umbel.get("/api/field/trees/" + tree).json().get("afterwards");
        assertThat(sheet.at("/es/1/text").asString()).contains("chancro");
        assertThat(sheet.at("/en").size()).isEqualTo(sheet.at("/es").size());
    }

    @Test
    void whatWasLookedAfterIsKeptAndDiseasedWoodLeftLyingIsComeBackFor() {
        long left = tree(3);
        assertThat(visit(left, ", \"afterwards\": [\"wounds\", \"tools\"]")
                        .get("afterwards")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactly("wounds", "tools");
        assertThat(due(left)).contains("clear-prunings");
        long cleared = tree(4);
        visit(cleared, ", \"afterwards\": [\"diseased-prunings\"]");
        assertThat(due(cleared)).doesNotContain("clear-prunings");
        long nobodySaid = tree(6);
        assertThat(visit(nobodySaid, "").hasNonNull("afterwards")).isFalse();
        assertThat(due(nobodySaid)).doesNotContain("clear-prunings");
    }

    @Test
    void aTaskNobodyKnowsIsRefused() {
        long tree = tree(7);
        RunningUmbel.Answer refused = umbel.post("/api/trees/" + tree + "/records", """
                {"doneOn": "2026-11-20", "who": "Rosa", "minutes": 12, "note": "x", "steps": [],
                 "afterwards": ["supper"]}
                """);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().at("/errors/0/field").asString()).startsWith("afterwards");
    }
}
