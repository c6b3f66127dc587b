package umbel.app.orchard;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** What was set up can be corrected, moved and taken away; nothing with records is ever deleted. */
@ExtendWith(RunningUmbel.class)
class SetupApiTest {

    private static final String JSON = "application/json";

    private final RunningUmbel umbel;

    SetupApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aBlockIsCorrectedAndItsTreesAreNamedAnew() {
        long holding = holding("Correction Farm");
        long block = block(holding, "Norht Wall", 10, "\"rows\":2,\"placesPerRow\":5");
        long tree = tree(block, 2, 3);
        RunningUmbel.Answer corrected = umbel.send(
                "PUT", "/api/blocks/" + block, entry(holding, "North Wall", 10, "\"rows\":2,\"placesPerRow\":6"), JSON);
        assertThat(corrected.status()).as(corrected.text()).isEqualTo(200);
        assertThat(place(tree).get("label").asString()).isEqualTo("North Wall 2-3");
        assertThat(umbel.send(
                                "PUT",
                                "/api/blocks/" + block,
                                entry(holding, "North Wall", 4, "\"rows\":1,\"placesPerRow\":4"),
                                JSON)
                        .status())
                .as("a tree would stand outside its rows")
                .isEqualTo(409);
    }

    @Test
    void aTreeStandsInTheRowsOfItsBlock() {
        long block = block(holding("Rows Farm"), "Small Block", 6, "\"rows\":2,\"placesPerRow\":3");
        assertThat(umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":3,\"place\":1}")
                        .status())
                .isEqualTo(400);
        RunningUmbel.Answer far = umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":1,\"place\":4}");
        assertThat(far.status()).isEqualTo(400);
        assertThat(far.json().get("detail").asString()).contains("2 rows of at most 3 places");
    }

    @Test
    void aTreeMovesWithItsSurveysToAPlaceThatIsFree() {
        long block = block(holding("Moving Farm"), "Moving Block", 20, "\"rows\":2,\"placesPerRow\":10");
        long tree = tree(block, 1, 1);
        long other = tree(block, 1, 2);
        survey(tree, LocalDate.now().minusDays(3));
        String taken = "{\"blockId\":" + block + ",\"row\":1,\"place\":2}";
        assertThat(umbel.send("PUT", "/api/trees/" + tree + "/place", taken, JSON)
                        .status())
                .isEqualTo(409);
        String free = "{\"blockId\":" + block + ",\"row\":2,\"place\":7}";
        JsonNode moved =
                umbel.send("PUT", "/api/trees/" + tree + "/place", free, JSON).json();
        assertThat(moved.get("label").asString()).isEqualTo("Moving Block 2-7");
        assertThat(umbel.get("/api/trees/" + tree + "/surveys").json()).hasSize(1);
        assertThat(umbel.send("DELETE", "/api/trees/" + tree, "", JSON).status())
                .as("it was surveyed")
                .isEqualTo(409);
        assertThat(umbel.send("DELETE", "/api/trees/" + other, "", JSON).status())
                .isEqualTo(204);
        assertThat(umbel.send("DELETE", "/api/blocks/" + block, "", JSON).status())
                .as("a tree of it was surveyed")
                .isEqualTo(409);
    }

    @Test
    void anArchivedTreeIsLeftOutAndComesBack() {
        long block = block(holding("Archive Farm"), "Archive Block", 4, "\"rows\":1");
        long tree = tree(block, 1, 1);
        survey(tree, LocalDate.now().minusDays(3));
        assertThat(listed(tree)).isTrue();
        umbel.send("PUT", "/api/trees/" + tree + "/archived", "{\"archived\":true}", JSON);
        assertThat(listed(tree)).isFalse();
        umbel.send("PUT", "/api/trees/" + tree + "/archived", "{\"archived\":false}", JSON);
        umbel.send("PUT", "/api/blocks/" + block + "/archived", "{\"archived\":true}", JSON);
        assertThat(listed(tree)).isFalse();
        umbel.send("PUT", "/api/blocks/" + block + "/archived", "{\"archived\":false}", JSON);
        assertThat(listed(tree)).isTrue();
    }

    @Test
    void whatNothingDependsOnIsDeleted() {
        long holding = holding("Short Farm");
        long block = block(holding, "Short Block", 4, "\"rows\":1");
        tree(block, 1, 2);
        assertThat(umbel.send("DELETE", "/api/holdings/" + holding, "", JSON).status())
                .isEqualTo(409);
        assertThat(umbel.send("DELETE", "/api/blocks/" + block, "", JSON).status())
                .isEqualTo(204);
        assertThat(umbel.send("DELETE", "/api/holdings/" + holding, "", JSON).status())
                .isEqualTo(204);
    }

    @Test
    void aHoldingIsRenamedAndItsDaysAreCountedWhereItLies() {
        long holding = holding("Old Name");
        String east = "{\"name\":\"New Name\",\"latitudeDeg\":-41,\"elevationM\":60,\"timeZone\":\"%s\"}";
        JsonNode corrected = umbel.send("PUT", "/api/holdings/" + holding, east.formatted("Pacific/Kiritimati"), JSON)
                .json();
        assertThat(corrected.get("name").asString()).isEqualTo("New Name");
        long tree = tree(block(holding, "Far East", 4, "\"rows\":1"), 1, 1);
        LocalDate there = LocalDate.now(java.time.ZoneId.of("Pacific/Kiritimati"));
        assertThat(survey(tree, there).status()).as("today at the holding").isEqualTo(201);
        assertThat(survey(tree, there.plusDays(1)).status()).isEqualTo(400);
        assertThat(umbel.send("PUT", "/api/holdings/" + holding, east.formatted("Mars/Olympus"), JSON)
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aSurveyFromTheFutureIsRefusedAndAWrongOneIsWithdrawn() {
        long tree = tree(block(holding("Survey Farm"), "Survey Block", 4, "\"rows\":1"), 1, 1);
        RunningUmbel.Answer future = survey(tree, LocalDate.now().plusDays(400));
        assertThat(future.status()).isEqualTo(400);
        assertThat(future.json().at("/errors/0/field").asString()).isEqualTo("surveyedOn");
        survey(tree, LocalDate.now().minusYears(1));
        long wrong = survey(tree, LocalDate.now()).json().get("id").asLong();
        assertThat(newest(tree)).isEqualTo(LocalDate.now().toString());
        umbel.send("PUT", "/api/surveys/" + wrong + "/withdrawal", "{\"withdrawn\":true}", JSON);
        assertThat(newest(tree)).isEqualTo(LocalDate.now().minusYears(1).toString());
        JsonNode history = umbel.get("/api/trees/" + tree + "/surveys").json();
        assertThat(history.at("/0/withdrawnBy").asString()).isNotEmpty();
        assertThat(history).as("it is still there").hasSize(2);
        umbel.send("PUT", "/api/surveys/" + wrong + "/withdrawal", "{\"withdrawn\":false}", JSON);
        assertThat(newest(tree)).isEqualTo(LocalDate.now().toString());
    }

    @Test
    void aVeryLongNameOfAKindIsRefused() {
        String body = entry(holding("Long Farm"), "Long Name", 4, "\"rows\":1")
                .replace("\"apple\"", "\"" + "a-".repeat(20_000) + "b\"");
        RunningUmbel.Answer answer = umbel.post("/api/blocks", body);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text()).hasSizeLessThan(2_000);
    }

    private String newest(long tree) {
        return umbel.get("/api/trees/" + tree).json().at("/name/surveyedOn").asString();
    }

    private JsonNode place(long tree) {
        return umbel.get("/api/trees/" + tree + "/place").json();
    }

    private boolean listed(long tree) {
        for (JsonNode line : umbel.get("/api/holding").json().get("trees")) {
            if (line.get("id").asLong() == tree) {
                return true;
            }
        }
        return false;
    }

    private RunningUmbel.Answer survey(long tree, LocalDate day) {
        String survey = SurveyReader.write(PracticeTree.survey("tall-spindle", 4, 3));
        return umbel.post(
                "/api/trees/" + tree + "/surveys",
                survey.replaceFirst("\"surveyedOn\" : \"[^\"]*\"", "\"surveyedOn\" : \"" + day + "\""));
    }

    private long holding(String name) {
        return umbel.post("/api/holdings", "{\"name\":\"" + name + "\",\"latitudeDeg\":47,\"elevationM\":400}")
                .json()
                .get("id")
                .asLong();
    }

    private long block(long holding, String name, int trees, String layout) {
        RunningUmbel.Answer made = umbel.post("/api/blocks", entry(holding, name, trees, layout));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("id").asLong();
    }

    private long tree(long block, int row, int place) {
        RunningUmbel.Answer made =
                umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":" + row + ",\"place\":" + place + "}");
        assertThat(made.status()).as(made.text()).isEqualTo(200);
        return made.json().get("id").asLong();
    }

    private static String entry(long holding, String name, int trees, String layout) {
        return "{\"holdingId\":" + holding + ",\"name\":\"" + name
                + "\",\"species\":\"apple\",\"system\":\"tall-spindle\",\"cultivar\":\"\",\"stock\":\"dwarfing\","
                + "\"plantedYear\":2022,\"treeCount\":" + trees
                + ",\"inRowM\":1,\"betweenRowsM\":3.5,\"rowBearingDeg\":0,\"eastM\":0,\"northM\":0,\"note\":\"\","
                + layout + "}";
    }
}
