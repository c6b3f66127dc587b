package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** Only what was done at a visit has effects, and no visit is lost or taken for another. */
@ExtendWith(RunningUmbel.class)
class VisitEffectsApiTest {

    private static final long TREE = 14;
    private static final LocalDate TODAY = LocalDate.now();

    private final RunningUmbel umbel;

    VisitEffectsApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aVisitAtWhichEverythingWasLeftHasNoEffects() {
        List<String> limbs = limbs(TREE);
        mark(TREE, limbs.get(0), limbs.get(1));
        int followUps = umbel.get("/api/follow-ups").json().size();
        int done = doneInBlock(TREE);
        JsonNode saved = save(TREE, "", step("bend", limbs.get(0), "left"), step("remove", limbs.get(1), "left"));
        assertThat(saved.at("/record/worked").asBoolean()).isFalse();
        JsonNode came = umbel.workedOut(TREE, saved.at("/record/id").asLong());
        assertThat(came.at("/outcome/after/woodShare").asDouble()).isZero();
        assertThat(came.at("/outcome/after/cuts").asInt()).isZero();
        assertThat(state(TREE)).isEqualTo("marked");
        assertThat(umbel.get("/api/follow-ups").json()).hasSize(followUps);
        assertThat(doneInBlock(TREE)).isEqualTo(done);
        assertThat(umbel.get("/api/trees/" + TREE).json().at("/decisions/marks"))
                .hasSize(2);
        assertThat(umbel.get("/api/trees/" + TREE).json().at("/workedOn").asString())
                .isEmpty();
        JsonNode expected =
                umbel.get("/api/trees/" + TREE + "/surveys/expected").json();
        assertThat(expected.get("limbs").findValuesAsString("id")).contains(limbs.get(1));
    }

    @Test
    void aSheetThatIsOutOfDateLeavesTheNewerMarksAlone() {
        long tree = 15;
        List<String> limbs = limbs(tree);
        mark(tree, limbs.get(0), limbs.get(1), limbs.get(2));
        save(tree, "", step("remove", limbs.get(0), "as-planned"), step("remove", limbs.get(1), "left"));
        JsonNode marks = umbel.get("/api/trees/" + tree).json().at("/decisions/marks");
        assertThat(marks.findValuesAsString("limb")).containsExactly(limbs.get(1), limbs.get(2));
        assertThat(state(tree)).isEqualTo("marked");
    }

    @Test
    void aCorrectionMayChangeHowAStepWent() {
        long tree = 16;
        List<String> limbs = limbs(tree);
        mark(tree, limbs.get(0));
        long first = save(tree, "", step("remove", limbs.get(0), "as-planned"))
                .at("/record/id")
                .asLong();
        assertThat(state(tree)).isEqualTo("done");
        JsonNode corrected = save(tree, ",\"corrects\":" + first, step("remove", limbs.get(0), "left"));
        assertThat(corrected.at("/record/worked").asBoolean()).isFalse();
        assertThat(state(tree)).isEqualTo("marked");
        RunningUmbel.Answer again = umbel.post(
                "/api/trees/" + tree + "/records",
                entry(",\"corrects\":" + first, step("remove", limbs.get(0), "left")));
        assertThat(again.status()).as("what was corrected already").isEqualTo(409);
    }

    @Test
    void theSecondPhoneIsToldWhatTheFirstDid() {
        long tree = 17;
        List<String> limbs = limbs(tree);
        mark(tree, limbs.get(0), limbs.get(1));
        JsonNode sheet = umbel.get("/api/field/trees/" + tree).json();
        String known = ",\"surveyId\":" + sheet.get("surveyId").asLong() + ",\"knownVisit\":"
                + sheet.get("lastVisit").asLong();
        save(tree, known, step("remove", limbs.get(0), "as-planned"));
        JsonNode second = save(tree, known, step("remove", limbs.get(0), "as-planned"));
        assertThat(second.at("/meanwhile/0/who").asString()).isEqualTo("Ines");
        assertThat(second.at("/meanwhile/0/done/0").asString()).isEqualTo("A step");
        JsonNode both = umbel.get("/api/trees/" + tree + "/records").json();
        assertThat(both).hasSize(2);
        assertThat(both.at("/0/alsoBy/0/id").asLong())
                .isEqualTo(both.at("/1/id").asLong());
    }

