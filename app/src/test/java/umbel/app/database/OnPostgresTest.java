package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.UmbelApplication;
import umbel.app.database.DataMove.Address;
import umbel.app.people.Visitor;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** The program on a real PostgreSQL: what is saved is there, nothing is doubled, and of two who change one thing only one gets his way. */
@EnabledIfEnvironmentVariable(named = Postgres.VARIABLE, matches = ".+")
class OnPostgresTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int AT_ONCE = 8;
    private static final int BUSY = 503;
    private static final int MOST_TIMES = 40;
    private static final int PAUSE_MS = 250;
    private static final String SURVEY = SurveyReader.write(PracticeTree.survey("central-leader", 14, 3))
            .replaceFirst("(\"surveyedOn\" ?: ?)\"[^\"]*\"", "$1\"2026-01-15\"");
    private static final String PASSWORD = "a long pass phrase";

    @TempDir
    static Path folder;

    private static Address database;
    private static ConfigurableApplicationContext program;
    private static String url;
    private static Visitor grower;

    @BeforeAll
    static void start() throws Exception {
        database = Postgres.fresh("program");
        program = begin();
        grower = new Visitor(() -> url);
        send("GET", "/api/session", "");
        json(
                "POST",
                "/api/session/first",
                "{\"name\":\"Grower\",\"login\":\"grower\",\"password\":\"" + PASSWORD + "\"}");
        send("GET", "/api/session", "");
    }

    private static ConfigurableApplicationContext begin() {
        ConfigurableApplicationContext context = UmbelApplication.run(
                "--server.port=0",
                "--server.shutdown=immediate",
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.username=" + database.user(),
                "--UMBEL_DATA=" + folder);
        url = "http://127.0.0.1:"
                + ((WebServerApplicationContext) context).getWebServer().getPort();
        return context;
    }

    @AfterAll
    static void end() {
        program.close();
    }

    private static HttpResponse<String> send(String method, String path, String body) {
        try {
            return grower.ask(method, path, body);
        } catch (Exception e) {
            throw new IllegalStateException(path, e);
        }
    }

    private static JsonNode json(String method, String path, String body) {
        HttpResponse<String> answer = send(method, path, body);
        assertThat(answer.statusCode()).as(path + " " + answer.body()).isBetween(200, 299);
        return JSON.readTree(answer.body());
    }

    /** A tree with a survey in a block of a holding of its own. */
    private static long tree(String name) {
        return json(
                        "POST",
                        "/api/survey/kept",
                        "{\"survey\":" + SURVEY
                                + ",\"where\":{\"block\":{\"name\":\"" + name + "\",\"holding\":{\"name\":\"" + name
                                + "\",\"latitudeDeg\":47,\"elevationM\":200,\"timeZone\":\"Europe/Vienna\"}}}}")
                .path("treeId")
                .asLong();
    }

    @Test
    void aTreeWithItsLongSurveyIsThereAfterTheProgramWasStartedAgain() throws Exception {
        long tree = tree("kept");
        JsonNode before = json("GET", "/api/trees/" + tree, "");
        program.close();
        program = begin();
        grower = new Visitor(() -> url).signIn("grower", PASSWORD);
        JsonNode after = json("GET", "/api/trees/" + tree, "");
        assertThat(after.path("limbs")).isEqualTo(before.path("limbs")).isNotEmpty();
        assertThat(after.path("plans").path(0).path("steps"))
                .isEqualTo(before.path("plans").path(0).path("steps"));
    }

    @Test
    void aVisitSentManyTimesAtOnceIsKeptOnce() throws Exception {
        long tree = tree("once");
        String visit = "{\"doneOn\":\"2026-02-20\",\"who\":\"Mira\",\"minutes\":9,\"note\":\"Looked at\",\"steps\":[],"
                + "\"clientId\":\"phone-1-visit-1\"}";
        json("POST", "/api/trees/" + tree + "/records", visit);
        List<Integer> answers = atOnce(() -> untilTaken("POST", "/api/trees/" + tree + "/records", visit));
        assertThat(answers).allSatisfy(status -> assertThat(status).isBetween(200, 299));
        assertThat(json("GET", "/api/trees/" + tree + "/records", "").toString().split("\"who\":\"Mira\"", -1))
                .hasSize(2);
    }

    @Test
    void ofTwoWhoChangeTheSameDecisionsOneIsTold() throws Exception {
        long tree = tree("changed");
        JsonNode page = json("GET", "/api/trees/" + tree, "");
        String limb = page.at("/limbs/0/id").asString();
        String marks = "{\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}]},\"version\":"
                + page.path("workVersion").asLong() + "}";
        List<Integer> answers = atOnce(() -> untilTaken("PUT", "/api/trees/" + tree + "/work", marks));
        assertThat(answers).containsOnly(200, 409);
        assertThat(answers.stream().filter(status -> status == 200)).hasSize(1);
    }

    @Test
    void aBackupIsLeftToTheDatabase() {
        HttpResponse<String> answer = send("GET", "/api/backup", "");
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(JSON.readTree(answer.body()).path("code").asString()).isEqualTo("problem.backup-by-database");
    }

    /** Sends until the program is not too busy to take it, as pages and phones do. */
    private int untilTaken(String method, String path, String body) throws InterruptedException {
        for (int times = 0; ; times++) {
            int status = send(method, path, body).statusCode();
            if (status != BUSY || times >= MOST_TIMES) {
                return status;
            }
            Thread.sleep(PAUSE_MS);
        }
    }

    private static List<Integer> atOnce(Callable<Integer> work) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(AT_ONCE);
        try {
            List<Future<Integer>> sent = new ArrayList<>();
            for (int i = 0; i < AT_ONCE; i++) {
                sent.add(people.submit(work));
            }
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> one : sent) {
                answers.add(one.get());
            }
            return answers;
        } finally {
            people.shutdownNow();
        }
    }
}
