package umbel.topwork;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.cut.Operation;
import umbel.knowledge.Knowledge;
import umbel.plant.SurveyedTree;
import umbel.reading.Neighbours;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.text.Statement;

class TopworkTest {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());

    /** A free tree with a slender low limb and two stout ones above. */
    private static Surveys tree(String species) {
        return Surveys.apple()
                .kind(species)
                .as("open-centre")
                .leaf(12)
                .spacing(5, 5)
                .trunk(160, 130)
                .limb("low", "trunk", "limb", 50, 180, 60, 40, 150, 8, null)
                .limb("a", "trunk", "scaffold", 105, 0, 45, 90, 300, 11, null)
                .limb("b", "trunk", "scaffold", 115, 120, 45, 85, 300, 11, null);
    }

    private static Topwork of(Survey survey) {
        return SurveyedTree.read(ASSESSOR, AssessRequest.of(survey), Neighbours.NONE)
                .topwork();
    }

    private static List<String> codes(List<Statement> statements) {
        return statements.stream().map(Statement::code).toList();
    }

    @Test
    void anAvocadoKeepsALimbThatFeedsItsRootsForAYear() {
        Topwork plan = of(tree("avocado").survey());
        assertThat(plan.nurse()).contains("low");
        assertThat(plan.stumpHeight()).isBetween(0.6, 1.0);
        assertThat(plan.now()).extracting(Operation::onLimb).containsExactly("trunk");
        assertThat(codes(plan.years().get(0).work())).contains("topwork.nurse").doesNotContain("topwork.others-off");
        assertThat(codes(plan.years().get(1).work())).contains("topwork.nurse-off");
    }

    @Test
    void anAppleIsCutBelowItsBranchesAndKeepsNone() {
        Topwork plan = of(tree("apple").survey());
        assertThat(plan.nurse()).isEmpty();
        assertThat(plan.stumpHeight()).isBetween(0.6, 1.2);
        assertThat(plan.now()).extracting(Operation::onLimb).containsExactly("trunk", "low");
        assertThat(codes(plan.years().get(0).work())).contains("topwork.others-off");
    }

    @Test
    void graftsGoByTheGirthOfTheStump() {
        Topwork plan = of(tree("apple").survey());
        // one for each 9 cm of a girth of pi times the thickness
        assertThat(plan.grafts()).isEqualTo((int) Math.round(Math.PI * plan.stumpDiameter() * 100 / 9));
        assertThat(plan.mass()).isGreaterThan(20);
    }

    @Test
    void cropsComeInEvenStepsAndTheOldRootsAreSooner() {
        Topwork plan = of(tree("avocado").survey());
        double full = plan.years().get(4).topworkedKg();
        assertThat(plan.years()).extracting(TopworkYear::topworkedKg).startsWith(0.0, 0.0);
        // first in season 2, full in season 4: a third, two thirds, all
        assertThat(plan.years().get(2).topworkedKg()).isCloseTo(full / 3, within(1e-9));
        assertThat(plan.years().get(3).topworkedKg()).isCloseTo(2 * full / 3, within(1e-9));
        assertThat(plan.years()).allSatisfy(year -> {
            assertThat(year.topworkedKg()).isGreaterThanOrEqualTo(year.replantedKg());
            assertThat(year.keptKg()).isEqualTo(plan.years().get(0).keptKg());
        });
        TopworkYear last = plan.years().get(plan.years().size() - 1);
        assertThat(last.replantedKg()).isCloseTo(full, within(1e-9));
    }

    @Test
    void aSlenderTreeOnOldRootsIsNoLaterThanANewOne() {
        Survey spindle = Surveys.apple()
                .as("tall-spindle")
                .leaf(6)
                .trunk(60, 300)
                .limb("1", "trunk", "limb", 80, 0, 80, 15, 80, 3, null)
                .survey();
        assertThat(of(spindle).years())
                .isNotEmpty()
                .allSatisfy(year -> assertThat(year.topworkedKg()).isGreaterThanOrEqualTo(year.replantedKg()));
    }

    @Test
    void whatSpeaksAgainstItIsSaid() {
        assertThat(codes(of(tree("papaya").survey()).against())).containsExactly("topwork.against.no-kind");
        assertThat(of(tree("papaya").survey()).isPossible()).isFalse();
        Survey sick = tree("apple").noted("diseased", "canker").survey();
        assertThat(codes(of(sick).against())).containsExactly("topwork.against.disease");
        assertThat(of(tree("apple").survey()).against()).isEmpty();
        Survey thin = Surveys.apple()
                .leaf(3)
                .trunk(30, 200)
                .limb("1", "trunk", "limb", 90, 0, 60, 12, 60, 2, null)
                .survey();
        assertThat(codes(of(thin).against())).containsExactly("topwork.against.young");
    }
}
