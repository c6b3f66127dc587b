package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.light.LightResolution;
import umbel.reading.Finding;
import umbel.survey.Surveys;

/** What is decided about a frame before anything is weighed, on trees where a practised hand would not hesitate. */
class FrameGuardTest {

    private static final Set<OperationKind> WHOLE =
            Set.of(OperationKind.REMOVE, OperationKind.RENEW_BEVEL, OperationKind.RENEW_STUB);

    /** A vase of three even scaffolds in its ninth leaf. */
    private static Surveys vase() {
        return Surveys.peach()
                .leaf(9)
                .trunk(110, 75)
                .limb("1", "trunk", "scaffold", 50, 0, 46, 50, 240, 7, Surveys.shoots("pencil", "side", 24, 45))
                .limb("2", "trunk", "scaffold", 58, 120, 46, 50, 240, 7, Surveys.shoots("pencil", "side", 24, 45))
                .limb("3", "trunk", "scaffold", 66, 240, 46, 50, 240, 7, Surveys.shoots("pencil", "side", 24, 45));
    }

    private static PlanCase of(Surveys tree) {
        return PlanCase.of(tree.survey());
    }

    private static List<Step> takenWhole(Plan plan, String limb) {
        return plan.steps().stream()
                .filter(step -> step.operation().target().path().equals(limb))
                .filter(step -> WHOLE.contains(step.operation().kind()))
                .toList();
    }

    @Test
    void aScaffoldOfAVaseStaysInEveryWinterOfEveryPlan() {
        Surveys tree = vase().limb("low", "trunk", "scaffold", 53, 60, 30, 44, 220, 7, Surveys.bare());
        for (Plan plan : of(tree).plans()) {
            for (String scaffold : List.of("1", "2", "3", "low")) {
                assertThat(takenWhole(plan, scaffold))
                        .as("%s, scaffold %s", plan.name(), scaffold)
                        .isEmpty();
            }
        }
    }

    @Test
    void aScaffoldThatIsDyingGoesAllTheSame() {
        Surveys tree = vase().limb("4", "trunk", "scaffold", 72, 300, 46, 50, 240, 7, Surveys.bare())
                .noted("diseased", "canker");
        assertThat(takenWhole(of(tree).recommended(), "4")).isNotEmpty();
    }

    /** A fork of its scaffold's own line and thickness carries the vase; a sprout beside it does not. */
    @Test
    void aForkThatCarriesTheVaseOnIsNotTakenForItsHeight() {
        Surveys tree = vase().limb("1f", "1", "limb", 120, 20, 42, 34, 260, 6, Surveys.shoots("pencil", "side", 10, 45))
                .limb("1s", "1", "water-sprout", 90, 0, 8, 24, 230, 2, null);
        Plan plan = of(tree).recommended();
        assertThat(takenWhole(plan, "1f")).isEmpty();
        assertThat(plan.steps())
                .as("the sprout is cut this winter")
                .anyMatch(step ->
                        step.year() == 0 && step.operation().target().path().equals("1s"));
    }

    /** Thin inward wood is off whatever the limits; a thick inward limb keeps to them. */
    @ParameterizedTest
    @CsvSource({"14, true", "40, false"})
    void thinInwardWoodStandsOutsideTheLimits(double diameter, boolean taken) {
        Surveys tree = vase().limb("in", "1", "limb", 130, 180, 60, diameter, 110, 3, Surveys.bare());
        Plan plan = of(tree).under(new Limits(0.001, 0, 2.4, true)).recommended();
        assertThat(takenWhole(plan, "in").stream().anyMatch(step -> step.year() == 0))
                .isEqualTo(taken);
    }

    @Test
    void whoRefusesToTakeAnInwardShootIsNotOverruled() {
        PlanCase one = of(vase().limb("in", "1", "limb", 130, 180, 60, 14, 110, 3, Surveys.bare()));
        Operation off = Operation.remove(one.tree().find("in").orElseThrow());
        assertThat(takenWhole(one.recommended(), "in")).isNotEmpty();
        assertThat(takenWhole(
                        one.wishing(List.of(), Set.of(PlanRequest.key(off)), Map.of())
                                .recommended(),
                        "in"))
                .isEmpty();
    }

