package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import umbel.cut.Operation;
import umbel.growth.Forecast;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;

/** The recommended plan comes before the others and stays the same when they follow. */
class PlanningTest {

    private static final PlanCase OLD = PlanCase.neglected();
    private static final PlanCase YOUNG = PlanCase.of(PracticeTree.survey("slender-axe", 3, 5, Fault.RIVAL_LEADER));

    @Test
    void theFirstPlanIsTheOneThatFollowsWithItsSeasons() {
        Planning planning = OLD.planning();
        Plan first = planning.recommended();
        Plan followed = planning.all().get(0);
        assertThat(first.outlook()).as("seasons before they are asked for").isEmpty();
        assertThat(followed.outlook()).hasSize(Planner.YEARS_AHEAD);
        assertThat(first.steps()).isNotEmpty().isEqualTo(followed.steps());
        assertThat(first.totals()).isEqualTo(followed.totals());
        assertThat(first.leftAlone()).isEqualTo(followed.leftAlone());
    }

    @Test
    void itDoesNotMatterWhatIsAskedForFirst() {
        Planning inOrder = YOUNG.planning();
        Plan early = inOrder.recommended();
        List<Plan> then = inOrder.all();
        Planning otherwise = YOUNG.planning();
        List<Plan> atOnce = otherwise.all();
        assertThat(operations(otherwise.recommended())).isEqualTo(operations(early));
        for (int i = 0; i < then.size(); i++) {
            assertThat(operations(atOnce.get(i))).as(then.get(i).name()).isEqualTo(operations(then.get(i)));
            assertThat(fruits(atOnce.get(i))).isEqualTo(fruits(then.get(i)));
        }
    }

    @Test
    void theCourseIsTheMiddleOfWhatThePlansAreGrownTo() {
        Planning.Course course = OLD.planning().course();
        List<Plan> plans = OLD.planning().all();
        Plan first = plans.get(0);
        Plan nothing = plans.get(plans.size() - 1);
        for (int year = 0; year < Planner.YEARS_AHEAD; year++) {
            assertThat(course.planned().get(year).firstClass())
                    .isCloseTo(first.outlook().get(year).firstClass().middle(), within(1e-6));
            assertThat(course.alone().get(year).firstClass())
                    .isCloseTo(nothing.outlook().get(year).firstClass().middle(), within(1e-6));
        }
    }

    @Test
    void aVisitOfALaterWinterBeginsWithALookLikeThisOne() {
        Planning planning = OLD.planning();
        Plan plan = planning.recommended();
        double look = plan.steps().get(0).on().setting().system().work().lookMinutes();
        List<Double> minutes = planning.course().minutes();
        assertThat(minutes).hasSize(Planner.YEARS_AHEAD);
        assertThat(minutes.get(0)).isEqualTo(plan.totals().minutes()).isGreaterThan(look);
        assertThat(plan.workOf(1)).as("the neglected tree has work left").isNotEmpty();
        assertThat(minutes.get(1)).isGreaterThan(look);
    }

    @Test
    void treesAreGrownOnAndLetGo() {
        Planning planning = OLD.planning();
        Plan plan = planning.recommended();
        int keptByItsSteps = OLD.tree().axes().size()
                + Stream.of(1, 2)
                        .map(plan::workOf)
                        .filter(work -> !work.isEmpty())
                        .mapToInt(work -> work.get(0).on().axes().size())
                        .sum();
        assertThat(planning.axesHeld())
                .isEqualTo(keptByItsSteps)
                .isGreaterThan(OLD.tree().axes().size());
        planning.course();
        assertThat(planning.axesHeld()).isEqualTo(keptByItsSteps);
        assertThat(operations(planning.all().get(1)))
                .isEqualTo(operations(OLD.plans().get(1)));
        assertThat(planning.axesHeld())
                .as("with the trees that the other plans' later work is on")
                .isGreaterThan(keptByItsSteps);
    }

