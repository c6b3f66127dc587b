package umbel.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.UmbelApplication;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** A holding of one's own, from its first start: nobody gets in unasked, and everybody only where they belong. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class AccountsApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @TempDir
    private static Path data;

    private static ConfigurableApplicationContext umbel;
    private static String url;
    private static Visitor grower;

    @BeforeAll
    static void start() {
        umbel = UmbelApplication.run("--server.port=0", "--server.shutdown=immediate", "--UMBEL_DATA=" + data);
        url = "http://127.0.0.1:"
                + ((WebServerApplicationContext) umbel).getWebServer().getPort();
    }

    @AfterAll
    static void stop() {
        umbel.close();
    }

    @Test
    @Order(1)
    void nobodyGetsInBeforeThereIsAnAccount() throws Exception {
        Visitor stranger = new Visitor(() -> url);
        assertThat(stranger.json("/api/session").path("state").asString()).isEqualTo("first-account");
        assertThat(stranger.status("GET", "/api/holding", "")).isEqualTo(401);
        assertThat(stranger.ask("GET", "/api/season", "")
                        .headers()
                        .firstValue("content-type")
                        .orElse(""))
                .startsWith("application/problem+json");
        assertThat(stranger.ask("GET", "/", "").statusCode())
                .as("the page itself")
                .isEqualTo(200);
    }

    @Test
    @Order(2)
    void theFirstStartMakesTheGrowersAccountOnce() throws Exception {
        grower = new Visitor(() -> url);
        grower.ask("GET", "/api/session", "");
        assertThat(grower.status(
                        "POST", "/api/session/first", "{\"name\":\"G\",\"login\":\"g\",\"password\":\"short\"}"))
                .isEqualTo(400);
        String first = "{\"name\":\"Grower\",\"login\":\"grower\",\"password\":\"a long pass phrase\"}";
        assertThat(grower.status("POST", "/api/session/first", first)).isEqualTo(201);
        grower.ask("GET", "/api/session", "");
        assertThat(grower.json("/api/session").path("role").asString()).isEqualTo("grower");
        assertThat(new Visitor(() -> url).signIn("x", "y").status("POST", "/api/session/first", first))
                .isEqualTo(409);
    }

    @Test
    @Order(3)
    void aChangeWithoutTheTokenOfThisPageIsRefused() throws Exception {
        assertThat(grower.ask("POST", "/api/crew", person("Forged"), "X-XSRF-TOKEN", "wrong")
                        .statusCode())
                .isEqualTo(403);
        assertThat(grower.status("POST", "/api/crew", person("Paula"))).isEqualTo(201);
    }

    @Test
    @Order(4)
    void aPrunerSeesTheWorkAndNothingElse() throws Exception {
        Visitor pruner = account("Paula", "pruner");
        assertThat(pruner.json("/api/session").path("role").asString()).isEqualTo("pruner");
        assertThat(pruner.status("GET", "/api/field/trees/999", ""))
                .as("let in, not there")
                .isEqualTo(404);
        for (String path : new String[] {"/api/holding", "/api/season", "/api/crew", "/api/accounts", "/api/audit"}) {
            assertThat(pruner.status("GET", path, "")).as(path).isEqualTo(403);
        }
        assertThat(pruner.status("POST", "/api/crew", person("Nobody"))).isEqualTo(403);
        assertThat(pruner.status("GET", "/api/trees/999/photos", "")).isEqualTo(404);
        assertThat(photo(pruner)).as("let in, not there").isEqualTo(404);
        assertThat(pruner.status("DELETE", "/api/trees/999/photos/1", "")).isEqualTo(403);
    }

    @Test
    @Order(5)
    void anAdviserReadsAndMarksButRecordsNothing() throws Exception {
        grower.ask("POST", "/api/crew", person("Ada"));
        Visitor adviser = account("Ada", "adviser");
        assertThat(adviser.status("GET", "/api/season", "")).isEqualTo(200);
        assertThat(adviser.status("PUT", "/api/trees/999/work", "{\"decisions\":{},\"version\":-1}"))
                .as("let in, not there")
                .isEqualTo(404);
        assertThat(adviser.status("POST", "/api/trees/999/records", "{}")).isEqualTo(403);
        assertThat(adviser.status("POST", "/api/schedule", "")).isEqualTo(403);
        assertThat(adviser.status("GET", "/api/trees/999/photos", "")).isEqualTo(404);
        assertThat(photo(adviser)).isEqualTo(403);
    }

    @Test
    @Order(6)
    void wrongPasswordsMakeTheirSenderWait() throws Exception {
        grower.ask("POST", "/api/crew", person("Lena"));
        account("Lena", "foreman");
        Visitor guesser = new Visitor(() -> url);
        guesser.ask("GET", "/api/session", "");
        String wrong = "{\"login\":\"lena\",\"password\":\"not this one\"}";
        for (int i = 0; i < 5; i++) {
            assertThat(guesser.status("POST", "/api/session", wrong)).isEqualTo(401);
        }
        assertThat(guesser.status("POST", "/api/session", "{\"login\":\"lena\",\"password\":\"" + PASSWORD + "\"}"))
                .as("even the right one")
                .isEqualTo(429);
    }

    @Test
    @Order(7)
    void anotherProgramAssessesByKeyUntilItIsRevoked() throws Exception {
        JsonNode key = JSON.readTree(
                grower.ask("POST", "/api/keys", "{\"name\":\"weather app\"}").body());
        String survey = SurveyReader.write(PracticeTree.survey("tall-spindle", 4, 3));
        Visitor program = new Visitor(() -> url);
        String body = "{\"survey\":" + survey + "}";
        assertThat(program.status("POST", "/api/assess", body)).isEqualTo(401);
        String bearer = "Bearer " + key.path("secret").asString();
        assertThat(program.ask("POST", "/api/assess", body, "Authorization", bearer)
                        .statusCode())
                .isEqualTo(200);
        assertThat(program.ask("GET", "/api/holding", "", "Authorization", bearer)
                        .statusCode())
                .isEqualTo(401);
        assertThat(grower.json("/api/keys").get(0).path("secret").asString()).isEmpty();
        grower.ask("DELETE", "/api/keys/" + key.path("id").asLong(), "");
        assertThat(program.ask("POST", "/api/assess", body, "Authorization", bearer)
                        .statusCode())
                .isEqualTo(401);
    }

    @Test
    @Order(8)
    void theTrailTellsWhoChangedWhat() throws Exception {
        JsonNode trail = grower.json("/api/audit");
        assertThat(trail.toString()).contains("\"who\":\"grower\",\"method\":\"POST\",\"path\":\"/api/crew\"");
        assertThat(trail.toString()).doesNotContain("/api/assess").doesNotContain(PASSWORD);
    }

    @Test
    @Order(8)
    void oneChangesOnesOwnPasswordByTheOldOne() throws Exception {
        Visitor adviser = new Visitor(() -> url).signIn("ada", PASSWORD);
        String wrong = "{\"old\":\"no such pears\",\"password\":\"twelve quinces\"}";
        assertThat(adviser.status("PUT", "/api/session/password", wrong)).isEqualTo(403);
        String shortOne = "{\"old\":\"" + PASSWORD + "\",\"password\":\"short\"}";
        assertThat(adviser.status("PUT", "/api/session/password", shortOne)).isEqualTo(400);
        String right = "{\"old\":\"" + PASSWORD + "\",\"password\":\"twelve quinces\"}";
        assertThat(adviser.status("PUT", "/api/session/password", right)).isEqualTo(204);
        new Visitor(() -> url).signIn("ada", "twelve quinces");
        assertThat(new Visitor(() -> url).status("PUT", "/api/session/password", right))
                .isIn(401, 403);
    }

    @Test
    @Order(8)
    void whoIsSignedInStaysSoWhenTheProgramStartsAgain() throws Exception {
        assertThat(grower.status("GET", "/api/holding", "")).isEqualTo(200);
        umbel.close();
        start();
        assertThat(grower.status("GET", "/api/holding", "")).isEqualTo(200);
    }

    @Test
    @Order(9)
    void theLastGrowerStaysGrowerAndSigningOutEndsIt() throws Exception {
        long id = 0;
        for (JsonNode line : grower.json("/api/accounts")) {
            if (line.path("login").asString().equals("grower")) {
                id = line.path("personId").asLong();
            }
        }
        assertThat(grower.status(
                        "PUT", "/api/accounts/" + id, "{\"login\":\"grower\",\"role\":\"pruner\",\"password\":\"\"}"))
                .isEqualTo(409);
        assertThat(grower.status("DELETE", "/api/session", "")).isEqualTo(204);
        assertThat(grower.status("GET", "/api/holding", "")).isEqualTo(401);
    }

    private static final String PASSWORD = "eleven pears";

    private static int photo(Visitor by) throws Exception {
        return by.ask(
                        "POST",
                        "/api/trees/999/photos?clientId=a&takenOn=2026-01-10&moment=seen&who=Paula",
                        "no picture",
                        "Content-Type",
                        "image/jpeg")
                .statusCode();
    }

    private static String person(String name) {
        return "{\"name\":\"" + name
                + "\",\"language\":\"es\",\"hoursADay\":7,\"saw\":false,\"ladder\":true,\"weekdays\":\"12345\",\"active\":true}";
    }

    /** Gives somebody of the crew an account, and signs them in. */
    private static Visitor account(String name, String role) throws Exception {
        long id = 0;
        for (JsonNode line : grower.json("/api/accounts")) {
            if (line.path("name").asString().equals(name)) {
                id = line.path("personId").asLong();
            }
        }
        String login = name.toLowerCase(java.util.Locale.ROOT);
        assertThat(grower.status(
                        "PUT",
                        "/api/accounts/" + id,
                        "{\"login\":\"" + login + "\",\"role\":\"" + role + "\",\"password\":\"" + PASSWORD + "\"}"))
                .isEqualTo(200);
        return new Visitor(() -> url).signIn(login, PASSWORD);
    }
}
