package umbel.app.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.RunningUmbel;

/** An exercise from its making to its mark, as the page asks for it. */
@ExtendWith(RunningUmbel.class)
class PracticeApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String EXERCISES = "/api/practice/exercises";

    private final RunningUmbel umbel;

    PracticeApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private String made(String wish) {
        RunningUmbel.Answer answer = umbel.post(EXERCISES, wish);
        assertThat(answer.status()).isEqualTo(200);
        return answer.json().at("/code").asString();
    }

    private JsonNode answered(String code, ArrayNode marks) {
        ObjectNode entry = JSON.createObjectNode();
        entry.set("marks", marks);
        entry.putArray("pointed").add("1");
        return umbel.post(EXERCISES + "/" + code + "/answer", entry.toString()).json();
    }

    @Test
    void theSameWishAndSeedAreTheSameTree() {
        String wish = "{\"level\":\"first\",\"species\":\"apple\",\"system\":\"tall-spindle\",\"seed\":5}";
        assertThat(made(wish))
                .isEqualTo(made(wish))
                .startsWith("apple_tall-spindle_")
                .doesNotContain("limb");
    }

    @Test
    void thePageDoesNotTellWhatIsWrong() {
        String code = made("{\"level\":\"usual\",\"species\":\"apple\",\"seed\":9}");
        RunningUmbel.Answer page = umbel.get(EXERCISES + "/" + code);
        assertThat(page.json().at("/faults").asInt()).isGreaterThanOrEqualTo(3);
        assertThat(page.json().at("/limbs")).isNotEmpty();
        assertThat(page.text()).doesNotContain("finding").doesNotContain("severity");
    }

    @Test
    void theProgramsPlanIsFullMarksAndNothingIsNone() {
        String code = made("{\"level\":\"first\",\"species\":\"pear\",\"seed\":3}");
        JsonNode nothing = answered(code, JSON.createArrayNode());
        assertThat(nothing.at("/mark").asDouble()).isZero();
        assertThat(nothing.at("/passed").asBoolean()).isFalse();
        assertThat(nothing.at("/next/does").asString()).isEqualTo("helps");
        assertThat(nothing.at("/missed")).isNotEmpty();
        ArrayNode plan = JSON.createArrayNode();
        nothing.at("/plan").forEach(step -> plan.add(step.at("/mark")));
        JsonNode full = answered(code, plan);
        assertThat(full.at("/mark").asDouble()).isEqualTo(1);
        assertThat(full.at("/passed").asBoolean()).isTrue();
        assertThat(full.at("/answer")).isEqualTo(full.at("/program"));
        assertThat(full.at("/faults"))
                .anySatisfy(fault -> assertThat(fault.at("/fate").asString()).isEqualTo("cleared"));
        JsonNode progress = umbel.get("/api/practice/progress").json();
        assertThat(progress.at("/exercises").asInt()).isGreaterThanOrEqualTo(2);
        assertThat(progress.at("/skills")).isNotEmpty();
    }

    @Test
    void hintsTellMoreByDegrees() {
        String code = made("{\"level\":\"first\",\"species\":\"apple\",\"fault\":\"dead-limb\",\"seed\":4}");
        JsonNode first = umbel.post(EXERCISES + "/" + code + "/hint", "{\"marks\":[],\"degree\":1}")
                .json();
        assertThat(first.at("/text").asString()).isNotEmpty();
        assertThat(first.at("/limbs")).isEmpty();
        JsonNode third = umbel.post(EXERCISES + "/" + code + "/hint", "{\"marks\":[],\"degree\":3}")
                .json();
        assertThat(third.at("/limbs")).hasSize(1);
        assertThat(third.at("/text").asString()).contains(third.at("/limbs/0").asString());
    }

    @Test
    void marksAndOptionsWorkAsOnASavedTree() {
        String code = made("{\"level\":\"first\",\"species\":\"apple\",\"system\":\"tall-spindle\",\"seed\":5}");
        JsonNode marked = umbel.post(
                        EXERCISES + "/" + code + "/marked", "{\"marks\":[{\"operation\":\"remove\",\"limb\":\"2\"}]}")
                .json();
        assertThat(marked.at("/totals/woodShare").asDouble()).isPositive();
        assertThat(marked.at("/effects/0/title").asString()).isNotEmpty();
        assertThat(umbel.post(EXERCISES + "/" + code + "/limbs/2/options", "{\"marks\":[]}")
                        .json())
                .isNotEmpty();
    }

    @Test
    void aTreeOfTheHoldingCanBePractisedOn() {
        JsonNode page = umbel.get(EXERCISES + "/tree-6").json();
        assertThat(page.at("/own").asBoolean()).isTrue();
        assertThat(page.at("/label").asString()).isNotEmpty();
    }

    @Test
    void aMinutesDrillAsksForOneFaultATreeAndKnowsWhereItIs() {
        JsonNode drill = umbel.get("/api/practice/drills").json();
        assertThat(drill).hasSize(10);
        for (JsonNode tree : drill) {
            String rule = tree.at("/rule").asString();
            String code = tree.at("/code").asString();
            JsonNode page =
                    umbel.get(EXERCISES + "/" + code + "/drill?rule=" + rule).json();
            assertThat(page.at("/page/code").asString()).isEqualTo(code);
            assertThat(page.at("/limbs")).as(rule).isNotEmpty();
            assertThat(page.at("/page/limbs"))
                    .extracting(limb -> limb.at("/id").asString())
                    .contains(page.at("/limbs/0").asString());
            assertThat(page.at("/reason").asString()).isNotEmpty();
        }
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThat(umbel.get(EXERCISES + "/nonsense").status()).isEqualTo(404);
        assertThat(umbel.get(EXERCISES + "/apple_no-such-system_5_1_1").status())
                .isEqualTo(404);
        assertThat(umbel.get(EXERCISES + "/tree-x").status()).isEqualTo(404);
        assertThat(umbel.post(EXERCISES, "{\"level\":\"impossible\"}").status()).isEqualTo(422);
        assertThat(umbel.post(EXERCISES, "{\"fault\":\"none-such\"}").status()).isEqualTo(422);
        assertThat(umbel.post(EXERCISES, "{\"species\":\"none-such\"}").status())
                .isEqualTo(422);
        String code = made("{\"level\":\"first\",\"species\":\"apple\",\"seed\":5}");
        assertThat(umbel.post(
                                EXERCISES + "/" + code + "/marked",
                                "{\"marks\":[{\"operation\":\"remove\",\"limb\":\"none\"}]}")
                        .status())
                .isEqualTo(422);
    }

    @Test
    void aRoundOfDrawingsHoldsItsAnswersAndTrainsSkills() {
        JsonNode round = umbel.get("/api/practice/eye?seed=5").json();
        assertThat(round.size()).isEqualTo(27);
        assertThat(round.get(0).path("options").size()).isGreaterThan(1);
        assertThat(umbel.get("/api/practice/eye?seed=5").text())
                .isEqualTo(umbel.get("/api/practice/eye?seed=5").text());
        JsonNode before = umbel.get("/api/practice/progress").json();
        assertThat(umbel.post(
                                "/api/practice/eye/results",
                                "{\"answers\":[{\"skill\":\"eye-bud\",\"right\":true},{\"skill\":\"eye-age\",\"right\":false}]}")
                        .status())
                .isEqualTo(204);
        JsonNode after = umbel.get("/api/practice/progress").json();
        assertThat(after.path("exercises").asInt())
                .isEqualTo(before.path("exercises").asInt() + 1);
        JsonNode last = after.path("last").get(after.path("last").size() - 1);
        assertThat(last.path("title").asString()).isEqualTo("Buds, crotches, cuts");
        assertThat(last.path("mark").asDouble()).isEqualTo(0.5);
        assertThat(last.path("passed").asBoolean()).isFalse();
        assertThat(umbel.get("/api/practice/crew").json().path("common"))
                .as("no tree to be compared on")
                .noneMatch(one -> one.path("code").asString().equals("eye"));
    }

    @Test
    void aRoundWithoutAnswersOrWithSkillsThatAreNoneIsRefused() {
        assertThat(umbel.post("/api/practice/eye/results", "{\"answers\":[]}").status())
                .isEqualTo(400);
        RunningUmbel.Answer refused =
                umbel.post("/api/practice/eye/results", "{\"answers\":[{\"skill\":\"luck\",\"right\":true}]}");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().at("/errors/0/field").asString()).isEqualTo("answers[0].skill");
    }

    /** A tree of the kind, the system and the age of a block, as before a day's work in it. */
    @Test
    void anExerciseCanBeLikeABlock() {
        JsonNode block = umbel.get("/api/blocks").json().get(1);
        String code = umbel.post(
                        "/api/practice/exercises",
                        "{\"level\":\"usual\",\"likeBlock\":" + block.path("id").asLong() + ",\"seed\":4}")
                .json()
                .path("code")
                .asString();
        assertThat(code)
                .startsWith(block.path("species").asString() + "_"
                        + block.path("system").asString() + "_"
                        + (LocalDate.now().getYear() - block.path("plantedYear").asInt()) + "_");
        assertThat(umbel.post("/api/practice/exercises", "{\"likeBlock\":999999}")
                        .status())
                .isEqualTo(404);
    }

    /** What the kit tells of a cut is what the server tells of it when it is the only mark. */
    @Test
    void theKitHasEveryCutOfEveryLimbAsIfItWereTheOnlyOne() {
        String code = made("{\"level\":\"usual\",\"species\":\"apple\",\"seed\":9}");
        JsonNode kit = umbel.get(EXERCISES + "/" + code + "/kit").json();
        assertThat(kit.at("/page")).isEqualTo(umbel.get(EXERCISES + "/" + code).json());
        kit.at("/page/limbs").forEach(limb -> {
            String id = limb.at("/id").asString();
            JsonNode alone = kit.at("/alone").get(id);
            JsonNode options = umbel.post(EXERCISES + "/" + code + "/limbs/" + id + "/options", "{\"marks\":[]}")
                    .json();
            assertThat(alone.size()).as(id).isEqualTo(options.size());
            for (int i = 0; i < alone.size(); i++) {
                JsonNode mark = alone.get(i).at("/effects/0/mark");
                assertThat(mark).isEqualTo(options.get(i).at("/mark"));
                assertThat(alone.get(i).at("/effects/0/numbers"))
                        .isEqualTo(options.get(i).at("/numbers"));
            }
        });
        JsonNode first = kit.at("/alone").get("1").get(0);
        ObjectNode only = JSON.createObjectNode();
        only.putArray("marks").add(first.at("/effects/0/mark"));
        assertThat(umbel.post(EXERCISES + "/" + code + "/marked", only.toString())
                        .json())
                .isEqualTo(first);
    }
}
