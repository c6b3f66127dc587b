package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.crew.WorkKind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.TrainingSystem;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Step;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.survey.Survey;
import umbel.text.UnitSystem;
import umbel.wood.Tree;

/** Whatever a plan proposes can be said shortly in every language of the crew. */
class CrewTextOnPlansTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final Assessor ASSESSOR = new Assessor(KNOWLEDGE);
    private static final int LONGEST = 70;

    static List<String> everySystem() {
        return KNOWLEDGE.allSystems().stream().map(TrainingSystem::id).toList();
    }

    private static List<Step> steps(String system, int leaf) {
        Survey survey = PracticeTree.survey(system, leaf, 11, Fault.WATER_SPROUTS, Fault.RIVAL_LEADER);
        AssessRequest request = AssessRequest.of(survey);
        Tree tree = ASSESSOR.tree(request);
        PlanRequest planRequest = ASSESSOR.planRequest(request, tree, List.of(), Set.of());
        TreeReader.Reading reading =
                TreeReader.read(tree, planRequest.school(), planRequest.limits().reach(), Neighbours.NONE);
        return Planner.recommended(tree, reading, planRequest, 1).steps();
    }

    @ParameterizedTest
    @MethodSource("everySystem")
    void everyStepIsSaidInEveryLanguage(String system) {
        for (int leaf : new int[] {2, 8}) {
            for (Step step : steps(system, leaf)) {
                String english = CrewText.in("en", UnitSystem.METRIC).title(step.operation());
                String spanish = CrewText.in("es", UnitSystem.METRIC).title(step.operation());
                assertThat(Map.of("en", english, "es", spanish)).allSatisfy((language, said) -> {
                    assertThat(said).as(language).isNotBlank().doesNotContain("{", "}", "null", "NaN");
                    assertThat(said.length()).as(said).isLessThanOrEqualTo(LONGEST);
                });
                assertThat(spanish).isNotEqualTo(english);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("everySystem")
    void everyToolAndKindOfWorkHasItsWord(String system) {
        for (Step step : steps(system, 6)) {
            String tool = step.effect().tool().word();
            assertThat(CrewText.in("es", UnitSystem.METRIC).say(tool)).as(tool).isNotEqualTo(tool);
        }
        assertThat(WorkKind.values()).extracting(WorkKind::word).containsExactly("saw", "ladder", "detail");
    }
}
