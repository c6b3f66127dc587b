package umbel.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.counted.Counts;
import umbel.cut.ImpossibleCut;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.reading.Neighbours;
import umbel.survey.Survey;
import umbel.text.Catalogue;
import umbel.text.UnitSystem;

/** What the rest of the program asks of a tree, on one tall spindle of the fifth leaf. */
class SurveyedTreeTest {

    private static final LocalDate WINTER = LocalDate.of(2026, 1, 20);
    private static final SurveyedTree TREE = plant(PracticeTree.survey("apple", "tall-spindle", 5, 12));
    private static final String THICKEST = thickest();

    private static SurveyedTree plant(Survey made) {
        Survey dated =
                new Survey(made.format(), made.tree(), made.site(), WINTER.minusDays(10), made.trunk(), made.limbs());
        return SurveyedTree.read(new Assessor(Knowledge.shipped()), AssessRequest.of(dated), Neighbours.NONE);
    }

    private static String thickest() {
        return TREE.request().survey().limbs().stream()
                .filter(limb -> limb.parent().equals(Survey.TRUNK))
                .max((a, b) -> Double.compare(a.diameterMm(), b.diameterMm()))
                .orElseThrow()
                .id();
    }

    private static Mark off(String limb) {
        return new Mark("remove", limb, null, null, null, null);
    }

    private static Mark watch(String limb) {
        return new Mark("watch", limb, null, null, null, null);
    }

