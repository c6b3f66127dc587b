package umbel.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpeechTest {

    private static final Statement CROSSING = Statement.of("finding.crossing")
            .with("touch", Value.choice("no"))
            .with("limbs", Value.limbs(List.of("4", "7")))
            .with("gap", Value.centimetres(2));

    private static final Statement TALL = Statement.of("finding.over-height")
            .with("top", Value.reach(4.2))
            .with("reach", Value.reach(2.4))
            .with("most", Value.reach(3.36));

    @Test
    void aSentenceBeginsWithACapitalAndNamesItsLimbsAsAList() {
        assertThat(Speech.english().say(CROSSING))
                .isEqualTo("Limbs 4 and 7 cross with 2 cm between them. They will rub as they thicken.");
        assertThat(Speech.of("es", UnitSystem.METRIC).say(CROSSING)).startsWith("Las ramas 4 y 7 se cruzan con 2 cm");
    }

    @Test
    void measuresAreToldInTheUnitsOfTheReader() {
        assertThat(Speech.english().say(TALL))
                .isEqualTo("The top stands at 4.2 m. With a reach of 2.4 m this system can be worked up to 3.4 m.");
        assertThat(Speech.of("en", UnitSystem.US).say(TALL))
                .contains("13.8 ft")
                .contains("7.9 ft")
                .doesNotContain(" m.");
        assertThat(Speech.of("es", UnitSystem.METRIC).say(TALL)).contains("4,2 m");
    }

    /** One inch is 25.4 mm, a foot 304.8 mm, a pound 0.45359237 kg. */
    @ParameterizedTest
    @CsvSource({"0.254, 10 in", "0.5, 20 in", "1.524, 5.0 ft"})
    void lengthsInInchesAndFeet(double metres, String told) {
        Statement shortened =
                Statement.of("step.title.shorten").with("limb", Value.limb("4")).with("at", Value.length(metres));
        assertThat(Speech.of("en", UnitSystem.US).say(shortened)).isEqualTo("Shorten limb 4 to " + told);
    }

    @ParameterizedTest
    @CsvSource({"1, About 1 sprout near", "3, About 3 sprouts near"})
    void oneIsSingularAndSeveralArePlural(long count, String begins) {
        assertThat(Speech.english().say(Statement.of("step.answer.sprouts").with("count", Value.count(count))))
                .startsWith(begins);
    }

    @Test
    void theLeaderIsNamedAndNotNumbered() {
        Statement keep = Statement.of("step.title.keep").with("limb", Value.limb("trunk"));
        assertThat(Speech.english().say(keep)).isEqualTo("Keep the leader");
        assertThat(Speech.of("es", UnitSystem.METRIC).say(keep)).isEqualTo("Conservar el eje");
        Statement both = Statement.of("stage.frame").with("limbs", Value.limbs(List.of("trunk", "2", "4")));
        assertThat(Speech.english().say(both)).isEqualTo("the frame: the leader and limbs 2 and 4");
    }

    @Test
    void nothingIsSaidOfNothing() {
        assertThat(Speech.english().say((Statement) null)).isEmpty();
    }
}
