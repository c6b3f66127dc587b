package umbel.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import umbel.app.UmbelApplication;
import umbel.app.people.Visitor;

/** Two people with accounts at the demo's trees: an adviser suggests, the grower decides; and a session that ends mid-work. */
class SuggestionsInBrowserTest {

    @RegisterExtension
    static final Browser BROWSER = new Browser();

    private static final String GROWER = "nine windfalls";
    private static final String ADVISER = "seven ladders";

    @TempDir
    private static Path data;

    private static ConfigurableApplicationContext umbel;
    private static String url;
    private static Visitor grower;

    @BeforeAll
    static void start() throws Exception {
        UmbelApplication.run(
                        "--server.port=0",
                        "--umbel.demo=true",
                        "--umbel.prepare-after=-1s",
                        "--server.shutdown=immediate",
                        "--UMBEL_DATA=" + data)
                .close(); // writes the demo's trees
        umbel = UmbelApplication.run("--server.port=0", "--server.shutdown=immediate", "--UMBEL_DATA=" + data);
        url = "http://127.0.0.1:"
                + ((WebServerApplicationContext) umbel).getWebServer().getPort();
        grower = new Visitor(() -> url);
        grower.ask("GET", "/api/session", "");
        assertThat(grower.status(
                        "POST",
                        "/api/session/first",
                        "{\"name\":\"Mara\",\"login\":\"mara\",\"password\":\"" + GROWER + "\"}"))
                .isEqualTo(201);
        grower.signIn("mara", GROWER);
        assertThat(grower.status(
                        "POST",
                        "/api/accounts",
                        "{\"name\":\"Iven\",\"account\":{\"login\":\"iven\",\"role\":\"adviser\",\"password\":\""
                                + ADVISER + "\",\"active\":true}}"))
                .isEqualTo(201);
    }

    @AfterAll
    static void stop() {
        umbel.close();
    }

    private static void signIn(String login, String password) {
        BROWSER.driver().manage().deleteAllCookies();
        BROWSER.open(url);
        BROWSER.type(BROWSER.field("Login"), login);
        BROWSER.type(BROWSER.field("Password"), password);
        BROWSER.find(By.cssSelector("button[type=submit]")).click();
        BROWSER.sees("More");
    }

    private static int marksOf(long tree) {
        try {
            return grower.json("/api/trees/" + tree).at("/decisions/marks").size();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void anAdviserSuggestsAndTheGrowerAccepts() {
        signIn("iven", ADVISER);
        BROWSER.open(url + "/trees/6");
        BROWSER.sees("What you mark is a suggestion");
        assertThat(BROWSER.bodyText()).doesNotContain("Record it");
        BROWSER.sees("Nothing marked yet");
        BROWSER.keys("n", "n", "x");
        BROWSER.sees("1 step marked");
        BROWSER.sees("Saved");
        assertThat(marksOf(6)).as("a suggestion is no mark").isZero();
        signIn("mara", GROWER);
        BROWSER.open(url + "/trees/6");
        BROWSER.sees("Iven suggests");
        BROWSER.button("Accept").click();
        BROWSER.sees("1 step marked");
        BROWSER.seesNo("Iven suggests");
        BROWSER.waiting().until(d -> marksOf(6) == 1);
    }

    @Test
    void whatAnAdviserMarksOnABushIsASuggestionToo() throws Exception {
        long bush = counted();
        signIn("iven", ADVISER);
        BROWSER.open(url + "/plants/" + bush);
        BROWSER.sees("What you mark is a suggestion");
        BROWSER.button("Take all").click();
        BROWSER.sees("Saved");
        assertThat(grower.json("/api/plants/" + bush).at("/decisions/marks")).isEmpty();
        signIn("mara", GROWER);
        BROWSER.open(url + "/plants/" + bush);
        BROWSER.sees("Iven suggests");
        BROWSER.button("Accept").click();
        BROWSER.seesNo("Iven suggests");
        BROWSER.waiting().until(d -> plantMarks(bush) > 0);
    }

    private static long counted() throws Exception {
        for (JsonNode tree : grower.json("/api/holding").at("/trees")) {
            if (tree.at("/counted").asBoolean()) {
                return tree.at("/id").asLong();
            }
        }
        throw new AssertionError("the demo has counted plants");
    }

    private static int plantMarks(long plant) {
        try {
            return grower.json("/api/plants/" + plant).at("/decisions/marks").size();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void marksMadeAfterTheSessionEndedAreThereAfterSigningIn() {
        signIn("mara", GROWER);
        BROWSER.open(url + "/trees/7");
        BROWSER.sees("Nothing marked yet");
        BROWSER.sees("Recommended");
        BROWSER.keys("n", "n");
        BROWSER.sees("What could be done");
        BROWSER.seesNo("Trying each cut");
        BROWSER.driver().manage().deleteAllCookies();
        BROWSER.keys("x");
        BROWSER.sees("Password");
        assertThat(marksOf(7)).isZero();
        signIn("mara", GROWER);
        BROWSER.open(url + "/trees/7");
        BROWSER.sees("1 step marked");
        BROWSER.waiting().until(d -> marksOf(7) == 1);
    }
}
