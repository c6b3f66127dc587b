package umbel.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.RunningUmbel;

/** A bush from its survey to its record, as the page, the phone and other software ask for it. */
@ExtendWith(RunningUmbel.class)
class CountedPlantApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String COUNT = "{\"format\":\"umbel-count/1\",\"plant\":{\"kind\":\"blueberry\",\"leaf\":9},"
            + "\"canes\":[{\"id\":\"old\",\"age_y\":8},{\"id\":\"young\",\"age_y\":2,\"count\":9},"
            + "{\"id\":\"new\",\"age_y\":1,\"count\":3}],\"ownField\":\"kept\"}";

    private final RunningUmbel umbel;

    CountedPlantApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void otherSoftwarePostsItInThePlaceOfATree() {
        RunningUmbel.Answer answer = umbel.post("/api/assess", "{\"survey\":" + COUNT + "}");
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().at("/reading/form").asString()).isEqualTo("bush");
        assertThat(answer.json().at("/plans")).hasSize(4);
        assertThat(answer.json().at("/plans/0/steps/0/limb").asString()).isEqualTo("old");
        assertThat(answer.json().at("/plans/0/totals/cropYears")).hasSize(3);
        RunningUmbel.Answer refused = umbel.post("/api/assess", "{\"survey\":" + COUNT.replace("8}", "-8}") + "}");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().at("/errors/0/field").asString()).isEqualTo("survey.canes[0].age_y");
    }

    @Test
    void itIsSavedMarkedPrintedAndRecordedLikeATree() {
        long id = place("Blue Bank", 2, 19);
        RunningUmbel.Answer saved = umbel.post("/api/trees/" + id + "/surveys", COUNT);
        assertThat(saved.status()).isEqualTo(201);
        assertThat(saved.json().at("/limbs").asInt()).as("1 + 9 + 3 canes").isEqualTo(13);

        JsonNode page = umbel.get("/api/plants/" + id).json();
        assertThat(page.at("/name/form").asString()).isEqualTo("bush");
        JsonNode step = page.at("/looked/assessment/plans/0/steps/0");
        assertThat(step.at("/operation").asString()).isEqualTo("remove");
        assertThat(page.at("/looked/drawing").asString()).startsWith("<svg");

        ObjectNode decisions = JSON.createObjectNode();
        decisions.putArray("marks").addObject().put("operation", "remove").put("limb", "old");
        JsonNode marked =
                umbel.post("/api/plants/" + id + "/marks", decisions.toString()).json();
        assertThat(marked.at("/canesAfter").asDouble()).isEqualTo(12);
        assertThat(marked.at("/steps/0/title").asString()).contains("old");
        assertThat(marked.at("/cropYears")).hasSize(3);

        ObjectNode keep = JSON.createObjectNode();
        keep.set("decisions", decisions);
        keep.put("version", page.at("/workVersion").asLong());
        assertThat(umbel.send("PUT", "/api/trees/" + id + "/work", keep.toString(), "application/json")
                        .status())
                .isEqualTo(200);

        JsonNode sheet = umbel.get("/api/field/trees/" + id).json();
        assertThat(sheet.at("/steps/0/title/es").asString()).contains("caña old");
        assertThat(sheet.at("/south").asString()).contains("data-cane");

        ObjectNode visit = JSON.createObjectNode();
        visit.put("doneOn", LocalDate.now().toString()).put("who", "Ines").put("minutes", 3);
        ObjectNode done = visit.putArray("steps").addObject();
        done.set("mark", decisions.at("/marks/0"));
        done.put("title", "Out: cane old").put("outcome", "as-planned");
        RunningUmbel.Answer recorded = umbel.post("/api/trees/" + id + "/records", visit.toString());
        assertThat(recorded.status()).isEqualTo(201);
        assertThat(umbel.get("/api/plants/" + id).json().at("/workedOn").asString())
                .isEqualTo(LocalDate.now().toString());
        assertThat(line(id).at("/state").asString()).isEqualTo("done");
    }

    @Test
    void everyPlantOfTheDemoIsAnsweredAndItsPlanCanBeMarked() {
        List<JsonNode> plants = new ArrayList<>();
        umbel.get("/api/holding").json().at("/trees").forEach(tree -> {
            if (tree.at("/counted").asBoolean()) {
                plants.add(tree);
            }
        });
        assertThat(plants).hasSizeGreaterThanOrEqualTo(14);
        for (JsonNode plant : plants) {
            long id = plant.at("/id").asLong();
            JsonNode page = umbel.get("/api/plants/" + id).json();
            ObjectNode decisions = JSON.createObjectNode();
            ArrayNode marks = decisions.putArray("marks");
            page.at("/looked/assessment/plans/0/steps").forEach(step -> {
                ObjectNode mark = marks.addObject()
                        .put("operation", step.at("/operation").asString())
                        .put("limb", step.at("/limb").asString())
                        .put("count", step.at("/count").asInt());
                if (step.at("/at_cm").asDouble() > 0) {
                    mark.put("at_cm", step.at("/at_cm").asDouble());
                }
                JsonNode keep = step.at("/keepCount").isNumber() ? step.at("/keepCount") : step.at("/nodes");
                if (keep.isNumber()) {
                    mark.put("keep", keep.asInt());
                }
            });
            RunningUmbel.Answer answer = umbel.post("/api/plants/" + id + "/marks", decisions.toString());
            assertThat(answer.status()).as(plant.at("/label").asString()).isEqualTo(200);
            assertThat(answer.json().at("/steps")).hasSameSizeAs(marks);
        }
    }

    @Test
    void aTreesPageIsRefusedForABushAndTheOtherWayRound() {
        long bush = place("Blue Bank", 2, 18);
        umbel.post("/api/trees/" + bush + "/surveys", COUNT);
        assertThat(umbel.get("/api/trees/" + bush).status()).isEqualTo(409);
        assertThat(umbel.get("/api/plants/1").status()).isEqualTo(409);
    }

    @Test
    void whatMeansNothingOnABushIsNotKept() {
        long bush = place("Blue Bank", 2, 17);
        umbel.post("/api/trees/" + bush + "/surveys", COUNT);
        String keep =
                "{\"version\":-1,\"decisions\":{\"marks\":[{\"operation\":\"bend\",\"limb\":\"old\",\"toAngle_deg\":60}]}}";
        assertThat(umbel.send("PUT", "/api/trees/" + bush + "/work", keep, "application/json")
                        .status())
                .isEqualTo(422);
    }

    @Test
    void countsGoOutAndInAsATableLikeTrees() {
        long block = block("Cane Rows").at("/id").asLong();
        String table = umbel.get("/api/blocks/" + block + "/surveys.csv").text();
        assertThat(table).contains("Cane Rows 1-1", "raspberry-summer", "fruited");
        assertThat(umbel.get("/api/surveys/template.csv?counted=true").text()).contains("part,sample");
        String moved = table.replaceAll("Cane Rows (\\d)-1", "Cane Rows $1-2");
        JsonNode preview = umbel.send("POST", "/api/blocks/" + block + "/surveys/preview", moved, "text/csv")
                .json();
        assertThat(preview.at("/trees").size()).isGreaterThanOrEqualTo(5);
        assertThat(preview.at("/trees/0/outcome").asString()).isEqualTo("new-tree");
        JsonNode written = umbel.send("POST", "/api/blocks/" + block + "/surveys", moved, "text/csv")
                .json();
        assertThat(written.at("/written").asBoolean()).isTrue();
        JsonNode again = umbel.send("POST", "/api/blocks/" + block + "/surveys", moved, "text/csv")
                .json();
        assertThat(again.at("/trees/0/outcome").asString()).isEqualTo("there-already");
        RunningUmbel.Answer refused = umbel.send(
                "POST", "/api/blocks/" + block + "/surveys", moved.replace(",fruited,", ",trunk,"), "text/csv");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().at("/errors/0/field").asString()).endsWith(", part");
    }

    @Test
    void theirBlocksHaveASeasonHoursAndAPlaceInTheOrderOfTheDay() {
        JsonNode season = umbel.get("/api/season").json();
        for (String name : List.of("Blue Bank", "Cane Rows", "Slope Vines")) {
            JsonNode line = null;
            for (JsonNode one : season.path("blocks")) {
                line = one.path("name").asString().equals(name) ? one : line;
            }
            assertThat(line).as(name).isNotNull();
            assertThat(line.path("hours").asDouble()).as(name).isPositive();
            assertThat(line.path("spans").toString()).contains("best");
        }
    }

    @Test
    void theNextCountIsExpectedAndTheLastForecastHeldAgainstWhatCame() {
        long bush = id("Blue Bank 1-9");
        JsonNode expected =
                umbel.get("/api/plants/" + bush + "/surveys/expected").json();
        assertThat(expected.at("/canes").size()).isEqualTo(13);
        assertThat(expected.at("/surveyedOn").asString())
                .isEqualTo(LocalDate.now().toString());
        JsonNode seasons = umbel.get("/api/trees/" + bush + "/forecasts").json();
        assertThat(seasons.size()).isEqualTo(2);
        assertThat(seasons.at("/0/measures/0/measure").asString()).isEqualTo("new-canes");
        assertThat(seasons.at("/0/measures/0/found").asDouble()).isEqualTo(3);
        assertThat(seasons.at("/0/measures/1/measure").asString()).isEqualTo("crop");
    }

    /** The demo's red currants were counted in three winters: what came corrects the forecasts of their block, and theirs alone. */
    @Test
    void whatCameCorrectsTheForecastsOfTheKindInItsBlock() {
        long bush = id("Blue Bank 1-9");
        JsonNode page = umbel.get("/api/plants/" + bush).json();
        JsonNode learned = page.at("/learned");
        assertThat(learned.at("/seasons").asInt()).isEqualTo(2);
        double crop = learned.at("/crop").asDouble();
        assertThat(crop).isBetween(0.5, 2.0).isNotEqualTo(1);
        JsonNode block = umbel.get("/api/blocks/" + page.at("/name/blockId").asLong() + "/learned")
                .json();
        assertThat(block.at("/counted/0/crop").asDouble()).isEqualTo(crop);
        assertThat(block.at("/counted/0/kind").asString()).isNotEmpty();
        double told = page.at("/looked/assessment/reading/crop/marketable_kg").asDouble();
        double unlearned = umbel.post("/api/plants/preview", page.at("/survey").toString())
                .json()
                .at("/assessment/reading/crop/marketable_kg")
                .asDouble();
        assertThat(told).isCloseTo(unlearned * crop, within(0.02));
        long other = id("Slope Vines 1-4");
        assertThat(umbel.get("/api/plants/" + other).json().at("/learned/crop").asDouble())
                .as("another kind in another block")
                .isNotEqualTo(crop);
    }

    @Test
    void turnedBeforeTheViewerItIsAnotherPictureOfTheSamePlant() {
        String marks = "/api/plants/" + id("Blue Bank 1-2") + "/marks";
        String front = umbel.post(marks, "{}").json().at("/drawing").asString();
        String side =
                umbel.post(marks + "?turned=90", "{}").json().at("/drawing").asString();
        assertThat(side).isNotEqualTo(front);
        assertThat(side.split("data-cane")).hasSameSizeAs(front.split("data-cane"));
        assertThat(umbel.post(marks + "?season=summer", "{}")
                        .json()
                        .at("/drawing")
                        .asString())
                .isNotEqualTo(umbel.post(marks, "{}").json().at("/drawing").asString());
        RunningUmbel.Answer never = umbel.post(marks + "?season=never", "{}");
        assertThat(never.status()).isEqualTo(400);
        assertThat(never.text()).contains("season").contains("bare, bloom, summer, harvest");
        assertThat(umbel.post(marks + "?turned=0", "{}").json().at("/drawing").asString())
                .isEqualTo(front);
    }

    private long id(String label) {
        for (JsonNode tree : umbel.get("/api/holding").json().at("/trees")) {
            if (tree.at("/label").asString().equals(label)) {
                return tree.at("/id").asLong();
            }
        }
        throw new AssertionError("No plant " + label);
    }

    private JsonNode line(long id) {
        for (JsonNode tree : umbel.get("/api/holding").json().at("/trees")) {
            if (tree.at("/id").asLong() == id) {
                return tree;
            }
        }
        throw new AssertionError("No such plant on the holding: " + id);
    }

    private JsonNode block(String name) {
        for (JsonNode one : umbel.get("/api/holding").json().at("/blocks")) {
            if (one.at("/name").asString().equals(name)) {
                return one;
            }
        }
        throw new AssertionError("No block " + name);
    }

    private long place(String name, int row, int place) {
        JsonNode block = block(name);
        assertThat(block.at("/counted").asString()).isEqualTo("bush");
        return umbel.post(
                        "/api/trees",
                        "{\"blockId\":" + block.at("/id").asLong() + ",\"row\":" + row + ",\"place\":" + place + "}")
                .json()
                .at("/id")
                .asLong();
    }
}
