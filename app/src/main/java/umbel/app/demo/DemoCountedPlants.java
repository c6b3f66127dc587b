package umbel.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.app.visit.VisitEntry;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.plant.CountedPlant;
import umbel.text.UnitSystem;

/** Plants the bushes, cane rows and vines of the demo, with their earlier years, as {@code demo/counted-plants.json} tells them. */
@Component
class DemoCountedPlants {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int DAYS_AGO = 4;
    private static final int DAYS_TO_WORK = 3;

    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final RecordRepository records;
    private final TreeReadings readings;
    private final Clock clock;

    DemoCountedPlants(
            TreeRepository trees,
            SurveyRepository surveys,
            RecordRepository records,
            TreeReadings readings,
            Clock clock) {
        this.records = records;
        this.readings = readings;
        this.trees = trees;
        this.surveys = surveys;
        this.clock = clock;
    }

    /** Plants and surveys what stands in a block. */
    void plant(Block block) {
        LocalDate day = LocalDate.now(clock).minusDays(DAYS_AGO);
        for (JsonNode one : told()) {
            if (one.path("block").asString().equals(block.name())) {
                OrchardTree place = trees.save(new OrchardTree(
                        block, one.path("row").asInt(), one.path("place").asInt()));
                for (JsonNode year : one.path("earlier")) {
                    SurveyEntry then = survey(
                            place,
                            (ObjectNode) year.path("survey"),
                            day.minusYears(year.path("yearsAgo").asInt()));
                    visited(then, year);
                }
                survey(place, (ObjectNode) one.path("survey"), day);
            }
        }
    }

    private SurveyEntry survey(OrchardTree place, ObjectNode survey, LocalDate day) {
        survey.put("surveyedOn", day.toString());
        survey.putObject("site")
                .put("latitude_deg", place.block().holding().latitudeDeg())
                .put("elevation_m", place.block().holding().elevationM());
        return surveys.save(SurveyEntry.counted(place, day, survey.toString(), clock.instant()));
    }

    /** What was done some days after a count of an earlier year. */
    private void visited(SurveyEntry survey, JsonNode year) {
        CountedPlant plant = readings.counted(survey);
        List<Mark> marks = new ArrayList<>();
        year.path("steps").forEach(step -> marks.add(JSON.convertValue(step, Mark.class)));
        List<VisitEntry.DoneStep> steps = marks.stream()
                .map(mark -> new VisitEntry.DoneStep(
                        mark,
                        plant.title(mark, CrewText.in("en", UnitSystem.METRIC)),
                        StepOutcome.AS_PLANNED.word(),
                        ""))
                .toList();
        records.save(new WorkRecord(
                        survey.tree(),
                        survey.line(),
                        null,
                        survey.surveyedOn().plusDays(DAYS_TO_WORK),
                        year.path("who").asString(),
                        year.path("minutes").asDouble(),
                        year.path("note").asString(),
                        JSON.writeValueAsString(steps),
                        clock.instant())
                .worked(true));
    }

    private static JsonNode told() {
        try (InputStream in = DemoCountedPlants.class.getResourceAsStream("/demo/counted-plants.json")) {
            return JSON.readTree(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
