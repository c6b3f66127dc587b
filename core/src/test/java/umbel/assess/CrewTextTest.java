package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.text.Catalogue;
import umbel.text.UnitSystem;

class CrewTextTest {

    private static CrewText in(String language) {
        return CrewText.in(language, UnitSystem.METRIC);
    }

    @Test
    void everyOperationHasItsWords() {
        for (OperationKind kind : OperationKind.values()) {
            assertThat(Catalogue.of("en").has("crew." + kind.word()))
                    .as(kind.word())
                    .isTrue();
        }
    }

    @Test
    void everyCautionIsSaidInSpanish() {
        Knowledge.shipped()
                .cautions()
                .forEach(caution ->
                        assertThat(in("es").caution(caution)).as(caution.id()).isNotEqualTo(caution.text()));
    }

    @Test
    void measuresAreToldInTheReadersUnits() {
        Operation head = Operation.cutAt(OperationKind.HEAD, Target.parse("trunk"), 0.762);
        assertThat(CrewText.in("en", UnitSystem.US).title(head)).isEqualTo("Head the tree at 30 in");
    }

    @Test
    void aStepIsSaidShortly() {
        CrewText english = in("en");
        CrewText spanish = in("es");
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
        assertThat(in("xx").say("saw")).isEqualTo("saw");
    }
}
