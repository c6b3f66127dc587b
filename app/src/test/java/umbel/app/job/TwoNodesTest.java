package umbel.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import umbel.app.OwnProcess;
import umbel.app.database.DataMove.Address;
import umbel.app.database.Postgres;
import umbel.app.people.Visitor;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** Two nodes on one database: who is signed in at one is at the other, and what one was at when it was killed the other finishes. */
@EnabledIfEnvironmentVariable(named = Postgres.VARIABLE, matches = ".+")
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class TwoNodesTest {

    private static final int TREES = 500;
    private static final int KILLED_AFTER = 60;
    private static final Duration PATIENCE = Duration.ofMinutes(6);
    private static final String PASSWORD = "a long pass phrase";

    @TempDir
    static Path folder;

    private static Address database;
    private static OwnProcess first;
    private static OwnProcess second;
    private static final AtomicReference<OwnProcess> ASKED = new AtomicReference<>();
    private static Visitor grower;

    @BeforeAll
    static void twoNodes() throws Exception {
        database = Postgres.fresh("nodes");
        Map<String, String> settings = Map.of(
                "UMBEL_DATABASE", database.url(), "UMBEL_DATABASE_USER", database.user(), "UMBEL_JOB_THREADS", "1");
        first = OwnProcess.start(folder, settings);
        second = OwnProcess.start(folder, settings);
        ASKED.set(first);
        grower = new Visitor(() -> ASKED.get().url());
        grower.ask("GET", "/api/session", "");
        grower.ask(
                "POST",
                "/api/session/first",
                "{\"name\":\"Grower\",\"login\":\"grower\",\"password\":\"" + PASSWORD + "\"}");
        grower.ask("GET", "/api/session", "");
    }

    @AfterAll
    static void end() throws Exception {
        first.kill();
        second.kill();
    }

    @Test
    @Order(1)
    void whoIsSignedInAtOneNodeIsAtTheOther() throws Exception {
        ASKED.set(second);
        assertThat(grower.json("/api/session").path("login").asString()).isEqualTo("grower");
        assertThat(grower.status("GET", "/api/holding", "")).isEqualTo(200);
        ASKED.set(first);
    }

    @Test
    @Order(2)
    void wrongPasswordsAreCountedByBothTogether() throws Exception {
        String wrong = "{\"login\":\"guessed\",\"password\":\"one of many\"}";
        AtomicReference<OwnProcess> at = new AtomicReference<>();
        Visitor guesser = new Visitor(() -> at.get().url());
        for (int i = 0; i < 5; i++) {
            at.set(i % 2 == 0 ? first : second);
            guesser.ask("GET", "/api/session", "");
            assertThat(guesser.status("POST", "/api/session", wrong)).isEqualTo(401);
        }
        at.set(second);
        assertThat(guesser.status("POST", "/api/session", wrong)).isEqualTo(429);
    }

    @Test
    @Order(3)
    void aNodeIsKilledInTheMiddleOfAJobAndEveryTreeIsDoneOnce() throws Exception {
        long block = blockOfTrees();
        long job = Visitor.read(grower.ask("POST", "/api/blocks/" + block + "/reading", "{}")
                        .body())
                .path("job")
                .asLong();
        await(job, KILLED_AFTER);
        // the second looks for work every three seconds, in which the first may do as many as that
        int atIt = atIt();
        for (int i = 0; i < 50 && atIt < 2; i++) {
            Thread.sleep(100);
            atIt = atIt();
        }
        first.kill();
        ASKED.set(second);
        int before = number("select count(*) from job_part where state = 'done'");
        assertThat(before).as("it was killed in the middle").isBetween(KILLED_AFTER, TREES - 1);
        assertThat(atIt).as("both were at it").isEqualTo(2);
        JsonNode done = await(job, TREES);
        assertThat(done.path("state").asString()).isEqualTo("done");
        assertThat(done.path("done").asInt()).isEqualTo(TREES);
        assertThat(done.at("/result/trees").asInt()).isEqualTo(TREES);
        assertThat(number("select count(*) from job_part where state = 'done'")).isEqualTo(TREES);
        assertThat(number("select count(distinct tree_id) from job_part where result is not null"))
                .isEqualTo(TREES);
        assertThat(number("select count(*) from job_part where state <> 'done'"))
                .isZero();
        assertThat(number("select count(*) from scheduled_tasks where task_name = 'job-lane'"))
                .as("nothing is left in the queue")
                .isZero();
    }

    /** How many nodes have done something. */
    private static int atIt() throws Exception {
        return number("select count(distinct done_by) from job_part where done_by is not null");
    }

    /** Waits until so many trees are done. */
    private static JsonNode await(long job, int trees) throws Exception {
        Instant until = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(until)) {
            JsonNode progress = grower.json("/api/readings/" + job);
            boolean whole = trees < TREES || !progress.path("state").asString().equals("running");
            if (progress.path("done").asInt() >= trees && whole) {
                return progress;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("not " + trees + " trees in " + PATIENCE);
    }

    /** A block in which five hundred trees were surveyed. */
    private static long blockOfTrees() throws Exception {
        long holding =
                id("/api/holdings", "{\"name\":\"Farm\",\"latitudeDeg\":51,\"elevationM\":80,\"timeZone\":\"UTC\"}");
        long block = id(
                "/api/blocks",
                "{\"holdingId\":" + holding + ",\"name\":\"Many\",\"species\":\"apple\",\"system\":\"tall-spindle\","
                        + "\"stock\":\"dwarfing\",\"plantedYear\":2021,\"treeCount\":" + TREES
                        + ",\"inRowM\":1,\"betweenRowsM\":3.5,\"rowBearingDeg\":0,\"eastM\":0,\"northM\":0,\"rows\":1,"
                        + "\"placesPerRow\":" + TREES + "}");
        try (Connection connection = open();
                PreparedStatement trees = connection.prepareStatement(
                        "insert into tree (block_id, label, row_no, place_no, farm_id) select ?, 'Many 1-' || n, 1, n, 1"
                                + " from generate_series(1, " + TREES + ") n");
                PreparedStatement surveys = connection.prepareStatement(
                        "insert into survey (tree_id, surveyed_on, document, saved_at, farm_id)"
                                + " select id, date '2026-01-15', ?, current_timestamp, 1 from tree where block_id = ?")) {
            trees.setLong(1, block);
            trees.executeUpdate();
            surveys.setString(1, SurveyReader.write(PracticeTree.survey("apple", "tall-spindle", 6, 1)));
            surveys.setLong(2, block);
            surveys.executeUpdate();
        }
        return block;
    }

    private static long id(String path, String body) throws Exception {
        return Visitor.read(grower.ask("POST", path, body).body()).path("id").asLong();
    }

    private static int number(String question) throws SQLException {
        try (Connection connection = open();
                Statement ask = connection.createStatement();
                ResultSet row = ask.executeQuery(question)) {
            row.next();
            return row.getInt(1);
        }
    }

    private static Connection open() throws SQLException {
        return DriverManager.getConnection(database.url(), database.user(), database.password());
    }
}
