package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.work.Tool;

class CutTreeTest {

    private static final double REACH = 2.4;

    /** Two limbs, the first carrying a side branch at its middle and ten spurs, the second bare. */
    private static Tree twoLimbs() {
        return Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.spurs(10, 2))
                .limb("1a", "1", "lateral", 100, 60, 70, 16, 60, 3, Surveys.spurs(4, 2))
                .scaffold("2", 100, 140, 55, 60, 150)
                .tree();
    }

    @Test
    void aLimbGoesWithAllItCarries() {
        CutTree cut = CutTree.of(twoLimbs(), List.of(Operation.remove(Target.parse("1"))));
        assertThat(cut.left().find("1")).isEmpty();
        assertThat(cut.left().find("1a")).isEmpty();
        assertThat(cut.left().smallWoodOn("1")).isEmpty();
        assertThat(cut.left().find("2")).isPresent();
        assertThat(cut.found().axes().stream().filter(axis -> axis.limb().equals("1a")))
                .allMatch(axis -> cut.takenBy(axis) == 0 && cut.kept(axis) == 0);
    }

    @Test
    void aReductionKeepsTheSideBranchItEndsOn() {
        Tree tree = twoLimbs();
        Axis limb = tree.find("1").orElseThrow();
        Axis branch = tree.find("1a").orElseThrow();
        Operation operation =
                Operation.reduce(OperationKind.REDUCE, Target.parse("1"), "1a", Options.pastUnion(limb, branch));
        CutTree cut = CutTree.of(tree, List.of(operation));
        assertThat(cut.left().find("1a")).isPresent();
        assertThat(cut.left().find("1").orElseThrow().length()).isCloseTo(1.0 + 0.6 * 0.016, within(1e-9));
        assertThat(cut.left().axes())
                .allMatch(axis ->
                        axis.parent() != cut.left().find("1").orElseThrow().index() || axis.at() <= 1.01);
    }

    @Test
    void shorteningTakesOnlyWhatGrowsBeyondTheCut() {
        Tree tree = twoLimbs();
        CutTree cut = CutTree.of(tree, List.of(Operation.cutAt(OperationKind.SHORTEN, Target.parse("1"), 0.9)));
        assertThat(cut.left().find("1").orElseThrow().length()).isCloseTo(0.9, within(1e-9));
        assertThat(cut.left().find("1a")).as("it left at one metre").isEmpty();
        for (Axis axis : tree.axes()) {
            boolean onLimb = axis.parent() == tree.find("1").orElseThrow().index();
            if (onLimb) {
                assertThat(cut.kept(axis) > 0).isEqualTo(axis.at() <= 0.9);
            }
        }
    }

    @Test
    void aGroupOfShootsGoesAndNothingElse() {
        Tree tree = Surveys.apple()
                .limb(
                        "1",
                        "trunk",
                        "scaffold",
                        80,
                        0,
                        60,
                        40,
                        200,
                        6,
                        new Survey.SmallWood(
                                List.of(
                                        new Survey.ShootCount("strong", "up", 3, 90.0),
                                        new Survey.ShootCount("pencil", "up", 4, 30.0),
                                        new Survey.ShootCount("pencil", "side", 5, 30.0)),
                                new Survey.SpurCount(6, 2.0),
                                null))
                .tree();
        assertThat(taken(tree, "1/shoots/up/strong")).isEqualTo(3);
        assertThat(taken(tree, "1/shoots/up")).isEqualTo(7);
        assertThat(taken(tree, "1/shoots/pencil")).isEqualTo(9);
        assertThat(taken(tree, "1/shoots")).isEqualTo(12);
        assertThat(taken(tree, "1/spurs")).isEqualTo(6);
    }

    @Test
    void thinningKeepsTheBestPlacedShoots() {
        Tree tree = Surveys.peach()
                .limb(
                        "1",
                        "trunk",
                        "scaffold",
                        50,
                        0,
                        45,
                        40,
                        200,
                        5,
                        new Survey.SmallWood(
                                List.of(
                                        new Survey.ShootCount("matchstick", "side", 6, 18.0),
                                        new Survey.ShootCount("strong", "up", 6, 100.0),
                                        new Survey.ShootCount("pencil", "in", 6, 45.0),
                                        new Survey.ShootCount("pencil", "side", 8, 45.0)),
                                new Survey.SpurCount(0, 1.0),
                                null))
                .tree();
        CutTree cut = CutTree.of(tree, List.of(Operation.thin(Target.parse("1/shoots"), 8)));
        List<Axis> kept = cut.left().smallWoodOn("1");
        assertThat(kept).hasSize(8);
        assertThat(kept).allMatch(shoot -> shoot.shootClass() == ShootClass.PENCIL);
        assertThat(kept.stream()
                        .filter(shoot -> shoot.attitude() == umbel.wood.Attitude.SIDE)
                        .count())
                .isGreaterThanOrEqualTo(7);
    }

    @Test
    void thinningToMoreThanThereAreTakesNothing() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.shoots("pencil", "side", 5, 30))
                .tree();
        CutTree cut = CutTree.of(tree, List.of(Operation.thin(Target.parse("1/shoots"), 9)));
        assertThat(cut.left().axes()).hasSameSizeAs(tree.axes());
        assertThat(cut.woodShare()).isZero();
    }

    static Stream<Arguments> impossible() {
        return Stream.of(
                Arguments.of(Operation.remove(Target.parse("9")), "limb"),
                Arguments.of(Operation.remove(Target.parse("1/shoots/up")), "limb"),
                Arguments.of(Operation.remove(Target.parse("trunk")), "operation"),
                Arguments.of(Operation.cutAt(OperationKind.SHORTEN, Target.parse("1"), 0), "at_cm"),
                Arguments.of(Operation.cutAt(OperationKind.SHORTEN, Target.parse("1"), 2.5), "at_cm"),
                Arguments.of(Operation.cutAt(OperationKind.HEAD, Target.parse("1/spurs"), 0.5), "at_cm"),
                Arguments.of(Operation.bend(Target.parse("1"), Double.NaN), "toAngle_deg"));
    }

    @ParameterizedTest
    @MethodSource("impossible")
    void aCutThatCannotBeMadeIsRefused(Operation operation, String field) {
        ImpossibleCut refused =
                catchThrowableOfType(ImpossibleCut.class, () -> CutTree.of(twoLimbs(), List.of(operation)));
        assertThat(refused.field()).isEqualTo(field);
        assertThat(refused).hasMessageMatching(".{10,}");
    }

    @Test
    void theShareTakenIsOfLeafBearingWoodWithoutSuckers() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 40, 200, 6, Surveys.spurs(30, 2))
                .limb("2", "trunk", "scaffold", 100, 120, 60, 40, 200, 6, Surveys.spurs(30, 2))
                .limb("s", "trunk", "sucker", 3, 200, 10, 8, 90, 1, null)
                .tree();
        assertThat(CutTree.of(tree, List.of(Operation.remove(Target.parse("s"))))
                        .woodShare())
                .isZero();
        double one =
                CutTree.of(tree, List.of(Operation.remove(Target.parse("1")))).woodShare();
        double two =
                CutTree.of(tree, List.of(Operation.remove(Target.parse("2")))).woodShare();
        double both = CutTree.of(
                        tree, List.of(Operation.remove(Target.parse("1")), Operation.remove(Target.parse("2"))))
                .woodShare();
        assertThat(one).isBetween(0.2, 0.5);
        assertThat(both).isCloseTo(one + two, within(1e-9));
    }

    @Test
    void effectsOfStepsAddUpToTheWhole() {
        for (long seed = 1; seed <= 6; seed++) {
            Tree tree = TreeBuilder.build(
                    PracticeTree.survey("central-leader", 22, seed, Fault.WATER_SPROUTS, Fault.SUCKERS),
                    Knowledge.shipped(),
                    seed);
            List<Operation> operations = List.of(
                    Operation.remove(Target.parse("s1")),
                    Operation.remove(Target.parse("1/shoots/up/strong")),
                    Operation.remove(Target.parse("5")),
                    Operation.cutAt(OperationKind.SHORTEN, Target.parse("2"), 1.1));
            CutTree cut = CutTree.of(tree, operations);
            double sum = Effect.ofAll(cut, REACH).stream()
                    .mapToDouble(Effect::woodShare)
                    .sum();
            assertThat(sum).isCloseTo(cut.woodShare(), within(1e-9));
            double leafLeft = cut.left().axes().stream()
                    .filter(axis -> !axis.limb().startsWith("s"))
                    .mapToDouble(Axis::leafArea)
                    .sum();
            double leafFound = tree.axes().stream()
                    .filter(axis -> !axis.limb().startsWith("s"))
                    .mapToDouble(Axis::leafArea)
                    .sum();
            assertThat(1 - leafLeft / leafFound)
                    .as("what is gone from the tree itself")
                    .isCloseTo(cut.woodShare(), within(1e-6));
        }
    }

    @Test
    void theMassThatFallsIsVolumeTimesDensity() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 60, 200, 6, Surveys.bare())
                .tree();
        Effect effect = Effect.of(CutTree.of(tree, List.of(Operation.remove(Target.parse("1")))), 0, REACH);
        // a cone-like limb of 60 mm and 2 m holds between a third and two thirds of its cylinder, at 1 000 kg/m³
        double cylinder = Math.PI * 0.03 * 0.03 * 2 * 1000;
        assertThat(effect.mass()).isBetween(cylinder / 3, cylinder * 2 / 3);
        assertThat(effect.diameter()).isCloseTo(0.06, within(1e-9));
        assertThat(effect.tool()).isEqualTo(Tool.SAW);
        assertThat(effect.big()).isTrue();
        assertThat(effect.threeStep()).isTrue();
        assertThat(effect.wound()).isCloseTo(Math.PI * 0.03 * 0.03, within(1e-9));
        assertThat(effect.ladder()).isFalse();
        assertThat(effect.height()).isCloseTo(0.8, within(1e-3));
    }

    @Test
    void deadWoodLeavesNoLiveWoundAndNoSprouts() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 60, 60, 200, 6, Surveys.spurs(20, 2))
                .noted("dead", null)
                .tree();
        CutTree cut = CutTree.of(tree, List.of(Operation.remove(Target.parse("1"))));
        assertThat(cut.woodShare()).isZero();
        assertThat(Effect.of(cut, 0, REACH).wound()).isZero();
        assertThat(Effect.of(cut, 0, REACH).sprouts()).isZero();
    }

    @Test
    void aHeadingWakesMoreShootsThanTakingTheWholeShoot() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "limb", 80, 0, 60, 9, 60, 1, null)
                .tree();
        Effect head = Effect.of(
                CutTree.of(tree, List.of(Operation.cutAt(OperationKind.HEAD, Target.parse("1"), 0.3))), 0, REACH);
        Effect remove = Effect.of(CutTree.of(tree, List.of(Operation.remove(Target.parse("1")))), 0, REACH);
        assertThat(head.sprouts()).isBetween(2.0, 4.0).isGreaterThan(remove.sprouts());
    }

    @Test
    void whatIsOutOfReachIsLadderWork() {
        Tree tree = Surveys.apple()
                .trunk(120, 420)
                .scaffold("9", 350, 0, 60, 25, 80)
                .tree();
        assertThat(Effect.of(CutTree.of(tree, List.of(Operation.remove(Target.parse("9")))), 0, REACH)
                        .ladder())
                .isTrue();
        assertThat(Effect.of(CutTree.of(tree, List.of(Operation.remove(Target.parse("9")))), 0, 4.0)
                        .ladder())
                .isFalse();
    }

    @Test
    void aBendTakesNoWood() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 35, 15, 90, 2, null)
                .tree();
        CutTree cut = CutTree.of(tree, List.of(Operation.bend(Target.parse("1"), Math.toRadians(60))));
        Effect effect = Effect.of(cut, 0, REACH);
        assertThat(cut.woodShare()).isZero();
        assertThat(effect.tool()).isEqualTo(Tool.TIE);
        assertThat(effect.cuts()).isZero();
        assertThat(cut.left().axes().stream().filter(axis -> axis.kind() == AxisKind.LIMB))
                .hasSize(1);
    }

    private static int taken(Tree tree, String group) {
        return tree.axes().size()
                - CutTree.of(tree, List.of(Operation.remove(Target.parse(group))))
                        .left()
                        .axes()
                        .size();
    }
}
