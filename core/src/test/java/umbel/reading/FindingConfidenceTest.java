package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class FindingConfidenceTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final School CLASSIC = KNOWLEDGE.school("classic");

    private static FindingConfidence.Answer of(Survey survey) {
        Tree tree = TreeBuilder.build(survey, KNOWLEDGE, 1);
        List<Finding> findings = TreeReader.read(tree, CLASSIC, 2.4).findings();
        return FindingConfidence.of(survey, KNOWLEDGE, 1, CLASSIC, 2.4, Neighbours.NONE, findings);
    }

    private static Finding find(FindingConfidence.Answer answer, String rule) {
        return answer.findings().stream()
                .filter(one -> one.rule().id().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    /** An angle errs by 7° (one sigma): 38° is under 40° about as often as a normal error of 2/7 sigma says, 61 %. */
    @ParameterizedTest
    @CsvSource({"38, 0.45, 0.78", "33, 0.72, 0.93", "24, 0.93, 1.0"})
    void theFurtherPastTheLineTheSurer(double angle, double low, double high) {
        Survey survey =
                Surveys.apple().leaf(5).scaffold("1", 80, 0, angle, 30, 150).survey();
        assertThat(find(of(survey), "tight-crotch").confidence()).isBetween(low, high);
    }

    /** Two degrees under the line are two sigmas where the angle is known to one degree: surer than by hand, at 98 %. */
    @Test
    void aLimbMeasuredMoreExactlyIsJudgedMoreSurely() {
        Survey byHand =
                Surveys.apple().leaf(5).scaffold("1", 80, 0, 38, 30, 150).survey();
        Survey.LimbMeasure limb = byHand.limbs().get(0);
        Survey exact = new Survey(
                byHand.format(),
                byHand.tree(),
                byHand.site(),
                byHand.surveyedOn(),
                byHand.trunk(),
                List.of(limb.known(new Survey.MeasureError(0.5, 1.0, 1.0, 1.0, 0.5))));
        assertThat(find(of(byHand), "tight-crotch").confidence()).isLessThan(0.8);
        assertThat(find(of(exact), "tight-crotch").confidence()).isGreaterThan(0.9);
    }

    @Test
    void whatWasSeenIsSure() {
        Survey survey = Surveys.apple()
                .scaffold("1", 80, 0, 55, 30, 150)
                .noted("broken", null)
                .limb("s", "trunk", "sucker", 4, 10, 12, 8, 60, 1, null)
                .survey();
        FindingConfidence.Answer answer = of(survey);
        assertThat(find(answer, "unsound-wood").confidence()).isGreaterThan(0.95);
        assertThat(find(answer, "root-sucker").confidence()).isGreaterThan(0.95);
    }

    @Test
    void theMeasurementThatSettlesADoubtIsNamed() {
        FindingConfidence.Answer angle =
                of(Surveys.apple().leaf(5).scaffold("7", 80, 0, 38, 30, 150).survey());
        assertThat(angle.measureNext()).hasSize(1);
        assertThat(angle.measureNext().get(0).limb()).isEqualTo("7");
        assertThat(angle.measureNext().get(0).what()).isEqualTo("angle");
        FindingConfidence.Answer thickness =
                of(Surveys.apple().scaffold("4", 40, 0, 60, 52, 150).survey());
        assertThat(thickness.measureNext())
                .isNotEmpty()
                .allMatch(one -> one.what().equals("diameter"))
                .allMatch(one -> one.limb().equals("4") || one.limb().equals("trunk"));
    }

    @Test
    void aTreeWithoutDoubtNeedsNoMeasuring() {
        assertThat(of(Surveys.apple().leaf(1).trunk(16, 130).survey()).measureNext())
                .isEmpty();
    }

    @Test
    void theSameSurveyGivesTheSameAnswer() {
        Survey survey = PracticeTree.survey("central-leader", 14, 3, Fault.TIGHT_CROTCH, Fault.THICK_LIMB);
        assertThat(of(survey)).isEqualTo(of(survey));
    }

    @ParameterizedTest
    @CsvSource({"central-leader, 20", "tall-spindle, 5", "open-centre, 8", "espalier, 9", "slender-axe, 6"})
    void confidencesAreSharesOnEveryKindOfTree(String system, int leaf) {
        Survey survey = PracticeTree.survey(system, leaf, 5, Fault.values());
        assertThat(of(survey).findings()).isNotEmpty().allMatch(one -> one.confidence() > 0 && one.confidence() < 1);
        assertThat(of(survey).measureNext()).hasSizeLessThanOrEqualTo(2);
    }
}
