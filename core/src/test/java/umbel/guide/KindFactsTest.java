package umbel.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.UnitSystem;

/** What a kind's card tells, in words. */
class KindFactsTest {

    private static final Speech US = Speech.of("en", UnitSystem.US);

    @Test
    void anApplesFactsAreThoseOfItsFile() {
        Species apple = Knowledge.shipped().species("apple");
        List<String> facts =
                KindFacts.of(apple).stream().map(Speech.english()::say).toList();
        assertThat(facts.get(0))
                .contains(Math.round(apple.smallWood().ideal().lengthCm().get(0)) + " cm");
        assertThat(facts).anyMatch(fact -> fact.contains(apple.hardness().bigCuts() + " big cuts"));
        assertThat(US.say(KindFacts.of(apple).get(0))).contains("in").doesNotContain("cm");
    }

    @Test
    void onlyKindsThatAreThinnedAreToldToBeThinned() {
        for (Species kind : Knowledge.shipped().allSpecies()) {
            assertThat(KindFacts.of(kind).stream().map(Statement::code).anyMatch("guide.thinning"::equals))
                    .as(kind.id())
                    .isEqualTo(kind.thinning().spacingCm() > 0);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "dormant, best, dormant: best",
        "delayed-dormant, better, delayed dormant: better",
        "bloom, not, bloom: not now",
        "early-summer, allowed, early summer: allowed",
        "after-harvest, not, after harvest: not now"
    })
    void aPhaseIsToldWithItsVerdict(String phase, String verdict, String told) {
        assertThat(Speech.english().say(KindFacts.phase(phase, verdict))).isEqualTo(told);
    }
}
