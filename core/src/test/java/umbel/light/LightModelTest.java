package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class LightModelTest {

    @Test
    void leafIsNeitherLostNorMadeWhenItIsSpread() {
        CanopyGrid grid = new CanopyGrid(1.0, 1.5, 2.0, 0.1, 0.5);
        grid.deposit(0.02, 1.47, 1.03, 0.6);
        grid.deposit(5.31, -3.2, 0.5, 0.4);
        double k = 0;
        for (int l = 0; l < 21; l++) {
            for (int j = 0; j < 15; j++) {
                for (int i = 0; i < 10; i++) {
                    k += grid.get(l, j, i);
                }
            }
        }
        assertThat(k * 0.1 * 0.1 * 0.1 / 0.5).as("leaf area, m²").isCloseTo(1.0, within(1e-5));
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "modified-central-leader", "tall-spindle", "open-centre"})
    void sharesStayBetweenDarkAndOpen(String system) {
        for (long seed = 1; seed <= 3; seed++) {
            LightReading light = LightModel.read(grow(system, seed));
            assertThat(light.light()).isNotEmpty();
            assertThat(java.util.Arrays.stream(light.light())).allMatch(q -> q > 0 && q <= 1.0001);
            assertThat(light.interception()).isBetween(0.02, 0.9);
            assertThat(light.shareUnder(0.3)).isLessThanOrEqualTo(light.shareUnder(0.5));
            assertThat(light.shareUnder(2)).isEqualTo(1);
        }
    }

    @Test
    void theTopOfATreeIsLighterThanItsInside() {
        Tree tree = grow("central-leader", 3);
        LightReading light = LightModel.read(tree);
        assertThat(meanBetween(light, 3.4, 9)).isGreaterThan(meanBetween(light, 0, 2) + 0.1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "tall-spindle", "open-centre"})
    void takingAMarkBackGivesTheSameBits(String system) {
        Tree tree = grow(system, 5);
        double[] before = LightModel.read(tree).light();
        String limb = tree.limbs().get(1).id();
        Tree cut =
                CutTree.of(tree, List.of(Operation.remove(Target.parse(limb)))).left();
        assertThat(LightModel.read(cut).light()).isNotEqualTo(before);
        Tree back = CutTree.of(tree, List.of()).left();
        assertThat(LightModel.read(back).light()).isEqualTo(before);
    }

    @Test
    void removingALimbNeverDarkensWhatIsLeft() {
        Tree tree = grow("central-leader", 7);
        LightReading before = LightModel.read(tree);
        Tree left =
                CutTree.of(tree, List.of(Operation.remove(Target.parse("5")))).left();
        LightReading after = LightModel.read(left);
        int i = 0;
        double gained = 0;
        for (int s = 0; s < before.sites().size(); s++) {
            if (left.find(before.sites().get(s).axis().id()).isEmpty()) {
                continue;
            }
            // the box grows lower with the tree and directions stay the same, so only less can stand in the way
            assertThat(after.light()[i]).isGreaterThan(before.light()[s] - 1e-3);
            gained += after.light()[i] - before.light()[s];
            i++;
        }
        assertThat(i).isEqualTo(after.light().length);
        assertThat(gained / i).isPositive();
    }

    @Test
    void neighboursFurtherOffLeaveMoreLight() {
        Surveys limb = Surveys.apple().limb("1", "trunk", "scaffold", 90, 90, 60, 45, 180, 6, Surveys.spurs(80, 2));
        LightReading close = LightModel.read(limb.spacing(2, 3).tree());
        LightReading wide = LightModel.read(limb.spacing(5, 6).tree());
        assertThat(wide.mean()).isGreaterThan(close.mean());
        assertThat(wide.interception()).isLessThan(close.interception());
    }

    @Test
    void moreSpursMakeMoreShade() {
        LightReading few = LightModel.read(withSpurs(40));
        LightReading many = LightModel.read(withSpurs(200));
        assertThat(many.mean()).isLessThan(few.mean());
        assertThat(many.interception()).isGreaterThan(few.interception());
    }

    @Test
    void aTreeWithoutFruitingPlacesIsReadWithoutNonsense() {
        LightReading light = LightModel.read(Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 100, 1, null)
                .tree());
        assertThat(light.sites().stream().filter(site -> site.axis().limb().equals("1")))
                .isEmpty();
        assertThat(light.shareUnder(0.3)).isBetween(0.0, 1.0);
        assertThat(light.interception()).isBetween(0.0, 0.3);
    }

    @Test
    void aGlanceRanksTreesAsTheFullReadingDoes() {
        Tree tree = grow("central-leader", 2);
        double before = LightModel.read(tree).mean();
        double glanced = LightModel.readCoarse(tree, 1).mean();
        Tree open = CutTree.of(tree, List.of(Operation.remove(Target.parse("5")), Operation.remove(Target.parse("6"))))
                .left();
        assertThat(LightModel.read(open).mean()).isGreaterThan(before);
        assertThat(LightModel.readCoarse(open, 1).mean()).isGreaterThan(glanced);
        assertThat(LightModel.readCoarse(tree, 2).mean()).isCloseTo(glanced, within(0.05));
    }

    @Test
    void lightByLimbIsTheMeanOfItsSites() {
        LightReading light = LightModel.read(grow("tall-spindle", 4));
        double sum = 0;
        double weight = 0;
        for (int s = 0; s < light.light().length; s++) {
            FruitingSite site = light.sites().get(s);
            if (site.axis().limb().equals("3")) {
                sum += light.light()[s] * site.weight();
                weight += site.weight();
            }
        }
        assertThat(light.meanByLimb().get("3")).isCloseTo(sum / weight, within(1e-9));
    }

    private static double meanBetween(LightReading light, double low, double high) {
        double sum = 0;
        int count = 0;
        for (int s = 0; s < light.light().length; s++) {
            double z = light.sites().get(s).place().z();
            if (z >= low && z < high) {
                sum += light.light()[s];
                count++;
            }
        }
        return sum / count;
    }

    private static Tree withSpurs(int count) {
        return Surveys.apple()
                .limb("1", "trunk", "scaffold", 90, 90, 60, 45, 180, 6, Surveys.spurs(count, 2))
                .tree();
    }

    private static Tree grow(String system, long seed) {
        int leaf = system.equals("central-leader") ? 22 : 6;
        return TreeBuilder.build(PracticeTree.survey(system, leaf, seed), Knowledge.shipped(), seed);
    }
}
