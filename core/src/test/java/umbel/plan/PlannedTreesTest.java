package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.Rules;
import umbel.reading.Stage;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.text.Statement;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** Plans of particular trees: what was taken, refused or limited, and what a practised hand would do to each kind. */
class PlannedTreesTest {

    private static final double REACH = 2.4;

    @Test
    void aRefusedStepStaysRefused() {
        Survey survey = PracticeTree.survey("central-leader", 18, 3, Fault.RIVAL_LEADER, Fault.SUCKERS);
        Plan first = PlanCase.of(survey).recommended();
        String refused = PlanRequest.key(first.steps().stream()
                .filter(step -> step.operation().target().path().equals("r1"))
                .findFirst()
                .orElseThrow()
                .operation());
        Plan second = PlanCase.of(survey)
                .wishing(List.of(), Set.of(refused), Map.of())
                .recommended();
        assertThat(second.steps())
                .noneMatch(step -> PlanRequest.key(step.operation()).equals(refused));
    }

    @Test
    void whatTheGrowerTookIsInThePlanAndCountsTowardsTheLimit() {
        Survey survey = PracticeTree.survey("central-leader", 18, 4, Fault.STACKED_LIMBS, Fault.WATER_SPROUTS);
        List<Operation> taken = List.of(Operation.remove(Target.parse("2")), Operation.remove(Target.parse("3")));
        PlanCase one = PlanCase.of(survey).wishing(taken, Set.of(), Map.of());
        Plan plan = one.recommended();
        assertThat(plan.steps()).extracting(Step::operation).containsAll(taken);
        assertThat(plan.steps().stream()
                        .filter(step -> step.operation().target().path().equals("2")))
                .allMatch(step -> step.year() == 0);
    }

    @Test
    void onlyHandWorkIsPlannedInLeafExceptForUnsoundWood() {
        Survey survey =
                PracticeTree.survey("central-leader", 18, 3, Fault.RIVAL_LEADER, Fault.DEAD_LIMB, Fault.WATER_SPROUTS);
        Plan plan = PlanCase.of(survey).inLeaf().recommended();
        assertThat(plan.steps()).isNotEmpty();
        for (Step step : plan.steps()) {
            boolean hand = step.effect().diameter() <= 0.020 + 1e-9;
            assertThat(hand || step.settled()).as(step.operation().toString()).isTrue();
            assertThat(step.year()).isZero();
        }
    }

    @Test
    void bigCutsBeyondTheLimitAreKeptForLaterWinters() {
        Plan plan = PlanCase.neglected().under(new Limits(0.5, 1, REACH)).recommended();
        for (int year = 0; year < 3; year++) {
            int winter = year;
            assertThat(plan.steps().stream()
                            .filter(step ->
                                    step.year() == winter && step.effect().big())
                            .count())
                    .isLessThanOrEqualTo(1);
        }
        assertThat(plan.steps())
                .as("the second big cut waits")
                .anyMatch(step -> step.year() > 0 && step.effect().big());
    }

    @Test
    void aSlenderTreeLosesItsThickLimbByABevelAndLittleElse() {
        PlanCase one = PlanCase.of(PracticeTree.survey("tall-spindle", 4, 3, Fault.THICK_LIMB));
        Plan plan = one.recommended();
        assertThat(plan.steps())
                .anyMatch(step -> step.operation().kind() == OperationKind.RENEW_BEVEL
                        && step.operation().target().path().equals("1"));
        assertThat(plan.totals().cuts()).isLessThanOrEqualTo(4);
        assertThat(plan.steps())
                .as("the leader is left alone")
                .noneMatch(step ->
                        step.year() == 0 && step.operation().target().path().equals("trunk"));
    }

    @Test
    void aLimberTightCrotchIsSpreadAndNotCut() {
        Survey survey = Surveys.apple()
                .trunk(60, 300)
                .limb("1", "trunk", "scaffold", 75, 0, 52, 22, 120, 3, Surveys.spurs(14, 2))
                .limb("2", "trunk", "scaffold", 90, 120, 28, 16, 110, 3, Surveys.spurs(14, 2))
                .limb("3", "trunk", "scaffold", 105, 240, 54, 22, 120, 3, Surveys.spurs(14, 2))
                .limb("4", "trunk", "scaffold", 120, 330, 54, 20, 110, 3, Surveys.spurs(14, 2))
                .survey();
        Plan plan = PlanCase.of(survey).under(new Limits(0.33, 2, REACH)).recommended();
        Step step = plan.steps().stream()
                .filter(one -> one.operation().target().path().equals("2"))
                .findFirst()
                .orElseThrow();
        assertThat(step.operation().kind()).isEqualTo(OperationKind.BEND);
        assertThat(step.stage()).isEqualTo(Stage.TRAIN);
        assertThat(Math.toDegrees(step.operation().toAngle())).isBetween(45.0, 60.0);
    }

