package umbel.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.orchard.Block;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;

/** Plants the bushes, cane rows and vines of the demo, as {@code demo/counted-plants.json} tells them. */
@Component
class DemoCountedPlants {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int DAYS_AGO = 4;

    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final Clock clock;

    DemoCountedPlants(TreeRepository trees, SurveyRepository surveys, Clock clock) {
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
                ObjectNode survey = (ObjectNode) one.path("survey");
                survey.put("surveyedOn", day.toString());
                survey.putObject("site")
                        .put("latitude_deg", block.holding().latitudeDeg())
                        .put("elevation_m", block.holding().elevationM());
                surveys.save(SurveyEntry.counted(place, day, survey.toString(), clock.instant()));
            }
        }
    }

    private static JsonNode told() {
        try (InputStream in = DemoCountedPlants.class.getResourceAsStream("/demo/counted-plants.json")) {
            return JSON.readTree(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
