package umbel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** A block of a test's own, in a holding of its own, so that no other test meets it. */
public final class NewBlock {

    private NewBlock() {}

    /** Adds a block of one row with so many trees, and the holding it stands in; gives its id. */
    public static long add(RunningUmbel umbel, String name, String species, String system, int trees) {
        long holding = id(umbel.post(
                "/api/holdings",
                "{\"name\":\"" + name + " Farm\",\"latitudeDeg\":51,\"elevationM\":80,\"timeZone\":\"UTC\"}"));
        return id(umbel.post(
                "/api/blocks",
                "{\"holdingId\":" + holding + ",\"name\":\"" + name + "\",\"species\":\"" + species
                        + "\",\"system\":\"" + system + "\",\"stock\":\"dwarfing\",\"plantedYear\":2021,\"treeCount\":"
                        + trees + ",\"inRowM\":1,\"betweenRowsM\":3.5,\"rowBearingDeg\":0,\"eastM\":0,\"northM\":0,"
                        + "\"rows\":1,\"placesPerRow\":" + trees + "}"));
    }

    /** Places an apple spindle in its sixth leaf in such a block, surveyed on a day; gives its id. */
    public static long surveyedSpindle(RunningUmbel umbel, long block, int place, LocalDate day) {
        long tree = id(umbel.post("/api/trees", "{\"blockId\":" + block + ",\"row\":1,\"place\":" + place + "}"));
        String survey = SurveyReader.write(PracticeTree.survey("apple", "tall-spindle", 6, place))
                .replaceFirst("\"surveyedOn\" : \"[^\"]*\"", "\"surveyedOn\" : \"" + day + "\"");
        RunningUmbel.Answer saved = umbel.post("/api/trees/" + tree + "/surveys", survey);
        assertThat(saved.status()).as(saved.text()).isEqualTo(201);
        return tree;
    }

    private static long id(RunningUmbel.Answer added) {
        return added.json().at("/id").asLong();
    }
}
