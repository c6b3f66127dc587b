package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.RunningUmbel;
import umbel.photosurvey.PhotoSurveyRequest;
import umbel.wood.Axis;
import umbel.wood.Units;
import umbel.wood.Vec;

/** The sample pictures measured over the wire: the tree that is in them comes back. */
@ExtendWith(RunningUmbel.class)
class PhotoSurveyApiTest {

    private static final String MEASURE = "/api/survey/photographs";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final RunningUmbel umbel;

    PhotoSurveyApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static ObjectNode both() {
        return JSON.valueToTree(new PhotoSurveyRequest(
                PhotoSurveyRequest.FORMAT, 200, List.of(SampleTouches.view(0), SampleTouches.view(1)), null));
    }

    @Test
    void theTreeInThePicturesIsMeasured() {
        RunningUmbel.Answer answer = umbel.post(MEASURE, both().toString());
        assertThat(answer.status()).isEqualTo(200);
        JsonNode limbs = answer.json().at("/limbs");
        List<Axis> real = SampleTouches.limbs();
        assertThat(limbs.size()).isEqualTo(real.size());
        for (JsonNode limb : limbs) {
            Axis is = real.stream()
                    .filter(one -> limb.at("/first").asString().equals("a" + one.id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(limb.at("/second").asString()).isEqualTo("b" + is.id());
            Vec chord = is.course().at(is.length()).minus(is.course().at(0));
            double turn =
                    Math.IEEEremainder(limb.at("/bearing_deg").asDouble() - Units.toDegrees(chord.bearing()), 360);
            assertThat(turn).as(is.id()).isEqualTo(0, within(4.0));
            assertThat(limb.at("/at_cm").asDouble()).as(is.id()).isEqualTo(Units.toCm(is.at()), within(2.0));
            assertThat(limb.at("/length_cm").asDouble())
                    .as(is.id())
                    .isEqualTo(Units.toCm(is.length()), within(0.06 * Units.toCm(is.length())));
            assertThat(limb.at("/error/angle_deg").asDouble()).isBetween(0.1, 6.0);
        }
        assertThat(answer.json().at("/between_deg").asDouble()).isEqualTo(93, within(2.0));
        assertThat(answer.json().at("/trunkHeight_cm").asDouble())
                .isEqualTo(Units.toCm(SampleTouches.trunkLength()), within(4.0));
    }

    @Test
    void whatIsWrongIsNamedByItsFieldInTheReadersLanguage() {
        ObjectNode wrong = both();
        ((ObjectNode) wrong.at("/views/1/limbs/0/tip")).put("x", 1501);
        RunningUmbel.Answer answer = umbel.post(MEASURE, wrong.toString());
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("views[1].limbs[0].tip");
        assertThat(answer.json().at("/errors/0/message").asString()).isEqualTo("This point lies outside the picture.");
        assertThat(umbel.post(MEASURE, "[]").status()).isEqualTo(400);
    }

    @Test
    void itSaysWhatItIsAskedBy() {
        JsonNode figures = umbel.get(MEASURE).json();
        assertThat(figures.at("/bestFrom_m").asDouble())
                .isLessThan(figures.at("/bestTo_m").asDouble());
        assertThat(figures.at("/classes").size()).isGreaterThan(4);
        assertThat(figures.at("/classes/0/from_mm").asDouble())
                .isLessThan(figures.at("/classes/0/to_mm").asDouble());
    }

    @Test
    void theSamplePicturesAreThere() {
        for (int number : new int[] {1, 2}) {
            RunningUmbel.Answer picture = umbel.get(MEASURE + "/samples/" + number);
            assertThat(picture.status()).isEqualTo(200);
            assertThat(picture.text()).startsWith("<svg").doesNotContain("NaN").endsWith("</svg>");
        }
        assertThat(umbel.get(MEASURE + "/samples/3").status()).isEqualTo(404);
    }
}
