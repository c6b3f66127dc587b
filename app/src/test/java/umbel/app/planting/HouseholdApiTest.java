package umbel.app.planting;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** Trees for a house. */
@ExtendWith(RunningUmbel.class)
class HouseholdApiTest {

    private final RunningUmbel umbel;

    HouseholdApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private RunningUmbel.Answer asked(String wish) {
        return umbel.post("/api/plantings/household", wish.replace('\'', '"'));
    }

    @Test
    void whatFitsAFenceAndWhenItIsRipe() {
        JsonNode told = asked("{'people':3,'fence':{'length_m':14,'height_m':2.5},'trees':["
                        + "{'species':'apple','system':'espalier','ripens':'early'},"
                        + "{'species':'apple','system':'espalier','ripens':'late'},"
                        + "{'species':'citrus','system':'espalier'}]}")
                .json();
        assertThat(told.at("/trees/0/partner").asString()).isEqualTo("found");
        assertThat(told.at("/trees/0/partners/0").asInt()).isEqualTo(1);
        assertThat(told.at("/trees/0/pickedFrom").asString()).startsWith("--");
        assertThat(told.at("/trees/2/pickedFrom").isString()).isFalse();
        assertThat(told.at("/fence/usedM").asDouble()).isEqualTo(12);
        assertThat(told.at("/fence/leftM").asDouble()).isEqualTo(2);
        assertThat(told.at("/months")).hasSize(12);
        assertThat(told.at("/months/0/wanted").asDouble()).isEqualTo(18);
        assertThat(asked("{'trees':[{'species':'apple'}]}").json().at("/fence").isObject())
                .isFalse();
    }

    @Test
    void whatCannotBeIsRefusedByItsField() {
        RunningUmbel.Answer wrong = asked("{'people':0,'trees':[{'species':'elm'}]}");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.text()).contains("people").contains("trees[0].species");
        assertThat(asked("{}").status()).isEqualTo(400);
        assertThat(asked("null").status()).isEqualTo(400);
    }
}
