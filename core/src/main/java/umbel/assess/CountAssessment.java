package umbel.assess;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * The answer to a {@link CountRequest}, of the same shape as a tree's {@link Assessment}: {@code limb} names a cane, an arm or a
 * class of canes, and texts have {@code statements} beside them.
 */
public record CountAssessment(
        CountedReading reading,
        List<CountedPlan> plans,
        Assessment.Timing timing,
        List<WorkDays> calendar,
        List<Assessment.Measure> measureNext) {

    /**
     * When a work of the year is usually done at the plant's place.
     *
     * @param work dormant, height, sideShoots, fruitedOut, thin or tip
     * @param from month and day, as {@code 02-15}
     * @param to month and day
     * @param text what it is and when, in words
     */
    public record WorkDays(String work, String from, String to, String text) {}

    /**
     * What is seen on the plant as found.
     *
     * @param form bush, row or vine
     * @param kind name of its kind
     * @param light of a bush; null for rows and vines
     * @param canes of a bush or a row; null for vines
     * @param nodes of a vine; null for anything else
     * @param estimated fields of the survey that were estimated
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record CountedReading(
            String form,
            String kind,
            BushLight light,
            CountedCrop crop,
            CaneCounts canes,
            NodeCounts nodes,
            List<Assessment.FindingAnswer> findings,
            List<String> estimated) {}

    /** Mean light of a bush's leaf and light at its base, shares of open sky. */
    public record BushLight(double mean, double base) {}

    /**
     * The crop of this season if nothing is done.
     *
     * @param flowerBuds counted; 0 where nobody did
     */
    public record CountedCrop(
            @JsonProperty("kg") double kg,
            @JsonProperty("marketable_kg") double marketableKg,
            int flowerBuds) {}

    /**
     * CaneCounts there are, and those that stay by the recommended plan.
     *
     * @param perMetre 0 for a bush
     * @param perMetreAfter 0 for a bush
     * @param widthCm of the row; 0 where it was not measured
     * @param wantedLeast canes wanted, on a bush or a metre of row
     */
    public record CaneCounts(
            List<CaneGroup> now,
            List<CaneGroup> after,
            double count,
            double perMetre,
            double perMetreAfter,
            @JsonProperty("width_cm") double widthCm,
            double wantedLeast,
            double wantedMost) {}

    /**
     * How many canes of an age or a class.
     *
     * @param name age in years, or fruited, new or current
     */
    public record CaneGroup(String name, double count) {}

    /**
     * NodeCounts of a vine.
     *
     * @param base nodes for the first 450 g of prunings; 0 where nodes go by the kilogram or by canopy
     * @param perWeight nodes for each 450 g more, or for each kilogram
     * @param weightIs estimated or weighed
     * @param wanted nodes to leave
     * @param most nodes there is room for
     * @param now nodes on last season's canes
     */
    public record NodeCounts(
            double base,
            double perWeight,
            @JsonProperty("weight_kg") double weightKg,
            String weightIs,
            int wanted,
            int most,
            int now) {}

    /** One plan. */
    public record CountedPlan(
            String name,
            List<CountedStep> steps,
            CountedTotals totals,
            List<CountedSeason> years,
            List<Assessment.LeftAnswer> leftAlone) {}

    /**
     * One season.
     *
     * @param year seasons from now, 1 the next
     * @param renewal new canes of that season, or of a vine the weight of its prunings in kg
     * @param delayDays days later than usual that it ripens
     */
    public record CountedSeason(
            int year,
            @JsonProperty("crop_kg") Assessment.RangeAnswer crop,
            @JsonProperty("marketable_kg") Assessment.RangeAnswer marketable,
            double renewal,
            @JsonProperty("delay_d") double delayDays) {}

    /**
     * What a plan comes to.
     *
     * @param woodShare share of leaf, canes or nodes that goes
     * @param cropThisYear crop of this season against the same plant left alone; null where that bears nothing
     * @param cropYear3 the same of the third season's marketable crop
     * @param cropYears marketable crop of three seasons, kg
     */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    public record CountedTotals(
            double woodShare,
            int cuts,
            double minutes,
            double canesAfter,
            int nodesAfter,
            Double cropThisYear,
            Double cropYear3,
            List<Assessment.RangeAnswer> cropYears) {}

    /**
     * One step.
     *
     * @param atCm height above the ground, or length, that stays
     * @param keepCount canes or flower buds that stay; null where it does not matter
     * @param perMetre canes that stay a metre; null where it does not matter
     * @param nodes nodes that stay; null where it does not matter
     * @param count canes or side branches it is done to
     */
    public record CountedStep(
            int order,
            int year,
            String stage,
            String limb,
            String operation,
            @JsonProperty("at_cm") double atCm,
            Integer keepCount,
            Double perMetre,
            Integer nodes,
            int count,
            @JsonProperty("cutDiameter_mm") double cutDiameterMm,
            String tool,
            boolean threeStep,
            @JsonProperty("mass_kg") double massKg,
            double woodShare,
            double minutes,
            List<String> rules,
            double confidence,
            boolean closeCall,
            CountedAlternative alternative,
            String title,
            String place,
            String numbers,
            String reason,
            String skipped,
            String text,
            List<String> cautions,
            Map<String, List<StatementAnswer>> statements) {}

    /** The next best answer; {@code keep} (leave it) when nothing else came near. */
    public record CountedAlternative(
            String operation,
            String limb,
            @JsonProperty("at_cm") double atCm,
            Integer keepCount,
            Double perMetre,
            Integer nodes,
            String title,
            Map<String, List<StatementAnswer>> statements) {}
}
