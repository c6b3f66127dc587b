package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.growth.InitialState;
import umbel.growth.Seasons;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** The coming seasons in a plan: they turn close choices, and later winters are planned on the tree they make. */
class YearsAheadTest {

    @Test
    void theSeasonsTurnSomeCloseChoicesAndNeverForTheWorse() {
        int turned = 0;
        for (PlanCase one : SeasonsAgainstNow.manyTrees(40)) {
            PlanSearch search = one.search();
            List<Candidate> now = search.choose(1, true);
            List<Candidate> then =
                    new ForecastDecision(search, new Seasons(InitialState.of(one.tree(), 1), 0.3)).of(now);
            if (!Set.copyOf(PlanSearch.operations(now)).equals(Set.copyOf(PlanSearch.operations(then)))) {
                turned++;
                assertThat(SeasonsAgainstNow.overTheYears(one, then))
                        .isGreaterThan(SeasonsAgainstNow.overTheYears(one, now)
                                + one.request().parameters().ahead().lead()
                                - 1e-9);
            }
        }
        assertThat(turned)
                .as("of 40 trees, those whose plan the seasons changed")
                .isBetween(1, 30);
    }

    @Test
    void aChoiceThatWasGrownSaysWhatTheSeasonsSaid() {
        boolean said = SeasonsAgainstNow.manyTrees(20).stream()
                .flatMap(one -> SeasonsAgainstNow.plansOf(one).get(0).steps().stream())
                .anyMatch(step ->
                        step.reason().stream().anyMatch(one -> one.code().equals("seasons.ahead")));
        assertThat(said).isTrue();
    }

    @Test
    void laterWintersAreForTheTreeAsItIsExpectedThen() {
        PlanCase one = PlanCase.neglected();
        List<Step> later = one.plans().get(0).steps().stream()
                .filter(step -> step.year() > 0)
                .toList();
        assertThat(later).isNotEmpty();
        for (Step step : later) {
            assertThat(step.on().setting().leaf())
                    .isEqualTo(one.tree().setting().leaf() + step.year());
            assertThat(step.on().trunk().baseDiameter())
                    .as("a trunk that has grown")
                    .isGreaterThan(one.tree().trunk().baseDiameter());
            assertThat(CutTree.possible(step.on(), List.of(step.operation()))).hasSize(1);
            Operation operation = step.operation();
            assertThat(one.tree().find(operation.onLimb()))
                    .as("only wood that was surveyed is named: %s", operation)
                    .isPresent();
        }
    }

    @Test
    void whatAWinterLeavesToGrowOnIsNotTakenByALaterOne() {
        int reduced = 0;
        int stubbed = 0;
        List<PlanCase> cases = new ArrayList<>(SeasonsAgainstNow.manyTrees(20));
        cases.add(PlanCase.neglected());
        // a form whose limbs are renewed from stubs every year
        cases.add(PlanCase.of(PracticeTree.survey("cherry-sweet", "slender-axe", 6, 5, Fault.THICK_LIMB)));
        for (PlanCase one : cases) {
            Set<String> growingOn = new HashSet<>();
            for (Step step : SeasonsAgainstNow.plansOf(one).get(0).steps()) {
                if (step.operation().kind().takesAll()) {
                    assertThat(growingOn)
                            .doesNotContain(step.operation().target().path());
                }
                growingOn.add(step.operation().growsOnFrom());
                reduced += step.operation().toLimb().isEmpty() ? 0 : 1;
                stubbed += step.operation().kind() == OperationKind.RENEW_STUB ? 1 : 0;
            }
        }
        assertThat(reduced).as("reductions seen").isPositive();
        assertThat(stubbed).as("stubs seen").isPositive();
    }

    @Test
    void aStepFurtherAheadIsLessSure() {
        for (PlanCase one : SeasonsAgainstNow.manyTrees(6)) {
            double sureness = one.request().parameters().ahead().sureness();
            for (Step step : SeasonsAgainstNow.plansOf(one).get(0).steps()) {
                assertThat(step.confidence()).isLessThanOrEqualTo(Math.pow(sureness, step.year()) + 1e-9);
            }
        }
    }

    @Test
    void aRenovationIsShownBesideTheSameInOneWinter() {
        PlanCase one = PlanCase.neglected();
        List<Plan> plans = one.plans();
        assertThat(plans.get(0).leavesMuchForLater(one.request().parameters().renovation()))
                .isTrue();
        Plan atOnce = plans.stream()
                .filter(plan -> plan.name().equals(Plan.IN_ONE_WINTER))
                .findFirst()
                .orElseThrow();
        assertThat(atOnce.steps()).allMatch(step -> step.year() == 0);
        assertThat(atOnce.totals().woodShare())
                .isGreaterThan(plans.get(0).totals().woodShare());
        assertThat(plans.get(plans.size() - 1).name()).isEqualTo("nothing");
        assertThat(atOnce.outlook()).hasSize(3);
    }

    @Test
    void whatIsLeftAndMattersIsToBeWatchedOnce() {
        List<Plan> plans = SeasonsAgainstNow.manyTrees(16).stream()
                .map(one -> SeasonsAgainstNow.plansOf(one).get(0))
                .filter(plan ->
                        plan.steps().stream().anyMatch(step -> step.operation().kind() == OperationKind.WATCH))
                .toList();
        assertThat(plans).as("plans that ask to watch a limb").isNotEmpty();
        for (Plan plan : plans) {
            List<String> watched = plan.steps().stream()
                    .filter(step -> step.operation().kind() == OperationKind.WATCH)
                    .map(step -> step.operation().target().path())
                    .toList();
            assertThat(watched).hasSizeLessThanOrEqualTo(3).doesNotHaveDuplicates();
            assertThat(plan.steps())
                    .filteredOn(step -> step.operation().kind().cuts())
                    .noneMatch(
                            step -> watched.contains(step.operation().target().path()));
        }
    }

    @Test
    void chosenScaffoldsAreNamedBesideThoseThatGo() {
        StringBuilder limbs = new StringBuilder();
        for (int i = 0; i < 8; i++) {
            limbs.append(i == 0 ? "" : ",").append("""
                            {"id":"%d","parent":"trunk","role":"scaffold","at_cm":%d,"bearing_deg":%d,"angle_deg":55,
                             "diameter_mm":10,"length_cm":60,"age_y":1}""".formatted(i + 1, 60 + 7 * i, i * 137 % 360));
        }
        PlanCase one = PlanCase.of(SurveyReader.read("""
                        {"format":"umbel-survey/1","tree":{"species":"apple","leaf":2,"system":"central-leader"},
                         "trunk":{"diameter_mm":28,"height_cm":190},"limbs":[%s]}""".formatted(limbs)));
        List<Step> steps = one.plans().get(0).steps();
        List<String> kept = limbsOf(steps, OperationKind.KEEP);
        List<String> gone = limbsOf(steps, OperationKind.REMOVE);
        assertThat(kept).hasSize(5).doesNotContainAnyElementsOf(gone);
        assertThat(gone).hasSize(3);
    }

    private static List<String> limbsOf(List<Step> steps, OperationKind kind) {
        return steps.stream()
                .filter(step -> step.year() == 0 && step.operation().kind() == kind)
                .map(step -> step.operation().target().path())
                .toList();
    }
}
