package umbel.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class OptionsTest {

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "modified-central-leader", "tall-spindle", "open-centre"})
    void whateverIsOfferedCanBeDone(String system) {
        for (long seed = 1; seed <= 4; seed++) {
            Tree tree = TreeBuilder.build(
                    PracticeTree.survey(system, 7, seed, Fault.TIGHT_CROTCH, Fault.SUCKERS, Fault.HANGERS),
                    Knowledge.shipped(),
                    seed);
            for (Axis limb : tree.limbs()) {
                List<Operation> options = Options.on(tree, limb, true);
                assertThat(options).isNotEmpty();
                for (Operation operation : options) {
                    CutTree cut = CutTree.of(tree, List.of(operation));
                    boolean changed = operation.kind() == OperationKind.BEND
                            || cut.left().axes().size() < tree.axes().size()
                            || cut.left().find(limb.id()).orElseThrow().length() < limb.length();
                    assertThat(changed).as(operation.toString()).isTrue();
                }
            }
        }
    }

    @Test
    void aShootOfTheRootstockIsOnlyTakenOff() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("tall-spindle", 7, 1, Fault.SUCKERS), Knowledge.shipped(), 1);
        assertThat(Options.on(tree, tree.find("s1").orElseThrow(), false))
                .containsExactly(Operation.remove(tree.find("s1").orElseThrow()));
    }

    @Test
    void aReductionEndsOnABranchAtLeastAThirdAsThick() {
        Tree tree = Surveys.apple()
                .scaffold("1", 80, 0, 60, 42, 200)
                .limb("thin", "1", "lateral", 80, 60, 70, 7, 40, 3, Surveys.bare())
                .limb("stout", "1", "lateral", 120, 300, 70, 16, 60, 3, Surveys.bare())
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        assertThat(Options.sideBranches(tree, limb)).extracting(Axis::id).containsExactly("stout");
    }

    @Test
    void slenderTreesAreRenewedByABevelAndFrameTreesAreNot() {
        Tree spindle = Surveys.apple()
                .as("tall-spindle")
                .trunk(48, 295)
                .scaffold("1", 80, 0, 85, 20, 70)
                .tree();
        Tree frame = Surveys.apple().scaffold("1", 80, 0, 55, 20, 70).tree();
        assertThat(kinds(spindle, "1")).contains(OperationKind.RENEW_BEVEL);
        assertThat(kinds(frame, "1")).doesNotContain(OperationKind.RENEW_BEVEL).contains(OperationKind.REMOVE);
    }

    @ParameterizedTest
    @CsvSource({"18, true, true", "32, false, true", "60, false, false"})
    void thickWoodIsCutThroughOnlyAtNeedAndVeryThickWoodNever(double mm, boolean usually, boolean atNeed) {
        Tree tree = Surveys.apple().scaffold("1", 80, 0, 60, mm, 200).tree();
        Axis limb = tree.find("1").orElseThrow();
        assertThat(Options.isThinAt(tree, limb, 0.01, false)).isEqualTo(usually);
        assertThat(Options.isThinAt(tree, limb, 0.01, true)).isEqualTo(atNeed);
    }

    @Test
    void noShorteningGoesThroughThickWoodAndAThickFootIsShortenedFurtherOut() {
        for (double mm : new double[] {22, 30, 40, 60}) {
            Tree tree = Surveys.apple().scaffold("1", 80, 0, 60, mm, 240).tree();
            Axis limb = tree.find("1").orElseThrow();
            Options.shortening(tree, limb)
                    .ifPresent(
                            cut -> assertThat(1000 * limb.diameterAt(cut.at())).isLessThanOrEqualTo(20));
        }
    }

    @ParameterizedTest
    @CsvSource({"6, 1, true", "10, 1, false", "6, 3, false"})
    void onlySoftShootsOfTheYearAreRubbedOffInLeaf(double mm, int age, boolean rubbed) {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "lateral", 80, 0, 60, mm, 60, age, Surveys.bare())
                .tree();
        Axis limb = tree.find("1").orElseThrow();
        assertThat(Options.on(tree, limb, true).stream().map(Operation::kind).anyMatch(OperationKind.RUB::equals))
                .isEqualTo(rubbed);
        assertThat(Options.on(tree, limb, false)).extracting(Operation::kind).doesNotContain(OperationKind.RUB);
    }

    @Test
    void onlyALimberLimbThatNeedsItIsBent() {
        Tree tree = Surveys.apple()
                .limb("limber", "trunk", "scaffold", 80, 0, 30, 14, 90, 2, Surveys.bare())
                .limb("stiff", "trunk", "scaffold", 100, 120, 30, 55, 180, 8, Surveys.bare())
                .limb("well", "trunk", "scaffold", 120, 240, 53, 14, 90, 2, Surveys.bare())
                .tree();
        assertThat(kinds(tree, "limber")).contains(OperationKind.BEND);
        assertThat(kinds(tree, "stiff")).doesNotContain(OperationKind.BEND);
        assertThat(kinds(tree, "well")).doesNotContain(OperationKind.BEND);
    }

    @ParameterizedTest
    @CsvSource({"10, 30, 1, true", "20, 20, 1, true", "24, 60, 2, true", "40, 25, 1, false"})
    void aBendIsJudgedByStrainAndThickness(double mm, double turnDeg, int steps, boolean possible) {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 20, mm, 120, 3, Surveys.bare())
                .tree();
        Bending.Verdict verdict =
                Bending.judge(tree.find("1").orElseThrow(), Math.toRadians(20 + turnDeg), tree.setting());
        // half the thickness times the turn over 30 cm
        assertThat(verdict.strain()).isCloseTo(mm / 2000 * Math.toRadians(turnDeg) / 0.3, within(1e-6));
        assertThat(verdict.steps()).isEqualTo(steps);
        assertThat(verdict.possible()).isEqualTo(possible);
    }

    @Test
    void aSplittingLimbIsNeverBent() {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 30, 14, 90, 2, Surveys.bare())
                .noted("splitting", null)
                .tree();
        assertThat(Bending.judge(tree.find("1").orElseThrow(), Math.toRadians(50), tree.setting())
                        .possible())
                .isFalse();
    }

    @Test
    void theLeaderIsLoweredToAWeakerSideBranch() {
        Tree tree = Surveys.apple()
                .trunk(120, 500)
                .scaffold("1", 80, 0, 55, 45, 180)
                .limb("high", "trunk", "limb", 380, 120, 60, 22, 70, 4, Surveys.bare())
                .tree();
        assertThat(Options.weakerSideBranch(tree, tree.trunk(), 0))
                .map(Axis::id)
                .hasValue("high");
        assertThat(Options.weakerSideBranch(tree, tree.trunk(), 4.5)).isEmpty();
        assertThat(Options.on(tree, tree.trunk(), true))
                .extracting(Operation::kind)
                .contains(OperationKind.LOWER_LEADER);
    }

    @Test
    void wordsOfTheFormatNameTheKinds() {
        assertThat(OperationKind.of("renew-bevel")).hasValue(OperationKind.RENEW_BEVEL);
        assertThat(OperationKind.of("lower-leader")).hasValue(OperationKind.LOWER_LEADER);
        assertThat(OperationKind.of("saw-it-off")).isEmpty();
        for (OperationKind kind : OperationKind.values()) {
            assertThat(OperationKind.of(kind.word())).hasValue(kind);
        }
    }

    private static List<OperationKind> kinds(Tree tree, String limb) {
        return Options.on(tree, tree.find(limb).orElseThrow(), true).stream()
                .map(Operation::kind)
                .toList();
    }
}
