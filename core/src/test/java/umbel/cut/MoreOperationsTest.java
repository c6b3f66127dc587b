package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** Stubs, short-spurring, spur thinning, flowers off, and leaving things alone. */
class MoreOperationsTest {

    private static Tree tree() {
        return Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 90, 60, 30, 150, 6, Surveys.spurs(20, 4))
                .limb("2", "trunk", "scaffold", 95, 210, 60, 30, 150, 6, Surveys.shoots("pencil", "up", 5, 40))
                .tree();
    }

    private static Tree after(Operation operation) {
        return CutTree.of(tree(), List.of(operation)).left();
    }

    private static long spurs(Tree tree, String limb) {
        return tree.smallWoodOn(limb).stream()
                .filter(axis -> axis.kind() == AxisKind.SPUR)
                .count();
    }

    @Test
    void aStubLeavesTheFootOfTheLimbAndNothingBeyond() {
        Tree left = after(Operation.cutAt(OperationKind.RENEW_STUB, Target.parse("1"), 0.2));
        assertThat(left.find("1").orElseThrow().length()).isCloseTo(0.2, within(1e-9));
        assertThat(left.smallWoodOn("1")).allMatch(axis -> axis.at() <= 0.2 + 1e-9);
    }

    @Test
    void shortSpurringCutsEveryShootOfTheGroupToThreeBuds() {
        Tree left = after(Operation.cutAt(OperationKind.SHORT_SPUR, Target.parse("2/shoots/up"), 0.1));
        List<Axis> shoots = left.smallWoodOn("2").stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT)
                .toList();
        assertThat(shoots).hasSize(5).allMatch(shoot -> Math.abs(shoot.length() - 0.1) < 1e-9);
    }

    @Test
    void shortSpurringIsForGroups() {
        assertThatThrownBy(() -> after(Operation.cutAt(OperationKind.SHORT_SPUR, Target.parse("2"), 0.1)))
                .isInstanceOf(ImpossibleCut.class)
                .hasMessageContaining("group of shoots");
    }

    @Test
    void spurThinningKeepsTheYoungest() {
        Tree before = tree();
        Tree left = after(Operation.thinSpurs("1", 8));
        assertThat(spurs(before, "1")).isEqualTo(20);
        assertThat(spurs(left, "1")).isEqualTo(8);
        int oldestKept =
                left.smallWoodOn("1").stream().mapToInt(Axis::age).max().orElseThrow();
        long younger = before.smallWoodOn("1").stream()
                .filter(axis -> axis.kind() == AxisKind.SPUR && axis.age() < oldestKept)
                .count();
        assertThat(younger).isLessThanOrEqualTo(8);
    }

    @Test
    void flowersComeOffALimbAndStayOnTheOthers() {
        Tree left = after(Operation.whole(OperationKind.DEFLOWER, Target.parse("1")));
        assertThat(left.smallWoodOn("1")).allMatch(axis -> axis.flowerBuds() == 0);
        assertThat(left.axes()).hasSameSizeAs(tree().axes());
        assertThat(left.smallWoodOn("2").stream().mapToDouble(Axis::flowerBuds).sum())
                .isEqualTo(tree().smallWoodOn("2").stream()
                        .mapToDouble(Axis::flowerBuds)
                        .sum());
    }

    @Test
    void flowersOffTheTrunkAreFlowersOffTheTree() {
        assertThat(after(Operation.whole(OperationKind.DEFLOWER, Target.TRUNK)).axes())
                .allMatch(axis -> axis.flowerBuds() == 0);
    }

    @Test
    void keepingAndWatchingChangeNothingAndCostNothing() {
        CutTree kept = CutTree.of(
                tree(),
                List.of(
                        Operation.whole(OperationKind.KEEP, Target.parse("1")),
                        Operation.whole(OperationKind.WATCH, Target.TRUNK)));
        assertThat(kept.left().axes()).hasSameSizeAs(tree().axes());
        assertThat(kept.woodShare()).isZero();
        assertThat(Effect.ofAll(kept, 2.4)).allMatch(effect -> effect.minutes() == 0 && effect.cuts() == 0);
    }

    @Test
    void workPlannedForALimbThatIsGoneIsPassedOver() {
        assertThat(CutTree.possible(
                        tree(), List.of(Operation.remove(Target.parse("9")), Operation.remove(Target.parse("1")))))
                .containsExactly(Operation.remove(Target.parse("1")));
    }

    @Test
    void everyWordOfTheOpenFormatIsAnOperation() {
        for (String word : List.of(
                "keep",
                "watch",
                "remove",
                "bend",
                "head",
                "tip",
                "shorten",
                "reduce",
                "renew-stub",
                "renew-bevel",
                "lower-leader",
                "short-spur",
                "thin-spurs",
                "rub",
                "deflower")) {
            assertThat(OperationKind.of(word)).as(word).isPresent();
        }
        assertThat(Survey.TRUNK).isEqualTo("trunk");
    }
}
