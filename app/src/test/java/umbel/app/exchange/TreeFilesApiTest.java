package umbel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.SurveyCsv;

@ExtendWith(RunningUmbel.class)
class TreeFilesApiTest {

    private final RunningUmbel umbel;

    TreeFilesApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static Survey on(Survey survey, LocalDate day) {
        return new Survey(survey.format(), survey.tree(), survey.site(), day, survey.trunk(), survey.limbs());
    }

    private static Survey labelled(String label, long seed) {
        Survey made = PracticeTree.survey("central-leader", 9, seed);
        Survey.TreeFacts facts = made.tree();
        return new Survey(
                made.format(),
                new Survey.TreeFacts(
                        label,
                        facts.species(),
                        facts.leaf(),
                        facts.system(),
                        facts.cultivar(),
                        facts.rootstock(),
                        facts.spacing(),
                        facts.rowBearingDeg()),
                made.site(),
                LocalDate.now(),
                made.trunk(),
                made.limbs());
    }

    private RunningUmbel.Answer send(String path, String table) {
        return umbel.send("POST", path, table, "text/csv");
    }

    @Test
    void aTreeIsGivenAsTableDrawingAndSolid() {
        RunningUmbel.Answer table = umbel.get("/api/trees/1/survey.csv");
        assertThat(table.status()).isEqualTo(200);
        assertThat(table.type()).startsWith("text/csv");
        assertThat(SurveyCsv.read(table.text())).hasSize(1);
        assertThat(umbel.get("/api/trees/1/drawing.svg").text()).startsWith("<svg");
        assertThat(umbel.get("/api/trees/1/tree.gltf")
                        .json()
                        .at("/asset/version")
                        .asString())
                .isEqualTo("2.0");
        assertThat(umbel.get("/api/trees/99999/tree.gltf").status()).isEqualTo(404);
    }

    @Test
    void aTableIsPreviewedWrittenOnceAndPassedOverTheSecondTime() {
        String table = SurveyCsv.write(List.of(labelled("Kiln Field 7-1", 1), labelled("Kiln Field 7-2", 2)));
        long before = umbel.surveys();
        JsonNode preview = send("/api/blocks/1/surveys/preview", table).json();
        assertThat(preview.at("/written").asBoolean()).isFalse();
        assertThat(preview.at("/trees/0/outcome").asString()).isEqualTo("new-tree");
        assertThat(umbel.surveys()).isEqualTo(before);
        assertThat(send("/api/blocks/1/surveys", table).status()).isEqualTo(200);
        assertThat(umbel.surveys()).isEqualTo(before + 2);
        JsonNode again = send("/api/blocks/1/surveys", table).json();
        assertThat(again.at("/trees/1/outcome").asString()).isEqualTo("there-already");
        assertThat(umbel.surveys()).isEqualTo(before + 2);
    }

    @Test
    void oneFaultyRowRefusesTheWholeTableAndNamesIt() {
        long before = umbel.surveys();
        String table = SurveyCsv.write(List.of(labelled("Kiln Field 8-1", 1), labelled("the old one", 2)));
        RunningUmbel.Answer answer = send("/api/blocks/1/surveys", table);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("tree 2, label");
        Survey.LimbMeasure first = labelled("Kiln Field 8-1", 1).limbs().get(0);
        String where = ",%s,trunk,%s,%.0f,%.0f,".formatted(first.id(), first.role(), first.atCm(), first.bearingDeg());
        String whole = SurveyCsv.write(List.of(labelled("Kiln Field 8-1", 1)));
        assertThat(whole).contains(where);
        RunningUmbel.Answer turned =
                send("/api/blocks/1/surveys", whole.replace(where, where.replaceFirst("\\d+,$", "999,")));
        assertThat(turned.json().at("/errors/0/field").asString()).isEqualTo("line 2, bearing_deg");
        assertThat(umbel.surveys()).isEqualTo(before);
        assertThat(send("/api/blocks/4711/surveys", table).status()).isEqualTo(404);
    }

    @Test
    void severalSurveysOfOneTreeComeInOneTable() {
        Survey today = labelled("Kiln Field 7-5", 5);
        Survey lastYear = on(today, LocalDate.now().minusYears(1));
        String table = SurveyCsv.write(List.of(lastYear, today));
        assertThat(send("/api/blocks/1/surveys/preview", table).json().findValuesAsString("outcome"))
                .containsExactly("new-tree", "new-survey");
        assertThat(send("/api/blocks/1/surveys", table).json().findValuesAsString("outcome"))
                .containsExactly("new-tree", "new-survey");
        String more =
                SurveyCsv.write(List.of(lastYear, on(today, LocalDate.now().minusYears(2))));
        assertThat(send("/api/blocks/1/surveys", more).json().findValuesAsString("outcome"))
                .containsExactly("there-already", "new-survey");
        String twice = SurveyCsv.write(List.of(today, labelled("Kiln Field 07-05", 6)));
        assertThat(send("/api/blocks/1/surveys", twice)
                        .json()
                        .at("/errors/0/field")
                        .asString())
                .isEqualTo("tree 2, label");
    }

    @Test
    void aBlockIsGivenAsOneTableThatIsThereAlready() {
        long block = NewBlock.add(umbel, "Table Field", "apple", "central-leader", 300);
        String table = SurveyCsv.write(IntStream.rangeClosed(1, 250)
                .mapToObj(place -> labelled("Table Field 1-" + place, place))
                .toList());
        assertThat(send("/api/blocks/" + block + "/surveys", table).status()).isEqualTo(200);
        RunningUmbel.Answer given = umbel.get("/api/blocks/" + block + "/surveys.csv");
        assertThat(given.type()).startsWith("text/csv");
        assertThat(given.text()).isEqualTo(table);
        assertThat(send("/api/blocks/" + block + "/surveys", given.text())
                        .json()
                        .findValuesAsString("outcome"))
                .hasSize(250)
                .containsOnly("there-already");
    }
}
