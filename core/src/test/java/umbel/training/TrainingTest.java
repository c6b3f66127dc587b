package umbel.training;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.survey.Surveys;
import umbel.text.Speech;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/** Sums of bending, each against numbers worked by hand. */
class TrainingTest {

    private static Training bend(Surveys survey, String limb, double toDegrees) {
        Tree tree = survey.leaf(3).tree();
        Axis axis = tree.find(limb).orElseThrow();
        return Training.of(tree, axis, Units.fromDegrees(toDegrees));
    }

    @Test
    void aSpreaderAtTwentyFiveAndTwentyFiveForSixtyDegreesIsTwentyFiveLong() {
        // an equilateral triangle
        assertThat(Statics.spreader(0.25, 0.25, Math.toRadians(60))).isCloseTo(0.25, within(1e-9));
    }

    @Test
    void aSpreaderAtThirtyAndFortyForARightAngleIsFiftyLong() {
        assertThat(Statics.spreader(0.30, 0.40, Math.PI / 2)).isCloseTo(0.50, within(1e-9));
    }

    @Test
    void atFiftyFiveDegreesAndTwentyFiveTwentyFiveItIsTwentyThree() {
        // 2 · 25 · sin 27.5° = 23.09
        assertThat(Statics.spreader(0.25, 0.25, Math.toRadians(55))).isCloseTo(0.2309, within(1e-4));
    }

    @Test
    void aTwelveMillimetreLimbTurnedTwentyDegreesOverThirtyCentimetresTakesSevenAndAHalfNewtonMetres() {
        // I = π·0.012⁴/64 = 1.0179e-9 m⁴; E·I·κ = 6.5e9 · 1.0179e-9 · 0.34907/0.30 = 7.70
        assertThat(Statics.moment(0.012, 6.5e9, Math.toRadians(20), 0.30)).isCloseTo(7.70, within(0.01));
    }

    @Test
    void sixNewtonMetresAtFortyCentimetresSquareOnAreFifteenNewtons() {
        assertThat(Statics.pull(6, 0.40, Math.PI / 2)).isCloseTo(15, within(1e-9));
        assertThat(Statics.pull(6, 0.40, Math.toRadians(30))).isCloseTo(30, within(1e-9));
    }

    @Test
    void theSameMomentOnALevelLimbNeedsAKiloAndAHalfHungThere() {
        // 6 / (9.81 · 0.40) = 1.529
        assertThat(Statics.weight(6, 0.40, Math.PI / 2)).isCloseTo(1.529, within(0.001));
    }

    @Test
    void aThousandNewtonsInWindNeedNineAnchorsOfOneHundredAndEighty() {
        assertThat(Statics.anchors(1000, 1.6, 180)).isEqualTo(9);
        assertThat(Statics.anchors(50, 1.6, 180)).isEqualTo(1);
    }

    @Test
    void aFingerThickScaffoldGetsASpreaderOfTheTrianglesLength() {
        Training training = bend(Surveys.apple().trunk(45, 250).scaffold("1", 80, 90, 35, 12, 80), "1", 55);
        assertThat(training.possible()).isTrue();
        assertThat(training.device()).isEqualTo(Device.SPREADER);
        assertThat(training.length()).isCloseTo(0.231, within(0.01));
        assertThat(training.instead()).isNull();
    }

    @Test
    void aLimbBroughtLevelIsTiedToTheGroundStraightBelowTheLoop() {
        Training training = bend(Surveys.apple().trunk(60, 250).scaffold("1", 80, 90, 50, 14, 100), "1", 90);
        assertThat(training.device()).isEqualTo(Device.TIE_DOWN);
        assertThat(training.alongLimb()).isCloseTo(0.5, within(1e-9));
        // level at 80 cm: the string is as long as the union is high
        assertThat(training.length()).isCloseTo(0.80, within(0.005));
        assertThat(training.anchors()).isBetween(1, 2);
    }

    @Test
    void aLimbAlmostAsThickAsTheLeaderIsNotBent() {
        Training training = bend(Surveys.apple().trunk(30, 250).scaffold("1", 150, 90, 15, 22, 85), "1", 55);
        assertThat(training.possible()).isFalse();
        assertThat(Speech.english().say(training.why())).contains("crotch would tear");
    }

    @Test
    void aThickLimbWithAFlatSideBranchIsCutBackToItInstead() {
        Training training = bend(
                Surveys.apple()
                        .trunk(120, 350)
                        .scaffold("1", 80, 90, 30, 45, 200)
                        .limb("1a", "1", "limb", 90, 90, 65, 22, 100, 4, Surveys.bare()),
                "1",
                55);
        assertThat(training.possible()).isFalse();
        assertThat(Speech.english().say(training.why())).contains("too thick");
        assertThat(training.instead().toLimb()).isEqualTo("1a");
    }

    @Test
    void theListCountsDevicesByTheLengthTheyAreCutTo() {
        Surveys survey = Surveys.apple()
                .trunk(60, 250)
                .scaffold("1", 80, 0, 35, 12, 80)
                .scaffold("2", 95, 120, 35, 12, 80)
                .scaffold("3", 110, 240, 50, 14, 100);
        Tree tree = survey.leaf(3).tree();
        List<Training> all = List.of(
                Training.of(tree, tree.find("1").orElseThrow(), Units.fromDegrees(55)),
                Training.of(tree, tree.find("2").orElseThrow(), Units.fromDegrees(55)),
                Training.of(tree, tree.find("3").orElseThrow(), Units.fromDegrees(90)));
        List<Material> list =
                Material.list(all, Knowledge.shipped().parameters().training());
        assertThat(list)
                .containsExactly(
                        new Material(Device.SPREADER, 0.25, 0, 2),
                        // 110 cm to the ground and 25 for loops and knots
                        new Material(Device.TIE_DOWN, 1.35, 0, 1));
        assertThat(Material.anchors(all)).isGreaterThanOrEqualTo(1);
    }
}
