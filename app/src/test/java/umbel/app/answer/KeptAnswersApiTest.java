package umbel.app.answer;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.plan.AnswersAhead;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;

/** A tree's page and its plans are given again as they were kept; what is kept is changed here, to be known again. */
@ExtendWith(RunningUmbel.class)
class KeptAnswersApiTest {

    private static final long MOST_WAIT_S = 20;

    /** One for readers of English and metric units, by survey and kind. */
    private static final String ONE = "survey_id = ? and kind = ? and language = 'en' and units = 'METRIC'";

    private final RunningUmbel umbel;
    private final JdbcTemplate database;

    KeptAnswersApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
        this.database = umbel.part(JdbcTemplate.class);
    }

    private long surveyOf(long tree) {
        return database.queryForObject("select max(id) from survey where tree_id = ?", Long.class, tree);
    }

    private List<String> kinds(long survey) {
        return database.queryForList(
                "select kind from kept_answer where survey_id = ? and language = 'en' and units = 'METRIC' order by kind",
                String.class,
                survey);
    }

    private void awaitKept(long survey, String... kinds) throws InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(MOST_WAIT_S);
        while (!kinds(survey).containsAll(List.of(kinds)) && System.nanoTime() < end) {
            TimeUnit.MILLISECONDS.sleep(50);
        }
        assertThat(kinds(survey)).contains(kinds);
    }

    /** Writes something else into an answer that is kept. */
    private void change(long survey, String kind, String pattern, String to) throws IOException {
        String document =
                database.queryForObject("select document from kept_answer where " + ONE, String.class, survey, kind);
        String json = new String(
                new GZIPInputStream(new ByteArrayInputStream(Base64.getDecoder().decode(document))).readAllBytes(),
                StandardCharsets.UTF_8);
        String changed = json.replaceFirst(pattern, to);
        assertThat(changed).isNotEqualTo(json);
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(changed.getBytes(StandardCharsets.UTF_8));
        }
        database.update(
                "update kept_answer set document = ? where " + ONE,
                Base64.getEncoder().encodeToString(packed.toByteArray()),
                survey,
                kind);
    }

    private double top(long tree) {
        return umbel.get("/api/trees/" + tree).json().at("/drawing/top").asDouble();
    }

    private String firstPlan(long tree, String decisions) {
        return umbel.post("/api/trees/" + tree + "/plans/first", decisions)
                .json()
                .at("/plan/name")
                .asString();
    }

    @Test
    void aPageIsGivenAgainUntilMoreIsKnownOfItsBlock() throws Exception {
        long block = NewBlock.add(umbel, "Kept Row", "apple", "tall-spindle", 10);
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, LocalDate.now().minusDays(60));
        double top = top(tree);
        long survey = surveyOf(tree);
        awaitKept(survey, "PAGE");
        change(survey, "PAGE", "\"top\":[0-9.]+", "\"top\":77.5");
        assertThat(top(tree)).as("as it was kept").isEqualTo(77.5);
        assertThat(umbel.send("GET", "/api/trees/" + tree, "", "application/json", "es", "metric")
                        .json()
                        .at("/drawing/top")
                        .asDouble())
                .as("for a reader of another language")
                .isEqualTo(top);

        assertThat(umbel.send(
                                "PUT",
                                "/api/trees/" + tree + "/work",
                                "{\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"2\"}]},\"version\":-1}",
                                "application/json")
                        .status())
                .isEqualTo(200);
        assertThat(umbel.get("/api/trees/" + tree)
                        .json()
                        .at("/decisions/marks/0/limb")
                        .asString())
                .as("what is decided is always told as it is now")
                .isEqualTo("2");
        assertThat(top(tree)).as("marks change nothing of what is kept").isEqualTo(77.5);

        NewBlock.surveyedSpindle(umbel, block, 2, LocalDate.now().minusDays(10));
        assertThat(top(tree)).as("another tree of its block was surveyed").isEqualTo(top);
    }

    @Test
    void aPlanIsGivenAgainForTheSameDecisions() throws Exception {
        long block = NewBlock.add(umbel, "Planned Row", "apple", "tall-spindle", 10);
        long tree = NewBlock.surveyedSpindle(umbel, block, 3, LocalDate.now().minusDays(60));
        String none = "{\"marks\":[]}";
        String name = firstPlan(tree, none);
        long survey = surveyOf(tree);
        awaitKept(survey, "FIRST_PLAN");
        change(survey, "FIRST_PLAN", "\"name\":\"[^\"]*\"", "\"name\":\"kept before\"");
        assertThat(firstPlan(tree, none)).isEqualTo("kept before");
        assertThat(firstPlan(tree, "{\"goals\":{\"light\":2}}"))
                .as("other wishes")
                .isEqualTo(name);
    }

    @Test
    void whatIsWorkedOutAheadIsWhatThePageAsksFor() throws Exception {
        long block = NewBlock.add(umbel, "Ahead Row", "apple", "tall-spindle", 10);
        long tree = NewBlock.surveyedSpindle(umbel, block, 4, LocalDate.now().minusDays(60));
        long survey = surveyOf(tree);
        assertThat(kinds(survey)).isEmpty();
        FarmScope.run(umbel.part(Farms.class).numberOfFirst(), () -> {
            SurveyEntry entry = umbel.part(SurveyRepository.class)
                    .findWithTrees(List.of(survey))
                    .get(0);
            umbel.part(AnswersAhead.class).of(entry);
        });
        awaitKept(survey, "PAGE", "FIRST_PLAN");
        change(survey, "PAGE", "\"top\":[0-9.]+", "\"top\":77.5");
        change(survey, "FIRST_PLAN", "\"name\":\"[^\"]*\"", "\"name\":\"kept before\"");
        // as the interface asks: with the decisions that came with the page
        var page = umbel.get("/api/trees/" + tree).json();
        assertThat(page.at("/drawing/top").asDouble()).isEqualTo(77.5);
        assertThat(firstPlan(tree, page.at("/decisions").toString())).isEqualTo("kept before");
    }

    /** As many are withdrawn as before, but another one. */
    @Test
    void whichSurveysCountIsAnotherStateOfTheirBlock() {
        long block = NewBlock.add(umbel, "Withdrawn Row", "apple", "tall-spindle", 10);
        NewBlock.surveyedSpindle(umbel, block, 5, LocalDate.now().minusDays(60));
        long second = surveyOf(
                NewBlock.surveyedSpindle(umbel, block, 6, LocalDate.now().minusDays(60)));
        long third = surveyOf(
                NewBlock.surveyedSpindle(umbel, block, 7, LocalDate.now().minusDays(60)));
        String all = state(block);
        withdraw(second, true);
        String withoutSecond = state(block);
        withdraw(second, false);
        assertThat(state(block)).isEqualTo(all);
        withdraw(third, true);
        assertThat(state(block)).isNotEqualTo(all).isNotEqualTo(withoutSecond);
    }

    private void withdraw(long survey, boolean withdrawn) {
        assertThat(umbel.send(
                                "PUT",
                                "/api/surveys/" + survey + "/withdrawal",
                                "{\"withdrawn\":" + withdrawn + "}",
                                "application/json")
                        .status())
                .isEqualTo(200);
    }

    private String state(long block) {
        return FarmScope.in(
                umbel.part(Farms.class).numberOfFirst(),
                () -> umbel.part(BlockState.class).of(block));
    }
}
