package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;

/** Questions of which a practised hand knows the answer, and what may be asked. */
class LimbQuestionTest {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());

    private static LimbQuestion spindle(double mm, double angle, double at, boolean over, String condition) {
        return new LimbQuestion("apple", "tall-spindle", 6, 55.0, 300.0, mm, 70.0, angle, at, over, condition);
    }

    private static String fate(LimbQuestion question) {
        LimbQuestion.Placed placed = question.placed();
        Assessment assessment = ASSESSOR.assess(AssessRequest.of(placed.survey()));
        return assessment.plans().get(0).steps().stream()
                .filter(step -> step.limb().equals(placed.limb()))
                .map(Assessment.StepAnswer::operation)
                .findFirst()
                .orElse("keep");
    }

    private static List<String> faults(LimbQuestion question) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, question::placed);
        assertThat(refused).isNotNull();
        return refused.errors().stream().map(FieldError::field).toList();
    }

    /** Written down before the program was asked: thin and level stays; half as thick as the trunk is renewed; dead comes off. */
    @ParameterizedTest
    @CsvSource({
        "12, 92, 120, sound, keep",
        "38, 80, 120, sound, renew-bevel",
        "15, 90, 150, dead, remove",
        "40, 60, 200, sound, renew-bevel"
    })
    void theAnswerIsThatOfAPractisedHand(double mm, double angle, double at, String condition, String wanted) {
        assertThat(fate(spindle(mm, angle, at, false, condition))).isEqualTo(wanted);
    }

    @Test
    void theLimbStandsAsItWasAsked() {
        LimbQuestion.Placed placed = spindle(22, 70, 133, false, null).placed();
        Survey.LimbMeasure limb = limb(placed);
        assertThat(limb.diameterMm()).isEqualTo(22);
        assertThat(limb.angleDeg()).isEqualTo(70);
        assertThat(limb.atCm()).isEqualTo(133);
        assertThat(limb.lengthCm()).isEqualTo(70);
        assertThat(placed.survey().trunk().diameterMm()).isEqualTo(55);
        assertThat(placed.survey().limbs()).extracting(Survey.LimbMeasure::id).doesNotHaveDuplicates();
    }

    @Test
    void overAnotherMeansStraightAboveTheNextBelow() {
        LimbQuestion.Placed placed = spindle(15, 90, 150, true, null).placed();
        Survey.LimbMeasure limb = limb(placed);
        Survey.LimbMeasure below = placed.survey().limbs().stream()
                .filter(one -> one.parent().equals(Survey.TRUNK) && one.atCm() < limb.atCm())
                .max(Comparator.comparingDouble(Survey.LimbMeasure::atCm))
                .orElseThrow();
        assertThat(Math.abs(Math.IEEEremainder(limb.bearingDeg() - below.bearingDeg(), 360)))
                .isLessThanOrEqualTo(5);
    }

    @Test
    void aLimbAskedAboveTheTopStandsJustBelowIt() {
        LimbQuestion.Placed placed = spindle(10, 60, 900, false, null).placed();
        assertThat(limb(placed).atCm()).isLessThan(placed.survey().trunk().heightCm());
        ASSESSOR.tree(AssessRequest.of(placed.survey()));
    }

    @Test
    void whatIsMissingOrBeyondIsNamed() {
        assertThat(faults(new LimbQuestion(null, " ", null, null, null, null, null, null, null, null, null)))
                .containsExactly("species", "system", "leaf", "diameterMm", "angleDeg", "atCm");
        assertThat(faults(new LimbQuestion(
                        "apple", "tall-spindle", 100, 2.0, 10.0, 1.0, 2.0, 181.0, 0.0, null, "purple")))
                .containsExactly(
                        "leaf", "trunkMm", "heightCm", "diameterMm", "lengthCm", "angleDeg", "atCm", "condition");
    }

    private static Survey.LimbMeasure limb(LimbQuestion.Placed placed) {
        return placed.survey().limbs().stream()
                .filter(one -> one.id().equals(placed.limb()))
                .findFirst()
                .orElseThrow();
    }
}
