package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** The terms flowering is made of, each held to its meaning: half at its half, monotone, one where nothing holds it back. */
class FlowerTermsTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final GrowthParameters PARAMETERS = KNOWLEDGE.parameters().growth();

    @Test
    void halfTheBudsFormAtTheHalfLight() {
        assertThat(FlowerBudFormation.byLight(PARAMETERS.flowerBuds().light().half(), PARAMETERS))
                .isCloseTo(0.5, within(1e-12));
        assertThat(FlowerBudFormation.byLight(1, PARAMETERS)).isCloseTo(1, within(0.01));
        assertThat(FlowerBudFormation.byLight(0.05, PARAMETERS)).isLessThan(0.02);
        double before = 0;
        for (double light = 0; light <= 1; light += 0.05) {
            double now = FlowerBudFormation.byLight(light, PARAMETERS);
            assertThat(now).isGreaterThan(before);
            before = now;
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"apple", "pear", "peach", "cherry-sweet", "plum-european", "citrus"})
    void halfTheBudsFormAtTheHalfLoad(String kind) {
        Species.Growth species = KNOWLEDGE.species(kind).growth();
        double half = species.load().half();
        assertThat(FlowerBudFormation.byLoad(0, species)).isEqualTo(1);
        assertThat(FlowerBudFormation.byLoad(half, species)).isCloseTo(0.5, within(1e-12));
        assertThat(FlowerBudFormation.byLoad(3 * half, species)).isLessThan(0.3);
    }

    @Test
    void levelWoodFlowersMoreThanUprightWood() {
        double upright = FlowerBudFormation.byLean(limb(5), PARAMETERS);
        double slanting = FlowerBudFormation.byLean(limb(45), PARAMETERS);
        double level = FlowerBudFormation.byLean(limb(90), PARAMETERS);
        assertThat(upright - 1).isLessThan(0.15 * PARAMETERS.flowerBuds().level());
        assertThat(slanting).isBetween(upright, level);
        assertThat(level).isCloseTo(1 + PARAMETERS.flowerBuds().level(), within(0.05));
    }

    @Test
    void wildGrowthKeepsSpursFromFlowering() {
        Axis calm = grown(4);
        Axis strong = grown(80);
        assertThat(FlowerBudFormation.byVigour(calm, PARAMETERS)).isGreaterThan(0.9);
        assertThat(FlowerBudFormation.byVigour(strong, PARAMETERS))
                .isLessThan(FlowerBudFormation.byVigour(calm, PARAMETERS) / 2);
    }

    private static Axis limb(double angle) {
        return Surveys.apple()
                .scaffold("1", 120, 90, angle, 30, 150)
                .tree()
                .find("1")
                .orElseThrow();
    }

    private static Axis grown(double lastGrowthCm) {
        return Surveys.apple()
                .scaffold("1", 120, 90, 60, 30, 150)
                .lastGrowth(lastGrowthCm)
                .tree()
                .find("1")
                .orElseThrow();
    }

    @Test
    void aSeasonNeverBringsBackWhatWasCutNorGrowsWhatIsDead() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 90, 0, 55, 35, 180, 8, Surveys.spurs(30, 3))
                .limb("2", "trunk", "scaffold", 110, 120, 60, 30, 160, 8, Surveys.spurs(30, 3))
                .limb("3", "trunk", "scaffold", 130, 240, 60, 28, 150, 8, Surveys.spurs(30, 3))
                .tree();
        CutTree cut = CutTree.of(tree, List.of(Operation.remove(Target.parse("2"))));
        Tree after = Season.grow(InitialState.of(tree, 1), Season.Work.dormant(cut.operations()))
                .after()
                .tree();
        assertThat(after.find("2")).isEmpty();
        assertThat(after.axes())
                .noneMatch(axis -> axis.limb().equals("2") && axis.kind() == AxisKind.SPUR && axis.age() > 1);
        assertThat(after.find("1").orElseThrow().baseDiameter())
                .isGreaterThan(tree.find("1").orElseThrow().baseDiameter());
        assertThat(after.axes().stream()
                        .map(Axis::age)
                        .max(Comparator.naturalOrder())
                        .orElseThrow())
                .isEqualTo(tree.axes().stream()
                                .map(Axis::age)
                                .max(Comparator.naturalOrder())
                                .orElseThrow()
                        + 1);
    }
}
