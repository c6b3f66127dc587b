package umbel.app.practice;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

/** One limb asked about over the wire. */
@ExtendWith(RunningUmbel.class)
class OneLimbApiTest {

    private static final String ASK = "/api/practice/limb";

    private final RunningUmbel umbel;

    OneLimbApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private RunningUmbel.Answer ask(String limb) {
        return umbel.post(
                ASK, "{\"species\":\"apple\",\"system\":\"tall-spindle\",\"leaf\":6,\"trunkMm\":55," + limb + "}");
    }

    @Test
    void aThickLimbIsRenewedWithReasonsAndAlternatives() {
        JsonNode verdict = ask("\"diameterMm\":38,\"angleDeg\":80,\"atCm\":120").json();
        assertThat(verdict.at("/step/operation").asString()).isEqualTo("renew-bevel");
        assertThat(verdict.at("/step/limb").asString())
                .isEqualTo(verdict.at("/limb").asString());
        assertThat(verdict.at("/step/reason").asString()).isNotBlank();
        assertThat(verdict.at("/findings")).isNotEmpty();
        for (JsonNode finding : verdict.at("/findings")) {
            assertThat(finding.at("/limbs").toString())
                    .contains("\"" + verdict.at("/limb").asString() + "\"");
        }
        assertThat(verdict.at("/options").size()).isGreaterThan(1);
        assertThat(verdict.at("/drawing/axes")).isNotEmpty();
    }

    @Test
    void aThinLevelLimbStays() {
        JsonNode verdict = ask("\"diameterMm\":12,\"angleDeg\":92,\"atCm\":120").json();
        assertThat(verdict.at("/step").isNull()).isTrue();
        assertThat(verdict.at("/options"))
                .as("what could be done is told all the same")
                .isNotEmpty();
    }

    @Test
    void whatIsMissingIsNamed() {
        RunningUmbel.Answer answer = ask("\"angleDeg\":200");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors").toString())
                .contains("diameterMm")
                .contains("angleDeg")
                .contains("atCm");
        assertThat(umbel.post(ASK, "{}").status()).isEqualTo(400);
    }
}
