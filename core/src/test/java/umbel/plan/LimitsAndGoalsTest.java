package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.TreeReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class LimitsAndGoalsTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    @ParameterizedTest
    @CsvSource({
        "apple, central-leader, classic, 0.33, 3",
        "apple, tall-spindle, classic, 0.33, 2",
        "peach, open-centre, classic, 0.50, 3",
        "apple, central-leader, gentle, 0.198, 2",
        "apple, central-leader, home-garden, 0.264, 2",
    })
    void theUsualLimitsFollowSpeciesSystemAndSchool(
            String species, String system, String school, double share, int cuts) {
        Species kind = KNOWLEDGE.species(species);
        Limits limits = Limits.usual(kind, KNOWLEDGE.system(system), KNOWLEDGE.school(school), 2.4);
        assertThat(limits.woodShare()).isCloseTo(share, within(1e-9));
        assertThat(limits.bigCuts()).isEqualTo(cuts);
    }

    @Test
    void goalsNotNamedAreTheUsualOnes() {
        Goals goals = Goals.of(Map.of("height", 3.0), KNOWLEDGE.plan().usual().goals());
        assertThat(goals.height()).isEqualTo(3);
        assertThat(goals.light()).isEqualTo(KNOWLEDGE.plan().usual().goals().get("light"));
        assertThat(goals.labour()).isEqualTo(0.3);
    }

    @Test
    void aRefusalNamesWhatAndWhere() {
        assertThat(PlanRequest.key(Operation.remove(Target.parse("4/shoots/up"))))
                .isEqualTo("remove@4/shoots/up");
        assertThat(PlanRequest.key(Operation.bend(Target.parse("2"), 1))).isEqualTo("bend@2");
    }

    @Test
    void doingNothingTakesNothingAndCostsNothing() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("tall-spindle", 4, 2), KNOWLEDGE, 1);
        TreeReader.Reading reading = TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4);
        Totals nothing = Totals.of(CutTree.of(tree, List.of()), reading.crop(), reading.lines(), 2.4);
        assertThat(nothing.minutes()).isZero();
        assertThat(nothing.mass()).isZero();
        assertThat(nothing.light().underFruitLight()).isEqualTo(reading.light().shareUnder(0.3));
        assertThat(nothing.crop().expectedFruits()).isEqualTo(reading.crop().expectedFruits());
    }

    @Test
    void theCropShareIsOfWhatTheTreeCanFinish() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("tall-spindle", 4, 2), KNOWLEDGE, 1);
        CutTree cut = CutTree.of(
                tree,
                List.of(
                        Operation.remove(Target.parse("1")),
                        Operation.remove(Target.parse("2")),
                        Operation.remove(Target.parse("3"))));
        TreeReader.Reading reading = TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4);
        CropReading rich = new CropReading(9999, 9999, 10, 9999, 1, 0.18, 3.5);
        assertThat(Totals.of(cut, rich, reading.lines(), 2.4).cropShare())
                .as("buds to spare: the small target is still met")
                .isCloseTo(1, within(1e-9));
        assertThat(Totals.of(cut, reading.crop(), reading.lines(), 2.4).cropShare())
                .isLessThan(0.95);
    }

    @Test
    void aTreeIsWorthMoreWithoutItsFaults() {
        PlanRequest request = request();
        Tree faulty = TreeBuilder.build(
                PracticeTree.survey("central-leader", 18, 3, Fault.RIVAL_LEADER, Fault.SUCKERS), KNOWLEDGE, 1);
        CutSetValue.Ground ground = CutSetValue.Ground.of(faulty, List.of(), KNOWLEDGE.plan());
        double asFound =
                CutSetValue.of(ground, CutTree.of(faulty, List.of()), request).worth(request);
        double noSuckers = worth(ground, faulty, request, "s1", "s2");
        double noRival = worth(ground, faulty, request, "r1");
        double stripped = worth(ground, faulty, request, "1", "2", "3", "4", "5", "6", "7");
        assertThat(noSuckers).isGreaterThan(asFound);
        assertThat(noRival).isGreaterThan(asFound);
        assertThat(stripped).as("taking the frame off is no cure").isLessThan(asFound);
    }

    private static double worth(CutSetValue.Ground ground, Tree tree, PlanRequest request, String... limbs) {
        List<Operation> operations = java.util.Arrays.stream(limbs)
                .map(limb -> Operation.remove(Target.parse(limb)))
                .toList();
        return CutSetValue.of(ground, CutTree.of(tree, operations), request).worth(request);
    }

    private static PlanRequest request() {
        return new PlanRequest(
                KNOWLEDGE.school("classic"),
                KNOWLEDGE.plan(),
                Goals.of(Map.of(), KNOWLEDGE.plan().usual().goals()),
                new Limits(0.33, 3, 2.4),
                Moment.DORMANT,
                3,
                List.of(),
                Set.of());
    }
}