    @Test
    void whatWasWorkedOutIsNotWorkedOutAgain() {
        Planning planning = YOUNG.planning();
        assertThat(planning.recommended()).isSameAs(planning.recommended());
        assertThat(planning.all()).isSameAs(planning.all());
    }

    @Test
    void severalWhoAskAtOnceAreToldTheSame() {
        Planning planning = YOUNG.planning();
        List<CompletableFuture<List<Plan>>> asked = List.of(
                CompletableFuture.supplyAsync(planning::all),
                CompletableFuture.supplyAsync(() -> List.of(planning.recommended())),
                CompletableFuture.supplyAsync(planning::all));
        List<Operation> first = operations(asked.get(0).join().get(0));
        asked.forEach(one ->
                assertThat(operations(one.join().get(0))).as("the same plan").isEqualTo(first));
    }

    @Test
    void whatWasWeighedBeforeDoesNotChangeWhatComesNext() {
        Planning before = OLD.planning();
        Operation first = before.recommended().steps().stream()
                .filter(step -> step.operation().kind().cuts())
                .findFirst()
                .orElseThrow()
                .operation();
        Map<String, Double> otherGoals = Map.of("labour", 3.0);
        Stream.of(
                        OLD.wishing(List.of(), Set.of(PlanRequest.key(first)), Map.of()),
                        OLD.wishing(List.of(first), Set.of(), Map.of()),
                        OLD.wishing(List.of(), Set.of(), otherGoals))
                .forEach(other -> {
                    Plan goingOn =
                            new Planning(other.tree(), other.reading(), other.request(), 1, before).recommended();
                    Plan afresh = other.planning().recommended();
                    assertThat(operations(goingOn)).isEqualTo(operations(afresh));
                    assertThat(goingOn.totals()).isEqualTo(afresh.totals());
                });
    }

    @Test
    void anotherTreesWeighingIsNotTaken() {
        Plan alone = YOUNG.planning().recommended();
        Planning before = OLD.planning();
        before.recommended();
        Plan after = new Planning(YOUNG.tree(), YOUNG.reading(), YOUNG.request(), 1, before).recommended();
        assertThat(operations(after)).isEqualTo(operations(alone));
    }

    @Test
    void theSameInOneWinterStandsBesideARenovationOnly() {
        assertThat(names(OLD.planning().all()))
                .containsExactly("recommended", "gentler", "firmer", Plan.IN_ONE_WINTER, "nothing");
        assertThat(names(YOUNG.planning().all())).containsExactly("recommended", "gentler", "firmer", "nothing");
    }

    @Test
    void whatLaterWintersTakeOfNewGrowthIsNoRenovation() {
        int growing = 0;
        for (PlanCase one : SeasonsAgainstNow.manyTrees(16)) {
            List<Plan> plans = SeasonsAgainstNow.plansOf(one);
            Plan recommended = plans.get(0);
            Optional<Plan> atOnce = plans.stream()
                    .filter(plan -> plan.name().equals(Plan.IN_ONE_WINTER))
                    .findFirst();
            growing += atOnce.isEmpty()
                            && recommended.leavesMuchForLater(
                                    one.request().parameters().renovation())
                    ? 1
                    : 0;
            atOnce.ifPresent(plan -> assertThat(plan.totals().woodShare())
                    .isGreaterThan(recommended.totals().woodShare() + 0.05));
        }
        assertThat(growing)
                .as("trees with later work that could not be done now")
                .isPositive();
    }

    private static List<String> names(List<Plan> plans) {
        return plans.stream().map(Plan::name).toList();
    }

    private static List<Operation> operations(Plan plan) {
        return plan.steps().stream().map(Step::operation).toList();
    }

    private static List<Forecast.Range> fruits(Plan plan) {
        return plan.outlook().stream().map(Forecast.Outlook::fruits).toList();
    }
}
