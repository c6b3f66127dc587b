package umbel.format;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.UnitSystem;

class BoundsTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            limbs[3].length_cm | 1200 | Must be at most 1,200 cm. | Must be at most 39.4 ft.
            trunk.diameter_mm  | 2000 | Must be at most 2,000 mm. | Must be at most 78.7 in.
            betweenRowsM       | 30   | Must be at most 30 m.   | Must be at most 98 ft.
            limits.massKg      | 2000 | Must be at most 2,000 kg. | Must be at most 4,409 lb.
            limbs[0].angle_deg | 360  | Must be at most 360°.     | Must be at most 360°.
            latitudeDeg        | 66   | Must be at most 66°.      | Must be at most 66°.
            tree.leaf          | 120  | Must be at most 120.      | Must be at most 120.
            M                  | 12   | Must be at most 12.       | Must be at most 12.
            length_cm          | many | Must be at most many.     | Must be at most many.
            """)
    void aBoundIsToldInTheUnitOfItsField(String field, String bound, String metric, String customary) {
        Statement most = Statement.of("problem.at-most").with("most", Bounds.of(field, bound));
        assertThat(Speech.english().say(most)).isEqualTo(metric);
        assertThat(Speech.of("en", UnitSystem.US).say(most)).isEqualTo(customary);
    }
}
