package umbel.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.format.FieldError;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;

class SurveyCsvTest {

    private static final String SMALL = """
            species,leaf,trunk_diameter_mm,trunk_height_cm,id,parent,at_cm,bearing_deg,angle_deg,diameter_mm,length_cm,shoots,spurs,condition
            apple,4,48,295,1,trunk,70,15,62,18,95,pencil/side:4x30;strong/up:2,12,sound
            ,,,,2,trunk,90,160,70,16,80,,,dead;broken
            pear,9,90,240,a,trunk,60,10,90,30,150,,,
            """;

    @Test
    void aTableOfTwoTreesIsRead() {
        List<Survey> trees = SurveyCsv.read(SMALL);
        assertThat(trees).hasSize(2);
        Survey.LimbMeasure first = trees.get(0).limbs().get(0);
        assertThat(first.wood().shoots())
                .containsExactly(
                        new Survey.ShootCount("pencil", "side", 4, 30.0),
                        new Survey.ShootCount("strong", "up", 2, null));
        assertThat(first.wood().spurs().count()).isEqualTo(12);
        assertThat(trees.get(0).limbs().get(1).condition()).containsExactly("dead", "broken");
        assertThat(trees.get(1).tree().species()).isEqualTo("pear");
        assertThat(trees.get(1).limbs()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "tall-spindle", "open-centre", "espalier", "slender-axe"})
    void whatIsWrittenIsReadBack(String system) {
        List<Survey> trees = List.of(
                PracticeTree.survey(system, 6, 1),
                PracticeTree.survey(system, 9, 2, Fault.DEAD_LIMB, Fault.SUCKERS, Fault.WATER_SPROUTS));
        List<Survey> back = SurveyCsv.read(SurveyCsv.write(trees));
        for (int i = 0; i < trees.size(); i++) {
            assertThat(back.get(i).limbs()).isEqualTo(trees.get(i).limbs());
            assertThat(back.get(i).trunk()).isEqualTo(trees.get(i).trunk());
            assertThat(back.get(i).site()).isEqualTo(trees.get(i).site());
            assertThat(back.get(i).tree().spacing())
                    .isEqualTo(trees.get(i).tree().spacing());
        }
        assertThat(SurveyCsv.write(back)).isEqualTo(SurveyCsv.write(trees));
    }

