package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlanParameters;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** What a tree has for the grower, term by term, and how wishes weigh it. */
class CutSetValueTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final Limits LIMITS = new Limits(0.3, 3, 2.4);
    private static final int TERMS = 11;
    private static final int WOOD_SHARE = 10;

    /** An appraisal with one term set and the others at nothing. */
    private static CutSetValue only(int term, double value) {
        double[] terms = new double[TERMS];
        terms[term] = value;
        return new CutSetValue(
                terms[0],
                terms[1],
                terms[2],
                terms[3],
                terms[4],
                terms[5],
                terms[6],
                terms[7],
                terms[8],
                terms[9],
                terms[10],
                new BitSet());
    }

    private static PlanRequest request(Map<String, Double> goals) {
        return new PlanRequest(
                KNOWLEDGE.school("classic"),
                KNOWLEDGE.plan(),
                Goals.of(goals, KNOWLEDGE.plan().usual().goals()),
                LIMITS,
                Moment.DORMANT,
                3,
                List.of(),
                Set.of());
    }

    @ParameterizedTest
    @CsvSource({
        "0, light, 1",
        "1, crop, 1",
        "2, crop, 1",
        "3, height, 1",
        "4, renewal, 1",
        "5, structure, -1",
        "6, structure, -1",
        "7, height, -1",
        "8, labour, -1"
    })
    void eachGoalWeighsItsOwnTerms(int term, String goal, int sign) {
        CutSetValue one = only(term, 1);
        double usual = one.worth(request(Map.of(goal, 1.0)));
        assertThat(Math.signum(usual)).isEqualTo(sign);
        assertThat(one.worth(request(Map.of(goal, 2.0)))).isCloseTo(2 * usual, within(1e-12));
        assertThat(one.worth(request(Map.of(goal, 0.0)))).isZero();
    }

    @ParameterizedTest
    @ValueSource(strings = {"cordon", "espalier", "hedge", "open-centre", "tall-spindle", "upright-wall"})
    void aTreeIsWorthSomethingUnderEverySystem(String system) {
        PlanCase one = PlanCase.of(PracticeTree.survey(system, 6, 1));
        assertThat(one.search().evaluator().worth(List.of())).isFinite();
    }

    @Test
    void woundsCostWhateverIsWanted() {
        PlanParameters.Worth worth = KNOWLEDGE.plan().worth();
        assertThat(only(9, 1).worth(request(Map.of()))).isCloseTo(-worth.wound(), within(1e-12));
    }

    @Test
    void takingMoreOfTheAllowedShareCostsMoreThanInProportion() {
        PlanRequest request = request(Map.of());
        double little = only(WOOD_SHARE, 0.1).worth(request);
        double much = only(WOOD_SHARE, 0.3).worth(request);
        assertThat(little).isNegative();
        assertThat(much).isCloseTo(9 * little, within(1e-9));
        assertThat(only(WOOD_SHARE, 0.3)
                        .worth(request.within(KNOWLEDGE.plan().variants().firmer())))
                .as("the same share is less of a larger allowance")
                .isGreaterThan(much);
    }

    @Test
    void aTreeUntouchedHasAllItsLitWoodAndNoCost() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("tall-spindle", 6, 2), KNOWLEDGE, 1);
        CutSetValue untouched = appraised(tree);
        assertThat(untouched.capacity()).isCloseTo(1, within(1e-9));
        assertThat(untouched.minutes()).isZero();
        assertThat(untouched.wound()).isZero();
        assertThat(untouched.woodShare()).isZero();
        assertThat(untouched.evenness()).isBetween(0.0, 1.0);
        assertThat(untouched.young()).isBetween(0.0, 1.0);
        assertThat(untouched.missing()).isZero();
    }

    @Test
    void aCutCostsMinutesWoodAndAWoundAndTakesAFaultAway() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 14, 3, Fault.RIVAL_LEADER), KNOWLEDGE, 1);
        CutSetValue before = appraised(tree);
        CutSetValue after = appraised(tree, Operation.remove(Target.parse("r1")));
        assertThat(after.faults()).isLessThan(before.faults());
        assertThat(after.minutes()).isPositive();
        double rival = tree.find("r1").orElseThrow().baseDiameter();
        double section = Math.PI * rival * rival / 4 / tree.setting().trunkSection();
        assertThat(after.wound()).as("its own section, of the trunk's").isCloseTo(section, within(0.25 * section));
        assertThat(after.woodShare()).isPositive();
    }

    @Test
    void aFrameTakenAwayIsMissed() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("peach", "open-centre", 8, 3), KNOWLEDGE, 1);
        Operation[] all = tree.limbsOn(tree.trunk()).stream()
                .map(limb -> Operation.remove(limb))
                .toArray(Operation[]::new);
        assertThat(appraised(tree).missing()).isZero();
        assertThat(appraised(tree, all).missing()).isEqualTo(1);
        assertThat(appraised(tree, all).capacity()).isLessThan(0.2);
    }

    private static CutSetValue appraised(Tree tree, Operation... operations) {
        return CutSetValue.of(
                CutSetValue.Ground.of(tree, List.of(), KNOWLEDGE.plan()),
                CutTree.of(tree, List.of(operations)),
                request(Map.of()));
    }
}