    /** A rival of the leader's own thickness goes first; the usual share gives way a little, a grower's own does not. */
    @Test
    void aGraveFaultMovesTheUsualLimitsAndNeverAGrowersOwn() {
        Surveys tree = Surveys.apple()
                .leaf(6)
                .trunk(70, 330)
                .limb("1", "trunk", "scaffold", 70, 0, 58, 26, 140, 5, Surveys.spurs(50, 3))
                .limb("2", "trunk", "scaffold", 85, 120, 58, 26, 140, 5, Surveys.spurs(50, 3))
                .limb("3", "trunk", "scaffold", 100, 240, 58, 26, 140, 5, Surveys.spurs(50, 3))
                .limb("rival", "trunk", "limb", 150, 60, 14, 44, 170, 5, Surveys.spurs(20, 3));
        PlanCase one = of(tree);
        double usual = one.request().limits().woodShare();
        Plan plan = one.recommended();
        assertThat(takenWhole(plan, "rival").stream().anyMatch(step -> step.year() == 0))
                .isTrue();
        assertThat(plan.totals().woodShare()).isLessThanOrEqualTo(1.7 * usual);
        double own = 0.02;
        Plan held = one.under(new Limits(own, 3, 2.4, true)).recommended();
        assertThat(held.totals().woodShare()).isLessThanOrEqualTo(own + 1e-9);
    }

    /** Nothing is done in the end of a limb that is to go. */
    @Test
    void theProgrammePassesALimbThatShouldGo() {
        Surveys tree = Surveys.apple()
                .leaf(3)
                .trunk(52, 260)
                .scaffold("1", 70, 0, 56, 20, 120)
                .scaffold("2", 84, 120, 56, 20, 120)
                .scaffold("3", 98, 240, 56, 20, 120)
                .limb("tight", "trunk", "limb", 112, 320, 16, 28, 150, 3, Surveys.spurs(8, 2));
        for (Plan plan : of(tree).plans()) {
            assertThat(plan.steps())
                    .as(plan.name())
                    .noneMatch(step -> step.operation().target().path().equals("tight")
                            && (step.operation().kind() == OperationKind.HEAD
                                    || step.operation().kind() == OperationKind.TIP));
        }
    }

    /** Walnuts and persimmons are thinned only: nothing is headed, tipped or shortened, however tall. */
    @ParameterizedTest
    @CsvSource({"walnut", "persimmon", "pecan"})
    void kindsThatAreNeverHeadedAreNotCutInto(String species) {
        Surveys tree = Surveys.apple()
                .kind(species)
                .as("central-leader")
                .leaf(8)
                .trunk(120, 900)
                .scaffold("1", 120, 0, 58, 45, 260)
                .scaffold("2", 160, 120, 58, 45, 260)
                .scaffold("3", 200, 240, 58, 45, 260);
        assertThat(of(tree).recommended().steps())
                .noneMatch(step -> step.operation().kind() == OperationKind.HEAD
                        || step.operation().kind() == OperationKind.TIP
                        || step.operation().kind() == OperationKind.SHORTEN);
    }

    /** The same fault is answered where it is sure and left where it is not. */
    @ParameterizedTest
    @CsvSource({"0.9, true", "0.4, false"})
    void anUnsureFindingIsWatched(double confidence, boolean answered) {
        PlanCase one = of(vase().limb("in", "1", "limb", 130, 180, 60, 14, 110, 3, Surveys.bare()));
        List<Finding> findings = one.reading().findings().stream()
                .map(finding -> finding.withConfidence(confidence))
                .toList();
        PlanSearch search = new PlanSearch(one.tree(), findings, one.request(), LightResolution.CLOSE, null);
        assertThat(search.answers().usual().stream()
                        .anyMatch(candidate ->
                                candidate.operation().target().path().equals("in")))
                .isEqualTo(answered);
    }
}
