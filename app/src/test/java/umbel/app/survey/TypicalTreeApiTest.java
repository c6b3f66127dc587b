package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** A typical tree to begin a survey from: drawn at once, and no more than a beginning. */
@ExtendWith(RunningUmbel.class)
class TypicalTreeApiTest {

    private static final String TYPICAL = "/api/survey/typical?species=";

    private final RunningUmbel umbel;

    TypicalTreeApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "apple&system=tall-spindle&leaf=4",
                "peach&system=open-centre&leaf=9",
                "pear&system=espalier&leaf=12",
                "walnut&system=central-leader&leaf=20"
            })
    void itCanBeDrawnAsItIs(String asked) {
        RunningUmbel.Answer typical = umbel.get(TYPICAL + asked);
        assertThat(typical.status()).isEqualTo(200);
        assertThat(typical.json().at("/limbs")).isNotEmpty();
        JsonNode drawn = umbel.post("/api/survey/preview", typical.text()).json();
        assertThat(drawn.at("/drawing/axes").size())
                .isGreaterThan(typical.json().at("/limbs").size());
    }

    @Test
    void itIsAsTallAndThickAsTheTreeBeforeYou() {
        String asked = TYPICAL + "apple&system=tall-spindle&leaf=6";
        JsonNode usual = umbel.get(asked).json();
        JsonNode small = umbel.get(asked + "&trunkMm=30&heightCm=200").json();
        assertThat(small.at("/trunk/height_cm").asDouble()).isEqualTo(200);
        assertThat(small.at("/trunk/diameter_mm").asDouble()).isEqualTo(30);
        assertThat(small.at("/limbs").size()).isEqualTo(usual.at("/limbs").size());
        assertThat(small.at("/limbs/0/length_cm").asDouble())
                .isLessThan(usual.at("/limbs/0/length_cm").asDouble());
    }

    @Test
    void whatNobodyKnowsIsRefused() {
        assertThat(umbel.get(TYPICAL + "none&system=tall-spindle&leaf=6").status())
                .isEqualTo(422);
        assertThat(umbel.get(TYPICAL + "apple&system=none&leaf=6").status()).isEqualTo(422);
        assertThat(umbel.get(TYPICAL + "apple&system=tall-spindle&leaf=many").status())
                .isEqualTo(400);
        assertThat(umbel.get(TYPICAL + "apple&leaf=6").status()).isEqualTo(400);
        assertThat(umbel.get(TYPICAL + "apple&system=tall-spindle&leaf=-3")
                        .json()
                        .at("/tree/leaf")
                        .asInt())
                .isEqualTo(1);
    }
}