    @Test
    void aThicketOfPeachIsThinnedToGoodShootsOverTheWholeTree() {
        PlanCase one = PlanCase.of(PracticeTree.survey("open-centre", 6, 2, Fault.THICKET));
        Plan plan = one.recommended();
        assertThat(plan.totals().woodShare()).isBetween(0.3, 0.5 + 1e-6);
        assertThat(plan.totals().light().underFruitLight())
                .isLessThan(one.reading().light().shareUnder(0.3) - 0.1);
        List<Operation> visit = plan.steps().stream()
                .filter(step -> step.year() == 0)
                .map(Step::operation)
                .toList();
        Tree left = CutTree.of(one.tree(), visit).left();
        assertThat(goodShare(left)).isGreaterThan(goodShare(one.tree()));
    }

    @Test
    void wantingTheTreeLowerLowersIt() {
        Survey survey = PracticeTree.survey("open-centre", 7, 3, Fault.TOO_TALL);
        Plan indifferent = PlanCase.of(survey)
                .wishing(List.of(), Set.of(), Map.of("height", 0.0))
                .recommended();
        PlanCase keen = PlanCase.of(survey).wishing(List.of(), Set.of(), Map.of("height", 2.0));
        double lowered = topAfter(keen.tree(), keen.recommended());
        assertThat(lowered).isLessThan(topAfter(keen.tree(), indifferent) - 0.1);
    }

    @Test
    void aWellMadeTreeIsMostlyLeftAlone() {
        PlanCase one = PlanCase.of(PracticeTree.survey("tall-spindle", 4, 1));
        Plan plan = one.recommended();
        assertThat(plan.totals().woodShare()).isLessThan(0.1);
        assertThat(plan.totals().bigCuts()).isZero();
    }

    @Test
    void theGrowersOwnMarksAreDescribedInTheOrderOfTheWork() {
        Survey survey = PracticeTree.survey("central-leader", 18, 3, Fault.SUCKERS, Fault.RIVAL_LEADER);
        List<Operation> taken = List.of(
                Operation.remove(Target.parse("5")),
                Operation.remove(Target.parse("r1")),
                Operation.remove(Target.parse("s2")));
        PlanCase one = PlanCase.of(survey).wishing(taken, Set.of(), Map.of());
        Plan plan = Planner.marked(one.tree(), one.reading(), one.request());
        assertThat(plan.steps())
                .extracting(step -> step.operation().target().path())
                .containsExactly("s2", "r1", "5");
        assertThat(plan.steps().get(2).reason()).containsExactly(Statement.of("step.by-hand"));
        assertThat(plan.steps().get(1).rules()).contains(Rules.of("rival-leader"));
    }

    @Test
    void totalsAddUpTheSteps() {
        PlanCase one =
                PlanCase.of(PracticeTree.survey("central-leader", 18, 5, Fault.STACKED_LIMBS, Fault.WATER_SPROUTS));
        Plan plan = one.recommended();
        List<Step> visit =
                plan.steps().stream().filter(step -> step.year() == 0).toList();
        double minutes =
                visit.stream().mapToDouble(step -> step.effect().minutes()).sum();
        double look = one.tree().setting().system().work().lookMinutes();
        assertThat(plan.totals().minutes()).isCloseTo(minutes + look, within(1e-6));
        assertThat(plan.totals().cuts())
                .isEqualTo(visit.stream().mapToInt(step -> step.effect().cuts()).sum());
        assertThat(plan.totals().mass())
                .isCloseTo(
                        visit.stream().mapToDouble(step -> step.effect().mass()).sum(), within(1e-6));
        assertThat(plan.totals().woodShare())
                .isCloseTo(
                        visit.stream()
                                .mapToDouble(step -> step.effect().woodShare())
                                .sum(),
                        within(1e-6));
    }

    /** Height of what was surveyed once all winters' cuts are made; shoots still to grow cannot be cut on it. */
    private static double topAfter(Tree tree, Plan plan) {
        List<Operation> visit = plan.steps().stream()
                .filter(step -> step.year() == 0)
                .map(Step::operation)
                .toList();
        return CutTree.of(tree, CutTree.possible(tree, visit)).left().axes().stream()
                .filter(Axis::isFrame)
                .mapToDouble(axis -> axis.course().top())
                .max()
                .orElseThrow();
    }

    private static double goodShare(Tree tree) {
        var ideal = tree.setting().species().smallWood().ideal();
        List<Axis> shoots = tree.axes().stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT)
                .toList();
        return shoots.stream().filter(shoot -> CropReading.isGood(shoot, ideal)).count() / (double) shoots.size();
    }

    @Test
    void whatIsKeptForALaterWinterSaysWhetherThisOneIsFull() {
        Survey survey = PracticeTree.survey(
                "central-leader", 26, 2, Fault.RIVAL_LEADER, Fault.TOO_TALL, Fault.STACKED_LIMBS, Fault.THICK_LIMB);
        assertThat(whyLeft(survey, new Limits(0.02, 1, REACH)))
                .as("hardly anything may be cut")
                .contains("left.limit");
        assertThat(whyLeft(survey, new Limits(0.75, 99, REACH)))
                .as("anything may be cut")
                .isNotEmpty()
                .doesNotContain("left.limit");
    }

    private static List<String> whyLeft(Survey survey, Limits limits) {
        return PlanCase.of(survey).under(limits).recommended().leftAlone().stream()
                .map(left -> left.why().code())
                .toList();
    }
}
