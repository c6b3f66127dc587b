package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Knowledge;
import umbel.light.LightField;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** The pieces of a season held to sums made by hand: pipes, wounds, thickening, crop and what the leaf makes. */
class GrowthPiecesTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final Tree TREE = build(PracticeTree.survey("apple", "central-leader", 12, 3));
    private static final LeafArea LEAF = new LeafArea(TREE);

    private static Tree build(Survey survey) {
        return TreeBuilder.build(survey, KNOWLEDGE, 1);
    }

    private static LightField field(Tree tree) {
        return LightField.of(tree, 0.2, 16);
    }

    /** The leaf of an axis and all that hangs on it, added up one by one. */
    private static double leafOn(Tree tree, Axis axis) {
        double sum = axis.leafArea();
        for (Axis child : tree.axes()) {
            sum += child.parent() == axis.index() && child.index() != axis.index() ? leafOn(tree, child) : 0;
        }
        return sum;
    }

    @Test
    void anAxisCarriesItsOwnLeafAndAllBeyondIt() {
        assertThat(LEAF.all()).isCloseTo(leafOn(TREE, TREE.trunk()), within(1e-9));
        for (Axis limb : TREE.limbs()) {
            assertThat(LEAF.of(limb.index())).as(limb.id()).isCloseTo(leafOn(TREE, limb), within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.35, 0.6, 0.9})
    void pipesAtAPlaceLeadToWhatStandsBeyondIt(double share) {
        for (Axis limb : TREE.limbs()) {
            double from = share * limb.length();
            double beyond = TREE.axes().stream()
                    .filter(axis -> axis.parent() == limb.index() && axis.at() >= from)
                    .mapToDouble(axis -> leafOn(TREE, axis))
                    .sum();
            double own = limb.leafArea() <= 0 ? 0 : limb.leafArea() * limb.shareBeyond(from);
            assertThat(LEAF.beyond(limb.index(), from)).as(limb.id()).isCloseTo(beyond + own, within(1e-9));
        }
    }

    @Test
    void rootstockShootsAndDeadWoodFeedNothing() {
        Survey survey = PracticeTree.survey("apple", "central-leader", 12, 3, Fault.SUCKERS, Fault.DEAD_LIMB);
        Tree tree = build(survey);
        LeafArea leaf = new LeafArea(tree);
        Axis sucker = tree.find("s1").orElseThrow();
        Axis dead = tree.limbs().stream()
                .filter(limb -> !LeafArea.grows(limb) && limb.index() != sucker.index())
                .findFirst()
                .orElseThrow();
        assertThat(leaf.of(sucker.index())).isZero();
        assertThat(leaf.of(dead.index())).isZero();
        assertThat(leaf.all()).isLessThan(leafOn(tree, tree.trunk()));
    }

    @Test
    void aLimbTakenOffLeavesOneWoundWithAllItsPipes() {
        Axis limb = TREE.find("1").orElseThrow();
        CutTree cut = CutTree.of(TREE, List.of(Operation.remove(Target.parse("1"))));
        List<Wounds.Wound> onTrunk = new Wounds(cut, LEAF).on(0);
        assertThat(onTrunk).as("what hangs on it falls with it").hasSize(1);
        Wounds.Wound wound = onTrunk.get(0);
        assertThat(wound.at()).isEqualTo(limb.at());
        assertThat(wound.diameter()).isEqualTo(limb.baseDiameter());
        assertThat(wound.orphaned()).isCloseTo(leafOn(TREE, limb), within(1e-9));
        assertThat(wound.whole()).isTrue();
        assertThat(new Wounds(cut, LEAF).on(limb.index())).isEmpty();
    }

    @Test
    void aCutPartwayLeavesTheWoundAtItsEnd() {
        Axis limb = TREE.find("2").orElseThrow();
        double at = 0.6 * limb.length();
        CutTree cut = CutTree.of(TREE, List.of(Operation.cutAt(OperationKind.SHORTEN, Target.parse("2"), at)));
        List<Wounds.Wound> wounds = new Wounds(cut, LEAF).on(limb.index());
        Wounds.Wound end =
                wounds.stream().filter(wound -> !wound.whole()).findFirst().orElseThrow();
        assertThat(end.at()).isCloseTo(at, within(1e-9));
        assertThat(end.diameter()).isCloseTo(limb.diameterAt(at), within(1e-9));
        assertThat(end.orphaned()).isCloseTo(LEAF.beyond(limb.index(), at), within(1e-9));
        assertThat(new Wounds(cut, LEAF).on(0)).isEmpty();
    }

    @Test
    void woodIsLaidOnInProportionToTheLeafItServes() {
        RadialGrowth thickening = new RadialGrowth(TREE, 0.5, 1);
        double perLeaf = added(thickening, TREE.trunk()) / LEAF.all();
        assertThat(perLeaf).isPositive();
        for (Axis limb : TREE.limbs()) {
            if (limb.age() > 1) {
                assertThat(added(thickening, limb) / LEAF.of(limb.index()))
                        .as("section for a square metre of leaf on %s", limb.id())
                        .isCloseTo(perLeaf, within(1e-9));
            }
        }
    }

    private static double added(RadialGrowth thickening, Axis axis) {
        double now = thickening.of(axis.index())[0];
        double was = axis.diameters()[0];
        return Math.PI / 4 * (now * now - was * was);
    }

    @Test
    void aPoorYearLaysOnLittleAndARichOneNoEndOfIt() {
        GrowthParameters.Laid laid = KNOWLEDGE.parameters().growth().wood().thickening();
        double poor = new RadialGrowth(TREE, -1, 1).mass();
        double rich = new RadialGrowth(TREE, 5, 1).mass();
        assertThat(poor).isPositive();
        assertThat(rich / poor).isCloseTo(laid.most() / laid.least(), within(1e-6));
        assertThat(new RadialGrowth(TREE, 0.4, 1).mass()).isBetween(poor, rich);
    }

    @Test
    void oneYearWoodIsAsThickAsItGrew() {
        RadialGrowth thickening = new RadialGrowth(TREE, 0.5, 1);
        TREE.axes().stream()
                .filter(axis -> axis.age() <= 1)
                .forEach(axis -> assertThat(thickening.of(axis.index())).isEqualTo(axis.diameters()));
    }

    @Test
    void everyFlowerBudInFullLightSetsAsItsKindDoes() {
        double usual = TREE.setting().species().crop().fruitsPerFlowerBud()
                * TREE.setting().cultivar().setFactor();
        Crop crop = Crop.set(TREE, field(TREE), Double.POSITIVE_INFINITY, 1);
        double buds = TREE.axes().stream().mapToDouble(Axis::flowerBuds).sum();
        assertThat(crop.fruits()).isPositive().isLessThanOrEqualTo(buds * usual + 1e-9);
        assertThat(crop.onLimb().values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum())
                .isCloseTo(crop.fruits(), within(1e-9));
        Crop poorSpring = Crop.set(TREE, field(TREE), Double.POSITIVE_INFINITY, 0.5);
        assertThat(poorSpring.fruits()).isCloseTo(crop.fruits() / 2, within(1e-9));
    }

    @Test
    void thinningLeavesEachLimbItsShare() {
        Crop all = Crop.set(TREE, field(TREE), Double.POSITIVE_INFINITY, 1);
        double most = all.fruits() / 3;
        Crop thinned = Crop.set(TREE, field(TREE), most, 1);
        assertThat(thinned.fruits()).isCloseTo(most, within(1e-9));
        all.onLimb()
                .forEach((limb, fruits) ->
                        assertThat(thinned.onLimb().get(limb)).as(limb).isCloseTo(fruits / 3, within(1e-9)));
        assertThat(Crop.set(TREE, field(TREE), 0, 1).fruits())
                .as("flowers taken off")
                .isZero();
    }

    @Test
    void fruitDropsWhenTheLeafCannotFeedIt() {
        GrowthParameters parameters = KNOWLEDGE.parameters().growth();
        Crop crop = Crop.set(TREE, field(TREE), Double.POSITIVE_INFINITY, 1);
        double asked = crop.fruits() * Crop.dryFruit(TREE.setting());
        double justEnough =
                parameters.fruit().dropBelow() * asked / parameters.fruit().shareMost();
        assertThat(crop.finished(TREE, 2 * justEnough).fruits()).isEqualTo(crop.fruits());
        assertThat(crop.finished(TREE, justEnough / 4).fruits()).isCloseTo(crop.fruits() / 4, within(1e-9));
        assertThat(crop.finished(TREE, 0).fruits()).isZero();
        assertThat(crop.drain(TREE.setting(), 1e6)).as("no more than asked").isCloseTo(asked, within(1e-9));
        assertThat(crop.drain(TREE.setting(), asked))
                .as("no more than its share")
                .isCloseTo(parameters.fruit().shareMost() * asked, within(1e-9));
    }

    @Test
    void leafThatNoFruitDrawsOnWorksLess() {
        GrowthParameters parameters = KNOWLEDGE.parameters().growth();
        double full = parameters.fruit().shareMost() * 10;
        assertThat(Carbon.drawnOn(10, 0, parameters))
                .isCloseTo(10 * (1 - parameters.assimilation().idleLeaf()), within(1e-12));
        assertThat(Carbon.drawnOn(10, full, parameters)).isCloseTo(10, within(1e-12));
        assertThat(Carbon.drawnOn(10, 2 * full, parameters))
                .as("never more than it could")
                .isCloseTo(10, within(1e-12));
    }

    @Test
    void theSameLeafMakesMoreWhereItStandsAlone() {
        Tree alone = among(9, 9);
        Tree close = among(2.5, 3);
        assertThat(new LeafArea(alone).all()).isCloseTo(new LeafArea(close).all(), within(1e-9));
        double open = Carbon.assimilated(alone, field(alone));
        assertThat(open).isGreaterThan(1.15 * Carbon.assimilated(close, field(close)));
        assertThat(open)
                .as("no more than its leaf could make in full light")
                .isLessThan(KNOWLEDGE.parameters().growth().assimilation().perM2() * new LeafArea(alone).all());
    }

    private static Tree among(double inRow, double betweenRows) {
        Survey made = PracticeTree.survey("apple", "central-leader", 12, 3);
        String json = SurveyReader.write(made)
                .replaceFirst("\"inRow\"\\s*:\\s*[0-9.]+", "\"inRow\":" + inRow)
                .replaceFirst("\"betweenRows\"\\s*:\\s*[0-9.]+", "\"betweenRows\":" + betweenRows);
        return build(SurveyReader.read(json));
    }

    @Test
    void woodWeighsItsVolume() {
        double volume = 0;
        for (Axis axis : TREE.axes()) {
            if (axis.kind() != AxisKind.SPUR) {
                for (int i = 1; i < axis.course().size(); i++) {
                    double a = axis.diameters()[i - 1];
                    double b = axis.diameters()[i];
                    double length = axis.course().along(i) - axis.course().along(i - 1);
                    // a frustum
                    volume += Math.PI / 12 * length * (a * a + a * b + b * b);
                }
            }
        }
        double dry = KNOWLEDGE.parameters().growth().wood().dry() * volume;
        assertThat(Carbon.wood(TREE)).isCloseTo(dry, within(0.02 * dry));
    }
}
