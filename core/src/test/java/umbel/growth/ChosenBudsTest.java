package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.knowledge.Knowledge;
import umbel.survey.SurveyReader;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Buds rubbed out of a whip: nothing grows where none is left, and the crop of limbs is the number chosen. */
class ChosenBudsTest {

    private static Tree whip(long seed) {
        String json = """
                {"format":"umbel-survey/1","tree":{"species":"cherry-sweet","leaf":1,"system":"slender-axe"},
                 "trunk":{"diameter_mm":20,"height_cm":170,"lastGrowth_cm":150},"limbs":[]}""";
        return TreeBuilder.build(SurveyReader.read(json), Knowledge.shipped(), seed);
    }

    private static List<Axis> sideShoots(Tree before, Operation... work) {
        Tree after = Season.grow(InitialState.of(before, 3), Season.Work.dormant(List.of(work)))
                .after()
                .tree();
        return after.axes().stream()
                .filter(axis -> axis.parent() == 0 && axis.kind() != AxisKind.TRUNK)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void nothingGrowsWhereBudsWereRubbedOut(long seed) {
        Tree whip = whip(seed);
        assertThat(sideShoots(whip)).as("left alone it breaks low as well").anyMatch(shoot -> shoot.at() < 0.6);
        List<Axis> chosen = sideShoots(whip, Operation.chooseBuds("trunk", 0.6, 9));
        assertThat(chosen).isNotEmpty().hasSizeLessThanOrEqualTo(9).allMatch(shoot -> shoot.at() >= 0.6);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void theBudsLeftStandApart(long seed) {
        double[] places = sideShoots(whip(seed), Operation.chooseBuds("trunk", 0.6, 8)).stream()
                .mapToDouble(Axis::at)
                .sorted()
                .toArray();
        for (int i = 1; i < places.length; i++) {
            assertThat(places[i] - places[i - 1])
                    .as("metres between shoots %d and %d", i, i + 1)
                    .isGreaterThan(0.04);
        }
    }

    @Test
    void noWoodFallsAndNoWoundIsMade() {
        Tree whip = whip(1);
        CutTree cut = CutTree.of(whip, List.of(Operation.chooseBuds("trunk", 0.6, 9)));
        assertThat(cut.woodShare()).isZero();
        Effect effect = Effect.of(cut, 0, 2.4);
        assertThat(effect.mass()).isZero();
        assertThat(effect.wound()).isZero();
        assertThat(effect.minutes()).isPositive();
    }

    @Test
    void budsAreRefusedWhereThereAreNone() {
        Tree whip = whip(1);
        assertThatThrownBy(() -> CutTree.of(whip, List.of(Operation.chooseBuds("7", 0.6, 9))))
                .isInstanceOf(ImpossibleCut.class);
        assertThatThrownBy(() -> CutTree.of(whip, List.of(Operation.chooseBuds("trunk", 9, 9))))
                .isInstanceOf(ImpossibleCut.class);
        assertThatThrownBy(() -> CutTree.of(whip, List.of(Operation.chooseBuds("trunk", 0, 0))))
                .isInstanceOf(ImpossibleCut.class);
    }
}
