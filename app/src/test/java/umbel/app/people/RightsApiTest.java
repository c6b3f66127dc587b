package umbel.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.UmbelApplication;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** Rights withdrawn are withdrawn at once, and nobody can take or block what is somebody else's. */
class RightsApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String FIRST = "{\"name\":\"Grower\",\"login\":\"%s\",\"password\":\"a long pass phrase\"}";
    private static final String PASSWORD = "eleven pears";

    @TempDir
    private static Path data;

    private static ConfigurableApplicationContext umbel;
    private static String url;
    private static Visitor grower;

    @BeforeAll
    static void fourPeopleAskForTheFirstAccountAtOnce() throws Exception {
        umbel = UmbelApplication.run("--server.port=0", "--server.shutdown=immediate", "--UMBEL_DATA=" + data);
        url = "http://127.0.0.1:"
                + ((WebServerApplicationContext) umbel).getWebServer().getPort();
        ExecutorService people = Executors.newFixedThreadPool(4);
        List<Callable<Visitor>> first = new ArrayList<>();
        List<Integer> answers = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            String login = "grower" + i;
            first.add(() -> {
                Visitor visitor = new Visitor(() -> url);
                visitor.ask("GET", "/api/session", "");
                int status = visitor.status("POST", "/api/session/first", FIRST.formatted(login));
                synchronized (answers) {
                    answers.add(status);
                }
                visitor.ask("GET", "/api/session", "");
                return status == 201 ? visitor : null;
            });
        }
        for (Future<Visitor> one : people.invokeAll(first)) {
            if (one.get() != null) {
                grower = one.get();
            }
        }
        people.shutdown();
        assertThat(answers).containsOnlyOnce(201).containsOnly(201, 409);
    }

    @AfterAll
    static void stop() {
        umbel.close();
    }

    @Test
    void oneGrowerWasMade() throws Exception {
        assertThat(grower.json("/api/accounts")).hasSize(1);
        assertThat(grower.json("/api/crew")).as("accounts are no crew").isEmpty();
    }

    @Test
    void aSessionEndsWhenTheAccountIsClosed() throws Exception {
        long id = account("closed", "foreman");
        Visitor foreman = new Visitor(() -> url).signIn("closed", PASSWORD);
        assertThat(foreman.status("GET", "/api/holding", "")).isEqualTo(200);
        change(id, "closed", "foreman", "", false);
        assertThat(foreman.status("GET", "/api/holding", "")).isEqualTo(401);
        assertThat(foreman.signIn("closed", PASSWORD).status("GET", "/api/holding", ""))
                .isEqualTo(401);
    }

    @Test
    void aSessionEndsWhenTheRoleIsAnother() throws Exception {
        long id = account("demoted", "grower");
        Visitor person = new Visitor(() -> url).signIn("demoted", PASSWORD);
        assertThat(person.status("GET", "/api/accounts", "")).isEqualTo(200);
        change(id, "demoted", "pruner", "", true);
        assertThat(person.status("GET", "/api/accounts", "")).isEqualTo(401);
    }

    @Test
    void aPrunerPractisesAndReadsTheGuideAndSeesNoMore() throws Exception {
        account("learner", "pruner");
        Visitor learner = new Visitor(() -> url).signIn("learner", PASSWORD);
        assertThat(learner.status("GET", "/api/practice/choices", "")).isEqualTo(200);
        assertThat(learner.status("GET", "/api/guide", "")).isEqualTo(200);
        assertThat(learner.status("GET", "/api/guide/rules", "")).isEqualTo(200);
        HttpResponse<String> made = learner.ask("POST", "/api/practice/exercises", "{\"level\":\"first\",\"seed\":3}");
        assertThat(made.statusCode()).isEqualTo(200);
        String code = JSON.readTree(made.body()).get("code").asString();
        assertThat(learner.status("POST", "/api/practice/exercises/" + code + "/answer", "{\"marks\":[]}"))
                .isEqualTo(200);
        assertThat(learner.json("/api/practice/progress").at("/exercises").asInt())
                .isEqualTo(1);
        assertThat(learner.status("GET", "/api/practice/crew", "")).isEqualTo(403);
        assertThat(learner.status("GET", "/api/holding", "")).isEqualTo(403);
        JsonNode crew = grower.json("/api/practice/crew");
        assertThat(crew.at("/people/0/name").asString()).isEqualTo("learner");
        assertThat(grower.json("/api/audit").toString())
                .as("practice is no change to the holding")
                .doesNotContain("/api/practice");
    }

    @Test
    void aSessionEndsWhenThePasswordIsReset() throws Exception {
        long id = account("reset", "foreman");
        Visitor person = new Visitor(() -> url).signIn("reset", PASSWORD);
        change(id, "reset", "foreman", "another pass phrase", true);
        assertThat(person.status("GET", "/api/holding", "")).isEqualTo(401);
    }

    @Test
    void ownNewPasswordEndsTheOtherSessionsAndNotThisOne() throws Exception {
        account("twice", "foreman");
        Visitor here = new Visitor(() -> url).signIn("twice", PASSWORD);
        Visitor there = new Visitor(() -> url).signIn("twice", PASSWORD);
        assertThat(here.status(
                        "PUT",
                        "/api/session/password",
                        "{\"old\":\"" + PASSWORD + "\",\"password\":\"twelve quinces\"}"))
                .isEqualTo(204);
        assertThat(here.status("GET", "/api/holding", "")).isEqualTo(200);
        assertThat(there.status("GET", "/api/holding", "")).isEqualTo(401);
    }

    @Test
    void aForemanCannotShutOutAGrowerByWayOfTheCrew() throws Exception {
        long id = account("second", "grower");
        grower.ask(
                "PUT",
                "/api/accounts/" + id,
                entry("second", "grower", "", true).replace("}", ",\"crew\":true}"));
        account("boss", "foreman");
        Visitor foreman = new Visitor(() -> url).signIn("boss", PASSWORD);
        JsonNode line = foreman.json("/api/crew").get(0);
        String away = "{\"name\":\"Gone\",\"language\":\"en\",\"hoursADay\":7,\"saw\":false,\"ladder\":true,"
                + "\"weekdays\":\"12345\",\"active\":false,\"version\":"
                + line.get("version").asLong() + "}";
        assertThat(foreman.status("PUT", "/api/crew/" + id, away)).isEqualTo(200);
        assertThat(new Visitor(() -> url).signIn("second", PASSWORD).status("GET", "/api/accounts", ""))
                .as("off the crew, and still grower")
                .isEqualTo(200);
    }

    @Test
    void aKeyStaysRevokedHoweverMuchItIsUsed() throws Exception {
        String survey = "{\"survey\":" + SurveyReader.write(PracticeTree.survey("tall-spindle", 1, 3)) + "}";
        for (int round = 0; round < 4; round++) {
            JsonNode key = JSON.readTree(
                    grower.ask("POST", "/api/keys", "{\"name\":\"busy\"}").body());
            String bearer = "Bearer " + key.get("secret").asString();
            AtomicBoolean stop = new AtomicBoolean();
            ExecutorService programs = Executors.newFixedThreadPool(3);
            for (int i = 0; i < 3; i++) {
                programs.submit(() -> {
                    Visitor program = new Visitor(() -> url);
                    while (!stop.get()) {
                        program.ask("POST", "/api/assess", "{}", "Authorization", bearer);
                    }
                    return null;
                });
            }
            Thread.sleep(150);
            assertThat(grower.status("DELETE", "/api/keys/" + key.get("id").asLong(), ""))
                    .isEqualTo(204);
            Thread.sleep(100);
            stop.set(true);
            programs.shutdown();
            programs.awaitTermination(20, java.util.concurrent.TimeUnit.SECONDS);
            assertThat(new Visitor(() -> url)
                            .ask("POST", "/api/assess", survey, "Authorization", bearer)
                            .statusCode())
                    .isEqualTo(401);
        }
    }

    @Test
    void aLongPasswordWorksAndTellsNothing() throws Exception {
        long id = account("long", "foreman");
        String words = "é".repeat(150);
        change(id, "long", "foreman", words, true);
        assertThat(new Visitor(() -> url).signIn("long", words).status("GET", "/api/holding", ""))
                .isEqualTo(200);
        assertThat(signInStatus("long", words + "x")).isEqualTo(401);
        assertThat(signInStatus("no such login", words)).isEqualTo(401);
    }

    @Test
    void guessingFromOneAddressNeitherShutsOutNorTellsWhoThereIs() throws Exception {
        account("guessed", "foreman");
        List<Integer> known = new ArrayList<>();
        List<Integer> unknown = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            known.add(signInStatus("guessed", "wrong word", "203.0.113.7"));
            unknown.add(signInStatus("nobody", "wrong word", "203.0.113.8"));
        }
        assertThat(known).isEqualTo(unknown).contains(429);
        assertThat(signInStatus("guessed", PASSWORD, "203.0.113.9"))
                .as("from elsewhere the right password still gets in")
                .isEqualTo(200);
    }

    @Test
    void behindAProxyCookiesAreSecureAndSentByNoOtherSite() throws Exception {
        HttpResponse<String> answer =
                new Visitor(() -> url).ask("GET", "/api/session", "", "X-Forwarded-Proto", "https");
        assertThat(answer.headers().allValues("set-cookie"))
                .isNotEmpty()
                .allSatisfy(cookie -> assertThat(cookie).contains("Secure").contains("SameSite=Strict"));
    }

    @Test
    void whoeverIsNotLetInLeavesNoTraceInTheTrail() throws Exception {
        int before = grower.json("/api/audit").size();
        Visitor stranger = new Visitor(() -> url);
        for (int i = 0; i < 5; i++) {
            stranger.status("POST", "/api/crew", "{}");
            stranger.status("DELETE", "/api/trees/1", "");
        }
        assertThat(grower.json("/api/audit")).hasSize(before);
    }

    @Test
    void refusalsCarryTheSecurityHeadersToo() throws Exception {
        HttpResponse<String> refused = new Visitor(() -> url).ask("GET", "/api/holding", "");
        assertThat(refused.statusCode()).isEqualTo(401);
        assertThat(refused.headers().firstValue("content-security-policy")).isPresent();
        assertThat(refused.headers().firstValue("x-content-type-options")).isPresent();
        HttpResponse<String> forbidden = grower.ask("POST", "/api/crew", "{}", "X-XSRF-TOKEN", "wrong");
        assertThat(forbidden.statusCode()).isEqualTo(403);
        assertThat(forbidden.headers().firstValue("content-security-policy")).isPresent();
    }

    @Test
    void anAccountWithoutARoleIsRefusedByField() throws Exception {
        HttpResponse<String> answer = grower.ask(
                "POST",
                "/api/accounts",
                "{\"name\":\"X\",\"account\":{\"login\":\"x\",\"password\":\"" + PASSWORD + "\"}}");
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body()).contains("account.role");
    }

    private static int signInStatus(String login, String password, String... from) throws Exception {
        Visitor visitor = new Visitor(() -> url);
        visitor.ask("GET", "/api/session", "");
        String[] headers = from.length == 0 ? new String[0] : new String[] {"X-Forwarded-For", from[0]};
        return visitor.ask(
                        "POST",
                        "/api/session",
                        "{\"login\":\"" + login + "\",\"password\":\"" + password + "\"}",
                        headers)
                .statusCode();
    }

    private static long account(String login, String role) throws Exception {
        HttpResponse<String> made = grower.ask(
                "POST",
                "/api/accounts",
                "{\"name\":\"" + login + "\",\"account\":" + entry(login, role, PASSWORD, true) + "}");
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return JSON.readTree(made.body()).get("personId").asLong();
    }

    private static void change(long id, String login, String role, String password, boolean active) throws Exception {
        HttpResponse<String> changed = grower.ask("PUT", "/api/accounts/" + id, entry(login, role, password, active));
        assertThat(changed.statusCode()).as(changed.body()).isEqualTo(200);
    }

    private static String entry(String login, String role, String password, boolean active) {
        return "{\"login\":\"" + login + "\",\"role\":\"" + role + "\",\"password\":\"" + password + "\",\"active\":"
                + active + "}";
    }
}
