package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * Constants of the source and sink model that hold for all kinds; each is explained in {@code parameters.yaml}, its use in
 * docs/model/growth.md.
 *
 * @param cellCm edge of the cells of the light that growth looks into
 */
public record GrowthParameters(
        Reserve reserve,
        Sinks sinks,
        Assimilation assimilation,
        Fruit fruit,
        FlowerBuds flowerBuds,
        SpurDeath spurDeath,
        Laterals laterals,
        Wood wood,
        Start start,
        Spread spread,
        @JsonProperty("cell_cm") double cellCm) {

    /**
     * What a tree lays up.
     *
     * @param spent share of the reserve spent in spring
     * @param above share of the reserve above ground
     * @param storedLeast share of what crop and upkeep left, laid up before the wood thickens
     * @param stored share of what is left after crop and upkeep
     * @param most that a square metre of trunk section can hold, kg
     * @param unspentBack share of what spring did not spend that returns
     */
    public record Reserve(
            double spent,
            double above,
            double storedLeast,
            double stored,
            @JsonProperty("most_kgPerM2") double most,
            double unspentBack) {}

    /**
     * What makes a growing point strong.
     *
     * @param fruitSlows how far the crop's claim on the leaf takes from spring growth
     * @param pipes power of the pipes there are in sharing the flow; demand has the rest
     * @param light power of a point's light
     * @param hanging strength left to a point on a hanging stem
     * @param shortBud share of a spur's strength where a bud stays short
     * @param wornSpur how much more than a bud a spur needs to grow long
     * @param tipPipes pipes of a tip beside a bud's
     * @param heightPower how suddenly growth weakens towards the full height of the kind
     * @param noise one sigma of how buds that stand alike differ
     */
    public record Sinks(
            double fruitSlows,
            double pipes,
            double light,
            double hanging,
            double shortBud,
            double wornSpur,
            double tipPipes,
            double heightPower,
            double noise,
            TipVigour tipVigour) {}

    /**
     * What the leaf makes.
     *
     * @param perM2 dry mass a fully lit square metre of leaf makes in a season, kg
     * @param idleLeaf how much less a leaf makes when no fruit draws on it, share
     * @param lightHalf light at which a leaf does about half its best
     * @param respiration share of the best, by leaf
     * @param woodUpkeep kg for a kg of wood
     * @param flush share of what lost leaf would have made that goes into new shoots about the wounds
     * @param moments what a cut costs by when it is made; by phase
     */
    public record Assimilation(
            @JsonProperty("perM2_kg") double perM2,
            double idleLeaf,
            double lightHalf,
            double respiration,
            double woodUpkeep,
            double flush,
            Map<String, Moment> moments) {}

    /**
     * What the crop draws.
     *
     * @param shareMost most of what the leaf makes
     * @param dryShare dry mass of a fruit against its fresh mass
     * @param thinnedTo of the load at which half the flower buds form
     * @param dropBelow share of what fruits ask for, under which they drop
     */
    public record Fruit(double shareMost, double dryShare, double thinnedTo, double dropBelow) {}

    /**
     * How many buds become flower buds.
     *
     * @param level more on level than on upright wood, share
     * @param vigour new length against old on the wood that bears, at which half form
     * @param ownFruit share fewer on a spur that bears
     * @param treeLoad how far a spur feels the whole tree's load rather than its limb's
     */
    public record FlowerBuds(Half light, double level, double vigour, double ownFruit, double treeLoad) {}

    /** How spurs die: of shade, for each year over their life, and where no leaf opened. */
    public record SpurDeath(Shade shade, double age, double bare) {}

    /**
     * Wood that is laid on.
     *
     * @param rootShare wood below ground made with wood above
     * @param dry kg a cubic metre
     * @param stocks share of the year's surplus the stock lets become growth; by rootstock class
     */
    public record Wood(
            double rootShare,
            @JsonProperty("dry_kgPerM3") double dry,
            @JsonProperty("shootDiameter_mm") ShootFoot shootDiameter,
            Laid thickening,
            Map<String, Double> stocks) {}

    /** What is taken of a tree's past where the survey does not tell it. */
    public record Start(Inferred inferred, UsualPruning usualPruning, LeafGained leafGained) {}

    /**
     * What a cut costs by when in the year it is made.
     *
     * @param moved share of what the reserve spends in spring that is in the shoots by then, and goes with them
     * @param left share of the season's gain that is still to come, which lost leaf does not make
     */
    public record Moment(double moved, double left) {}

    /** Strength of an end by what it grew last season: against the usual, to a power, within bounds. */
    public record TipVigour(@JsonProperty("usual_m") double usual, double power, double least, double most) {

        /** Strength beside a usual end's 1. */
        public double of(double lastGrowth) {
            return Math.max(least, Math.min(most, Math.pow(lastGrowth / usual, power)));
        }
    }

    /** Wood laid on against the usual: times the spare share of the gain, and its bounds. */
    public record Laid(double plenty, double least, double most) {}

    /**
     * How far what a tree shows of itself is believed.
     *
     * @param vigourTrust power to which vigour counts as it shows
     * @param vigour bounds of its vigour
     * @param flowering bounds of its readiness to flower
     * @param spurring bounds of the share of weak buds that become spurs
     * @param sectionByAge power of its age that its trunk's section goes with
     * @param thickening bounds of the wood it lays on for its leaf
     * @param ends bounds of the strength of an end that was measured
     */
    public record Inferred(
            double vigourTrust,
            List<Double> vigour,
            List<Double> flowering,
            List<Double> spurring,
            double sectionByAge,
            List<Double> thickening,
            List<Double> ends) {}

    /** How the leaf of a fruiting lateral answers to what it gets in spring: to a power, and within bounds of what it had. */
    public record Laterals(double power, List<Double> bounds) {}

    /** Leaf of a tree that fills its space against last year's: what its reach gained, to a power, and its bound. */
    public record LeafGained(double byReach, double most) {}

    /** Share of the kind's most wood taken in a usual winter, by whether the tree fills its space yet. */
    public record UsualPruning(double bearing, double filling) {}

    /** Light at which half the flower buds form, and how steeply. */
    public record Half(double half, double width) {}

    /** Light under which spurs begin to die, and the power it goes with. */
    public record Shade(double under, double power) {}

    /** Base diameter of a one-year shoot: at no length, and more for each metre, millimetres. */
    public record ShootFoot(double foot, double perMetre) {}

    /** How seasons differ, one sigma, as shares. */
    public record Spread(double vigour, double set) {}
}
