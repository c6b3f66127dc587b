package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;

/** Marks are operations in the open format's words: there and back nothing is lost. */
class MarkTest {

    static Stream<Operation> operations() {
        return Stream.of(
                Operation.remove(Target.parse("4")),
                Operation.remove(Target.parse("4/shoots/up/strong")),
                Operation.thin(Target.parse("4/shoots"), 6),
                Operation.thinSpurs("4", 5),
                Operation.whole(OperationKind.RENEW_BEVEL, Target.parse("2")),
                Operation.cutAt(OperationKind.RENEW_STUB, Target.parse("2"), 0.28),
                Operation.cutAt(OperationKind.HEAD, Target.TRUNK, 0.75),
                Operation.cutAt(OperationKind.SHORT_SPUR, Target.parse("2/shoots/up"), 0.1),
                Operation.reduce(OperationKind.REDUCE, Target.parse("2"), "2b", 0.91),
                Operation.reduce(OperationKind.LOWER_LEADER, Target.parse("trunk"), "9", 2.4),
                Operation.bend(Target.parse("3"), 1.1),
                Operation.chooseBuds("trunk", 0.6, 12),
                Operation.whole(OperationKind.DEFLOWER, Target.TRUNK),
                Operation.whole(OperationKind.KEEP, Target.parse("1")),
                Operation.whole(OperationKind.WATCH, Target.parse("1")));
    }

    @ParameterizedTest
    @MethodSource("operations")
    void thereAndBack(Operation operation) {
        Operation back = Mark.of(operation).toOperation();
        assertThat(back.kind()).isEqualTo(operation.kind());
        assertThat(back.target().path()).isEqualTo(operation.target().path());
        assertThat(back.toLimb()).isEqualTo(operation.toLimb());
        assertThat(back.keep()).isEqualTo(operation.keep());
        assertThat(back.at()).isCloseTo(operation.at(), within(1e-5));
        assertThat(Double.isNaN(back.toAngle())).isEqualTo(Double.isNaN(operation.toAngle()));
        if (!Double.isNaN(operation.toAngle())) {
            assertThat(back.toAngle()).isCloseTo(operation.toAngle(), within(1e-4));
        }
        assertThat(back.onBuds()).isEqualTo(operation.onBuds());
    }

    @ParameterizedTest
    @CsvSource({"lop, 4, operation", "'', 4, operation", "remove, '', limb", "remove, 4/, limb"})
    void whatSaysNoOperationIsRefusedByItsField(String operation, String limb, String field) {
        assertThatThrownBy(() -> new Mark(operation, limb, null, null, null, null).toOperation())
                .isInstanceOfSatisfying(
                        ImpossibleCut.class, e -> assertThat(e.field()).isEqualTo(field));
    }
}
