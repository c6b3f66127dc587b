package umbel.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.light.FruitingSite;
import umbel.light.LeafLight;
import umbel.light.LightReading;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.Vec;

class CropReadingTest {

    @Test
    void anAppleIsMeantToCarryFiveFruitsASquareCentimetreOfTrunk() {
        Tree tree =
                Surveys.apple().trunk(48, 295).scaffold("1", 80, 0, 70, 18, 95).tree();
        // 48 mm across is 18.10 cm²: five fruits each, less by 18.1 / 700 for heartwood
        assertThat(CropReading.target(tree)).isCloseTo(88.2, within(0.1));
    }

    @Test
    void aPeachCarriesNoMoreThanItsGoodShootsCan() {
        Tree few = Surveys.peach()
                .limb(
                        "1",
                        "trunk",
                        "scaffold",
                        50,
                        0,
                        45,
                        40,
                        200,
                        5,
                        everything(Surveys.shoots("pencil", "side", 10, 45)))
                .tree();
        assertThat(CropReading.target(few))
                .as("ten good shoots, three fruits each")
                .isCloseTo(30, within(1e-9));
        Tree many = Surveys.peach()
                .limb("1", "trunk", "scaffold", 50, 0, 45, 40, 200, 5, Surveys.shoots("pencil", "side", 300, 45))
                .tree();
        // 100 mm trunk is 78.54 cm²: four fruits each, less by 78.5 / 600
        assertThat(CropReading.target(many)).isCloseTo(277.80, within(0.1));
    }

    /** The same wood, said to be all there is on the limb. */
    private static Survey.SmallWood everything(Survey.SmallWood wood) {
        return new Survey.SmallWood(wood.shoots(), wood.spurs(), wood.flowerBuds(), "all");
    }

    @Test
    void thinAndRankShootsAreNoGood() {
        Tree tree = Surveys.peach()
                .limb(
                        "1",
                        "trunk",
                        "scaffold",
                        50,
                        0,
                        45,
                        40,
                        200,
                        5,
                        new Survey.SmallWood(
                                List.of(
                                        new Survey.ShootCount("matchstick", "side", 8, 18.0),
                                        new Survey.ShootCount("strong", "up", 8, 100.0)),
                                new Survey.SpurCount(0, 1.0),
                                null,
                                "all"))
                .tree();
        assertThat(CropReading.target(tree)).isZero();
    }

    @Test
    void budsInShadeSetLess() {
        Survey.SmallWood wood = new Survey.SmallWood(List.of(), new Survey.SpurCount(10, 2.0), 10);
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 0, 55, 40, 150, 6, wood)
                .tree();
        List<FruitingSite> sites = tree.smallWoodOn("1").stream()
                .map(axis -> new FruitingSite(axis, new Vec(0, 0, 1), 1, axis.flowerBuds()))
                .toList();
        double open = fruits(tree, sites, 0.9);
        assertThat(open).as("ten buds, 0.6 fruits each").isCloseTo(6, within(1e-9));
        assertThat(fruits(tree, sites, 0.4)).isCloseTo(6, within(1e-9));
        assertThat(fruits(tree, sites, 0.2)).as("half the light").isCloseTo(3, within(1e-9));
    }

    private static double fruits(Tree tree, List<FruitingSite> sites, double light) {
        double[] all = new double[sites.size()];
        java.util.Arrays.fill(all, light);
        return CropReading.of(
                        tree,
                        new LightReading(sites, all, new LeafLight(new double[] {2}, new double[] {light}), 1, 0.5),
                        50)
                .expectedFruits();
    }
}
