package umbel.growth;

import java.util.List;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.light.FruitingSite;
import umbel.light.LightField;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Setting;
import umbel.wood.Tree;

/**
 * A tree as found, with what cannot be seen inferred from what can: its reserve from the growth it made last year, how
 * many of its weak buds become spurs from the leaf it carries (see {@link Spring}), its vigour from that reserve against what its leaf makes, its readiness to flower from the flower buds it bears.
 */
public final class InitialState {

    private static final int DIRECTIONS = 16;

    private InitialState() {}

    /** The stand of a tree as surveyed. */
    public static TreeState of(Tree tree, long seed) {
        return of(tree, LightModel.read(tree), seed);
    }

    /** The same where the full reading of its light is known. */
    public static TreeState of(Tree tree, LightReading reading, long seed) {
        Setting setting = tree.setting();
        GrowthParameters parameters = setting.parameters().growth();
        LightField field = LightField.of(tree, parameters.cellCm() / 100, DIRECTIONS);
        double could = Carbon.assimilated(tree, field);
        double brighter = brighter(field, reading);
        Crop carried =
                Crop.set(tree, field, Crop.most(tree, field, brighter), 1).finished(tree, could);
        double carriedCrop = carried.fruits();
        double made = Carbon.drawnOn(could, carriedCrop * Crop.dryFruit(setting), parameters);
        Spring spring = Spring.asLastYear(tree, field, seed, Crop.claim(carriedCrop, setting, made));
        double reserve = spring.reserve();
        double net = made
                - carriedCrop * Crop.dryFruit(setting)
                - parameters.assimilation().woodUpkeep() * Carbon.wood(tree);
        double spare = net / Math.max(1e-9, made);
        double thickening = thickening(tree, new RadialGrowth(tree, spare, 1).gained(), parameters);
        double thick = new RadialGrowth(tree, spare, thickening).mass();
        double gain = parameters.reserve().stored()
                * parameters.wood().stocks().get(setting.cultivar().stock())
                * Math.max(parameters.reserve().storedLeast() * Math.max(0, net), net - thick);
        double steady = gain <= 0
                ? parameters.start().inferred().vigour().get(1)
                : parameters.reserve().spent() * reserve / gain;
        double vigour = held(
                Math.pow(steady, parameters.start().inferred().vigourTrust()),
                parameters.start().inferred().vigour());
        return new TreeState(
                tree,
                0,
                field,
                reserve,
                made,
                new GrowthTraits(
                        vigour,
                        1,
                        flowering(tree, field, carried, brighter),
                        1,
                        spring.spurring(),
                        spring.clothing(),
                        thickening,
                        spring.ends()),
                seed,
                brighter);
    }

    /** How readily the tree lays on wood: as its trunk has become so thick in so many years. */
    private static double thickening(Tree tree, double usual, GrowthParameters parameters) {
        Setting setting = tree.setting();
        GrowthParameters.Inferred inferred = parameters.start().inferred();
        double aYear = inferred.sectionByAge() * setting.trunkSection() / Math.max(1, setting.leaf());
        return usual <= 0 ? 1 : held(aYear / usual, inferred.thickening());
    }

    private static double brighter(LightField field, LightReading reading) {
        double coarse = 0;
        double full = 0;
        for (int s = 0; s < reading.light().length; s++) {
            FruitingSite site = reading.sites().get(s);
            coarse += site.weight() * field.at(site.place());
            full += site.weight() * reading.light()[s];
        }
        return coarse <= 0 || full <= 0 ? 1 : coarse / full;
    }

    /** Flower buds the tree bears against what light, a full crop and its wood's vigour would give. */
    private static double flowering(Tree tree, LightField field, Crop crop, double brighter) {
        Setting setting = tree.setting();
        GrowthParameters parameters = setting.parameters().growth();
        Species.Growth species = setting.species().growth();
        double leaf = Carbon.leafInLight(
                tree, field, brighter * setting.parameters().crop().leafLight());
        double load = leaf <= 0 ? 0 : crop.fruits() * Crop.dryFruit(setting) / leaf;
        double found = 0;
        double modelled = 0;
        for (Axis axis : tree.axes()) {
            if (axis.isUnmeasured()) {
                found += axis.flowerBuds();
                modelled += axis.flowerBuds()
                        * FlowerBudFormation.byLight(field.at(axis.course().at(axis.length())), parameters)
                        * FlowerBudFormation.byLoad(load, species)
                        * FlowerBudFormation.byLean(axis, parameters)
                        * FlowerBudFormation.afterFruit(axis.flowerBuds() / axis.siteWeight(), crop, parameters);
            }
            if (axis.kind() == AxisKind.SPUR) {
                found += axis.flowerBuds();
                modelled += setting.species().bearing().perSpur(axis.age())
                        * FlowerBudFormation.byLight(field.at(axis.course().at(axis.length())), parameters)
                        * FlowerBudFormation.byLoad(load, species)
                        * FlowerBudFormation.byVigour(tree.axis(axis.parent()), parameters)
                        * FlowerBudFormation.byLean(tree.axis(axis.parent()), parameters)
                        * FlowerBudFormation.afterFruit(
                                setting.species().bearing().perSpur(axis.age()), crop, parameters);
            }
        }
        return modelled < 1
                ? 1
                : held(found / modelled, parameters.start().inferred().flowering());
    }

    private static double held(double value, List<Double> bounds) {
        return Math.max(bounds.get(0), Math.min(bounds.get(1), value));
    }
}