    @Test
    void factsAreThoseOfTheSurveyInMetres() {
        PlantFacts facts = TREE.facts();
        Survey survey = TREE.request().survey();
        assertThat(facts.leaf()).isEqualTo(survey.tree().leaf());
        assertThat(facts.surveyedOn()).isEqualTo(survey.surveyedOn());
        assertThat(facts.kind()).isEqualTo("apple");
        for (Survey.LimbMeasure limb : survey.limbs()) {
            PlantFacts.Part part = facts.parts().stream()
                    .filter(one -> one.id().equals(limb.id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(part.diameter() * 1000).isBetween(limb.diameterMm() - 0.01, limb.diameterMm() + 0.01);
        }
        assertThat(TREE.findings()).hasSameSizeAs(TREE.reading().findings());
        assertThat(TREE.shade()).isBetween(0.0, 1.0);
    }

    @Test
    void aVisitTakesItsStepsAndOneLook() {
        Visit visit = TREE.visit(List.of(off(THICKEST), watch(others().get(0))));
        assertThat(visit.steps()).hasSize(2);
        assertThat(visit.steps().get(0).effect().cuts()).isEqualTo(1);
        assertThat(visit.lookMinutes())
                .isEqualTo(TREE.tree().setting().system().work().lookMinutes());
        assertThat(TREE.visit(List.of()).minutes()).isZero();
        assertThatThrownBy(() -> TREE.visit(List.of(off("no such limb")))).isInstanceOf(ImpossibleCut.class);
    }

    @Test
    void watchingALimbCutsNothing() {
        assertThat(TREE.totals(List.of(watch(THICKEST))).told().cuts()).isZero();
        assertThat(TREE.totals(List.of(off(THICKEST), watch(others().get(0))))
                        .told()
                        .cuts())
                .isEqualTo(1);
    }

    @Test
    void marksAreOrderedWithoutLosingOne() {
        List<Mark> marks = List.of(off(others().get(0)), off(THICKEST), off(others().get(1)));
        assertThat(TREE.inOrder(marks)).containsExactlyInAnyOrderElementsOf(marks);
        assertThat(TREE.inOrder(List.of())).isEmpty();
    }

    @Test
    void stepsAreSaidInEveryLanguageAndDrawn() {
        List<Mark> marks = List.of(off(THICKEST));
        for (String language : Catalogue.LANGUAGES) {
            assertThat(TREE.title(marks.get(0), CrewText.in(language, UnitSystem.METRIC)))
                    .contains(THICKEST)
                    .doesNotContain("{");
        }
        assertThat(TREE.sheet(marks, 0)).startsWith("<svg").endsWith("</svg>").doesNotContain("NaN");
        Visit.Step step = TREE.visit(marks).steps().get(0);
        assertThat(TREE.hasHeight(step)).isTrue();
        assertThat(TREE.cautions(step, Knowledge.shipped().cautions())).doesNotHaveDuplicates();
        assertThat(TREE.afterwards(marks)).isNotEmpty();
    }

    @Test
    void whatIsExpectedNextLacksWhatWasTakenOff() {
        Survey now = TREE.expected(List.of(off(THICKEST)), BlockCalibration.NOTHING, false, WINTER)
                .orElseThrow();
        assertThat(ids(now))
                .doesNotContain(THICKEST)
                .hasSizeLessThan(ids(TREE.request().survey()).size());
        Survey later = TREE.expected(List.of(off(THICKEST)), BlockCalibration.NOTHING, true, WINTER.plusYears(1))
                .orElseThrow();
        assertThat(ids(later)).doesNotContain(THICKEST);
        assertThat(later.tree().leaf()).isEqualTo(now.tree().leaf() + 1);
        assertThat(later.trunk().diameterMm())
                .as("a season thickens the trunk")
                .isGreaterThan(now.trunk().diameterMm());
    }

    @Test
    void aMarkOfAnotherTreeIsPassedOverInWhatWasDone() {
        List<Mark> done = List.of(off("long gone"), new Mark("remove", "1/shoots/nowhere", null, null, null, null));
        Survey now =
                TREE.expected(done, BlockCalibration.NOTHING, false, WINTER).orElseThrow();
        assertThat(ids(now)).containsExactlyElementsOf(ids(TREE.request().survey()));
    }

    @Test
    void theNextSurveyIsHeldAgainstTheForecast() {
        Survey grown = TREE.expected(List.of(), BlockCalibration.NOTHING, true, WINTER.plusYears(1))
                .orElseThrow();
        SurveyedTree later =
                SurveyedTree.read(new Assessor(Knowledge.shipped()), AssessRequest.of(grown), Neighbours.NONE);
        Comparison seen = TREE.compare(List.of(), later, 40);
        assertThat(seen.measures())
                .extracting(Comparison.Measured::measure)
                .contains(Comparison.Measure.EXTENSION, Comparison.Measure.HEIGHT, Comparison.Measure.FRUITS);
        assertThat(TREE.compare(List.of(), later, 0).measures())
                .extracting(Comparison.Measured::measure)
                .as("fruits that nobody counted")
                .doesNotContain(Comparison.Measure.FRUITS);
        Comparison.Measured fruits = seen.measures().stream()
                .filter(one -> one.measure() == Comparison.Measure.FRUITS)
                .findFirst()
                .orElseThrow();
        assertThat(fruits.found()).isEqualTo(40);
    }

    @Test
    void aTreeIsNotComparedWithABush() {
        CountedPlant bush = CountedPlant.read(
                Counts.survey("{'format':'umbel-count/1','plant':{'kind':'blueberry','leaf':9},"
                        + "'canes':[{'id':'1','age_y':8,'diameter_mm':26}]}"),
                Knowledge.shipped());
        assertThatThrownBy(() -> TREE.compare(List.of(), bush, 0)).isInstanceOf(IllegalArgumentException.class);
    }

    private static List<String> others() {
        return ids(TREE.request().survey()).stream()
                .filter(id -> !id.equals(THICKEST))
                .filter(id -> TREE.request().survey().limbs().stream()
                        .anyMatch(limb -> limb.id().equals(id) && limb.parent().equals(Survey.TRUNK)))
                .toList();
    }

    private static List<String> ids(Survey survey) {
        return survey.limbs().stream().map(Survey.LimbMeasure::id).toList();
    }
}
