package umbel.growth;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.light.LightField;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.FruitingWood;
import umbel.wood.Provenance;
import umbel.wood.Setting;
import umbel.wood.Tree;

/** The end of a season: flower buds formed by light, load and vigour of the wood that bears them; what got no light dies. */
final class FlowerBudFormation {

    private final TreeState before;
    private final Tree tree;
    private final Setting setting;
    private final Species kind;
    private final Species.Growth species;
    private final GrowthParameters parameters;
    private final Set<String> bareSpurs;
    private final LightField field;
    private final Crop crop;
    private final KeyedDraws draws;
    private final FruitingWood laterals;
    private final Map<String, Double> leafOnLimb = new HashMap<>();
    private double leaf;
    private int spursLost;

    FlowerBudFormation(
            TreeState before, Tree tree, Set<String> bareSpurs, LightField field, Crop crop, KeyedDraws draws) {
        this.before = before;
        this.tree = tree;
        this.setting = tree.setting();
        this.kind = setting.species();
        this.species = kind.growth();
        this.parameters = setting.parameters().growth();
        this.bareSpurs = bareSpurs;
        this.field = field;
        this.crop = crop;
        this.draws = draws;
        this.laterals = FruitingWood.of(setting);
        double least = before.brighter() * setting.parameters().crop().leafLight();
        for (Axis axis : tree.axes()) {
            double lit = Carbon.leafInLight(axis, field, least);
            leafOnLimb.merge(axis.limb(), lit, Double::sum);
            leaf += lit;
        }
    }

    int spursLost() {
        return spursLost;
    }

    /** The tree next winter. */
    Tree ripen(RadialGrowth thickening) {
        LeafArea leafage = new LeafArea(tree);
        List<Axis> axes = new ArrayList<>(tree.axes().size());
        int[] place = new int[tree.axes().size()];
        for (Axis axis : tree.axes()) {
            int a = axis.index();
            int parent = axis.parent() < 0 ? -1 : place[axis.parent()];
            boolean falls = axis.parent() >= 0 && parent < 0 || dies(axis, leafage);
            place[a] = falls ? -1 : axes.size();
            if (falls) {
                spursLost += axis.kind() == AxisKind.SPUR ? 1 : 0;
                continue;
            }
            axes.add(ripe(axis, axes.size(), parent, thickening.of(a), leafage.of(a) > 0));
        }
        double was = tree.trunk().baseDiameter();
        double now = axes.get(0).baseDiameter();
        double section = setting.trunkSection() * (now * now) / (was * was);
        return new Tree(setting.inLeaf(setting.leaf() + 1, section), axes);
    }

    /** Spurs die of dark, age and want of leaf; twigs that carry no leaf at all are shed. */
    private boolean dies(Axis axis, LeafArea leafage) {
        if (axis.kind() == AxisKind.SPUR) {
            double hazard = species.spurLoss().yearly()
                    + lostInShade(axis)
                    + parameters.spurDeath().age() * Math.max(0, axis.age() - species.spurLife())
                    + (bareSpurs.contains(axis.id()) ? parameters.spurDeath().bare() : 0);
            return axis.age() > 1 && draws.even(axis.id().hashCode(), 17) < hazard;
        }
        boolean twig = axis.kind() == AxisKind.LATERAL || axis.kind() == AxisKind.SHOOT || axis.isUnmeasured();
        return twig && leafage.of(axis.index()) <= 0;
    }

    /** Share of an axis's spurs that die in a year for want of light. */
    private double lostInShade(Axis axis) {
        double light = field.at(axis.course().at(axis.length()));
        GrowthParameters.Shade shade = parameters.spurDeath().shade();
        double dark = Math.max(0, shade.under() - light) / shade.under();
        return species.spurLoss().shade() * Math.pow(dark, shade.power());
    }

