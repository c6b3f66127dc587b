package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * What a planting costs and takes where nobody says otherwise. Read from {@code knowledge/planting.yaml}; see
 * docs/model/planting.md.
 *
 * @param fit when a tree fills its place, and when it outgrows it
 * @param standing what is assumed about a block that stands on the land
 * @param household what is assumed where trees are planted for a house
 * @param usual what is taken where a request is silent
 * @param year in which months the work of a full year falls
 * @param risks from when on something is told as a risk
 * @param grownAtLeaf leaves at which typical trees are grown; between them is taken in proportion
 */
public record PlantingParameters(
        Defaults defaults,
        Standing standing,
        Household household,
        Materials materials,
        Fit fit,
        List<Integer> grownAtLeaf,
        Draws draws,
        Sensitivity sensitivity,
        Usual usual,
        Year year,
        Pollination pollination,
        Risks risks) {

    /**
     * Costs and rates, in the money of the request.
     *
     * @param tree price of one by class of stock
     * @param supportPerHa by the system's class of cost
     * @param trainingMinutesShare of a full tree's pruning minutes, until a tree fills its place
     * @param fieldShare share of what a sound tree bears that a field brings
     * @param pickFruitKg mass of the fruit that {@code pickKgPerHour} is for
     * @param pickSizePower how picking slows with smaller fruit
     * @param stockSize height of a tree on a class of stock against its seedling
     */
    public record Defaults(
            Map<String, Double> tree,
            Map<String, Double> supportPerHa,
            double irrigationPerHa,
            double landPerHa,
            double plantingMinutesPerTree,
            double trainingMinutesShare,
            double otherPerHaYear,
            double secondClassPriceShare,
            double fieldShare,
            double pickKgPerHour,
            @JsonProperty("pickFruit_kg") double pickFruitKg,
            double pickSizePower,
            double ladderFactor,
            double platformFactor,
            double thinFruitsPerHour,
            Map<String, Double> vigour,
            Map<String, Double> stockSize) {}

    /**
     * Several kinds for a house.
     *
     * @param kgPerPersonMonth fruit eaten fresh
     * @param fenceHeight metres
     * @param gapUnder of what is wanted in a month, under which too little is ripe
     * @param glutOver times what is wanted, over which it is too much
     * @param bloomEarlyLateDays by which early and late cultivars bloom apart from the middling ones
     * @param partnerOverlapDays days of bloom together that partners need
     */
    public record Household(
            double kgPerPersonMonth,
            int people,
            @JsonProperty("fenceHeight_m") double fenceHeight,
            double gapUnder,
            double glutOver,
            @JsonProperty("bloomLasts_d") int bloomLastsDays,
            @JsonProperty("bloomEarlyLate_d") int bloomEarlyLateDays,
            @JsonProperty("partnerOverlap_d") int partnerOverlapDays,
            Net net) {}

    /** A net over trees: how far beyond them, metres; mesh against birds, and against insects over the kinds that need it, mm. */
    public record Net(
            @JsonProperty("over_m") double over,
            @JsonProperty("birds_mm") double birdsMm,
            @JsonProperty("insects_mm") double insectsMm,
            List<String> insectKinds) {}

    /**
     * Trees that stand, and what is done with them.
     *
     * @param crop of a sound tree's, that an old block bears; it declines by {@code declineAYear} of itself
     * @param firstClass of a sound tree's share of first class
     * @param renovationYears winters that old wood is taken out over
     * @param renovationCrop of what the block bore, in those years
     * @param renovationPruning minutes in those years, of a sound tree's
     * @param renovationRecovery years after them until it bears as a sound tree
     * @param graftsPerTree price of the grafts a tree
     * @param graftMinutesPerTree cutting it low, grafting, and tying what grows
     * @param replantCrop crop on ground that bore the same trees before, of a sound tree's
     */
    public record Standing(
            double crop,
            double declineAYear,
            double firstClass,
            double renovationYears,
            double renovationCrop,
            double renovationPruning,
            double renovationRecovery,
            double graftsPerTree,
            double graftMinutesPerTree,
            double clearingPerHa,
            double replantCrop) {}

    /**
     * What is bought beside what a system's structure takes.
     *
     * @param spareTrees share of the trees that is bought beyond them
     * @param wireOver share of the wire that is bought beyond the rows' length
     * @param anchorsARow where wires are strung
     */
    public record Materials(double spareTrees, double wireOver, double guardsATree, double anchorsARow) {}

    /**
     * How a tree's width follows from its height, and the widths against its place at which gaps stay and at which it outgrows it;
     * where limbs are renewed it may be {@code renewed} times as wide.
     */
    public record Fit(double spreadOfHeight, double gaps, double outgrows, double renewed) {}

    /** Simulated futures: how many, standard deviations as shares, and the share of them that come into crop a year late. */
    public record Draws(int count, double price, double yield, double yearly, double wage, double delayedShare) {}

    /** What is taken where a request is silent. */
    public record Usual(
            @JsonProperty("latitude_deg") double latitudeDeg,
            @JsonProperty("area_ha") double areaHa,
            @JsonProperty("headland_m") double headlandM,
            @JsonProperty("horizon_y") int horizonY,
            double interest,
            double wagePerHour,
            long seed) {}

    /**
     * Months of work at a northern place, 1 is January.
     *
     * @param bloomDay day of the year by a kind's degree days to bloom
     * @param harvestFrom where early cultivars are picked, of the days from bloom to the end of the usual ones' harvest
     * @param harvestLateDays days that late cultivars go on after the usual ones
     * @param harvestAt where most is picked, of the days from bloom to the end of harvest
     * @param harvestMonthBefore share that is picked in the month before that
     */
    public record Year(
            List<Integer> pruningMonths,
            List<Integer> trainingMonths,
            List<Integer> thinningMonths,
            BloomDay bloomDay,
            double harvestFrom,
            @JsonProperty("harvestLate_d") double harvestLateDays,
            double harvestAt,
            double harvestMonthBefore) {}

    /** A day of the year that comes later with every degree day. */
    public record BloomDay(double at, double perDegreeDay) {

        /** The day on which a kind blooms. */
        public double of(double degreeDays) {
            return at + perDegreeDay * degreeDays;
        }
    }

    /** How far away a partner of bloom may stand that bees are to reach, metres. */
    public record Pollination(@JsonProperty("beesFly_m") double beesFly) {}

    /** A first crop from this year on, and a payback after this share of a cultivar's life, are told as risks. */
    public record Risks(int lateFromYear, double lifeShare) {}

    /** How far one thing at a time is moved: a share, and percentage points of interest. */
    public record Sensitivity(double share, double interest) {}
}
