package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlanParameters;
import umbel.reading.Finding;
import umbel.reading.TreeReader;
import umbel.survey.Surveys;
import umbel.wood.Tree;

/** What faults weigh in a plan: full on young unions, less the longer one has held. */
class FaultCostTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final PlanParameters PARAMETERS = KNOWLEDGE.plan();

    private static Finding tight(Tree tree, String limb) {
        return TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4).findings().stream()
                .filter(finding -> finding.rule().id().equals("tight-crotch"))
                .filter(finding -> finding.paths().equals(List.of(limb)))
                .findFirst()
                .orElseThrow();
    }

    private static Surveys scaffoldOf(int age) {
        return Surveys.apple().leaf(20).limb("1", "trunk", "scaffold", 90, 40, 20, 40, 200, age, Surveys.bare());
    }

    /** Share of the weight a sure finding has left; young to three years, least from ten, straight between. */
    @ParameterizedTest
    @CsvSource({"2, 1.0", "3, 1.0", "10, 0.25", "18, 0.25"})
    void aUnionThatHasHeldForYearsWeighsLess(int age, double left) {
        Tree tree = scaffoldOf(age).tree();
        Finding sure = tight(tree, "1").withConfidence(1);
        assertThat(FaultCost.certain(sure, tree, PARAMETERS))
                .isCloseTo(PARAMETERS.rules().get("tight-crotch").cost() * left, within(1e-9));
    }

    @Test
    void betweenYoungAndOldItFallsSteadily() {
        double before = Double.MAX_VALUE;
        for (int age = 3; age <= 10; age++) {
            Tree tree = scaffoldOf(age).tree();
            double cost = FaultCost.certain(tight(tree, "1").withConfidence(1), tree, PARAMETERS);
            assertThat(cost).isLessThan(before);
            before = cost;
        }
    }

    @Test
    void aUnionThatSplitsWeighsInFullHoweverOld() {
        Tree tree = scaffoldOf(18).noted("splitting", null).tree();
        assertThat(FaultCost.certain(tight(tree, "1").withConfidence(1), tree, PARAMETERS))
                .isEqualTo(PARAMETERS.rules().get("tight-crotch").cost());
    }

    @Test
    void otherFaultsDoNotAgeAway() {
        Tree tree = Surveys.apple().leaf(20).scaffold("1", 90, 40, 55, 70, 240).tree();
        Finding thick = TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4).findings().stream()
                .filter(finding -> finding.rule().id().equals("limb-too-thick"))
                .findFirst()
                .orElseThrow()
                .withConfidence(1);
        assertThat(FaultCost.certain(thick, tree, PARAMETERS))
                .isEqualTo(PARAMETERS.rules().get("limb-too-thick").cost());
        double past = (thick.value() - thick.threshold()) / thick.threshold();
        assertThat(FaultCost.of(thick, tree, PARAMETERS))
                .isCloseTo(
                        PARAMETERS.rules().get("limb-too-thick").cost() * (0.5 + 0.5 * Math.min(1, past)),
                        within(1e-9));
    }
}
