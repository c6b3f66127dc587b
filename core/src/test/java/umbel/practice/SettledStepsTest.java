package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.wood.Attitude;

/** What nobody disputes counts by steps: done as planned, or by taking the limb whole. */
class SettledStepsTest {

    private static final Operation DEAD = Operation.remove(new Target.Limb("4"));
    private static final Operation BROKEN = Operation.cutAt(OperationKind.SHORTEN, new Target.Limb("2"), 0.6);
    private static final Operation ROUTINE = Operation.remove(Target.shoots("1", Attitude.OUT));

    private static SettledSteps settled() {
        Map<Operation, Double> counts = new LinkedHashMap<>();
        counts.put(DEAD, 0.15);
        counts.put(BROKEN, 0.15);
        counts.put(ROUTINE, 0.02);
        return new SettledSteps(counts);
    }

    @Test
    void eachCountsWhatItCounts() {
        assertThat(settled().total()).isCloseTo(0.32, within(1e-12));
        assertThat(settled().doneIn(List.of())).isZero();
        assertThat(settled().doneIn(List.of(DEAD))).isCloseTo(0.15 / 0.32, within(1e-12));
        assertThat(settled().doneIn(List.of(DEAD, BROKEN, ROUTINE))).isCloseTo(1, within(1e-12));
    }

    @Test
    void takingTheLimbWholeIsDoneToo() {
        assertThat(settled().doneIn(List.of(Operation.remove(new Target.Limb("2")))))
                .isCloseTo(0.15 / 0.32, within(1e-12));
    }

    @Test
    void shorteningADeadLimbIsNot() {
        assertThat(settled().doneIn(List.of(Operation.cutAt(OperationKind.SHORTEN, new Target.Limb("4"), 0.5))))
                .isZero();
    }

    @Test
    void anAnswerIsWeighedWithAllOfThemAndWithoutWhatTheyReplace() {
        Operation other = Operation.remove(new Target.Limb("9"));
        Operation against = Operation.cutAt(OperationKind.SHORTEN, new Target.Limb("4"), 0.5);
        assertThat(settled().with(List.of(other, against))).containsExactly(DEAD, BROKEN, ROUTINE, other);
    }

    @Test
    void whereThereAreNoneNothingIsDone() {
        SettledSteps none = new SettledSteps(Map.of());
        assertThat(none.isEmpty()).isTrue();
        assertThat(none.doneIn(List.of(DEAD))).isZero();
        assertThat(none.with(List.of(DEAD))).containsExactly(DEAD);
    }
}
