package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import umbel.light.Look;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/** Renewal stubs: short at the top, longer low, and only under open sky. */
class StubsTest {

    @Test
    void aStubAtTheTopIsTenCentimetresAndOneAtTheGroundTwentyEight() {
        Tree tree = Surveys.apple()
                .as("slender-axe")
                .trunk(60, 200)
                .scaffold("low", 2, 0, 90, 15, 100)
                .scaffold("high", 199, 90, 90, 15, 60)
                .tree();
        assertThat(Units.toCm(Stubs.length(tree, tree.find("low").orElseThrow())))
                .isCloseTo(28, within(0.5));
        assertThat(Units.toCm(Stubs.length(tree, tree.find("high").orElseThrow())))
                .isCloseTo(10, within(0.5));
    }

    @Test
    void aLimbAloneUnderTheSkyIsStubbed() {
        Tree tree = Surveys.apple()
                .as("slender-axe")
                .trunk(60, 200)
                .scaffold("1", 80, 0, 90, 15, 100)
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        Stubs stubs = new Stubs(tree, Look.CLOSE);
        assertThat(stubs.lightAbove(limb).orElseThrow()).isGreaterThan(0.5);
        assertThat(stubs.of(limb).orElseThrow().kind()).isEqualTo(OperationKind.RENEW_STUB);
    }

    @Test
    void aLimbTooShortForAStubIsNot() {
        Tree tree = Surveys.apple()
                .as("slender-axe")
                .trunk(60, 200)
                .scaffold("1", 80, 0, 90, 8, 25)
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        assertThat(new Stubs(tree, Look.CLOSE).of(limb)).isEmpty();
    }
}
