package umbel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.RunningUmbel;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

@ExtendWith(RunningUmbel.class)
class AssessApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final RunningUmbel umbel;

    AssessApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @ParameterizedTest
    @CsvSource({"central-leader, 12", "modified-central-leader, 6", "tall-spindle, 4", "open-centre, 5"})
    void everySupportedSystemIsAnswered(String system, int leaf) {
        JsonNode answer =
                umbel.post("/api/assess", request(system, leaf).toString()).json();
        assertThat(answer.at("/plans")).hasSize(4);
        assertThat(answer.at("/plans/0/name").asString()).isEqualTo("recommended");
        assertThat(answer.at("/plans/0/totals/cropYear3").isNumber()).isTrue();
        assertThat(answer.at("/plans/0/years")).hasSize(3);
    }

    @Test
    void theSameRequestIsAnsweredTheSame() {
        String request = request("tall-spindle", 4).toString();
        assertThat(umbel.post("/api/assess", request).text())
                .isEqualTo(umbel.post("/api/assess", request).text());
    }

    @Test
    void anyKindOfTreeInAnySystemIsAnswered() {
        ObjectNode request = request("tall-spindle", 4);
        ((ObjectNode) request.at("/survey/tree")).put("species", "cherry-sweet");
        RunningUmbel.Answer answer = umbel.post("/api/assess", request.toString());
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().at("/reading/findings")).isNotNull();
    }

    @Test
    void aSchoolsLineCanBeSetAndIsToldInTheFinding() {
        ObjectNode request = request("tall-spindle", 4);
        request.putObject("schoolLines").put("underCropRatio", 0.99);
        RunningUmbel.Answer answer = umbel.post("/api/assess", request.toString());
        assertThat(answer.status()).isEqualTo(200);
        request.putObject("schoolLines").put("mood", 1);
        assertThat(firstField(request.toString(), 422)).isEqualTo("schoolLines");
    }

    @Test
    void theRowsMedianTellsARootedScion() {
        ObjectNode request = request("tall-spindle", 4);
        request.putObject("block").put("trunkMedian_mm", 30);
        String text = umbel.post("/api/assess", request.toString()).text();
        assertThat(text).contains("scion-rooted");
        request.putObject("block").put("trunkMedian_mm", 0);
        assertThat(firstField(request.toString(), 400)).isEqualTo("block.trunkMedian_mm");
    }

    @Test
    void aSpeciesNobodyKnowsIsUnknown() {
        ObjectNode request = request("tall-spindle", 4);
        ((ObjectNode) request.at("/survey/tree")).put("species", "moonfruit");
        RunningUmbel.Answer answer = umbel.post("/api/assess", request.toString());
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().get("code").asString()).isEqualTo("problem.not-supported");
    }

    @Test
    void aFaultyFieldIsNamedWithItsWholePath() {
        ObjectNode request = request("tall-spindle", 4);
        ((ObjectNode) request.at("/survey/limbs/3")).put("angle_deg", 300);
        ((ObjectNode) request.at("/survey/limbs/4")).put("parent", "5");
        RunningUmbel.Answer answer = umbel.post("/api/assess", request.toString());
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.type()).startsWith("application/problem+json");
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("survey.limbs[3].angle_deg");
    }

    @Test
    void noLimbsAreReadAndFiveThousandRefused() {
        ObjectNode none = request("tall-spindle", 4);
        ((ObjectNode) none.get("survey")).set("limbs", JSON.createArrayNode());
        assertThat(umbel.post("/api/assess", none.toString()).status()).isEqualTo(200);
        ObjectNode many = request("tall-spindle", 4);
        ArrayNode limbs = (ArrayNode) many.at("/survey/limbs");
        JsonNode model = limbs.get(0);
        for (int i = limbs.size(); i < 5000; i++) {
            limbs.add(((ObjectNode) model.deepCopy()).put("id", "n" + i));
        }
        assertThat(firstField(many.toString(), 400)).isEqualTo("survey.limbs");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{", "not json", "", "{\"survey\": {\"format\": }}"})
    void malformedBodiesGetAnAnswerThatSaysSo(String body) {
        RunningUmbel.Answer answer = umbel.post("/api/assess", body);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("detail").asString()).contains("JSON");
    }

    @ParameterizedTest
    @ValueSource(strings = {"[]", "null", "7", "{}"})
    void aBodyThatIsNoRequestIsRefused(String body) {
        assertThat(umbel.post("/api/assess", body).status()).isEqualTo(400);
    }

    @Test
    void deeplyNestedBodiesDoNoHarm() {
        String deep = "{\"survey\":" + "[".repeat(100_000) + "]".repeat(100_000) + "}";
        assertThat(umbel.post("/api/assess", deep).status()).isEqualTo(400);
    }

    @Test
    void twentyMegabytesAreTooMuch() {
        RunningUmbel.Answer answer = umbel.post("/api/assess", "{\"x\":\"" + "y".repeat(20_000_000) + "\"}");
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.json().get("detail").asString()).contains("MB");
    }

    @Test
    void aWrongContentTypeIsNamed() {
        RunningUmbel.Answer answer = umbel.send("POST", "/api/assess", "format=umbel", "text/plain");
        assertThat(answer.status()).isEqualTo(415);
        assertThat(answer.json().get("detail").asString()).contains("application/json");
        assertThat(umbel.send("DELETE", "/api/assess", "", "application/json").status())
                .isEqualTo(405);
    }

    @Test
    void nothingOfARefusedSurveyIsStored() {
        long before = umbel.surveys();
        umbel.post("/api/trees/1/surveys", "{\"format\":\"umbel-survey/1\"}");
        ObjectNode fig = (ObjectNode) request("tall-spindle", 4).get("survey");
        ((ObjectNode) fig.get("tree")).put("species", "moonfruit");
        assertThat(umbel.post("/api/trees/1/surveys", fig.toString()).status()).isEqualTo(422);
        umbel.post("/api/assess", request("tall-spindle", 4).toString());
        umbel.post(
                "/api/survey/preview", request("tall-spindle", 4).get("survey").toString());
        assertThat(umbel.surveys()).isEqualTo(before);
    }

    @Test
    void thePageAndItsPolicyAreServed() {
        for (String path : new String[] {"/", "/trees/3", "/trees/3/survey"}) {
            RunningUmbel.Answer page = umbel.get(path);
            assertThat(page.status()).isEqualTo(200);
            assertThat(page.text()).contains("<div id=\"root\">");
            String policy = page.response()
                    .headers()
                    .firstValue("content-security-policy")
                    .orElse("");
            assertThat(policy)
                    .contains("default-src 'none'")
                    .contains("script-src 'self'")
                    .doesNotContain("unsafe");
        }
        assertThat(umbel.get("/missing.js").status()).isEqualTo(404);
    }

    @Test
    void aTreeNewlyPlacedCanBeSurveyedAndIsThenRead() {
        JsonNode begun = umbel.post("/api/trees", "{\"blockId\":2,\"row\":20,\"place\":9}")
                .json();
        long id = begun.get("id").asLong();
        assertThat(begun.get("surveyId").isNull()).isTrue();
        assertThat(umbel.get("/api/trees/" + id).status()).isEqualTo(404);
        String survey = request("tall-spindle", 4)
                .get("survey")
                .toString()
                .replace("\"surveyedOn\":\"2027-02-02\"", "\"surveyedOn\":\"2026-02-02\"");
        assertThat(umbel.post("/api/trees/" + id + "/surveys", survey).status()).isEqualTo(201);
        assertThat(umbel.get("/api/trees/" + id).json().at("/name/label").asString())
                .isEqualTo("Long Wall 20-9");
        assertThat(umbel.get("/api/trees/" + id + "/surveys").json()).hasSize(1);
        assertThat(umbel.post("/api/trees", "{\"blockId\":2,\"row\":20,\"place\":9}")
                        .json()
                        .get("id")
                        .asLong())
                .isEqualTo(id);
        assertThat(umbel.post("/api/trees", "{\"blockId\":2,\"row\":0,\"place\":9}")
                        .status())
                .isEqualTo(400);
        assertThat(umbel.post("/api/trees", "{\"blockId\":99,\"row\":1,\"place\":9}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void aSurveyComesBackAsItWentIn() {
        JsonNode place = umbel.get("/api/trees/5/place").json();
        JsonNode document =
                umbel.get("/api/surveys/" + place.get("surveyId").asLong()).json();
        assertThat(SurveyReader.read(document).limbs()).isNotEmpty();
        JsonNode preview =
                umbel.post("/api/survey/preview", document.toString()).json();
        assertThat(preview.at("/drawing/axes").size()).isGreaterThan(100);
        assertThat(preview.at("/light/under30").asDouble()).isBetween(0.0, 1.0);
    }

    private String firstField(String body, int status) {
        RunningUmbel.Answer answer = umbel.post("/api/assess", body);
        assertThat(answer.status()).isEqualTo(status);
        return answer.json().at("/errors/0/field").asString();
    }

    private static ObjectNode request(String system, int leaf) {
        ObjectNode request = JSON.createObjectNode();
        request.set(
                "survey", JSON.readTree(SurveyReader.write(PracticeTree.survey(system, leaf, 5, Fault.TIGHT_CROTCH))));
        return request;
    }
}
