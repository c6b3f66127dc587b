package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.TreeBuilder;

class OddMeasuresTest {

    @ParameterizedTest
    @CsvSource({
        // at, bearing, angle, thickness, length: what is asked
        "80, 90, 60, 30, 150,",
        "4, 90, 60, 30, 150, survey.below-union",
        "80, 90, 60, 85, 300, survey.thicker-than-trunk",
        "80, 90, 60, 6, 150, survey.slender",
        "80, 90, 60, 40, 20, survey.stout",
        "80, 90, 60, 4, 62, survey.thin",
        "80, 90, 140, 30, 150, survey.hangs"
    })
    void aLimbIsAskedAboutByItsMeasures(
            double at, double bearing, double angle, double thick, double length, String code) {
        Survey survey = one("scaffold", at, bearing, angle, thick, length);
        assertThat(codes(survey)).isEqualTo(code == null ? List.of() : List.of(code));
    }

    @Test
    void aRootstockShootMayStartBelowTheGraft() {
        assertThat(codes(one("sucker", 4, 90, 20, 10, 80))).isEmpty();
    }

    @Test
    void aLimbThickerThanWhatCarriesItIsAskedAbout() {
        Survey survey = Surveys.apple()
                .leaf(9)
                .trunk(80, 300)
                .limb("1", "trunk", "scaffold", 80, 0, 60, 30, 150, 6, null)
                .limb("2", "1", "lateral", 60, 90, 60, 35, 90, 4, null)
                .survey();
        assertThat(asked(survey)).extracting(SurveyQuery::limb).containsExactly("2");
        assertThat(codes(survey)).containsExactly("survey.thicker-than-parent");
    }

    @Test
    void twoLimbsAtOnePlaceAreAskedAboutAcrossNorthToo() {
        Survey near = Surveys.apple()
                .leaf(9)
                .trunk(80, 300)
                .limb("1", "trunk", "scaffold", 80, 355, 60, 30, 150, 6, null)
                .limb("2", "trunk", "scaffold", 81, 4, 60, 28, 140, 6, null)
                .limb("3", "trunk", "scaffold", 80, 180, 60, 28, 140, 6, null)
                .survey();
        assertThat(asked(near)).extracting(SurveyQuery::limb).containsExactly("1", "2");
        assertThat(codes(near)).containsOnly("survey.same-place");
    }

    @ParameterizedTest
    @CsvSource({
        "apple, tall-spindle, 4",
        "apple, central-leader, 15",
        "peach, open-centre, 6",
        "pear, central-leader, 12"
    })
    void aTreeMeasuredRightIsNotAskedAbout(String species, String system, int leaf) {
        for (int seed = 1; seed <= 5; seed++) {
            assertThat(codes(PracticeTree.survey(species, system, leaf, seed))).isEmpty();
        }
    }

    private static Survey one(String role, double at, double bearing, double angle, double thick, double length) {
        return Surveys.apple()
                .leaf(9)
                .trunk(80, 300)
                .limb("1", "trunk", role, at, bearing, angle, thick, length, 6, null)
                .survey();
    }

    private static List<String> codes(Survey survey) {
        return asked(survey).stream().map(query -> query.question().code()).toList();
    }

    private static List<SurveyQuery> asked(Survey survey) {
        return SurveyQuery.of(survey, TreeBuilder.build(survey, Knowledge.shipped(), 1)).stream()
                .filter(query -> query.question().code().startsWith("survey."))
                .toList();
    }
}
