package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;

class CrewTextTest {

    @Test
    void bothLanguagesSayTheSameThings() {
        assertThat(CrewText.in("es").keys().stream()
                        .filter(key -> !key.startsWith("caution."))
                        .collect(Collectors.toSet()))
                .isEqualTo(CrewText.in("en").keys());
        Knowledge.shipped()
                .cautions()
                .forEach(caution -> assertThat(CrewText.in("es").caution(caution))
                        .as(caution.id())
                        .isNotEqualTo(caution.text()));
    }

    @Test
    void everyOperationHasItsWords() {
        for (OperationKind kind : OperationKind.values()) {
            assertThat(CrewText.in("en").keys()).contains(kind.word());
        }
    }

    @Test
    void aStepIsSaidShortly() {
        CrewText english = CrewText.in("en");
        CrewText spanish = CrewText.in("es");
        assertThat(english.title(Operation.remove(Target.parse("7")))).isEqualTo("Off: limb 7");
        assertThat(spanish.title(Operation.remove(Target.parse("7")))).isEqualTo("Quitar: rama 7");
        assertThat(english.title(Operation.remove(Target.parse("7/shoots/up"))))
                .isEqualTo("Off: upright shoots on limb 7");
        assertThat(spanish.title(Operation.remove(Target.parse("7/shoots/up"))))
                .isEqualTo("Quitar: brotes verticales en rama 7");
        assertThat(english.title(Operation.thin(Target.parse("7/shoots"), 4)))
                .isEqualTo("Thin shoots on limb 7: leave the best 4");
        assertThat(english.title(Operation.cutAt(OperationKind.RENEW_STUB, Target.parse("3"), 0.85)))
                .isEqualTo("Stub limb 3 at 85 cm");
        assertThat(spanish.title(Operation.bend(Target.parse("4"), Math.toRadians(60))))
                .isEqualTo("Llevar rama 4 a 60°");
        assertThat(english.title(Operation.reduce(OperationKind.LOWER_LEADER, Target.parse("trunk"), "9", 2.4)))
                .isEqualTo("Lower the leader to limb 9");
    }

    @Test
    void anUnknownLanguageIsAnsweredInEnglish() {
        assertThat(CrewText.in("xx").say("saw")).isEqualTo("saw");
    }
}
