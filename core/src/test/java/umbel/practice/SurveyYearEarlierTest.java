package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;

/** A tree a year earlier is the same tree, younger and smaller, and can be read. */
class SurveyYearEarlierTest {

    @ParameterizedTest
    @CsvSource({"apple,tall-spindle,5,2", "apple,central-leader,12,1", "peach,open-centre,6,3", "pear,espalier,7,4"})
    void nothingWasLargerOrOlderAYearBefore(String kind, String system, int leaf, long seed) {
        Survey now = PracticeTree.survey(kind, system, leaf, seed);
        Survey before = SurveyYearEarlier.of(now);
        Map<String, LimbMeasure> today =
                now.limbs().stream().collect(Collectors.toMap(LimbMeasure::id, Function.identity()));
        assertThat(before.tree().leaf()).isEqualTo(leaf - 1);
        assertThat(before.trunk().diameterMm()).isLessThan(now.trunk().diameterMm());
        assertThat(before.limbs())
                .isNotEmpty()
                .hasSizeLessThanOrEqualTo(now.limbs().size());
        for (LimbMeasure limb : before.limbs()) {
            LimbMeasure grown = today.get(limb.id());
            assertThat(limb.lengthCm()).isLessThanOrEqualTo(grown.lengthCm());
            assertThat(limb.diameterMm()).isLessThanOrEqualTo(grown.diameterMm());
            assertThat(limb.bearingDeg()).isEqualTo(grown.bearingDeg());
            if (grown.ageY() != null) {
                assertThat(grown.ageY())
                        .as("a limb of its first year was not there")
                        .isGreaterThan(1);
                assertThat(limb.ageY()).isEqualTo(grown.ageY() - 1);
            }
            if (!limb.parent().equals(Survey.TRUNK)) {
                LimbMeasure bearer = before.limbs().stream()
                        .filter(one -> one.id().equals(limb.parent()))
                        .findFirst()
                        .orElseThrow();
                assertThat(bearer.lengthCm()).as("long enough to bear it").isGreaterThan(limb.atCm());
            }
        }
        new Assessor(Knowledge.shipped()).tree(AssessRequest.of(before));
    }

    @ParameterizedTest
    @CsvSource({"apple,tall-spindle,3,2"})
    void spursWereAYearYoungerAndNeverYoungerThanOne(String kind, String system, int leaf, long seed) {
        Survey now = PracticeTree.survey(kind, system, leaf, seed);
        LimbMeasure limb = now.limbs().stream()
                .filter(one -> one.parent().equals(Survey.TRUNK) && one.ageY() != null && one.ageY() > 1)
                .findFirst()
                .orElseThrow();
        for (double age : new double[] {1, 2, 5}) {
            LimbMeasure spurred = limb.bearing(new Survey.SmallWood(List.of(), new Survey.SpurCount(7, age), null));
            Survey before = SurveyYearEarlier.of(
                    new Survey(now.format(), now.tree(), now.site(), now.surveyedOn(), now.trunk(), List.of(spurred)));
            assertThat(before.limbs().get(0).wood().spurs()).isEqualTo(new Survey.SpurCount(7, Math.max(1.0, age - 1)));
        }
    }
}
