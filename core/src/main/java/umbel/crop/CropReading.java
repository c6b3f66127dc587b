package umbel.crop;

import java.util.List;
import umbel.knowledge.CropParameters;
import umbel.knowledge.Species;
import umbel.light.FruitingSite;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.FruitingWood;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What crop the tree's flower buds can make, against what it should carry.
 *
 * @param flowerBuds flower buds on the tree
 * @param expectedFruits fruits they would set if nothing were thinned, less in shade
 * @param targetFruits fruits the tree is meant to carry, by its trunk or its shoots
 * @param leafFruits fruits that its leaf in the light can finish
 * @param firstClassShare of the fruits left after thinning, those lit enough to size and colour, 0…1
 * @param fruitMass of one fruit, kilograms
 * @param ground a tree has, m²
 */
public record CropReading(
        double flowerBuds,
        double expectedFruits,
        double targetFruits,
        double leafFruits,
        double firstClassShare,
        double fruitMass,
        double ground) {

    private static final double TONNES_PER_HECTARE = 10;

    /**
     * Reads the crop of a tree.
     *
     * @param target fruits wanted, from {@link #target(Tree)} of the tree as found
     */
    public static CropReading of(Tree tree, LightReading light, double target) {
        Setting setting = tree.setting();
        CropParameters parameters = setting.parameters().crop();
        double set = setting.species().crop().fruitsPerFlowerBud()
                * setting.cultivar().setFactor();
        double buds = 0;
        double fruits = 0;
        double first = 0;
        List<FruitingSite> sites = light.sites();
        for (int s = 0; s < sites.size(); s++) {
            double here = light.light()[s];
            double borne = sites.get(s).flowerBuds() * set * Math.min(1, here / parameters.fullSetLight());
            buds += sites.get(s).flowerBuds();
            fruits += borne;
            first += borne * parameters.firstClassLight().at(here);
        }
        double leafFruits = light.leaf().atLeast(parameters.leafLight())
                / setting.species().crop().leafPerFruit();
        return new CropReading(
                buds,
                fruits,
                target,
                leafFruits,
                fruits <= 0 ? 0 : first / fruits,
                setting.cultivar().fruitMass(),
                setting.place().ground());
    }

    /** Fruits on the tree at harvest, thinned to what it can carry. */
    public double harvested() {
        return Math.min(expectedFruits, canFinish());
    }

    /** Of these, fruits that size and colour. */
    public double firstClassFruits() {
        return harvested() * firstClassShare;
    }

    /** Fruit of a tree at harvest, kilograms. */
    public double kilograms() {
        return harvested() * fruitMass;
    }

    /** The same over the ground, tonnes a hectare. */
    public double tonnesPerHectare() {
        return kilograms() / ground * TONNES_PER_HECTARE;
    }

    /** Fruits to take off by hand after pruning and natural drop. */
    public double thinningLeft() {
        return Math.max(0, expectedFruits - targetFruits);
    }

    /** Fruits the tree can carry to the end: the target, or fewer where its leaf cannot finish as many. */
    public double canFinish() {
        return Math.min(targetFruits, leafFruits);
    }

    /** Fruits expected against what the tree can carry; 1 where it can carry none. */
    public double ratio() {
        return canFinish() <= 0 ? 1 : expectedFruits / canFinish();
    }

    /**
     * Fruits the tree is meant to carry: by trunk section, of which heartwood and age make less count on a thick trunk, and
     * where the species is judged by its shoots no more than its good one-year shoots can carry.
     */
    public static double target(Tree tree) {
        Species species = tree.setting().species();
        Species.CropRule rule = species.crop();
        double byTrunk = byTrunk(tree.setting());
        if (!rule.basis().equals("shoots")) {
            return byTrunk;
        }
        Species.Ideal ideal = species.smallWood().ideal();
        FruitingWood carried = FruitingWood.of(tree.setting());
        double good = 0;
        for (Axis axis : tree.axes()) {
            if (axis.isUnmeasured()) {
                good += carried.shootCount(axis.leafArea());
            } else if (axis.kind() == AxisKind.SHOOT && isGood(axis, ideal)) {
                good++;
            }
        }
        return Math.min(byTrunk, good * rule.fruitsPerShoot());
    }

    /** Fruits a tree of a setting may carry by its trunk alone. */
    public static double byTrunk(Setting setting) {
        Species species = setting.species();
        double section = Units.toCm2(setting.trunkSection());
        return species.crop().fruitsPerCm2()
                * section
                / (1 + section / species.canopy().halfAt());
    }

    /** Whether a one-year shoot has the length and thickness of good fruiting wood. */
    public static boolean isGood(Axis shoot, Species.Ideal ideal) {
        double length = Units.toCm(shoot.length());
        double diameter = Units.toMm(shoot.baseDiameter());
        return length >= ideal.lengthCm().get(0)
                && length <= ideal.lengthCm().get(1)
                && diameter >= ideal.diameterMm().get(0)
                && diameter <= ideal.diameterMm().get(1);
    }
}
