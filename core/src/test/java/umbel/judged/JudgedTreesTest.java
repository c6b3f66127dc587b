package umbel.judged;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Recommended plans against decisions that were written down before the program was asked. */
class JudgedTreesTest {

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
        assertThat(heldOut.share()).isGreaterThanOrEqualTo(0.84);
        assertThat(heldOut.only(made -> made.decision().demandsAction()).share())
                .isGreaterThanOrEqualTo(0.80);
    }

    @Test
    void anEmptyPlanWouldNotPass() {
        Stream<PractisedDecision> decisions = JudgedTree.all().stream().flatMap(tree -> tree.decisions().stream());
        assertThat(decisions.filter(PractisedDecision::demandsAction).count()).isGreaterThan(all.decisions() / 2);
    }

    private static List<String> missed(Agreement part) {
        return part.missed().stream()
                .map(one -> one.tree().id() + ": " + one.decision().text())
                .toList();
    }
}
