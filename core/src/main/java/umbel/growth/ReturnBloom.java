package umbel.growth;

import umbel.wood.Setting;

/** How fully a tree is expected to flower next spring for the crop it carries this year; see docs/model/growth.md. */
public final class ReturnBloom {

    private ReturnBloom() {}

    /**
     * Flower buds that form under a crop, as a share of those that would form without one, 0…1.
     *
     * @param fruits carried to harvest
     * @param leaf of the tree, m², over zero
     */
    public static double share(double fruits, double leaf, Setting setting) {
        double load = fruits * Crop.dryFruit(setting) / leaf;
        return FlowerBudFormation.byLoad(load, setting.species().growth());
    }
}
