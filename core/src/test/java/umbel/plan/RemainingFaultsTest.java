package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.cut.Target;
import umbel.reading.Finding;
import umbel.reading.Rules;
import umbel.reading.Severity;
import umbel.reading.Stage;
import umbel.text.Statement;

/** Which of the faults found are still there once others have been dealt with. */
class RemainingFaultsTest {

    private static Finding of(String rule, String... limbs) {
        return new Finding(
                Rules.of(rule),
                Stage.FRAME,
                Arrays.stream(limbs).map(Target::parse).toList(),
                Statement.of("measure.diameter"),
                2,
                1,
                "",
                Severity.ACT,
                0.9,
                Statement.of("finding.shade"),
                "school.line");
    }

    private static boolean stands(Finding asked, Finding... later) {
        return new RemainingFaults(List.of(asked)).among(List.of(later)).get(0);
    }

    @Test
    void aFaultOfTwoLimbsStandsWhileBothAreNamedInWhateverOrder() {
        Finding stacked = of("stacked-limbs", "3", "thick");
        assertThat(stands(stacked, of("stacked-limbs", "thick", "3"))).isTrue();
        assertThat(stands(stacked, of("stacked-limbs", "3", "4"))).isFalse();
        assertThat(stands(stacked)).isFalse();
    }

    @Test
    void aFaultOfOneLimbStandsWhileThatLimbHasIt() {
        Finding thick = of("limb-too-thick", "3");
        assertThat(stands(thick, of("limb-too-thick", "4"), of("limb-too-thick", "3")))
                .isTrue();
        assertThat(stands(thick, of("limb-too-thick", "4"), of("tight-crotch", "3")))
                .isFalse();
    }

    @Test
    void aFaultOfTheWholeTreeStandsWhateverLimbsItNamesByThen() {
        assertThat(stands(of("shade", "1", "2"), of("shade", "7"))).isTrue();
        assertThat(stands(of("lop-sided", "1"), of("lop-sided", "2"))).isTrue();
        assertThat(stands(of("shade", "1", "2"), of("crowding", "1/shoots"))).isFalse();
    }

    @Test
    void aFindingMadeAnewIsKnownByItsRuleAndLimbs() {
        RemainingFaults standing = new RemainingFaults(List.of(of("shade", "1"), of("crossing", "1", "2")));
        assertThat(standing.indexOf(of("crossing", "1", "2"))).isEqualTo(1);
        assertThat(standing.indexOf(of("crossing", "1", "3"))).isEqualTo(-1);
    }
}
