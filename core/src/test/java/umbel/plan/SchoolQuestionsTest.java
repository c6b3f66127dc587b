package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.knowledge.SchoolQuestion;
import umbel.light.LightResolution;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Units;

/** The questions on which growers differ: what each side of them does to a tree. */
class SchoolQuestionsTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    private static School with(String line, Object value) {
        return KNOWLEDGE.school(School.USUAL, Map.of(line, value));
    }

    private static TrainingProgramme programme(Tree tree, School school) {
        return new TrainingProgramme(
                tree, false, new Stubs(tree, LightResolution.CLOSE), KNOWLEDGE.plan(), school.preferences());
    }

    private static List<Operation> ends(Tree tree, School school) {
        return programme(tree, school).ofTheEnds().stream()
                .map(Candidate::operation)
                .toList();
    }

    @Test
    void allNineteenAreAskedAndEachNamedLineIsOneOfASchoolsWithTheUsualSideAmongThem() {
        assertThat(KNOWLEDGE.schoolQuestions()).hasSize(19);
        Map<String, Object> usual = SchoolLines.of(KNOWLEDGE.school(School.USUAL));
        for (SchoolQuestion question : KNOWLEDGE.schoolQuestions()) {
            assertThat(question.sides()).as(question.id()).hasSizeGreaterThanOrEqualTo(2);
            if (question.line() == null) {
                assertThat(question.sides()).allMatch(side -> side.value() == null);
                continue;
            }
            assertThat(usual).containsKey(question.line());
            assertThat(question.sides())
                    .as(question.id())
                    .filteredOn(side -> side.value() == number(usual.get(question.line())))
                    .hasSize(1);
            for (SchoolQuestion.Side side : question.sides()) {
                boolean yesNo = usual.get(question.line()) instanceof Boolean;
                School other = with(question.line(), yesNo ? (Object) (side.value() != 0) : (Object) side.value());
                assertThat(number(SchoolLines.of(other).get(question.line()))).isEqualTo(side.value());
            }
        }
    }

    private static double number(Object value) {
        return value instanceof Boolean yes ? (yes ? 1 : 0) : ((Number) value).doubleValue();
    }

    @ParameterizedTest
    @CsvSource({"true, 1", "false, 0"})
    void aYoungLeaderIsHeadedOrNeverBySchool(boolean heads, int expected) {
        Surveys young = Surveys.apple().as("central-leader").leaf(4).trunk(40, 240);
        for (int i = 0; i < 4; i++) {
            young.scaffold("" + (i + 1), 75 + 12 * i, 90 * i, 55, 14, 70);
        }
        assertThat(ends(young.tree(), with("headLeader", heads)))
                .filteredOn(
                        one -> one.kind() == OperationKind.HEAD && one.target().equals(Target.TRUNK))
                .hasSize(expected);
    }

    private static Tree peach(int shootCm) {
        return Surveys.peach()
                .leaf(9)
                .limb("1", "trunk", "scaffold", 50, 0, 46, 50, 240, 7, Surveys.shoots("pencil", "side", 20, shootCm))
                .tree();
    }

    private static Operation thinning(Tree tree, boolean shortens) {
        List<Candidate> thinnings =
                programme(tree, with("shortenLongShoots", shortens)).oneYearWood(1);
        assertThat(thinnings).hasSize(1);
        return thinnings.get(0).operation();
    }

    @Test
    void onlyLongShootsThatStayAreShortenedAndOnlyByTheSchoolThatDoesSo() {
        Tree longShoots = peach(80);
        assertThat(thinning(longShoots, false).at()).isZero();
        assertThat(thinning(peach(45), true).at()).isZero();
        Operation thinned = thinning(longShoots, true);
        CutTree cut = CutTree.of(longShoots, List.of(thinned));
        List<Axis> left = TargetAxes.of(cut.left(), thinned.target());
        assertThat(left)
                .hasSize(thinned.keep())
                .allSatisfy(shoot -> assertThat(Units.toCm(shoot.length())).isLessThan(60.1));
        assertThat(left)
                .anySatisfy(shoot -> assertThat(Units.toCm(shoot.length())).isBetween(44.9, 45.1));
        CutTree plain = CutTree.of(longShoots, List.of(Operation.thin(thinned.target(), thinned.keep())));
        assertThat(cut.woodShare()).isGreaterThan(plain.woodShare());
    }

    @Test
    void aFlatterSchoolBendsFurther() {
        Surveys young = Surveys.apple().leaf(2).trunk(30, 160);
        for (int i = 0; i < 4; i++) {
            young.scaffold("" + (i + 1), 75 + 12 * i, 90 * i, 25, 10, 70);
        }
        Tree tree = young.tree();
        double usual = bend(tree, 0);
        assertThat(bend(tree, 10) - usual).isCloseTo(10, offset(0.01));
    }

    private static double bend(Tree tree, int flatter) {
        return ends(tree, with("scaffoldLean_deg", flatter)).stream()
                .filter(one -> one.kind() == OperationKind.BEND)
                .mapToDouble(one -> Units.toDegrees(one.toAngle()))
                .max()
                .orElseThrow();
    }

    @Test
    void whoKeepsAndBendsRenewsNoLimb() {
        Survey survey = PracticeTree.survey("cherry-sweet", "slender-axe", 6, 3);
        Tree tree = TreeBuilder.build(survey, KNOWLEDGE, 1);
        assertThat(ends(tree, with("renewalFactor", 1))).anyMatch(one -> one.kind() == OperationKind.RENEW_STUB);
        assertThat(ends(tree, with("renewalFactor", 0))).noneMatch(one -> one.kind() == OperationKind.RENEW_STUB);
    }

    @ParameterizedTest
    @CsvSource({"3", "1"})
    void aSchoolSaysOverHowManyWintersWorkIsPlanned(int winters) {
        Assessor assessor = new Assessor(KNOWLEDGE);
        Survey survey = PracticeTree.survey("apple", "central-leader", 20, 3);
        AssessRequest request = new AssessRequest(
                survey, null, null, null, null, null, null, null, Map.of("renovationWinters", winters), null);
        Tree tree = assessor.tree(request);
        assertThat(assessor.planRequest(request, tree, List.of(), Set.of()).years())
                .isEqualTo(winters);
    }
}
