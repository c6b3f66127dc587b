package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.light.LightResolution;
import umbel.practice.PracticeTree;
import umbel.reading.TreeReader;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Units;

/** What a system does to a tree of its age, as steps of the plan. */
class TrainingProgrammeTest {

    private static List<Operation> programme(Survey survey, boolean summer) {
        Tree tree = TreeBuilder.build(survey, Knowledge.shipped(), 1);
        TrainingProgramme programme = new TrainingProgramme(
                tree,
                summer,
                new Stubs(tree, LightResolution.CLOSE),
                Knowledge.shipped().plan(),
                Knowledge.shipped().school(School.USUAL).preferences());
        List<Candidate> all = new ArrayList<>(programme.ofTheFrame());
        all.addAll(programme.ofTheEnds());
        return all.stream().map(Candidate::operation).toList();
    }

    private static Survey whip(String system, double heightCm) {
        return Surveys.apple().as(system).leaf(1).trunk(14, heightCm).survey();
    }

    @Test
    void aWhipInACentralLeaderIsHeadedAtThreeQuartersOfAMetre() {
        assertThat(programme(whip("central-leader", 150), false))
                .containsExactly(Operation.cutAt(OperationKind.HEAD, Target.TRUNK, 0.75));
    }

    @Test
    void aWhipForATallSpindleIsNotHeaded() {
        assertThat(programme(whip("tall-spindle", 180), false)).isEmpty();
    }

    @Test
    void aWhipThatIsNotTallEnoughIsLeftToGrow() {
        assertThat(programme(whip("central-leader", 80), false)).isEmpty();
    }

    @Test
    void ofEightShootsAllRoundFiveAreKeptAsScaffolds() {
        Surveys tree = Surveys.apple().leaf(1).trunk(22, 150);
        for (int i = 0; i < 8; i++) {
            tree.scaffold("" + (i + 1), 60 + 6 * i, 137 * i % 360, 55, 8, 50);
        }
        List<Operation> removed = programme(tree.survey(), false).stream()
                .filter(operation -> operation.kind() == OperationKind.REMOVE)
                .toList();
        assertThat(removed).hasSize(3);
    }

    @Test
    void whereTheyAreCrowdedOnOneSideTheOddOneOutIsKept() {
        Surveys tree = Surveys.peach().leaf(1).trunk(22, 130);
        int[] bearings = {0, 10, 20, 30, 40, 180, 90};
        for (int i = 0; i < bearings.length; i++) {
            tree.scaffold("" + (i + 1), 60 + 8 * i, bearings[i], 55, 8, 50);
        }
        assertThat(programme(tree.survey(), false))
                .filteredOn(operation -> operation.kind() == OperationKind.REMOVE)
                .extracting(one -> one.target().path())
                .hasSize(4)
                .doesNotContain("6");
    }

    @Test
    void aFifthOfACherrysLimbsIsStubbedShorterAtTheTop() {
        Survey survey = PracticeTree.survey("cherry-sweet", "slender-axe", 6, 3);
        Tree tree = TreeBuilder.build(survey, Knowledge.shipped(), 1);
        List<Operation> stubs = programme(survey, false).stream()
                .filter(operation -> operation.kind() == OperationKind.RENEW_STUB)
                .toList();
        long mains = tree.limbsOn(tree.trunk()).size();
        assertThat(stubs).isNotEmpty().hasSizeLessThanOrEqualTo((int) Math.round(mains * 0.2));
        assertThat(stubs).allSatisfy(stub -> assertThat(Units.toCm(stub.at())).isBetween(9.9, 28.1));
        for (Operation one : stubs) {
            for (Operation other : stubs) {
                boolean higher = foot(tree, one) > foot(tree, other) + 0.01;
                assertThat(!higher || one.at() <= other.at()).isTrue();
            }
        }
    }

    private static double foot(Tree tree, Operation operation) {
        return tree.find(operation.target().path())
                .orElseThrow()
                .course()
                .point(0)
                .z();
    }

    @Test
    void anEspaliersUprightsAreShortSpurredInSummerToo() {
        Survey survey = PracticeTree.survey("pear", "espalier", 6, 3);
        assertThat(programme(survey, true))
                .extracting(Operation::kind)
                .contains(OperationKind.SHORT_SPUR)
                .doesNotContain(OperationKind.DEFLOWER);
    }

    @Test
    void aStepTheGrowerRefusesStaysRefused() {
        Survey survey = whip("central-leader", 150);
        Assessor assessor = new Assessor(Knowledge.shipped());
        AssessRequest assessed = AssessRequest.of(survey);
        Tree tree = assessor.tree(assessed);
        PlanRequest request = assessor.planRequest(assessed, tree, List.of(), Set.of("head@trunk"));
        Plan plan = Planner.recommended(
                tree, TreeReader.read(tree, request.school(), request.limits().reach()), request, 1);
        assertThat(plan.steps())
                .noneMatch(step -> step.year() == 0)
                .noneMatch(step -> PlanRequest.key(step.operation()).equals("head@trunk"));
    }
}
