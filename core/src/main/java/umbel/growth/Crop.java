package umbel.growth;

import java.util.HashMap;
import java.util.Map;
import umbel.crop.CropReading;
import umbel.knowledge.CropParameters;
import umbel.knowledge.GrowthParameters;
import umbel.light.FruitingSite;
import umbel.light.LightField;
import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Tree;

/**
 * The crop of one season: fruits that set, as thinned, and what they draw.
 *
 * @param fruits that grow on after thinning
 * @param onLimb fruits by measured limb
 * @param aFlower fruits for a flower bud in full light
 */
record Crop(double fruits, Map<String, Double> onLimb, double aFlower) {

    /**
     * Sets the crop of a tree in spring.
     *
     * @param most fruits left by hand thinning; infinite when nothing is thinned
     * @param favour how well this spring sets against the usual
     */
    static Crop set(Tree tree, LightField field, double most, double favour) {
        Setting setting = tree.setting();
        double set = setting.species().crop().fruitsPerFlowerBud()
                * setting.cultivar().setFactor()
                * favour;
        double full = setting.parameters().crop().fullSetLight();
        Map<String, Double> onLimb = new HashMap<>();
        double all = 0;
        for (Axis axis : tree.axes()) {
            if (axis.flowerBuds() > 0) {
                double fruits = axis.flowerBuds()
                        * set
                        * Math.min(1, field.at(axis.course().at(axis.length())) / full);
                onLimb.merge(axis.limb(), fruits, Double::sum);
                all += fruits;
            }
        }
        double left = all <= 0 ? 0 : Math.min(1, most / all);
        onLimb.replaceAll((limb, fruits) -> fruits * left);
        return new Crop(all * left, onLimb, set * left);
    }

    /**
     * Fruits left by hand thinning: what a trunk of its thickness may carry, no more than its leaf in the light can finish, and no
     * more than lets it flower again.
     *
     * @param light of the season
     * @param brighter how much brighter that light is read than a full reading does
     */
    static double most(Tree tree, LightField light, double brighter) {
        Setting setting = tree.setting();
        double lit = Carbon.leafInLight(
                tree, light, brighter * setting.parameters().crop().leafLight());
        double finishes = lit / setting.species().crop().leafPerFruit();
        double load = setting.parameters().growth().fruit().thinnedTo()
                * setting.species().growth().load().half();
        double blooms = load * new LeafArea(tree).all() / dryFruit(setting);
        return Math.min(CropReading.byTrunk(setting), Math.min(finishes, blooms));
    }

    /** The crop's claim on the season: dry fruit against what last season's leaf made. */
    static double claim(double fruits, Setting setting, double made) {
        return made <= 0 ? 0 : fruits * dryFruit(setting) / made;
    }

    /** Dry mass of one finished fruit, kilograms. */
    static double dryFruit(Setting setting) {
        GrowthParameters parameters = setting.parameters().growth();
        return setting.cultivar().fruitMass() * parameters.fruit().dryShare();
    }

    /** The crop the leaf can finish: fruits drop when they would get too little. */
    Crop finished(Tree tree, double assimilated) {
        GrowthParameters parameters = tree.setting().parameters().growth();
        double asked = fruits * dryFruit(tree.setting());
        double given = parameters.fruit().shareMost() * Math.max(0, assimilated);
        double need = parameters.fruit().dropBelow() * asked;
        return need <= given || asked <= 0 ? this : times(given / need);
    }

    /**
     * Share of these fruits that hang in light enough to size and colour, 0…1.
     *
     * @param tree they set on
     * @param then light that they set in
     * @param now light of the season they grow in
     * @param brighter how much brighter that light is read than a full reading does
     */
    static double firstClassShare(Tree tree, LightField then, LightField now, double brighter) {
        CropParameters parameters = tree.setting().parameters().crop();
        double all = 0;
        double first = 0;
        for (FruitingSite site : FruitingSite.of(tree)) {
            if (site.flowerBuds() > 0) {
                double fruits = site.flowerBuds() * Math.min(1, then.at(site.place()) / parameters.fullSetLight());
                all += fruits;
                first += fruits * parameters.firstClassLight().at(now.at(site.place()) / brighter);
            }
        }
        return all <= 0 ? 0 : first / all;
    }

    /** Dry mass the fruits take, kilograms. */
    double drain(Setting setting, double assimilated) {
        return Math.min(
                fruits * dryFruit(setting),
                setting.parameters().growth().fruit().shareMost() * Math.max(0, assimilated));
    }

    private Crop times(double share) {
        Map<String, Double> fewer = new HashMap<>(onLimb);
        fewer.replaceAll((limb, count) -> count * share);
        return new Crop(fruits * share, fewer, aFlower * share);
    }
}
