package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OperationKindTest {

    @ParameterizedTest
    @CsvSource({
        "BEND, HEAD, true",
        "BEND, REDUCE, true",
        "BEND, REMOVE, false",
        "BEND, BEND, false",
        "HEAD, SHORTEN, false",
        "REMOVE, RENEW_STUB, false",
        "DEFLOWER, REMOVE, true",
        "DEFLOWER, BEND, true",
        "DEFLOWER, DEFLOWER, false"
    })
    void twoOperationsOnOneLimbGoTogetherOnlyWhereBothCanBeDone(
            OperationKind one, OperationKind other, boolean together) {
        assertThat(one.goesWith(other)).isEqualTo(together);
        assertThat(other.goesWith(one)).isEqualTo(together);
    }

    @Test
    void whatGoesTogetherIsToldForEveryOperation() {
        assertThat(OperationKind.together()).hasSize(OperationKind.values().length);
        assertThat(OperationKind.together().get("bend"))
                .contains("head", "tip", "deflower")
                .doesNotContain("bend", "remove", "renew-bevel");
    }
}
