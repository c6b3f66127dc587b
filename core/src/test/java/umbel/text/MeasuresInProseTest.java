package umbel.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeasuresInProseTest {

    private static final Speech US = Speech.of("en", UnitSystem.US);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Head at 70 to 80 cm; union 10 cm above the soil.|Head at 28 to 31 in; union 4 in above the soil.",
                "Limbs of 20 to 25 mm out.|Limbs of 0.8 to 1.0 in out.",
                "A wire at 4 m.|A wire at 13.1 ft.",
                "Sprouts of 100 to 120 cm.|Sprouts of 3.3 to 3.9 ft.",
                "Canes of 80 to 100 cm.|Canes of 31 in to 3.3 ft.",
                "A limb of 60 kg.|A limb of 132 lb.",
                "Not below 10 °C.|Not below 50°F.",
                "About 2 to 3 mm.|About 0.1 in."
            })
    void measuresAreToldInCustomaryUnits(String metric, String customary) {
        assertThat(US.knowledge(metric)).isEqualTo(customary);
        assertThat(Speech.english().knowledge(metric)).isEqualTo(metric);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Three to five scaffolds.",
                "Leave 2 to 3 buds.",
                "At 45 to 60 degrees.",
                "Rows of 4 in.",
                "5 months old"
            })
    void otherFiguresStandAsTheyAre(String text) {
        assertThat(US.knowledge(text)).isEqualTo(text);
    }

    @Test
    void aTranslatedSentenceIsConvertedToo() {
        assertThat(Speech.of("es", UnitSystem.US).knowledge("Head at 60 to 75 cm."))
                .contains("24 a 30 in")
                .doesNotContain("cm");
    }
}
