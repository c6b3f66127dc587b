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

/** Marks are operations in the open format's words: there and back nothing is lost. */
class MarkTest {

    static Stream<Operation> operations() {
        return Stream.of(
                Operation.remove("4"),
                Operation.remove("4/shoots/up/strong"),
                Operation.thin("4/shoots", 6),
                Operation.thinSpurs("4", 5),
                Operation.whole(OperationKind.RENEW_BEVEL, "2"),
                Operation.cutAt(OperationKind.RENEW_STUB, "2", 0.28),
                Operation.cutAt(OperationKind.HEAD, "trunk", 0.75),
                Operation.cutAt(OperationKind.SHORT_SPUR, "2/shoots/up", 0.1),
                Operation.reduce(OperationKind.REDUCE, "2", "2b", 0.91),
                Operation.reduce(OperationKind.LOWER_LEADER, "trunk", "9", 2.4),
                Operation.bend("3", 1.1),
                Operation.chooseBuds("trunk", 0.6, 12),
                Operation.whole(OperationKind.DEFLOWER, "trunk"),
                Operation.whole(OperationKind.KEEP, "1"),
                Operation.whole(OperationKind.WATCH, "1"));
    }

    @ParameterizedTest
    @MethodSource("operations")
    void thereAndBack(Operation operation) {
        Operation back = Mark.of(operation).toOperation();
        assertThat(back.kind()).isEqualTo(operation.kind());
        assertThat(back.limb()).isEqualTo(operation.limb());
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
