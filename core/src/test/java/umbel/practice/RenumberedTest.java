package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;
import umbel.survey.SurveyReader;
import umbel.survey.Surveys;
import umbel.wood.TreeBuilder;

/** Limbs numbered from the ground up are the same limbs. */
class RenumberedTest {

    private static final Survey SURVEY = Surveys.apple()
            .scaffold("top", 160, 0, 60, 30, 150)
            .scaffold("x1", 80, 120, 55, 40, 200)
            .scaffold("k1", 110, 240, 58, 36, 180)
            .limb("h1", "x1", "hanger", 120, 130, 125, 9, 50, 3, Surveys.bare())
            .limb("far", "x1", "lateral", 60, 90, 70, 14, 80, 4, Surveys.bare())
            .survey();

    @Test
    void theLowestIsOneAndBranchesAreLettersOutward() {
        assertThat(Renumbered.of(SURVEY).limbs())
                .extracting(LimbMeasure::id)
                .containsExactly("1", "1a", "1b", "2", "3");
        assertThat(Renumbered.of(SURVEY).limbs())
                .extracting(LimbMeasure::parent)
                .containsExactly("trunk", "1", "1", "trunk", "trunk");
    }

    @Test
    void nothingButNamesAndOrderChanges() {
        Map<String, Integer> before = measures(SURVEY);
        assertThat(measures(Renumbered.of(SURVEY))).isEqualTo(before);
        assertThat(Renumbered.of(SURVEY).trunk()).isEqualTo(SURVEY.trunk());
        assertThat(Renumbered.of(SURVEY).tree()).isEqualTo(SURVEY.tree());
    }

    private static Map<String, Integer> measures(Survey survey) {
        Map<String, Integer> measures = new HashMap<>();
        for (LimbMeasure limb : survey.limbs()) {
            measures.merge(limb.named("", "").toString(), 1, Integer::sum);
        }
        return measures;
    }

    @Test
    void doingItTwiceIsDoingItOnce() {
        Survey once = Renumbered.of(SURVEY);
        assertThat(Renumbered.of(once)).isEqualTo(once);
    }

    /** Every made-up tree is a survey that other software could have sent, and grows the same wood. */
    @Test
    void exercisesAreSurveysOfTheFormat() {
        for (String system : List.of("tall-spindle", "central-leader", "espalier", "two-leader-wall", "fan")) {
            Survey survey = Renumbered.of(PracticeTree.survey("apple", system, 8, 3, Fault.SUCKERS));
            assertThat(SurveyReader.read(SurveyReader.write(survey)).limbs()).hasSameSizeAs(survey.limbs());
            assertThat(TreeBuilder.build(survey, Knowledge.shipped(), 1).limbs())
                    .hasSameSizeAs(survey.limbs());
        }
    }
}