    private Axis ripe(Axis axis, int index, int parent, double[] diameters, boolean inLeaf) {
        Set<Condition> conditions = axis.conditions();
        if (axis.kind() == AxisKind.LIMB && !inLeaf && LeafArea.grows(axis)) {
            conditions = EnumSet.of(Condition.DEAD);
        }
        double survives = axis.isUnmeasured() ? 1 - lostInShade(axis) : 1;
        return new Axis(
                index,
                axis.id(),
                axis.limb(),
                axis.kind(),
                axis.role(),
                parent,
                axis.at(),
                axis.course(),
                diameters,
                axis.age(),
                axis.lastGrowth(),
                conditions,
                axis.disease(),
                axis.kind() == AxisKind.SPUR ? axis.provenance() : Provenance.FORECAST,
                axis.shootClass(),
                axis.attitude(),
                axis.leafArea() * survives,
                axis.siteWeight() * survives,
                axis.siteWeight() > 0 ? flowers(axis) * survives : 0);
    }

    /** Flower buds for next spring. */
    private double flowers(Axis axis) {
        Species.Bearing bearing = kind.bearing();
        double usual;
        if (axis.kind() == AxisKind.SPUR) {
            usual = bearing.perSpur(axis.age());
        } else if (axis.isUnmeasured()) {
            usual = axis.leafArea() * laterals.flowerBuds();
        } else if (bearing.flowerPerShootMetre() > 0) {
            double grown = axis.kind() == AxisKind.SHOOT ? axis.length() : axis.lastGrowth();
            boolean good = axis.kind() != AxisKind.SHOOT || axis.shootClass() == umbel.wood.ShootClass.PENCIL;
            usual = grown * bearing.flowerPerShootMetre() * (good ? 1 : 0.6);
        } else {
            usual = axis.siteWeight();
        }
        boolean spur = axis.kind() == AxisKind.SPUR;
        Axis bearer = spur ? tree.axis(axis.parent()) : axis;
        double perSite = usual / Math.max(1, axis.siteWeight());
        boolean resting = spur || axis.isUnmeasured();
        double own = resting ? afterFruit(perSite, crop, parameters) : 1;
        return usual
                * before.traits().flowering()
                * byLight(field.at(axis.course().at(axis.length())), parameters)
                * byLoad(load(axis.limb()), species)
                * (spur ? byVigour(bearer, parameters) : 1)
                * byLean(bearer, parameters)
                * own;
    }

    /** Fruit that the leaf in the light feeds, dry kilograms a square metre: of the whole tree and of a limb. */
    private double load(String limb) {
        double dry = Crop.dryFruit(setting);
        double whole = leaf <= 0 ? 0 : crop.fruits() * dry / leaf;
        double leafHere = leafOnLimb.getOrDefault(limb, 0.0);
        double here = leafHere <= 0 ? 0 : crop.onLimb().getOrDefault(limb, 0.0) * dry / leafHere;
        return parameters.flowerBuds().treeLoad() * whole
                + (1 - parameters.flowerBuds().treeLoad()) * here;
    }

    /** A site that bears forms fewer, by the flowers it had and the fruit they set. */
    static double afterFruit(double flowers, Crop crop, GrowthParameters parameters) {
        return 1
                - Math.min(1, flowers * crop.aFlower())
                        * parameters.flowerBuds().ownFruit();
    }

    static double byLight(double light, GrowthParameters parameters) {
        return 1
                / (1
                        + Math.exp(-(light - parameters.flowerBuds().light().half())
                                / parameters.flowerBuds().light().width()));
    }

    /** Fruit's inhibition of next year's bloom, by dry mass a square metre of leaf. */
    static double byLoad(double load, Species.Growth species) {
        return 1 / (1 + Math.pow(load / species.load().half(), species.load().sharpness()));
    }

    /** Level wood forms more flower buds than upright wood (gravimorphism, Wareing and Nasr, 1961). */
    static double byLean(Axis bearer, GrowthParameters parameters) {
        double up = bearer.course()
                .at(bearer.length())
                .minus(bearer.course().point(0))
                .unit()
                .z();
        return 1 + parameters.flowerBuds().level() * Math.sqrt(Math.max(0, 1 - up * up));
    }

    /** Strong growth of the wood a spur stands on keeps it from flowering. */
    static double byVigour(Axis bearer, GrowthParameters parameters) {
        double r = bearer.lastGrowth() / (Math.max(0, bearer.length() - bearer.lastGrowth()) + 0.15);
        double x = r / parameters.flowerBuds().vigour();
        return 1 / (1 + x * x);
    }
}
