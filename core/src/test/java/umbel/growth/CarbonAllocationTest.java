package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.growth.GrowingPoint.Fate;
import umbel.growth.GrowingPoint.Kind;
import umbel.knowledge.Knowledge;
import umbel.light.LightField;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** How a tree's reserve is shared out among the places that may grow. */
class CarbonAllocationTest {

    private static final Tree TREE =
            TreeBuilder.build(PracticeTree.survey("apple", "central-leader", 7, 4), Knowledge.shipped(), 1);
    private static final KeyedDraws DRAWS = new KeyedDraws(1, 0);

    private static GrowingPoints points(List<Operation> cuts) {
        return new GrowingPoints(
                CutTree.of(TREE, cuts), new LeafArea(TREE), LightField.of(TREE, 0.20, 16), GrowthTraits.USUAL, DRAWS);
    }

    private static List<GrowingPoint> all(GrowingPoints points) {
        List<GrowingPoint> all = new ArrayList<>();
        for (int axis = 0; axis < points.left().axes().size(); axis++) {
            all.addAll(points.on(axis));
        }
        return all;
    }

    private static double flowToEnds(GrowingPoints points) {
        return all(points).stream()
                .filter(point -> point.kind != Kind.SIDE)
                .mapToDouble(point -> point.flow)
                .sum();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.02, 0.2, 2})
    void allThatIsSharedComesToAnEnd(double amount) {
        GrowingPoints points = points(List.of());
        new CarbonAllocation(points, DRAWS).share(amount);
        assertThat(flowToEnds(points)).isCloseTo(amount, within(1e-9 * amount));
        assertThat(all(points)).allSatisfy(point -> assertThat(point.flow).isNotNegative());
    }

    @Test
    void whatDoesNotOpenGetsNothing() {
        GrowingPoints points = points(List.of());
        new CarbonAllocation(points, DRAWS).share(0.02);
        assertThat(all(points).stream().filter(point -> point.fate == Fate.BLIND))
                .isNotEmpty()
                .allSatisfy(point -> assertThat(point.flow).isZero());
    }

    /** What was shared once does not colour what is shared next: halving for the reserve rests on it. */
    @Test
    void everySharingBeginsAnew() {
        GrowingPoints once = points(List.of());
        new CarbonAllocation(once, DRAWS).share(0.4);
        GrowingPoints again = points(List.of());
        CarbonAllocation allocation = new CarbonAllocation(again, DRAWS);
        allocation.share(0.02);
        allocation.share(4);
        allocation.share(0.4);
        assertThat(all(again).stream().map(point -> point.flow).toList())
                .isEqualTo(all(once).stream().map(point -> point.flow).toList());
    }

    /** Fading from point to point comes to the fading over the whole way, with the wood as it is and after cuts. */
    @Test
    void inhibitionFadesByTheWayItGoes() {
        double reach = TREE.setting().species().growth().inhibition().reach();
        Operation removed = Operation.remove(TREE.limbs().get(2));
        for (GrowingPoints points : List.of(
                points(List.of()),
                points(List.of(removed)),
                GrowingPoints.aboutWounds(
                        CutTree.of(TREE, List.of(removed)),
                        LightField.of(TREE, 0.20, 16),
                        GrowthTraits.USUAL,
                        DRAWS))) {
            for (int axis = 0; axis < points.left().axes().size(); axis++) {
                List<GrowingPoint> along = points.on(axis);
                double whole = points.fadingToOrigin(axis);
                for (GrowingPoint point : along) {
                    whole *= point.fading;
                }
                double way = along.isEmpty() ? 0 : along.get(0).at;
                assertThat(whole).isCloseTo(Math.exp(-way / reach), within(1e-9));
            }
        }
    }
}
