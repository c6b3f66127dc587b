package umbel.app.cropcount;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** A count in a block is answered at once, kept once, and corrects what its surveyed trees foretell. */
@ExtendWith(RunningUmbel.class)
class CropCountApiTest {

    private static final String LIMBS = "[{\"diameterMm\":24,\"count\":%d},{\"diameterMm\":30,\"count\":%d},"
            + "{\"diameterMm\":20,\"count\":%d},{\"diameterMm\":27,\"count\":%d}]";

    private final RunningUmbel umbel;

    CropCountApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aHeavySetIsToldWithWhatIsLeftToThin() {
        long block = block("Heavy Row", "apple", "tall-spindle");
        JsonNode said = preview(block, "fruit", 90, 140, 62, 118).json();
        assertThat(said.at("/verdict").asString()).isEqualTo("far-too-many");
        assertThat(said.at("/surveyed").asInt()).as("a typical tree stands in").isZero();
        assertThat(said.at("/thins").asBoolean()).isTrue();
        double perTree =
                said.at("/fruits/middle").asDouble() - said.at("/canCarry").asDouble();
        assertThat(said.at("/thinning/perTree").asDouble()).isCloseTo(perTree, within(1.0));
        // forty trees by hand, at the pay and pace it names
        assertThat(said.at("/thinning/fruits").asDouble()).isCloseTo(40 * perTree, within(40.0));
        double hours = said.at("/thinning/fruits").asDouble()
                / said.at("/fruitsPerHour").asDouble();
        assertThat(said.at("/thinning/hours").asDouble()).isCloseTo(hours, within(0.06));
        assertThat(said.at("/thinning/money").asDouble())
                .isCloseTo(hours * said.at("/wagePerHour").asDouble(), within(1.0));
        assertThat(said.at("/nextBloom/unthinned").asDouble())
                .isLessThan(said.at("/nextBloom/thinned").asDouble());
    }

    @Test
    void whatIsKeptCorrectsTheTreesSurveyedBeforeAndNoOthers() {
        long block = block("Counted Row", "apple", "tall-spindle");
        long before = NewBlock.surveyedSpindle(umbel, block, 1, LocalDate.now().minusDays(60));
        long after = NewBlock.surveyedSpindle(umbel, block, 2, LocalDate.now());
        double expectedBefore = expected(before);
        double expectedAfter = expected(after);
        JsonNode said = preview(block, "set", 100, 150, 70, 125).json();
        double factor = said.at("/factor").asDouble();
        assertThat(factor).isNotCloseTo(1, within(0.1));

        String sent = "{\"countedOn\":\"" + LocalDate.now().minusDays(5) + "\",\"stage\":\"set\",\"limbs\":"
                + LIMBS.formatted(100, 150, 70, 125) + ",\"clientId\":\"count-of-a-test-1\"}";
        RunningUmbel.Answer kept = umbel.post(path(block), sent);
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        assertThat(kept.json().at("/factor").asDouble()).isCloseTo(factor, within(1e-9));
        assertThat(umbel.post(path(block), sent).json().at("/id").asLong())
                .as("sent twice, kept once")
                .isEqualTo(kept.json().at("/id").asLong());
        assertThat(umbel.get(path(block)).json()).hasSize(1);

        assertThat(expected(before)).isCloseTo(expectedBefore * factor, within(2.0));
        assertThat(expected(after)).isCloseTo(expectedAfter, within(0.5));
        assertThat(umbel.get("/api/trees/" + before).json().at("/counted/stage").asString())
                .isEqualTo("set");

        assertThat(umbel.send(
                                "DELETE",
                                path(block) + "/" + kept.json().at("/id").asLong(),
                                "",
                                "application/json")
                        .status())
                .isEqualTo(204);
        assertThat(expected(before)).isCloseTo(expectedBefore, within(0.5));
    }

    @Test
    void whatCannotBeReadIsRefusedByField() {
        long block = block("Refusing Row", "apple", "tall-spindle");
        assertThat(umbel.post(
                                path(block) + "/preview",
                                "{\"stage\":\"fruit\",\"limbs\":[{\"diameterMm\":24,\"count\":3}]}")
                        .status())
                .isEqualTo(400);
        assertThat(preview(block, "leaf", 1, 2, 3, 4).status()).isEqualTo(400);
        assertThat(preview(block, "fruit", -1, 2, 3, 4).status()).isEqualTo(400);
        assertThat(umbel.get(path(987654)).status()).isEqualTo(404);
        long bushes = block("Currant Row", "currant-black", "bush");
        assertThat(preview(bushes, "fruit", 1, 2, 3, 4).status()).isEqualTo(409);
    }

    private RunningUmbel.Answer preview(long block, String stage, int... counts) {
        return umbel.post(
                path(block) + "/preview",
                "{\"stage\":\"" + stage + "\",\"limbs\":" + LIMBS.formatted(counts[0], counts[1], counts[2], counts[3])
                        + "}");
    }

    private double expected(long tree) {
        return umbel.get("/api/trees/" + tree)
                .json()
                .at("/reading/crop/expectedFruits")
                .asDouble();
    }

    private static String path(long block) {
        return "/api/blocks/" + block + "/crop-counts";
    }

    private long block(String name, String species, String system) {
        return NewBlock.add(umbel, name, species, system, 40);
    }
}