    @Test
    void aTreeWithoutLimbsKeepsItsRow() {
        Survey stump = Surveys.apple().survey();
        List<Survey> back = SurveyCsv.read(SurveyCsv.write(List.of(stump)));
        assertThat(back).hasSize(1);
        assertThat(back.get(0).limbs()).isEmpty();
        assertThat(back.get(0).trunk()).isEqualTo(stump.trunk());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "15,62,18 | 15,steep,18 | line 2, angle_deg | not a number",
                "15,62,18 | 415,62,18 | line 2, bearing_deg | at most 360",
                "pencil/side:4x30 | pencils:4 | line 2, shoots | Must be one of",
                "pencil/side:4x30 | four pencils | line 2, shoots | not written",
                "2,trunk,90 | 2,7,90 | line 3, parent | no limb 7",
                "pear,9 | ,9 | line 4, id | Another limb is already called",
                "apple,4 | ,4 | line 2, species | must have a value in species",
                "spurs,condition | spurs,mood | line 1 | no column “mood”",
                "id,parent | id,mother | line 1 | “parent” is missing"
            })
    void theFaultyCellIsNamed(String good, String bad, String where, String why) {
        String text = SMALL.replaceFirst("\na,|,a,trunk", bad.equals(",9") ? ",1,trunk" : ",a,trunk")
                .replace(good, bad);
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> SurveyCsv.read(text));
        assertThat(refused).isNotNull();
        assertThat(refused.errors())
                .as("%s", refused.errors())
                .anyMatch(
                        error -> error.field().equals(where) && error.toString().contains(why));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "species", "\"open", "\u0000\u0001", "{\"format\":\"umbel-survey/1\"}"})
    void whatIsNoTableIsRefusedInWords(String text) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> SurveyCsv.read(text));
        assertThat(refused).isNotNull();
        assertThat(refused.errors())
                .isNotEmpty()
                .extracting(FieldError::toString)
                .noneMatch(String::isBlank);
    }

    @Test
    void aTableOfAnotherCountryIsReadTheSame() {
        List<Survey> plain = SurveyCsv.read("species,trunk_diameter_mm,trunk_height_cm,id,parent,at_cm,bearing_deg,"
                + "angle_deg,diameter_mm,length_cm,shoots\n"
                + "apple,48.5,295,1,trunk,70,15,62,18.25,95,pencil/side:4x30.5;strong/up:1\n");
        String semicolons = "\uFEFFspecies;trunk_diameter_mm;trunk_height_cm;id;parent;at_cm;bearing_deg;"
                + "angle_deg;diameter_mm;length_cm;shoots\r\n"
                + "apple;48,5;295;1;trunk;70;15;62;18,25;95;pencil/side:4x30,5|strong/up:1\r\n";
        assertThat(SurveyCsv.read(semicolons)).isEqualTo(plain);
        assertThat(SurveyCsv.read(semicolons.replace(';', '\t'))).isEqualTo(plain);
    }

    @Test
    void columnsOfOtherNamesAreReadWhereItIsToldWhatTheyHold() {
        String table =
                "Art,Stamm mm,trunk_height_cm,id,parent,at_cm,bearing_deg,angle_deg,diameter_mm,length_cm,Wetter\n"
                        + "apple,48,295,1,trunk,70,15,62,18,95,sunny\n";
        assertThat(new TableText(table).heading()).contains("Art", "Stamm mm", "Wetter");
        Survey read = SurveyCsv.read(table, Map.of("Art", "species", "Stamm mm", "trunk_diameter_mm", "Wetter", ""))
                .get(0);
        assertThat(read.trunk().diameterMm()).isEqualTo(48);
        assertThatThrownBy(() -> SurveyCsv.read(table)).isInstanceOf(InvalidSurvey.class);
    }

    @Test
    void aNoteThatLooksLikeAFormulaIsWrittenAsTextAndComesBack() {
        String table =
                "species,trunk_diameter_mm,trunk_height_cm,id,parent,at_cm,bearing_deg,angle_deg,diameter_mm,length_cm,note\n"
                        + "apple,48,295,1,trunk,70,15,62,18,95,\"=HYPERLINK(\"\"x\"\")\"\n";
        List<Survey> read = SurveyCsv.read(table);
        String written = SurveyCsv.write(read);
        assertThat(written).contains("'=HYPERLINK");
        assertThat(SurveyCsv.read(written)).isEqualTo(read);
    }

    @Test
    void treesAreHandedOverOneByOneAsTheirRowsEnd() {
        List<String> handedOver = new ArrayList<>();
        assertThatThrownBy(() -> SurveyCsv.read(
                        SMALL + "quince,9,90,240,a,trunk,60,10,90,30,150,,,\nplum,\"never ended",
                        Map.of(),
                        tree -> handedOver.add(tree.tree().species())))
                .isInstanceOf(InvalidSurvey.class);
        assertThat(handedOver).as("the third was not told to have ended").containsExactly("apple", "pear");
    }

    @Test
    void treesAreTakenOneByOneAsTheyAreWritten() throws IOException {
        StringBuilder out = new StringBuilder();
        List<Integer> writtenBefore = new ArrayList<>();
        SurveyCsv.write(
                IntStream.range(0, 50).mapToObj(seed -> {
                    writtenBefore.add(out.length());
                    return PracticeTree.survey("tall-spindle", 6, seed);
                }),
                out);
        assertThat(writtenBefore).hasSize(50).doesNotHaveDuplicates().isSorted();
        assertThat(SurveyCsv.read(out.toString())).hasSize(50);
    }

    @Test
    void someHundredFaultsAreEnough() {
        String rows = "apple,48,295,1,trunk,70,999,62,18,95\n".repeat(1_000);
        InvalidSurvey refused = catchThrowableOfType(
                InvalidSurvey.class,
                () -> SurveyCsv.read(
                        "species,trunk_diameter_mm,trunk_height_cm,id,parent,at_cm,bearing_deg,angle_deg,diameter_mm,length_cm\n"
                                + rows));
        assertThat(refused.errors()).hasSize(100);
        assertThat(refused.errors().get(99).field()).isEqualTo("line 101, bearing_deg");
    }
}
