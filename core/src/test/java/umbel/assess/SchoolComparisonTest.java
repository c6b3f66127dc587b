package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Step;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.TreeReader;
import umbel.survey.Survey;
import umbel.text.Speech;
import umbel.wood.Tree;

/** Two schools on one tree: what they do otherwise is put down to the line that makes it. */
class SchoolComparisonTest {

    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());
    private static final Survey SURVEY = PracticeTree.survey(
            "central-leader", 14, 2, Fault.STACKED_LIMBS, Fault.TIGHT_CROTCH, Fault.WATER_SPROUTS, Fault.HANGERS);
    private static final Tree TREE = ASSESSOR.tree(AssessRequest.of(SURVEY));

    private static SchoolComparison.View view(String school, Map<String, Object> lines) {
        AssessRequest request = new AssessRequest(SURVEY, null, null, null, school, null, 1, null, lines, null);
        PlanRequest planRequest = ASSESSOR.planRequest(request, TREE, List.of(), Set.of());
        TreeReader.Reading reading =
                TreeReader.read(TREE, planRequest.school(), planRequest.limits().reach());
        return new SchoolComparison.View(
                planRequest.school(),
                planRequest.limits(),
                reading.findings(),
                Planner.recommended(TREE, reading, planRequest, 1));
    }

    private static SchoolComparison.View view(String school) {
        return view(school, Map.of());
    }

    private static List<Step> now(SchoolComparison.View view) {
        return view.plan().steps().stream().filter(step -> step.year() == 0).toList();
    }

    @Test
    void aSchoolBesideItselfDiffersInNothing() {
        SchoolComparison.View classic = view("classic");
        assertThat(SchoolComparison.of(TREE, classic, classic, Speech.english()))
                .isEmpty();
    }

    @Test
    void everyCutOnlyOneOfThemMakesIsTold() {
        SchoolComparison.View mine = view("classic");
        SchoolComparison.View other = view("gentle");
        List<SchoolComparison.Difference> told = SchoolComparison.of(TREE, mine, other, Speech.english());
        for (Step step : now(mine)) {
            boolean shared = now(other).stream()
                    .anyMatch(one -> one.operation()
                                    .target()
                                    .path()
                                    .equals(step.operation().target().path())
                            && one.operation().kind() == step.operation().kind());
            assertThat(told.stream()
                            .anyMatch(one ->
                                    one.limb().equals(step.operation().target().path())))
                    .as(step.operation().toString())
                    .isEqualTo(!shared);
        }
        assertThat(told).allSatisfy(one -> {
            assertThat(one.because()).isNotBlank();
            assertThat(one.mine() == null && one.other() == null).isFalse();
        });
    }

    @Test
    void aFindingOnlyOneSchoolMakesIsPutDownToItsLine() {
        SchoolComparison.View strict = view("classic", Map.of("limbRatio", 0.35));
        SchoolComparison.View easy = view("classic", Map.of("limbRatio", 0.95));
        List<SchoolComparison.Difference> told = SchoolComparison.of(TREE, strict, easy, Speech.english());
        assertThat(told).anySatisfy(one -> {
            assertThat(one.line()).isEqualTo("limbRatio");
            assertThat(one.because()).contains("0.35").contains("0.95");
        });
    }

    @Test
    void whatDiffersTheOtherWayRoundIsTheSame() {
        SchoolComparison.View mine = view("classic");
        SchoolComparison.View other = view("gentle");
        assertThat(SchoolComparison.of(TREE, mine, other, Speech.english()).stream()
                        .map(one -> one.limb() + one.mine() + one.other())
                        .sorted()
                        .toList())
                .isEqualTo(SchoolComparison.of(TREE, other, mine, Speech.english()).stream()
                        .map(one -> one.limb() + one.other() + one.mine())
                        .sorted()
                        .toList());
    }
}
