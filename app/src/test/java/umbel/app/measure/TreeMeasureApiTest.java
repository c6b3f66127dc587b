package umbel.app.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** Prunings weighed, sky photographed and crops picked are held against what was expected, and teach the block. */
@ExtendWith(RunningUmbel.class)
class TreeMeasureApiTest {

    private static final LocalDate TODAY = LocalDate.now();

    private final RunningUmbel umbel;

    TreeMeasureApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void pruningsWeighedAfterAVisitTeachWhatFalls() {
        long block = NewBlock.add(umbel, "Weighed Row", "apple", "tall-spindle", 10);
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, TODAY.minusDays(40));
        JsonNode nothingCut = keep(tree, "prunings", TODAY.minusDays(9), 3).json();
        assertThat(nothingCut.get("expected").isNull())
                .as("no visit, nothing to hold it against")
                .isTrue();

        String limb = umbel.get("/api/trees/" + tree).json().at("/limbs/0/id").asString();
        RunningUmbel.Answer visit = umbel.post(
                "/api/trees/" + tree + "/records",
                "{\"doneOn\":\"" + TODAY.minusDays(8) + "\",\"who\":\"Ines\",\"minutes\":5,\"note\":\"\",\"steps\":["
                        + "{\"mark\":{\"operation\":\"remove\",\"limb\":\"" + limb
                        + "\"},\"title\":\"Remove\",\"outcome\":\"as-planned\"}]}");
        assertThat(visit.status()).as(visit.text()).isEqualTo(201);
        double expected = keep(tree, "prunings", TODAY.minusDays(7), 1)
                .json()
                .at("/expected/middle")
                .asDouble();
        assertThat(expected).isPositive();
        assertThat(learned(block).get("prunings").asDouble()).isNotEqualTo(1);

        JsonNode twice =
                keep(tree, "prunings", TODAY.minusDays(7), 2 * expected).json();
        assertThat(twice.at("/expected/right").asBoolean()).isFalse();
        JsonNode right = keep(tree, "prunings", TODAY.minusDays(7), expected).json();
        assertThat(right.at("/expected/right").asBoolean()).isTrue();
        assertThat(measures(tree).at("/measures")).hasSize(4);
    }

    @Test
    void theSkySeenFromUnderATreeTeachesTheLeafOfItsBlock() {
        long block = NewBlock.add(umbel, "Shaded Row", "apple", "tall-spindle", 10);
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, TODAY.minusDays(40));
        JsonNode first = keep(tree, "sky", TODAY, 0.5).json();
        double expected = first.at("/expected/middle").asDouble();
        assertThat(expected).isBetween(0.05, 0.95);
        assertThat(remove(tree, first)).isEqualTo(204);
        double leaf = leafOverGround(tree);

        // half as much leaf again between the camera and the sky
        double seen = Math.pow(expected, 1.5);
        JsonNode kept = keep(tree, "sky", TODAY, seen).json();
        double factor = learned(block).get("leaf").asDouble();
        // one tree against four of the usual: exp(ln 1.5 / 5)
        assertThat(factor).isCloseTo(Math.exp(Math.log(1.5) / 5), within(0.004));
        assertThat(leafOverGround(tree)).isCloseTo(leaf * factor, within(0.02 * leaf));
        assertThat(remove(tree, kept)).isEqualTo(204);
        assertThat(leafOverGround(tree)).isCloseTo(leaf, within(1e-6));
    }

    @Test
    void whatWasPickedIsHeldAgainstTheSeasonForetold() {
        long block = NewBlock.add(umbel, "Picked Row", "apple", "tall-spindle", 10);
        long tree = NewBlock.surveyedSpindle(umbel, block, 1, TODAY.minusDays(200));
        assertThat(measures(tree).at("/crops")).isEmpty();
        for (int kg : new int[] {6, 9}) {
            RunningUmbel.Answer picked = umbel.post(
                    "/api/blocks/" + block + "/pickings",
                    "{\"kind\":\"harvest\",\"pickedOn\":\"" + TODAY.minusDays(20) + "\",\"kg\":" + kg
                            + ",\"lastOne\":false,\"treeId\":" + tree + "}");
            assertThat(picked.status()).as(picked.text()).isEqualTo(201);
        }
        JsonNode crop = measures(tree).at("/crops/0");
        assertThat(crop.get("kg").asDouble()).isEqualTo(15);
        assertThat(crop.at("/expected/low").asDouble())
                .isLessThan(crop.at("/expected/high").asDouble());
    }

    @Test
    void theShareOfSkyIsReadFromAPicture() throws IOException {
        JsonNode said = picture(quarterSky(), "image/png").json();
        assertThat(said.get("share").asDouble()).isCloseTo(0.25, within(0.01));
        assertThat(picture("no picture".getBytes(), "image/png").status()).isEqualTo(422);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThat(keep(1, "sky", TODAY, 1.2).status()).isEqualTo(400);
        assertThat(keep(1, "sky", TODAY.plusDays(3), 0.3).status()).isEqualTo(400);
        assertThat(keep(1, "weight", TODAY, 0.3).status()).isEqualTo(400);
        assertThat(keep(1, "prunings", TODAY, -1).status()).isEqualTo(400);
        assertThat(keep(987654, "sky", TODAY, 0.3).status()).isEqualTo(404);
    }

    private RunningUmbel.Answer keep(long tree, String kind, LocalDate day, double amount) {
        return umbel.post(
                "/api/trees/" + tree + "/measures",
                "{\"kind\":\"" + kind + "\",\"measuredOn\":\"" + day + "\",\"amount\":" + amount + "}");
    }

    private int remove(long tree, JsonNode measure) {
        return umbel.send(
                        "DELETE",
                        "/api/trees/" + tree + "/measures/" + measure.get("id").asLong(),
                        "",
                        "application/json")
                .status();
    }

    private JsonNode measures(long tree) {
        return umbel.get("/api/trees/" + tree + "/measures").json();
    }

    private JsonNode learned(long block) {
        return umbel.get("/api/blocks/" + block + "/learned").json();
    }

    private double leafOverGround(long tree) {
        return umbel.get("/api/trees/" + tree)
                .json()
                .at("/reading/light/leafOverGround")
                .asDouble();
    }

    private RunningUmbel.Answer picture(byte[] file, String type) {
        return umbel.send("/api/measures/sky", file, type);
    }

    /** Leaf, with sky in one quarter about the middle. */
    private static byte[] quarterSky() throws IOException {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D brush = image.createGraphics();
        brush.setColor(new Color(50, 90, 40));
        brush.fillRect(0, 0, 400, 300);
        brush.setColor(new Color(190, 210, 240));
        brush.fillRect(200, 150, 200, 150);
        brush.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
