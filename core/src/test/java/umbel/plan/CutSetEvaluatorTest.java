package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Which operations go together on one tree, and which keep to the limits of a visit. */
class CutSetEvaluatorTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    private final Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 14, 5), KNOWLEDGE, 1);

    private static PlanRequest request(Limits limits) {
        return new PlanRequest(
                KNOWLEDGE.school("classic"),
                KNOWLEDGE.plan(),
                Goals.of(Map.of(), KNOWLEDGE.plan().usual().goals()),
                limits,
                Moment.DORMANT,
                1,
                List.of(),
                Set.of());
    }

    private CutSetEvaluator evaluator(Limits limits) {
        return new CutSetEvaluator(tree, List.of(), request(limits), Set.of(), null);
    }

    private CutSetEvaluator usual() {
        return evaluator(new Limits(0.33, 3, 2.4));
    }

    /** A limb with one growing from it. */
    private Axis parent() {
        return tree.limbs().stream()
                .filter(limb -> tree.limbs().stream().anyMatch(other -> other.parent() == limb.index()))
                .findFirst()
                .orElseThrow();
    }

    private Axis child() {
        int parent = parent().index();
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == parent)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatGrowsOnALimbThatIsGoneCannotBeCutAnyMore() {
        Operation off = Operation.remove(Target.parse(parent().id()));
        assertThat(usual().fits(List.of(), off)).isTrue();
        assertThat(usual().fits(List.of(off), Operation.remove(Target.parse(child().id()))))
                .isFalse();
        assertThat(usual().fits(List.of(off), Operation.remove(Target.parse(parent().id() + "/shoots"))))
                .isFalse();
    }

    @Test
    void shootsBeyondAStubAreGoneWithTheLimb() {
        Axis limb = tree.limbs().stream()
                .filter(one -> tree.smallWoodOn(one.id()).stream()
                        .noneMatch(axis -> axis.parent() == one.index() && axis.at() < 0.1))
                .filter(one -> tree.smallWoodOn(one.id()).size() > 5)
                .findFirst()
                .orElseThrow();
        Operation shoots = Operation.remove(Target.shoots(limb.id()));
        Operation stub = Operation.cutAt(OperationKind.RENEW_STUB, limb, 0.1);
        Operation shorter = Operation.cutAt(OperationKind.SHORTEN, limb, limb.length() * 0.9);
        assertThat(usual().fits(List.of(stub), shoots)).isFalse();
        assertThat(usual().fits(List.of(shorter), shoots)).isTrue();
    }

    @Test
    void aVisitIsWorthTheSameInWhateverOrderItWasThoughtOf() {
        Operation off = Operation.remove(Target.parse(child().id()));
        Operation shorter =
                Operation.cutAt(OperationKind.SHORTEN, Target.parse(parent().id()), parent().length() * 0.9);
        double one = usual().worth(List.of(off, shorter));
        assertThat(usual().worth(List.of(shorter, off))).isEqualTo(one);
        assertThat(usual().worth(List.of(off))).isNotEqualTo(one);
    }

    @Test
    void aReductionNeedsTheBranchItEndsOn() {
        Axis branch = child();
        Operation back =
                Operation.reduce(OperationKind.REDUCE, Target.parse(parent().id()), branch.id(), branch.at() + 0.02);
        assertThat(usual().fits(List.of(), back)).isTrue();
        assertThat(usual().fits(List.of(Operation.remove(branch)), back)).isFalse();
    }

    @Test
    void oneLimbIsCutOnceButMayBeBentAfterACutPartway() {
        Axis limb = parent();
        Operation shorter = Operation.cutAt(OperationKind.SHORTEN, limb, limb.length() * 0.8);
        Operation other = Operation.cutAt(OperationKind.SHORTEN, limb, limb.length() * 0.6);
        Operation bend = Operation.bend(limb, 1.2);
        assertThat(usual().fits(List.of(shorter), other)).isFalse();
        assertThat(usual().fits(List.of(shorter), bend)).isTrue();
        assertThat(usual().fits(List.of(bend), shorter)).isTrue();
        assertThat(usual().fits(List.of(bend), Operation.remove(limb))).isFalse();
    }

    @Test
    void flowersMayComeOffWhateverElseIsDoneButOnce() {
        Axis limb = parent();
        Operation flowers = Operation.whole(OperationKind.DEFLOWER, limb);
        assertThat(usual().fits(List.of(Operation.cutAt(OperationKind.SHORTEN, limb, limb.length() * 0.8)), flowers))
                .isTrue();
        assertThat(usual().fits(List.of(flowers), flowers)).isFalse();
    }

    @Test
    void groupsThatHoldOneAnotherOverlap() {
        String limb = tree.limbs().stream()
                .map(Axis::id)
                .filter(id -> tree.smallWoodOn(id).stream()
                        .anyMatch(axis ->
                                axis.kind() == umbel.wood.AxisKind.SHOOT && axis.attitude() == umbel.wood.Attitude.UP))
                .findFirst()
                .orElseThrow();
        Operation ups = Operation.remove(Target.parse(limb + "/shoots/up"));
        assertThat(usual().fits(List.of(ups), Operation.remove(Target.parse(limb + "/shoots"))))
                .isFalse();
        assertThat(usual().fits(List.of(Operation.remove(Target.parse(limb + "/shoots"))), ups))
                .isFalse();
    }

    @Test
    void theShareOfWoodHoldsToTheLastTwig() {
        Axis limb = parent();
        Operation off = Operation.remove(limb);
        double share = CutTree.of(tree, List.of(off)).woodShare();
        assertThat(evaluator(new Limits(share + 1e-6, 9, 2.4)).withinLimits(List.of(), off))
                .isTrue();
        assertThat(evaluator(new Limits(share - 1e-3, 9, 2.4)).withinLimits(List.of(), off))
                .isFalse();
    }

    @Test
    void bigCutsAreCounted() {
        List<Axis> thick = tree.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.baseDiameter() > 0.06)
                .limit(2)
                .toList();
        if (thick.size() == 2) {
            CutSetEvaluator one = evaluator(new Limits(0.95, 1, 2.4));
            Operation first = Operation.remove(Target.parse(thick.get(0).id()));
            assertThat(one.withinLimits(List.of(), first)).isTrue();
            assertThat(one.withinLimits(
                            List.of(first),
                            Operation.remove(Target.parse(thick.get(1).id()))))
                    .isFalse();
        }
        CutSetEvaluator none = evaluator(new Limits(0.95, 0, 2.4));
        Operation twig = Operation.remove(Target.parse(child().id() + "/shoots"));
        assertThat(none.withinLimits(List.of(), twig))
                .as("twigs are no big cuts")
                .isTrue();
    }

    @Test
    void whereLimbsComeAndGoAStrongOneIsABigCutThoughThin() {
        Tree spindle = TreeBuilder.build(PracticeTree.survey("tall-spindle", 6, 4), KNOWLEDGE, 1);
        Axis strong = spindle.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.age() >= 2)
                .max(java.util.Comparator.comparingDouble(Axis::baseDiameter))
                .orElseThrow();
        Operation renew = Operation.whole(OperationKind.RENEW_BEVEL, strong);
        assertThat(new CutSetEvaluator(spindle, List.of(), request(new Limits(0.95, 0, 2.4)), Set.of(), null)
                        .withinLimits(List.of(), renew))
                .isFalse();
        assertThat(new CutSetEvaluator(spindle, List.of(), request(new Limits(0.95, 1, 2.4)), Set.of(), null)
                        .withinLimits(List.of(), renew))
                .isTrue();
    }

    @Test
    void theYearlyShortSpurringOfArmsStandsOutsideTheLimits() {
        Tree espalier = TreeBuilder.build(PracticeTree.survey("espalier", 8, 4), KNOWLEDGE, 1);
        CutSetEvaluator strict =
                new CutSetEvaluator(espalier, List.of(), request(new Limits(0.02, 0, 2.4)), Set.of(), null);
        List<Operation> spurring = espalier.limbs().stream()
                .map(limb -> Operation.cutAt(OperationKind.SHORT_SPUR, Target.parse(limb.id() + "/shoots/up"), 0.1))
                .filter(one -> !umbel.cut.TargetAxes.of(espalier, one).isEmpty())
                .toList();
        assertThat(spurring).isNotEmpty();
        assertThat(CutTree.of(espalier, spurring).woodShare()).isGreaterThan(0.02);
        assertThat(strict.withinLimits(spurring.subList(1, spurring.size()), spurring.get(0)))
                .isTrue();
    }

    @Test
    void aTreeIsWorthTheSameHoweverOftenItIsAsked() {
        List<Operation> off = List.of(Operation.remove(Target.parse(child().id())));
        CutSetEvaluator one = usual();
        double worth = one.worth(off);
        assertThat(one.worth(off)).isEqualTo(worth);
        assertThat(new CutSetEvaluator(tree, List.of(), request(new Limits(0.33, 3, 2.4)), Set.of(), one).worth(off))
                .as("shared appraisals")
                .isEqualTo(worth);
        assertThat(one.worthOf(CutTree.of(tree, List.of()).left())).isCloseTo(one.worth(List.of()), within(1e-9));
    }
}
