package umbel.aftercare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.aftercare.AfterTask.Kind;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.plant.SurveyedTree;
import umbel.reading.Neighbours;
import umbel.survey.SurveyReader;
import umbel.text.Speech;

/** A free-standing apple with two scaffolds over each other, the upper one wide and dense, and one thin limb. */
class AftercareTest {

    private static final String TREE = """
            {"format": "umbel-survey/1", "surveyedOn": "2027-01-20",
             "tree": {"species": "apple", "system": "central-leader", "leaf": 14,
               "spacing_m": {"inRow": 5, "betweenRows": 6}},
             "site": {"latitude_deg": 47},
             "trunk": {"diameter_mm": 130, "height_cm": 360},
             "limbs": [
               {"id": "1", "parent": "trunk", "at_cm": 90, "bearing_deg": 180, "angle_deg": 70,
                "diameter_mm": 60, "length_cm": 240},
               {"id": "2", "parent": "trunk", "at_cm": 150, "bearing_deg": 180, "angle_deg": 70,
                "diameter_mm": 75, "length_cm": 260},
               {"id": "3", "parent": "trunk", "at_cm": 160, "bearing_deg": 185, "angle_deg": 75,
                "diameter_mm": 70, "length_cm": 260},
               {"id": "4", "parent": "trunk", "at_cm": 210, "bearing_deg": 20, "angle_deg": 65,
                "diameter_mm": 18, "length_cm": 90%s}]}
            """;

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    private static SurveyedTree tree(String survey, Map<String, Object> lines) {
        AssessRequest request =
                new AssessRequest(SurveyReader.read(survey), null, null, null, null, null, null, null, lines, null);
        return SurveyedTree.read(new Assessor(KNOWLEDGE), request, Neighbours.NONE);
    }

    private static SurveyedTree sound() {
        return tree(TREE.formatted(""), Map.of());
    }

    private static SurveyedTree withDisease(String disease) {
        return tree(TREE.formatted(", \"condition\": [\"diseased\"], \"disease\": \"" + disease + "\""), Map.of());
    }

    private static List<Mark> off(String... limbs) {
        return List.of(limbs).stream()
                .map(limb -> Mark.of(Operation.remove(Target.limb(limb))))
                .toList();
    }

    private static List<Kind> kinds(List<AfterTask> tasks) {
        return tasks.stream().map(AfterTask::kind).toList();
    }

    private static String said(List<AfterTask> tasks, Kind kind) {
        return tasks.stream()
                .filter(task -> task.kind() == kind)
                .map(task -> Speech.english().say(task.what()))
                .findFirst()
                .orElse("");
    }

    @Test
    void nothingIsToDoWhereNothingIsCut() {
        assertThat(sound().afterwards(List.of())).isEmpty();
        Mark bend = Mark.of(Operation.bend(Target.limb("4"), Math.toRadians(80)));
        assertThat(sound().afterwards(List.of(bend))).isEmpty();
    }

    @Test
    void aThinLimbLeavesNoWoundToTellOf() {
        List<AfterTask> tasks = sound().afterwards(off("4"));
        assertThat(kinds(tasks)).containsExactly(Kind.TOOLS, Kind.PRUNINGS);
        assertThat(said(tasks, Kind.TOOLS)).contains("end of the block");
        assertThat(said(tasks, Kind.PRUNINGS)).contains("chop them in the row");
    }

    @Test
    void aLargeWoundStaysOpenUnlessTheSchoolOrADiseaseAsksForADressing() {
        assertThat(said(sound().afterwards(off("2")), Kind.WOUNDS))
                .isEqualTo("Leave the wound of 75 mm open, cut clean at the collar: it closes by itself.");
        assertThat(said(sound().afterwards(off("2", "3")), Kind.WOUNDS))
                .startsWith("Leave the 2 wounds over 30 mm open")
                .endsWith("The thickest is 75 mm.");
        assertThat(said(tree(TREE.formatted(""), Map.of("dressWounds", true)).afterwards(off("2")), Kind.WOUNDS))
                .contains("Dress the wound")
                .doesNotContain("disease");
        assertThat(said(withDisease("canker").afterwards(off("2")), Kind.WOUNDS))
                .contains("Dress the wound")
                .contains("disease enters");
        assertThat(said(withDisease("fire blight").afterwards(off("2")), Kind.WOUNDS))
                .contains("Leave the wound");
    }