    @Test
    void anIdIsGoodForOneTree() {
        String mine = ",\"clientId\":\"for-one-tree\"";
        save(18, mine, step("remove", limbs(18).get(0), "left"));
        RunningUmbel.Answer other = umbel.post(
                "/api/trees/19/records", entry(mine, step("remove", limbs(19).get(0), "left")));
        assertThat(other.status()).isEqualTo(409);
        assertThat(other.json().get("detail").asString()).contains("saved for");
    }

    @Test
    void aVisitSentSixTimesAtOnceIsSavedOnce() throws Exception {
        String body = entry(
                        ",\"clientId\":\"six-times\"", step("remove", limbs(20).get(0), "left"))
                .replace("\"note\":\"\"", "\"note\":\"sent six times\"");
        ExecutorService phones = Executors.newFixedThreadPool(6);
        try {
            List<Callable<Integer>> calls = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                calls.add(() -> umbel.post("/api/trees/20/records", body).status());
            }
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> answer : phones.invokeAll(calls)) {
                answers.add(answer.get());
            }
            assertThat(answers).containsOnlyOnce(201).containsOnly(200, 201);
        } finally {
            phones.shutdown();
        }
        long saved = umbel.get("/api/trees/20/records").json().findValuesAsString("note").stream()
                .filter("sent six times"::equals)
                .count();
        assertThat(saved).isEqualTo(1);
    }

    @Test
    void damageIsReportedWithoutAMark() {
        String before = state(21);
        RunningUmbel.Answer report = umbel.post(
                "/api/trees/21/records",
                entry("", "").replace("\"note\":\"\"", "\"note\":\"Split by wind on the south side\""));
        assertThat(report.status()).isEqualTo(201);
        assertThat(report.json().at("/record/worked").asBoolean()).isFalse();
        assertThat(state(21)).as("a report changes no tree's state").isEqualTo(before);
    }

    @Test
    void tooManyStepsAndEmptyOnesAreRefusedByField() {
        String many = (step("remove", "1", "left") + ",").repeat(400) + step("remove", "1", "left");
        RunningUmbel.Answer tooMany = umbel.post("/api/trees/21/records", entry("", many));
        assertThat(tooMany.status()).isEqualTo(400);
        assertThat(tooMany.json().at("/errors/0/field").asString()).isEqualTo("steps");
        RunningUmbel.Answer none = umbel.post("/api/trees/21/records", entry("", "null"));
        assertThat(none.status()).isEqualTo(400);
        assertThat(none.json().at("/errors/0/field").asString()).startsWith("steps[0]");
    }

    private JsonNode save(long tree, String more, String... steps) {
        RunningUmbel.Answer answer =
                umbel.post("/api/trees/" + tree + "/records", entry(more, String.join(",", steps)));
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.json();
    }

    private List<String> limbs(long tree) {
        return umbel.get("/api/trees/" + tree).json().get("limbs").findValuesAsString("id");
    }

    private void mark(long tree, String... limbs) {
        List<String> marks = new ArrayList<>();
        for (String limb : limbs) {
            marks.add("{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}");
        }
        long version = umbel.get("/api/trees/" + tree).json().get("workVersion").asLong();
        RunningUmbel.Answer kept = umbel.send(
                "PUT",
                "/api/trees/" + tree + "/work",
                "{\"version\":" + version + ",\"decisions\":{\"marks\":[" + String.join(",", marks) + "]}}",
                "application/json");
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
    }

    private String state(long tree) {
        for (JsonNode line : umbel.get("/api/holding").json().get("trees")) {
            if (line.get("id").asLong() == tree) {
                return line.get("state").asString();
            }
        }
        return "";
    }

    private int doneInBlock(long tree) {
        long block = umbel.get("/api/trees/" + tree).json().at("/name/blockId").asLong();
        for (JsonNode line : umbel.get("/api/season").json().get("blocks")) {
            if (line.get("id").asLong() == block) {
                return line.get("treesDone").asInt();
            }
        }
        return -1;
    }

    private static String step(String operation, String limb, String outcome) {
        String angle = operation.equals("bend") ? ",\"toAngle_deg\":70" : "";
        return "{\"mark\":{\"operation\":\"" + operation + "\",\"limb\":\"" + limb + "\"" + angle
                + "},\"title\":\"A step\",\"outcome\":\"" + outcome + "\"}";
    }

    private static String entry(String more, String steps) {
        return "{\"doneOn\":\"" + TODAY + "\",\"who\":\"Ines\",\"minutes\":5,\"note\":\"\"" + more + ",\"steps\":["
                + steps + "]}";
    }
}
