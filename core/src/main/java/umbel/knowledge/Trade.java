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
        Bending bending,
        Training training,
        Young young,
        Calendar calendar,
        FollowUp followUp,
        Learning learning,
        Growth growth) {

    /**
     * Mistakes of the first years, told before they cost a frame.
     *
     * @param untilLeaf told up to this leaf
     * @param rivalShare a second top is told from this share of the leader's thickness
     * @param rivalUprightDeg and where its line stands this near upright
     * @param originCm limbs leaving the trunk within so much of each other leave from one point
     * @param chokingShare two limbs opposite each other, each from this share of the leader, choke it
     * @param chokingOppositeDeg so far round from each other they stand opposite
     * @param gapDeg an empty part of the round from which the limbs stand on one side
     * @param steepDeg limbs this much steeper than the system wants were not brought down
     * @param unionCm a union nearer the soil than this may root
     */
    public record Young(
            int untilLeaf,
            double rivalShare,
            @JsonProperty("rivalUpright_deg") double rivalUprightDeg,
            @JsonProperty("origin_cm") double originCm,
            double chokingShare,
            @JsonProperty("chokingOpposite_deg") double chokingOppositeDeg,
            @JsonProperty("gap_deg") double gapDeg,
            @JsonProperty("steep_deg") double steepDeg,
            @JsonProperty("union_cm") double unionCm) {}

    /**
     * When cutting suits a day. Dates are {@code MM-dd} in the north and half a year later in the south; temperatures in °C.
     *
     * @param base degree days are counted over this daily mean
     * @param petalFallDd degree days from bloom to petal fall
     * @param softShootsDays days after petal fall in which shoots are soft
     * @param summerEnd day on which cutting in leaf stops
     * @param afterHarvestEnd day on which cutting after harvest stops
     * @param leafFall first day a tree can be dormant
     * @param dormantLatest day by which it is dormant, cold or not
     * @param firstCold minimum of the first real cold
     * @param forecastDays days ahead a forecast is believed for
     * @param wetMm rain of a wet day, mm
     * @param dryDays dry days wanted after cutting
     * @param drop fall in temperature into deep frost that stops cutting
     * @param wind no ladder in more, m/s
     * @param frost usual minimum under which an evergreen's frost is not past
     * @param youngLeaf young up to this leaf
     * @param tenderRank tender up to this bloom rank
     * @param spread how far the rest of a spring may lie from the usual
     */
    public record Calendar(
            @JsonProperty("base_C") double base,
            @JsonProperty("petalFall_dd") double petalFallDd,
            @JsonProperty("softShoots_d") int softShootsDays,
            String summerEnd,
            String afterHarvestEnd,
            String leafFall,
            String dormantLatest,
            @JsonProperty("firstCold_C") double firstCold,
            @JsonProperty("forecast_d") int forecastDays,
            @JsonProperty("wet_mm") double wetMm,
            int dryDays,
            @JsonProperty("coldMargin_C") ColdMargin coldMargin,
            ColdDays coldDays,
            @JsonProperty("drop_C") double drop,
            @JsonProperty("deepFrost_C") double deepFrost,
            @JsonProperty("heat_C") double heat,
            @JsonProperty("wind_mPerS") double wind,
            @JsonProperty("frost_C") double frost,
            int youngLeaf,
            int tenderRank,
            @JsonProperty("spread_C") double spread) {}

    /**
     * When to come back after a visit; days.
     *
     * @param tiesAfterWind ties are looked at after more wind than this, m/s
     * @param sproutsWorthAVisit expected sprouts from which a summer visit is set
     * @param regrowthCm length from which regrowth of short-spurred wood is cut again
     */
    public record FollowUp(
            double sproutsWorthAVisit,
            @JsonProperty("rubAfterPetalFall_d") int rubAfterPetalFallDays,
            @JsonProperty("rubFor_d") int rubForDays,
            @JsonProperty("checkTiesAfter_d") int checkTiesAfterDays,
            @JsonProperty("checkTiesFor_d") int checkTiesForDays,
            @JsonProperty("tiesAfterWind_mPerS") double tiesAfterWind,
            @JsonProperty("takeOffFor_d") int takeOffForDays,
            @JsonProperty("shortSpurAgain_d") int shortSpurAgainDays,
            @JsonProperty("regrowth_cm") double regrowthCm,
            @JsonProperty("thinAfterPetalFall_d") int thinAfterPetalFallDays,
            @JsonProperty("thinFor_d") int thinForDays,
            @JsonProperty("scoutBeforeHarvest_d") int scoutBeforeHarvestDays,
            @JsonProperty("scoutFor_d") int scoutForDays,
            @JsonProperty("nextStageAfterMidwinter_d") int nextStageAfterMidwinterDays,
            @JsonProperty("nextStageFor_d") int nextStageForDays) {}

    /**
     * How forecasts learn from what trees did.
     *
     * @param priorTrees how many trees' worth of evidence the usual counts for
     * @param most how far a factor may stray from 1, either way, as a ratio
     * @param fewShoots shoots taken as found and as foretold besides, so that a handful says little
     */
    public record Learning(double priorTrees, double most, double fewShoots) {}

    /** How far over its kind's limit the cold must stay from a fresh cut: in the first days, later, and more for young trees. */
    public record ColdMargin(double firstDays, double later, double young) {}

    /** How long a cut tree is least hardy and less hardy, days. */
    public record ColdDays(int first, int later) {}

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

    /** Length of the limb's base over which a bend is taken up; a limb thicker than this of its parent tears its crotch. */
    public record Bending(@JsonProperty("overLength_cm") double overLengthCm, double crotchRatioMost) {}

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
            @JsonProperty("top_cm") double topCm,
            @JsonProperty("low_cm") double lowCm,
            double lightLeast,
            double scaffoldLightLeast,
            @JsonProperty("shortSpur_cm") double shortSpurCm,
            @JsonProperty("scaffold_cm") double scaffoldCm,
            @JsonProperty("shortenMost_mm") double shortenMostMm,
            @JsonProperty("shortenAtNeed_mm") double shortenAtNeedMm,
            @JsonProperty("softMost_mm") double softMostMm,
            double reductionRatio,
            @JsonProperty("bud_mm") double budMm) {}

    /** Minutes by tool and circumstance. */
    public record Work(
            Map<String, Double> perCut,
            double perSawCm2,
            double threeStepExtra,
            double bend,
            double ladderFactor,
            double ladderMove,
            double sawShare) {}

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

    /** Devices that bend limbs, and what holds them; lengths and forces in the names. */
    public record Training(
            Clip clip,
            Spreader spreader,
            Weight weight,
            Tie tie,
            @JsonProperty("wireReach_cm") double wireReachCm,
            @JsonProperty("anchorHolds_N") double anchorHolds,
            double windFactor,
            int weeksToSet,
            @JsonProperty("lengthStep_cm") double lengthStepCm) {}

    /** Longest and thickest shoot a spring clip holds. */
    public record Clip(
            @JsonProperty("lengthMost_cm") double lengthMostCm,
            @JsonProperty("diameterMost_mm") double diameterMostMm) {}

    /** Where a spreader sits from the union on limb and trunk, its longest, the flattest angle and hardest push it serves for. */
    public record Spreader(
            @JsonProperty("alongLimb_cm") double alongLimbCm,
            @JsonProperty("alongTrunk_cm") double alongTrunkCm,
            @JsonProperty("longest_cm") double longestCm,
            @JsonProperty("angleMost_deg") double angleMostDeg,
            @JsonProperty("pullMost_N") double pullMost) {}

    /** Heaviest hanging weight, and the thickest limb it is used on. */
    public record Weight(
            @JsonProperty("massMost_kg") double massMost,
            @JsonProperty("diameterMost_mm") double diameterMostMm) {}

    /** How far out a tie sits, height of its peg, the highest point worth tying to the ground, and string for loops and knots. */
    public record Tie(
            double alongShare,
            @JsonProperty("pegHeight_cm") double pegHeightCm,
            @JsonProperty("heightMost_cm") double heightMostCm,
            @JsonProperty("knot_cm") double knotCm) {}

    /** Constants of the source and sink model that hold for all kinds; each is explained in {@code trade.yaml}. */
    public record Growth(
            double reserveSpent,
            double reserveAbove,
            double fruitSlows,
            double sharing,
            double lightOnSink,
            double hangingSink,
            double shortSink,
            double wornSpur,
            @JsonProperty("assimilation_kgPerM2") double assimilation,
            double idleLeaf,
            double lightHalf,
            double respiration,
            double woodUpkeep,
            double fruitShareMost,
            double fruitDryShare,
            double thinnedTo,
            double fruitDropBelow,
            double storedLeast,
            double stored,
            @JsonProperty("storeMost_kgPerM2") double storeMost,
            double unspentBack,
            double rootShare,
            @JsonProperty("dryWood_kgPerM3") double dryWood,
            Half flowerLight,
            double tipPipes,
            WaterHeight waterHeight,
            double levelFlowers,
            double flowerVigour,
            double ownFruit,
            double treeLoad,
            Shade shadeDeath,
            double ageDeath,
            double bareDeath,
            @JsonProperty("shootDiameter_mm") ShootFoot shootDiameter,
            @JsonProperty("cell_cm") double cellCm,
            Map<String, Double> stocks,
            Laid thickening,
            double noise,
            Inferred inferred,
            UsualPruning usualPruning,
            LeafGained leafGained,
            Spread spread,
            Map<String, Moment> moments,
            double flush,
            TipVigour tipVigour) {}

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

    /** How far vigour is believed as it shows (a power), and between what vigour, flowering and the share of weak buds that become spurs are held. */
    public record Inferred(double vigourTrust, List<Double> vigour, List<Double> flowering, List<Double> spurring) {}

    /** Leaf of a tree that fills its space against last year's: what its reach gained, to a power, and its bound. */
    public record LeafGained(double byReach, double most) {}

    /** Share of the kind's most wood taken in a usual winter, by whether the tree fills its space yet. */
    public record UsualPruning(double bearing, double filling) {}

    /** Light at which half the flower buds form, and how steeply. */
    public record Half(double half, double width) {}

    /** How suddenly growth weakens towards the full height of the kind. */
    public record WaterHeight(double power) {}

    /** Light under which spurs begin to die, and the power it goes with. */
    public record Shade(double under, double power) {}

    /** Base diameter of a one-year shoot: at no length, and more for each metre, millimetres. */
    public record ShootFoot(double foot, double perMetre) {}

    /** How seasons differ, one sigma, as shares. */
    public record Spread(double vigour, double set) {}
}