    /** The limb below two dense ones stands in their shade; without them its bark is bared, on the side of the sun. */
    @Test
    void barkThatTheCutsBaredIsPaintedOnTheSunnySide() {
        List<AfterTask> tasks = sound().afterwards(off("2", "3"));
        assertThat(said(tasks, Kind.BARK))
                .isEqualTo("Paint limb 1 pale on the south side and on top: these cuts bared the bark to the sun.");
        SurveyedTree south =
                tree(TREE.formatted("").replace("\"latitude_deg\": 47", "\"latitude_deg\": -47"), Map.of());
        assertThat(said(south.afterwards(off("2", "3")), Kind.BARK)).contains("north side");
        SurveyedTree unpainted = tree(TREE.formatted(""), Map.of("paintBared", false));
        assertThat(said(unpainted.afterwards(off("2", "3")), Kind.BARK)).startsWith("Leave some twigs over limb 1");
    }

    @Test
    void aLimbAboveTheCutsIsNotBared() {
        assertThat(said(sound().afterwards(off("1")), Kind.BARK)).isEmpty();
    }

    @Test
    void toolsAreCleanedByWhatIsCutAndWhatIsOnRecord() {
        SurveyedTree sick = withDisease("fire blight");
        assertThat(said(sick.afterwards(off("4")), Kind.TOOLS))
                .contains("after every cut into diseased wood")
                .contains("fire blight");
        assertThat(said(sick.afterwards(off("2")), Kind.TOOLS)).isEqualTo("Clean the tools before the next tree.");
        SurveyedTree everyTree = tree(TREE.formatted(""), Map.of("cleanEveryTree", true));
        assertThat(said(everyTree.afterwards(off("2")), Kind.TOOLS)).contains("before the next tree");
    }

    /** A sick limb that goes with the limb it grows on makes that cut one into diseased wood. */
    @Test
    void whatFallsWithALimbCounts() {
        String onTwo = TREE.formatted("")
                .replace(
                        "\"id\": \"4\", \"parent\": \"trunk\", \"at_cm\": 210",
                        "\"id\": \"4\", \"parent\": \"2\", \"condition\": [\"diseased\"], \"at_cm\": 60");
        List<AfterTask> tasks = tree(onTwo, Map.of()).afterwards(off("2"));
        assertThat(kinds(tasks)).contains(Kind.DISEASED_PRUNINGS).doesNotContain(Kind.PRUNINGS);
        assertThat(said(tasks, Kind.TOOLS)).contains("after every cut into diseased wood");
    }

    @Test
    void whatIsLeftAloneIsNothingToDo() {
        assertThat(sound().afterwards(off("2")))
                .filteredOn(task -> task.kind() == Kind.WOUNDS)
                .noneMatch(AfterTask::toDo);
        assertThat(withDisease("canker").afterwards(off("2"))).allMatch(AfterTask::toDo);
    }

    /** Diseased and sound prunings add up to what falls. */
    @Test
    void diseasedPruningsGoOutAndTheRestByTheSchool() {
        List<AfterTask> tasks = withDisease("fire blight").afterwards(off("4", "2"));
        assertThat(kinds(tasks)).contains(Kind.DISEASED_PRUNINGS, Kind.PRUNINGS);
        assertThat(said(tasks, Kind.DISEASED_PRUNINGS)).contains("fire blight").contains("local rules");
        SurveyedTree garden = tree(TREE.formatted(""), Map.of("chopPrunings", false));
        assertThat(said(garden.afterwards(off("2")), Kind.PRUNINGS)).contains("take them out of the row");
    }
}
