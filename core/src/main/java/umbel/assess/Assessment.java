package umbel.assess;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;
import umbel.crop.CropReading;
import umbel.light.LightSummary;
import umbel.wood.Units;

/**
 * The answer to an {@link AssessRequest}, in the units and names of the open format. Whatever has texts has {@code statements}
 * beside them: what each text says as codes with values, by the name of its field; a text may be several statements, one sentence
 * after another, and a list of texts has one for each.
 *
 * @param inOneWinter what a renovation over several winters would be in one; null where there is none
 */
public record Assessment(
        ReadingAnswer reading,
        List<PlanAnswer> plans,
        @JsonInclude(JsonInclude.Include.NON_NULL) PlanAnswer inOneWinter,
        Timing timing,
        List<Measure> measureNext) {

    /** Light, crop, findings and limbs under their crop of the tree as found, and which survey fields were estimated. */
    public record ReadingAnswer(
            LightAnswer light,
            CropAnswer crop,
            List<FindingAnswer> findings,
            List<HarvestAnswer> harvest,
            List<String> estimated,
            List<EarlyWarning> early) {}

    /**
     * A mistake of the first years, told while it is easily mended; none for older trees.
     *
     * @param mistake two-leaders, one-origin, too-low, one-sided, choked-leader, nothing-tied-down or deep-union
     */
    public record EarlyWarning(
            String mistake, List<String> limbs, String text, Map<String, List<StatementAnswer>> statements) {}

    /**
     * One measured limb under its crop at harvest.
     *
     * @param droopDeg how far its tip comes down
     * @param breakRisk chance that it breaks at the union under the crop it is meant to carry, wind left out
     */
    public record HarvestAnswer(
            String limb,
            double fruits,
            @JsonProperty("fruit_kg") double fruitKg,
            @JsonProperty("tipNow_cm") double tipNowCm,
            @JsonProperty("tipAtHarvest_cm") double tipAtHarvestCm,
            @JsonProperty("droop_deg") double droopDeg,
            double breakRisk) {}

    /**
     * Light over the season.
     *
     * @param underFruitLight share of fruiting sites with less light than fruit needs by the school
     * @param underBudLight share with less light than flower buds need by it
     * @param fruitLight light that fruit needs, share of open sky
     * @param budLight light that flower buds need
     * @param under30 share under 0.30, whatever the school; an older name that stays
     * @param under50 share under 0.50, whatever the school; an older name that stays
     * @param leafOverGround leaf over the ground the tree has, m² a m²
     * @param interception share of the ground's light caught
     */
    public record LightAnswer(
            double underFruitLight,
            double underBudLight,
            double fruitLight,
            double budLight,
            double under30,
            double under50,
            double leafOverGround,
            double interception) {

        /** The light of a tree. */
        public static LightAnswer of(LightSummary light) {
            return new LightAnswer(
                    Units.round(light.underFruitLight(), 3),
                    Units.round(light.underBudLight(), 3),
                    light.lines().fruit(),
                    light.lines().buds(),
                    Units.round(light.under30(), 3),
                    Units.round(light.under50(), 3),
                    Units.round(light.leafIndex(), 2),
                    Units.round(light.interception(), 3));
        }
    }

    /**
     * The crop of a tree.
     *
     * @param expectedFruits fruits its flower buds would set
     * @param targetFruits fruits wanted
     * @param leafFruits fruits its leaf in the light can finish
     * @param thinningLeft fruits to thin by hand
     * @param firstClassFruits fruits at harvest, thinned to what the tree can carry, that size and colour
     */
    public record CropAnswer(
            double flowerBuds,
            double expectedFruits,
            double targetFruits,
            double leafFruits,
            double thinningLeft,
            double firstClassFruits,
            double kgPerTree,
            double tonnesPerHa) {

        /** The answer on a crop. */
        public static CropAnswer of(CropReading crop) {
            return new CropAnswer(
                    Math.round(crop.flowerBuds()),
                    Math.round(crop.expectedFruits()),
                    Math.round(crop.targetFruits()),
                    Math.round(crop.leafFruits()),
                    Math.round(crop.thinningLeft()),
                    Math.round(crop.firstClassFruits()),
                    Units.round(crop.kilograms(), 1),
                    Units.round(crop.tonnesPerHectare(), 1));
        }
    }

    /** One finding. */
    public record FindingAnswer(
            String rule,
            String stage,
            List<String> limbs,
            String measure,
            double value,
            double threshold,
            String unit,
            String severity,
            double confidence,
            String reason,
            JudgedBy by,
            Map<String, List<StatementAnswer>> statements) {}

    /**
     * Where a finding's threshold comes from.
     *
     * @param source school, system, species or survey
     * @param name of the school, system or species
     * @param line the line of its file
     * @param text in words, with what the usual school would hold where this one differs
     */
    public record JudgedBy(
            String source, String name, String line, String text, Map<String, List<StatementAnswer>> statements) {}

    /**
     * One plan.
     *
     * @param thirdYear its first-class fruit of the third season against the tree left alone, in words, and where it is less what
     *     the plan is for; null where there is nothing to tell
     * @param intentions what later winters intend with whole limbs
     */
    public record PlanAnswer(
            String name,
            List<StepAnswer> steps,
            TotalsAnswer totals,
            String thirdYear,
            List<YearAnswer> years,
            List<LeftAnswer> leftAlone,
            List<IntentionAnswer> intentions,
            List<StageAnswer> stages,
            Map<String, List<StatementAnswer>> statements) {}

    /**
     * What a later winter intends with a limb, judged again when that winter comes.
     *
     * @param year winters from now, from 1
     * @param fate out, bent, back (to a side branch or within its length), renewed (from a stub or a bevel) or shortened (at its
     *     end); the operation itself for anything else
     */
    public record IntentionAnswer(
            int year, String limb, String fate, String why, Map<String, List<StatementAnswer>> statements) {}

    /**
     * One winter of a plan that spreads its work, and what the season after it is expected to bring.
     *
     * @param year winters from now, 0 is this visit
     * @param purpose what this winter is for, for whoever comes next
     * @param steps told one by one
     * @param smallSteps what else a later winter does: ends and small wood, judged when they have grown
     * @param fruits finished in the season after it, null beyond the seasons forecast
     * @param sprouts of that season, null beyond
     * @param summer what the summer between asks for, null where it asks nothing
     */
    public record StageAnswer(
            int year,
            String purpose,
            int steps,
            int smallSteps,
            int bigCuts,
            double minutes,
            double woodShare,
            RangeAnswer fruits,
            RangeAnswer sprouts,
            String summer,
            Map<String, List<StatementAnswer>> statements) {}

    /** A figure, and between what it would lie in seasons harder and kinder than usual. */
    public record RangeAnswer(double low, double middle, double high) {}

    /**
     * One season after a plan, by the growth model.
     *
     * @param year seasons from now, 1 the next
     * @param fruits finished
     * @param firstClassFruits of them, those that size and colour
     * @param growth of all new wood, metres
     * @param extensionCm mean length of ends and shoots that grew long
     * @param sprouts shoots from dormant buds, and rank uprights
     */
    public record YearAnswer(
            int year,
            RangeAnswer fruits,
            RangeAnswer firstClassFruits,
            @JsonProperty("growth_m") RangeAnswer growth,
            @JsonProperty("extension_cm") RangeAnswer extensionCm,
            RangeAnswer sprouts,
            RangeAnswer underFruitLight,
            RangeAnswer interception,
            @JsonProperty("height_m") RangeAnswer height,
            RangeAnswer flowerBuds) {}

    /**
     * One step; {@code title}, {@code place}, {@code numbers} and {@code answer} are the parts of {@code text}; {@code skipped}
     * tells what comes of leaving it, null where there is nothing to tell.
     */
    public record StepAnswer(
            int order,
            int year,
            String stage,
            String limb,
            String operation,
            @JsonProperty("at_cm") double atCm,
            String toLimb,
            String bud,
            @JsonProperty("toAngle_deg") Double toAngleDeg,
            Integer keep,
            @JsonProperty("cutDiameter_mm") double cutDiameterMm,
            int cuts,
            String tool,
            boolean threeStep,
            boolean big,
            boolean ladder,
            @JsonProperty("mass_kg") double massKg,
            @JsonProperty("height_cm") double heightCm,
            double woodShare,
            double flowerShare,
            double sprouts,
            double minutes,
            List<String> rules,
            double confidence,
            boolean closeCall,
            boolean beyondArgument,
            double gain,
            Alternative alternative,
            TrainingAnswer training,
            String title,
            String place,
            String numbers,
            String answer,
            String reason,
            String skipped,
            String text,
            List<String> cautions,
            Map<String, List<StatementAnswer>> statements) {}

    /**
     * How a limb is bent; null for cuts.
     *
     * @param possible whether limb, crotch and anchors take it
     * @param device clip, spreader, tie-down, tie-to-trunk, wire-tie, weight or tie-up
     * @param lengthCm of spreader or string, knots not counted
     * @param anchors in the ground
     * @param steps visits to bring it down in
     * @param from where the other end sits: x east, y north, z up, metres
     * @param to where it sits on the bent limb
     * @param instead what to cut back to where it cannot be bent
     */
    public record TrainingAnswer(
            String limb,
            boolean possible,
            String why,
            String device,
            @JsonProperty("toAngle_deg") double toAngleDeg,
            @JsonProperty("alongLimb_cm") double alongLimbCm,
            @JsonProperty("length_cm") double lengthCm,
            @JsonProperty("pull_N") double pullN,
            @JsonProperty("mass_kg") double massKg,
            int anchors,
            int steps,
            int weeks,
            double[] from,
            double[] to,
            String instead,
            String text,
            Map<String, List<StatementAnswer>> statements) {}

    /** The next best answer; {@code keep} (leave it) when nothing else came near. */
    public record Alternative(
            String operation,
            String limb,
            @JsonProperty("at_cm") double atCm,
            String toLimb,
            @JsonProperty("toAngle_deg") Double toAngleDeg,
            Integer keep,
            String title,
            double gain,
            Map<String, List<StatementAnswer>> statements) {}

    /**
     * What this visit comes to. {@code cropYear3} and {@code firstClassYear3} are the crop of the third season and its
     * first-class fruit against the same tree left alone; null where years to come were not asked for, or the tree left alone would
     * bear none.
     */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    public record TotalsAnswer(
            double woodShare,
            int bigCuts,
            int cuts,
            double minutes,
            double ladderMinutes,
            LightAnswer lightAfter,
            double under30After,
            double under50After,
            double cropThisYear,
            Double cropYear3,
            Double firstClassYear3,
            double newSprouts,
            double flowerBuds,
            double expectedFruits,
            double targetFruits,
            CropAnswer cropAfter,
            @JsonProperty("mass_kg") double massKg) {}

    /** A finding the plan leaves, and why. */
    public record LeftAnswer(
            String rule,
            List<String> limbs,
            String reason,
            String why,
            Map<String, List<StatementAnswer>> statements) {}

    /** Whether this phase of the season suits cutting. */
    public record Timing(String verdict, List<String> reasons, Map<String, List<StatementAnswer>> statements) {}

    /** A measurement that would settle a doubt. */
    public record Measure(String limb, String what, String why, Map<String, List<StatementAnswer>> statements) {}
}
