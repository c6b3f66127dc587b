package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/** Numbers of the trade that depend on neither species, system nor school; from {@code knowledge/trade.yaml}. */
public record Trade(
        Tools tools,
        Stub stub,
        Work work,
        @JsonProperty("reach_m") double reach,
        @JsonProperty("bendStep_deg") double bendStepDeg,
        SurveyErrors surveyErrors,
        Map<String, Habit> habits,
        Map<String, Double> sets,
        Map<String, Double> vigours,
        Map<String, Stock> stocks,
        Estimates estimates,
        LightSettings light,
        CropLoad cropLoad,
        CertaintySettings certainty,
        Crop crop,
        Bending bending) {

    /** A rootstock class: size of the full-grown tree and a year's extension, each against its seedling's. */
    public record Stock(double size, double extension) {}

    /** Strength left at a poor union, how wood strength varies (one sigma), how far a limb droops before it gives way. */
    public record CropLoad(
            UnionWeakness unionWeakness,
            @JsonProperty("tightUnder_deg") double tightUnderDeg,
            double thickOver,
            double stiffnessSpread,
            double strengthSpread,
            @JsonProperty("bendMost_deg") double bendMostDeg) {}

    /** Share of sound strength left at a tight, over-thick, splitting or decayed union. */
    public record UnionWeakness(double tight, double thick, double splitting, double decayed) {}

    /** How often a tree is read again with measuring errors drawn, and from which seed. */
    public record CertaintySettings(int draws, long seed) {}

    /** Light below which set falls off in proportion, share of open sky. */
    public record Crop(double fullSetLight) {}

    /** Length of the limb's base over which a bend is taken up. */
    public record Bending(@JsonProperty("overLength_cm") double overLengthCm) {}

    /** Largest cut by tool, and from where a cut is made in three steps or left to qualified people. */
    public record Tools(
            @JsonProperty("handPruner_mm") double handPrunerMm,
            @JsonProperty("lopper_mm") double lopperMm,
            Weighty threeStep,
            Weighty qualified) {}

    /** A diameter or a mass, whichever is passed first. */
    public record Weighty(
            @JsonProperty("diameter_mm") double diameterMm,
            @JsonProperty("mass_kg") double massKg) {

        /** Whether a cut of this diameter (m) letting this mass (kg) fall is past either. */
        public boolean passedBy(double diameter, double mass) {
            return diameter * 1000 >= diameterMm || mass >= massKg;
        }
    }

    /** Where reduction and heading cuts may be made. */
    public record Stub(
            double reductionRatio, @JsonProperty("bud_mm") double budMm) {}

    /** Minutes by tool and circumstance. */
    public record Work(
            Map<String, Double> perCut,
            double perSawCm2,
            double threeStepExtra,
            double bend,
            double ladderFactor,
            double ladderMove) {}

    /** One-sigma errors of a quick survey. */
    public record SurveyErrors(
            @JsonProperty("angle_deg") double angleDeg,
            @JsonProperty("bearing_deg") double bearingDeg,
            @JsonProperty("diameter_share") double diameterShare,
            @JsonProperty("length_share") double lengthShare,
            @JsonProperty("height_cm") double heightCm,
            @JsonProperty("light_share") double lightShare,
            @JsonProperty("count_share") double countShare) {}

    /** How a cultivar's habit changes estimated small wood: factors, and degrees added to the tip's angle. */
    public record Habit(
            double spurs,
            double shoots,
            double tipFlower,
            @JsonProperty("angle_deg") double angleDeg) {}

    /** Estimates used where a survey is silent. */
    public record Estimates(
            @JsonProperty("leaf_perTrunkCm") double leafPerTrunkCm,
            @JsonProperty("union_cm") double unionCm,
            @JsonProperty("trunkDiameterAt_cm") double trunkDiameterAtCm,
            @JsonProperty("tipDiameter_mm") double tipDiameterMm,
            @JsonProperty("lateralEvery_cm") double lateralEveryCm,
            @JsonProperty("lateralLength_cm") List<Double> lateralLengthCm,
            double trunkTaper,
            @JsonProperty("latitude_deg") double latitudeDeg) {}

    /** Grid, directions and season of the light model. */
    public record LightSettings(
            @JsonProperty("cell_cm") double cellCm,
            Directions directions,
            @JsonProperty("largeBox_cells") int largeBoxCells,
            double extinction,
            double clearShare,
            Season season,
            @JsonProperty("leafSpread_cm") double leafSpreadCm) {

        /** The same settings over other days of the year. */
        public LightSettings over(int fromDay, int toDay) {
            return new LightSettings(
                    cellCm,
                    directions,
                    largeBoxCells,
                    extinction,
                    clearShare,
                    new Season(fromDay, toDay, season.stepDays(), season.stepHourAngleDeg()),
                    leafSpreadCm);
        }
    }

    /** Sky directions by size of box, and for the plan's search. */
    public record Directions(
            int small,
            int large,
            int search,
            @JsonProperty("searchCell_cm") double searchCellCm) {}

    /** Days of the year (northern) over which light counts, and the steps of the sun's path. */
    public record Season(
            int fromDay,
            int toDay,
            int stepDays,
            @JsonProperty("stepHourAngle_deg") double stepHourAngleDeg) {}
}
