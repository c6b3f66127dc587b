package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Stubs;
import umbel.knowledge.Knowledge;
import umbel.light.LightResolution;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class RemediesTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    @ParameterizedTest
    @EnumSource(Fault.class)
    void everythingWeighedCanBeCut(Fault fault) {
        for (String system : List.of("central-leader", "tall-spindle", "open-centre")) {
            Tree tree = TreeBuilder.build(PracticeTree.survey(system, 9, 4, fault), KNOWLEDGE, 1);
            RemedyContext remedies = remedies(tree, false);
            for (Finding finding : findings(tree)) {
                for (Operation operation : Rules.remedies(remedies, finding)) {
                    Tree left = CutTree.of(tree, List.of(operation)).left();
                    assertThat(left.axes().size())
                            .isLessThanOrEqualTo(tree.axes().size());
                    assertThat(left.trunk().id()).isEqualTo("trunk");
                }
            }
        }
    }

    @Test
    void onlySuckersAndUnsoundWoodStandOutsideTheWeighing() {
        Tree tree = TreeBuilder.build(
                PracticeTree.survey("central-leader", 18, 2, Fault.SUCKERS, Fault.DEAD_LIMB, Fault.RIVAL_LEADER),
                KNOWLEDGE,
                1);
        RemedyContext remedies = remedies(tree, false);
        for (Finding finding : findings(tree)) {
            boolean settled = finding.rule().id().equals("root-sucker")
                    || finding.rule().id().equals("unsound-wood");
            assertThat(Rules.isUndisputed(finding)).as(finding.rule().id()).isEqualTo(settled);
        }
    }

    @Test
    void aTallLeaderIsLoweredInStagesToAWeakSideBranch() {
        Tree tree = Surveys.apple()
                .leaf(20)
                .trunk(130, 620)
                .scaffold("1", 80, 0, 55, 45, 180)
                .limb("low", "trunk", "limb", 390, 120, 60, 26, 70, 4, Surveys.bare())
                .limb("high", "trunk", "limb", 520, 240, 60, 22, 60, 4, Surveys.bare())
                .tree();
        RemedyContext remedies = remedies(tree, false);
        Finding height = findings(tree).stream()
                .filter(finding -> finding.rule().id().equals("over-height"))
                .findFirst()
                .orElseThrow();
        List<Operation> operations = Rules.remedies(remedies, height);
        assertThat(operations)
                .anyMatch(operation -> operation.kind() == OperationKind.LOWER_LEADER
                        && operation.toLimb().equals("high"));
        assertThat(operations)
                .as("no more than the most for one winter")
                .noneMatch(operation -> operation.target().path().equals("trunk") && operation.at() < 6.2 - 1.2 - 0.11);
    }

    @Test
    void aCrowdedLimbIsThinnedToWhatCanBeKeptInLight() {
        Survey.SmallWood thicket = new Survey.SmallWood(
                List.of(new Survey.ShootCount("pencil", "side", 40, 45.0)), new Survey.SpurCount(0, 1.0), null);
        Tree tree = Surveys.peach()
                .limb("1", "trunk", "scaffold", 50, 0, 45, 45, 260, 5, thicket)
                .tree();
        RemedyContext remedies = remedies(tree, false);
        Finding crowding = findings(tree).stream()
                .filter(finding -> finding.rule().id().equals("crowding"))
                .findFirst()
                .orElseThrow();
        List<Operation> answers = Rules.remedies(remedies, crowding);
        // two metres of older wood, eight shoots a metre
        assertThat(answers.get(0).keep()).isEqualTo(16);
        assertThat(answers.get(1).keep()).isBetween(20, 34);
    }

    @ParameterizedTest
    @CsvSource({"true,RUB", "false,REMOVE"})
    void softShootsAreRubbedOffInLeafAndWoodyOnesCut(boolean inLeaf, OperationKind soft) {
        Tree tree = Surveys.apple()
                .scaffold("1", 80, 0, 55, 40, 150)
                .limb("soft", "trunk", "sucker", 4, 0, 10, 6, 50, 1, null)
                .limb("woody", "trunk", "sucker", 3, 90, 10, 14, 120, 2, null)
                .tree();
        RemedyContext remedies = remedies(tree, inLeaf);
        List<OperationKind> kinds = findings(tree).stream()
                .filter(finding -> finding.rule().id().equals("root-sucker"))
                .map(finding -> Rules.remedies(remedies, finding).get(0).kind())
                .toList();
        assertThat(kinds).containsExactlyInAnyOrder(soft, OperationKind.REMOVE);
    }

    private static RemedyContext remedies(Tree tree, boolean inLeaf) {
        return new RemedyContext(
                tree,
                findings(tree),
                KNOWLEDGE.school("classic"),
                inLeaf,
                KNOWLEDGE.plan().lowering(),
                new Stubs(tree, LightResolution.CLOSE));
    }

    private static List<Finding> findings(Tree tree) {
        return TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4).findings();
    }
}
