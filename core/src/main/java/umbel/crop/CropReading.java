package umbel.crop;

import java.util.List;
import umbel.knowledge.Species;
import umbel.light.FruitingSite;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What crop the tree's flower buds can make, against what it should carry.
 *
 * @param flowerBuds flower buds on the tree
 * @param expectedFruits fruits they would set if nothing were thinned, less in shade
 * @param targetFruits fruits the tree is meant to carry, by its trunk or its shoots
 * @param leafFruits fruits its leaf can finish
 */
public record CropReading(double flowerBuds, double expectedFruits, double targetFruits, double leafFruits) {

    /**
     * Reads the crop of a tree.
     *
     * @param target fruits wanted, from {@link #target(Tree)} of the tree as found
     */
    public static CropReading of(Tree tree, LightReading light, double target) {
        Setting setting = tree.setting();
        double full = setting.parameters().crop().fullSetLight();
        double set = setting.species().crop().fruitsPerFlowerBud()
                * setting.cultivar().setFactor();
        double buds = 0;
        double fruits = 0;
        List<FruitingSite> sites = light.sites();
        for (int s = 0; s < sites.size(); s++) {
            buds += sites.get(s).flowerBuds();
            fruits += sites.get(s).flowerBuds() * set * Math.min(1, light.light()[s] / full);
        }
        double leaf = 0;
        for (Axis axis : tree.axes()) {
            leaf += axis.leafArea();
        }
        double leafFruits = leaf / setting.species().crop().leafPerFruit();
        return new CropReading(buds, fruits, target, leafFruits);
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
     * Fruits the tree can finish: by trunk section, and where the species is judged by its shoots no more than its
     * good one-year shoots can carry.
     */
    public static double target(Tree tree) {
        Species.CropRule rule = tree.setting().species().crop();
        double byTrunk = rule.fruitsPerCm2() * Units.toCm2(tree.setting().trunkSection());
        if (!rule.basis().equals("shoots")) {
            return byTrunk;
        }
        Species.Ideal ideal = tree.setting().species().smallWood().ideal();
        long good = tree.axes().stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT && isGood(axis, ideal))
                .count();
        return Math.min(byTrunk, good * rule.fruitsPerShoot());
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
