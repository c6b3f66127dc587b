package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class PracticeTreeTest {

    private static final List<String> SYSTEMS =
            List.of("central-leader", "modified-central-leader", "tall-spindle", "open-centre");

    static Stream<Arguments> systemsAndAges() {
        return SYSTEMS.stream()
                .flatMap(system -> IntStream.of(2, 4, 7, 12, 22).mapToObj(leaf -> Arguments.of(system, leaf)));
    }

    @ParameterizedTest
    @MethodSource("systemsAndAges")
    void everyPracticeTreeIsAValidSurvey(String system, int leaf) {
        for (long seed = 1; seed <= 4; seed++) {
            Survey survey = PracticeTree.survey(system, leaf, seed);
            assertThat(SurveyReader.read(SurveyReader.write(survey))).isEqualTo(survey);
            Set<String> ids = new HashSet<>();
            survey.limbs().forEach(limb -> assertThat(ids.add(limb.id())).isTrue());
        }
    }

    private static final Set<Fault> WHOLE_TREE = EnumSet.of(
            Fault.THICKET,
            Fault.BARE_SIDE,
            Fault.LOST_CONE,
            Fault.NOT_FILLED,
            Fault.LOP_SIDED,
            Fault.OLD_SPURS,
            Fault.MOVED_OUT,
            Fault.RANK_GROWTH,
            Fault.WEAK_GROWTH,
            Fault.HEAVY_BLOOM,
            Fault.FEW_BUDS);

    @ParameterizedTest
    @EnumSource(Fault.class)
    void everyFaultLeavesAValidSurvey(Fault fault) {
        for (String system : SYSTEMS) {
            for (long seed = 1; seed <= 3; seed++) {
                Survey survey = PracticeTree.survey(system, 8, seed, fault);
                assertThat(SurveyReader.read(SurveyReader.write(survey)).limbs())
                        .isNotEmpty();
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Fault.class)
    void aFaultChangesOnlySomeOfTheTree(Fault fault) {
        Survey sound = PracticeTree.survey("central-leader", 18, 6);
        Survey faulty = PracticeTree.survey("central-leader", 18, 6, fault);
        assertThat(faulty).isNotEqualTo(sound);
        long same = sound.limbs().stream().filter(faulty.limbs()::contains).count();
        boolean everywhere = WHOLE_TREE.contains(fault);
        assertThat(same).isGreaterThanOrEqualTo(everywhere ? 0 : sound.limbs().size() - 4);
        assertThat(faulty.tree()).isEqualTo(sound.tree());
    }

    @Test
    void allFaultsTogetherAreStillATree() {
        for (String system : SYSTEMS) {
            Survey survey = PracticeTree.survey(system, 10, 3, Fault.values());
            Tree tree = TreeBuilder.build(SurveyReader.read(SurveyReader.write(survey)), Knowledge.shipped(), 1);
            assertThat(tree.axes()).hasSizeGreaterThan(50);
            assertThat(tree.axes())
                    .allMatch(axis -> Double.isFinite(axis.course().top()));
        }
    }

    @Test
    void seedsMakeDifferentTreesAndTheSameSeedTheSame() {
        assertThat(PracticeTree.survey("tall-spindle", 4, 1)).isEqualTo(PracticeTree.survey("tall-spindle", 4, 1));
        assertThat(PracticeTree.survey("tall-spindle", 4, 1)).isNotEqualTo(PracticeTree.survey("tall-spindle", 4, 2));
    }

    @ParameterizedTest
    @MethodSource("systemsAndAges")
    void treesKeepTheShapeOfTheirSystem(String system, int leaf) {
        Survey survey = PracticeTree.survey(system, leaf, 5);
        Tree tree = TreeBuilder.build(survey, Knowledge.shipped(), 1);
        var shape = tree.setting().system().shape();
        assertThat(tree.limbs().stream()
                        .mapToDouble(limb -> limb.course().top())
                        .max()
                        .orElseThrow())
                .isLessThan(shape.height() * 1.35);
        double reach = tree.limbs().stream()
                .flatMap(limb -> Stream.of(limb.course().at(limb.length())))
                .mapToDouble(tip -> tip.level().length())
                .max()
                .orElseThrow();
        assertThat(reach).isLessThan(shape.spread() * 0.75);
    }

    @Test
    void olderTreesAreLarger() {
        for (String system : SYSTEMS) {
            Survey young = PracticeTree.survey(system, 2, 5);
            Survey old = PracticeTree.survey(system, 9, 5);
            assertThat(old.trunk().diameterMm()).isGreaterThan(young.trunk().diameterMm());
            assertThat(metres(old)).isGreaterThanOrEqualTo(metres(young));
        }
    }

    @Test
    void thereAreNoPracticeTreesOfUnknownSystems() {
        assertThatThrownBy(() -> PracticeTree.survey("pyramid-of-glass", 4, 1)).isInstanceOf(NotSupported.class);
    }

    @Test
    void noLimbOfASoundTreeIsUnsound() {
        for (String system : SYSTEMS) {
            Tree tree = TreeBuilder.build(PracticeTree.survey(system, 6, 2), Knowledge.shipped(), 1);
            assertThat(tree.limbs()).allMatch(limb -> limb.conditions().isEmpty());
            assertThat(tree.limbs()).extracting(Axis::at).allMatch(at -> at > 0.09);
        }
    }

    private static double metres(Survey survey) {
        return survey.limbs().stream().mapToDouble(Survey.LimbMeasure::lengthCm).sum() / 100;
    }
}
