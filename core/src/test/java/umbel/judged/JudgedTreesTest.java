package umbel.judged;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Recommended plans against decisions that were written down before the program was asked. */
class JudgedTreesTest {

    private static final int TREES_MEASURED_AGAIN = 14;

    private static Agreement all;

    @BeforeAll
    static void ask() {
        all = new Agreement(JudgedTree.all());
    }

    @Test
    void onTreesThatRulesWereTunedOnThePlansAreThoseOfAPractisedHand() {
        Agreement tuning = all.of("tuning");
        assertThat(tuning.share()).as(String.valueOf(missed(tuning))).isGreaterThanOrEqualTo(0.97);
    }

    @Test
    void onTreesThatWereHeldOutMostDecisionsAreToo() {
        Agreement heldOut = all.of("held-out");
        assertThat(heldOut.share()).isGreaterThanOrEqualTo(0.95);
        assertThat(heldOut.only(made -> made.decision().wholeLimb()).share()).isGreaterThanOrEqualTo(0.90);
        assertThat(heldOut.only(made -> made.decision().demandsAction()).share())
                .isGreaterThanOrEqualTo(0.90);
    }

    @Test
    void whatIsSaidToBeSureIsRightAsOften() {
        List<Agreement.Sure> steps = all.steps();
        assertThat(rightOf(steps, 0.7, 0.86)).isGreaterThan(0.72);
        assertThat(rightOf(steps, 0.86, 1)).isGreaterThan(0.88);
    }

    @Test
    void measuringAgainChangesFewDecisions() {
        List<MeasuredAgain.Redraw> redraws = JudgedTree.of("second").stream()
                .limit(TREES_MEASURED_AGAIN)
                .flatMap(tree -> MeasuredAgain.of(tree, 1).stream())
                .toList();
        assertThat(MeasuredAgain.share(redraws, one -> one.now().isEmpty()))
                .as(String.valueOf(redraws))
                .isGreaterThanOrEqualTo(0.85);
    }

    @Test
    void anEmptyPlanWouldNotPass() {
        Stream<PractisedDecision> decisions = JudgedTree.all().stream().flatMap(tree -> tree.decisions().stream());
        assertThat(decisions.filter(PractisedDecision::demandsAction).count()).isGreaterThan(all.decisions() / 2);
    }

    /** Share right of the steps said to be between so and so sure. */
    private static double rightOf(List<Agreement.Sure> steps, double from, double to) {
        List<Agreement.Sure> said = steps.stream()
                .filter(one -> one.confidence() >= from && one.confidence() < to)
                .toList();
        assertThat(said).hasSizeGreaterThan(20);
        return (double) said.stream().filter(Agreement.Sure::right).count() / said.size();
    }

    private static List<String> missed(Agreement part) {
        return part.missed().stream()
                .map(one -> one.tree().id() + ": " + one.decision().text())
                .toList();
    }
}
