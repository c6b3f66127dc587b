package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;

/** A plan told by its winters: held against its own steps and seasons. */
class WinterStagesTest {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());
    private static final Map<Survey, Assessment> ASSESSED = new ConcurrentHashMap<>();
    private static final List<String> DOES_NOTHING = List.of("keep", "watch");

    static Stream<Arguments> trees() {
        return Stream.of(
                Arguments.of(
                        "central-leader", 24, new Fault[] {Fault.RIVAL_LEADER, Fault.TOO_TALL, Fault.STACKED_LIMBS}),
                Arguments.of("central-leader", 16, new Fault[] {Fault.DEAD_LIMB, Fault.WATER_SPROUTS}),
                Arguments.of("tall-spindle", 5, new Fault[] {Fault.THICK_LIMB, Fault.HANGERS}),
                Arguments.of("open-centre", 7, new Fault[] {Fault.THICKET, Fault.TOO_TALL}));
    }

    private static Assessment assess(String system, int leaf, Fault... faults) {
        return ASSESSED.computeIfAbsent(
                PracticeTree.survey(system, leaf, 2, faults), survey -> ASSESSOR.assess(AssessRequest.of(survey)));
    }

    @ParameterizedTest
    @MethodSource("trees")
    void eachWinterSumsItsOwnSteps(String system, int leaf, Fault[] faults) {
        for (Assessment.PlanAnswer plan : assess(system, leaf, faults).plans()) {
            for (Assessment.StageAnswer stage : plan.stages()) {
                List<Assessment.StepAnswer> steps = plan.steps().stream()
                        .filter(step -> step.year() == stage.year() && !DOES_NOTHING.contains(step.operation()))
                        .toList();
                assertThat(stage.steps()).isEqualTo(steps.size());
                double told = steps.stream()
                        .mapToDouble(Assessment.StepAnswer::minutes)
                        .sum();
                if (stage.smallSteps() == 0) {
                    assertThat(stage.minutes()).isCloseTo(told, within(0.06 + 0.006 * steps.size()));
                } else {
                    assertThat(stage.year())
                            .as("this visit is told step by step")
                            .isPositive();
                    assertThat(stage.minutes()).isGreaterThan(told);
                }
                assertThat(stage.bigCuts())
                        .isEqualTo(steps.stream()
                                .filter(Assessment.StepAnswer::big)
                                .mapToInt(Assessment.StepAnswer::cuts)
                                .sum());
                assertThat(stage.purpose()).isNotBlank().endsWith(".").doesNotContain("%");
            }
        }
    }

    @ParameterizedTest
    @MethodSource("trees")
    void theSeasonOfAWinterIsThatOfThePlansYears(String system, int leaf, Fault[] faults) {
        Assessment.PlanAnswer plan = assess(system, leaf, faults).plans().get(0);
        for (Assessment.StageAnswer stage : plan.stages()) {
            Assessment.YearAnswer season = plan.years().get(stage.year());
            assertThat(stage.fruits()).isEqualTo(season.fruits());
            assertThat(stage.sprouts()).isEqualTo(season.sprouts());
            boolean asks = stage.summer() != null;
            double worth = Knowledge.shipped().parameters().season().followUp().sproutsWorthAVisit();
            assertThat(asks)
                    .isEqualTo(stage.steps() + stage.smallSteps() > 0
                            && season.sprouts().middle() >= worth);
        }
    }

    @ParameterizedTest
    @MethodSource("trees")
    void aLimbThatGoesIsNamedInItsWinter(String system, int leaf, Fault[] faults) {
        Assessment.PlanAnswer plan = assess(system, leaf, faults).plans().get(0);
        for (Assessment.StepAnswer step : plan.steps()) {
            if (step.stage().equals("frame")
                    && step.operation().equals("remove")
                    && !step.limb().contains("/")) {
                Assessment.StageAnswer stage = plan.stages().get(step.year());
                assertThat(stage.purpose()).contains(step.limb());
            }
        }
    }
}
