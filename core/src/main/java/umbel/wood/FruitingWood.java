package umbel.wood;

import umbel.knowledge.CanopyParameters;
import umbel.knowledge.Species;

/**
 * What stands on the fruiting laterals of a kind, for a square metre of their leaf.
 *
 * @param spurs number of spurs
 * @param shoots one-year shoots in all, metres
 * @param sites fruiting sites
 * @param flowerBuds flower buds in full light
 * @param seasonShoot length of one of the season's shoots, metres
 */
public record FruitingWood(double spurs, double shoots, double sites, double flowerBuds, double seasonShoot) {

    /** The figures for a tree of a setting. */
    public static FruitingWood of(Setting setting) {
        Species species = setting.species();
        Species.Canopy canopy = species.canopy();
        CanopyParameters.Stock stock =
                setting.parameters().canopy().stocks().get(setting.cultivar().stock());
        double spurs = (1 - canopy.shootShare())
                / species.wood().leafPerSpur()
                * setting.cultivar().habit().spurs();
        double metres = canopy.shootShare() / species.wood().leafPerShootMetre();
        double length = canopy.seasonShoot() * stock.shoots();
        Species.Bearing bearing = species.bearing();
        boolean along = bearing.flowerPerShootMetre() > 0;
        double tips = metres
                / length
                * Math.min(
                        0.9,
                        bearing.flowerPerShootTip() * setting.cultivar().habit().tipFlower());
        double onShoots = along ? metres * bearing.flowerPerShootMetre() : tips;
        double shootSites = along ? metres / Tree.SITE_EVERY : tips;
        return new FruitingWood(
                spurs,
                metres,
                spurs + shootSites,
                spurs * bearing.perSpur(species.estimates().spurAge()) + onShoots,
                length);
    }

    /** Leaf a tree of a setting carries by its trunk's section, m². */
    public static double byTrunk(Setting setting) {
        Species.Canopy canopy = setting.species().canopy();
        CanopyParameters parameters = setting.parameters().canopy();
        double section = Units.toCm2(setting.trunkSection());
        return canopy.leafPerSection()
                * parameters.stocks().get(setting.cultivar().stock()).leaf()
                * parameters.youth().at(setting.leaf(), setting.isDwarfed())
                * section
                / (1 + section / canopy.halfAt());
    }

    /** Leaf that a thin limb of a full-grown tree of a setting feeds by its section, m² for a m². */
    public static double fullPerSection(Setting setting) {
        Species.Canopy canopy = setting.species().canopy();
        return canopy.leafPerSection()
                * setting.parameters()
                        .canopy()
                        .stocks()
                        .get(setting.cultivar().stock())
                        .leaf()
                * Units.toCm2(1);
    }

    /** Number of one-year shoots on so much leaf, m². */
    public double shootCount(double leaf) {
        return leaf * shoots / seasonShoot;
    }
}
