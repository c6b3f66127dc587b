package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Map;

/**
 * Numbers for bushes, canes and vines that do not depend on their kind; read from {@code knowledge/counting.yaml}, where each is
 * explained.
 */
public record CountingParameters(
        Forecast forecast, Bush bush, Row row, Vine vine, Work work, Sampling sampling, Confidence confidence) {

    /** How far a forecast spreads, and vigour by word. */
    public record Forecast(double spread, Map<String, Double> vigour) {}

    /** From so much to so much. */
    public record Bounds(double least, double most) {}

    /** A power law within bounds. */
    public record Power(double power, double least, double most) {

        /** The value at a ratio. */
        public double at(double ratio) {
            return Math.max(least, Math.min(most, Math.pow(ratio, power)));
        }
    }

    /** Bushes. */
    public record Bush(
            double goodLight,
            double baseHalf,
            Release release,
            ShadeDeath shadeDeath,
            Power size,
            @JsonProperty("weakNew_mm") double weakNewMm,
            double weakTwiggy,
            double thin,
            @JsonProperty("strongShoot_cm") double strongShootCm,
            int newWanted,
            Closed closed,
            Old old,
            double numbers,
            double overBearing,
            Points points,
            int keepAges,
            int sides,
            @JsonProperty("fiveLeaves_cm") double fiveLeavesCm,
            double firmer,
            double unknownAge) {}

    /** New canes by the share of leaf removed. */
    public record Release(double fixed, double perShare) {}

    /** Canes that die in a closed bush. */
    public record ShadeDeath(double below, double most) {}

    /** When a bush is closed. */
    public record Closed(double light, double centre) {}

    /** Share of old canes to think about, and to act on. */
    public record Old(double consider, double act) {}

    /** What speaks for taking a cane; {@code keep} against it, {@code least} to take it at all. */
    public record Points(
            double unsound,
            double down,
            double weak,
            double low,
            double rubbing,
            double twiggy,
            double centre,
            double leaning,
            double thin,
            double keep,
            double least,
            double close) {}

    /** Cane rows. */
    public record Row(
            double weakWorth,
            RowSize size,
            double shading,
            double usable,
            double widest,
            double sick,
            LeftAlone left,
            @JsonProperty("apart_cm") double apartCm,
            double crowded,
            double thinRow,
            double alike,
            @JsonProperty("tallBy_cm") double tallByCm,
            double compensation) {}

    /**
     * A row that nobody prunes.
     *
     * @param standing share of dead canes that still stand a year later
     * @param sickAYear how much the share of sick canes grows in a year
     * @param sickMost up to
     */
    public record LeftAlone(double standing, double sickAYear, double sickMost) {}

    /** Crop of a cane by its thickness. */
    public record RowSize(double power, double least, double most, double rankFrom, double rankWorth) {

        /** The crop at a ratio of thickness. */
        public double at(double ratio) {
            return new Power(power, least, most).at(ratio) * (ratio > rankFrom ? rankWorth : 1);
        }
    }

    /** Vines. */
    public record Vine(
            @JsonProperty("weight_kg") double weightKg,
            double estimatedExtra,
            double crowdedBuds,
            double basalShoots,
            double basalBearing,
            Power cluster,
            AfterLoad afterLoad,
            WeightNext weightNext,
            @JsonProperty("delay_d") double delayDays,
            BudKill budKill,
            Over over,
            double under,
            double roomShort,
            @JsonProperty("wood_g") WoodMass woodG,
            Arm arm,
            double gentler,
            double firmer,
            double replacement,
            Keep keep,
            @JsonProperty("fair_mm") Bounds fairMm,
            @JsonProperty("internode_cm") Bounds internodeCm) {}

    /** Fruitfulness after a heavy crop. */
    public record AfterLoad(double slope, double least) {}

    /** How the weight of the prunings changes by site and load. */
    public record WeightNext(double site, double load, double least, double most) {}

    /** Share of dead buds that is told, and from which all are left. */
    public record BudKill(double told, double all) {}

    /** Times the nodes wanted. */
    public record Over(double consider, double act) {}

    /** Mean mass of a cane that is weak, and rank. */
    public record WoodMass(double weak, double bull) {}

    /** A worn arm. */
    public record Arm(
            double blind,
            @JsonProperty("spurHeight_cm") double spurHeightCm,
            @JsonProperty("cleanBelow_cm") double cleanBelowCm) {}

    /** What speaks for keeping a cane. */
    public record Keep(
            double lit,
            double good,
            double fair,
            double near,
            double far,
            double internode,
            double nodes,
            double unsound) {}

    /** Minutes of work. */
    public record Work(
            double look,
            double thinCane,
            double thickCane,
            @JsonProperty("thick_mm") double thickMm,
            double deflowerBud,
            double rowCane,
            double tipCane,
            double lateral,
            double tieCane,
            double mowMetre,
            double vineCut,
            double vineTie,
            double renewArm) {}

    /**
     * How many counts make an answer sure enough.
     *
     * @param z quantile of the normal distribution for the sureness wanted
     * @param canesVariation usual standard deviation of canes a metre, as a share of their mean
     * @param most counts of a metre that anybody is asked for
     */
    public record Sampling(double z, double canesVariation, double most) {}

    /**
     * How sure a finding or a step is, 0…1, by what it rests on.
     *
     * @param certain it is dead, sick or has fruited, and everybody takes it
     * @param counted somebody counted or measured it
     * @param judged a measure against a line that growers draw differently
     * @param opinion a line that schools dispute
     * @param ageTold the age of a cane was told
     * @param ageByThickness its age was taken from its thickness
     * @param ageUnknown neither was told
     * @param estimatedWeight nodes by a weight of prunings that was estimated
     * @param oneCount the number of canes, counted at one place
     * @param number least and most that the number of canes can be sure of
     */
    public record Confidence(
            double certain,
            double counted,
            double judged,
            double opinion,
            double ageTold,
            double ageByThickness,
            double ageUnknown,
            double estimatedWeight,
            double oneCount,
            Bounds number) {}
}
