package umbel.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class HarvestLoadTest {

    /** A level limb, 1.2 m, with spurs and a chosen number of flower buds. */
    private static Surveys limb(int spurs, int buds, double diameter) {
        return Surveys.apple()
                .trunk(120, 300)
                .limb(
                        "1",
                        "trunk",
                        "limb",
                        150,
                        90,
                        90,
                        diameter,
                        120,
                        5,
                        new Survey.SmallWood(java.util.List.of(), new Survey.SpurCount(spurs, 2.0), buds, "all"));
    }

    private static HarvestLoad hang(Tree tree) {
        LightReading light = LightModel.read(tree);
        return HarvestLoad.unthinned(tree, light);
    }

    @Test
    void noFruitBendsNothing() {
        Tree tree = limb(20, 0, 22).tree();
        HarvestLoad load = hang(tree);
        assertThat(load.on("1").fruits()).isZero();
        assertThat(load.on("1").droop()).isZero();
        assertThat(load.on("1").tipAtHarvest()).isEqualTo(load.on("1").tipNow());
        assertThat(load.on("1").stressShare()).as("its own wood still pulls").isPositive();
    }

    /**
     * Worked by hand for an even beam: a mass spread evenly over a cantilever of constant section drops its end by
     * m·g·L³ / (8·E·I). The drawn limb tapers to 5 mm, so it must drop further than one of its base thickness all along and
     * less than one of half that thickness.
     */
    @Test
    void theDropLiesBetweenTwoEvenBeams() {
        Tree tree = limb(60, 40, 26).tree();
        HarvestLoad.LimbLoad load = hang(tree).on("1");
        double modulus = 6.5e9;
        double stiff = beamDrop(load.fruitMass(), 1.2, modulus, 0.026);
        double slack = beamDrop(load.fruitMass(), 1.2, modulus, 0.013);
        double drop = load.tipNow() - load.tipAtHarvest();
        assertThat(load.fruitMass()).isBetween(1.0, 6.0);
        assertThat(drop).isBetween(stiff * 0.6, slack);
    }

    private static double beamDrop(double mass, double length, double modulus, double diameter) {
        double inertia = Math.PI * Math.pow(diameter, 4) / 64;
        return mass * 9.81 * Math.pow(length, 3) / (8 * modulus * inertia);
    }

    @Test
    void theUnionBearsWhatStaticsSays() {
        // with all wood on one level limb, the moment at the union is at most whole mass × g × length
        HarvestLoad.LimbLoad load = hang(limb(60, 40, 26).tree()).on("1");
        double most = load.mass() * 9.81 * 1.25;
        double section = Math.PI * Math.pow(0.026, 3) / 32;
        double share = most / section / 45e6;
        assertThat(load.stressShare()).isBetween(share * 0.25, share);
    }

    @Test
    void moreFruitDropsFurtherAndThickerWoodLess() {
        double few = droop(limb(60, 15, 22));
        double many = droop(limb(60, 45, 22));
        double thick = droop(limb(60, 45, 34));
        assertThat(many).isGreaterThan(few * 1.5);
        assertThat(thick).isLessThan(many * 0.5);
    }

    private static double droop(Surveys tree) {
        return hang(tree.tree()).on("1").droop();
    }

    @Test
    void aTightCrotchBreaksSooner() {
        Surveys wide = Surveys.apple().trunk(120, 300).limb("1", "trunk", "scaffold", 90, 90, 60, 26, 170, 6, heavy());
        Surveys tight = Surveys.apple().trunk(120, 300).limb("1", "trunk", "scaffold", 90, 90, 30, 26, 170, 6, heavy());
        HarvestLoad.LimbLoad sound = hang(wide.tree()).on("1");
        HarvestLoad.LimbLoad weak = hang(tight.tree()).on("1");
        assertThat(weak.breakRisk()).isBetween(0.0, 1.0);
        // the steep limb's lever is shorter by sin 30 / sin 60, its union bears 0.6 of sound wood
        assertThat(weak.stressShare()).isGreaterThan(sound.stressShare() * 0.8);
    }

    private static Survey.SmallWood heavy() {
        return new Survey.SmallWood(java.util.List.of(), new Survey.SpurCount(60, 2.0), 60);
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "tall-spindle", "open-centre"})
    void theDrawnTreeKeepsItsLengthsAndItsJoints(String system) {
        Tree tree = TreeBuilder.build(PracticeTree.survey(system, 7, 3), Knowledge.shipped(), 1);
        LightReading light = LightModel.read(tree);
        CropReading crop = CropReading.of(tree, light, CropReading.target(tree));
        HarvestLoad load = HarvestLoad.drawn(tree, light, crop);
        for (Axis axis : load.tree().axes()) {
            assertThat(axis.length()).isCloseTo(tree.axis(axis.index()).length(), within(1e-6));
            if (axis.kind() == AxisKind.LIMB || axis.kind() == AxisKind.LATERAL) {
                Axis parent = load.tree().axis(axis.parent());
                double gap = parent.course()
                        .at(axis.at())
                        .minus(axis.course().point(0))
                        .length();
                double before = tree.axis(axis.parent())
                        .course()
                        .at(axis.at())
                        .minus(tree.axis(axis.index()).course().point(0))
                        .length();
                assertThat(gap).isCloseTo(before, within(1e-6));
            }
        }
        assertThat(load.fruits()).isLessThanOrEqualTo(crop.targetFruits() + 1e-6);
        assertThat(load.limbs()).allMatch(one -> one.tipAtHarvest() <= one.tipNow() + 0.02);
    }

    @Test
    void armsTiedToWiresStay() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("pear", "espalier", 9, 2), Knowledge.shipped(), 1);
        assertThat(hang(tree).limbs()).allMatch(one -> one.droop() < 1e-6);
    }
}
