package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/** A school of pruning: the thresholds its findings are judged by and what it prefers. From {@code knowledge/schools}. */
public record School(String id, String name, String why, String base, Thresholds thresholds, Preferences preferences) {

    /** The school that judges where none is chosen. */
    public static final String USUAL = "classic";

    /** Where the findings begin; each is explained in the file. */
    public record Thresholds(
            double rivalDiameterRatio,
            @JsonProperty("rivalInclination_deg") double rivalInclinationDeg,
            double rivalHeightShare,
            double limbRatio,
            @JsonProperty("crotchAngle_deg") double crotchAngleDeg,
            @JsonProperty("heldCrotchAngle_deg") double heldCrotchAngleDeg,
            @JsonProperty("stackBearing_deg") double stackBearingDeg,
            double stackLight,
            @JsonProperty("crossingClearance_cm") double crossingClearanceCm,
            @JsonProperty("inwardAngle_deg") double inwardAngleDeg,
            @JsonProperty("sproutLength_cm") double sproutLengthCm,
            @JsonProperty("sproutInclination_deg") double sproutInclinationDeg,
            double lightForFruit,
            double lightForFlowers,
            double shadedShareMost,
            double crowdingFactor,
            double bareSectorFactor,
            @JsonProperty("bareSectorOfThree_deg") double bareSectorOfThreeDeg,
            double coneShare,
            @JsonProperty("boxAllowance_cm") double boxAllowanceCm,
            double boxGapShare,
            double lopSidedShare,
            double oldShareMost,
            double movedOutShare,
            @JsonProperty("movedOutAYear_cm") double movedOutAYearCm,
            double vigourShare,
            double overCropRatio,
            double underCropRatio,
            double scionRootedRatio,
            @JsonProperty("dropClearance_cm") double dropClearanceCm) {

        /** Light under which this school counts fruiting wood as shaded. */
        public LightLines lightLines() {
            return new LightLines(lightForFruit, lightForFlowers);
        }

        /** Share of its fruiting sites that a sound, full tree of a kind and form may have in shade, 0…1. */
        public double shadedMost(Species species, TrainingSystem system) {
            return Math.min(
                    1,
                    shadedShareMost
                            * Math.max(system.shadeFactor(), species.canopy().shadeFactor()));
        }

        /**
         * Fruits the flower buds of a kind may set against what the tree can finish. Where one-year wood is renewed every
         * winter, the usual pruning takes its share of the flowers with it, and more may be there before.
         */
        public double overCropMost(Species species) {
            double stays = species.smallWood().renewsOneYearWood()
                    ? 1 - species.hardness().woodShare()
                    : 1;
            return overCropRatio / stays;
        }
    }

    /**
     * How hard, which kind of cut first, and what is done after the last one.
     *
     * @param dressWounds whether large wounds are dressed where no disease asks for it
     * @param paintBared whether bark that the cuts bared is painted against the sun
     * @param cleanEveryTree whether tools are cleaned before every tree where no disease asks for it
     * @param chopPrunings whether sound prunings are chopped and left in the row
     * @param shortenLongShoots whether long one-year shoots that stay are shortened, on kinds that bear on them
     * @param headLeader whether the leader of a young tree is headed where its system does so
     * @param scaffoldLeanDeg how much flatter, or steeper, than its system says a scaffold is trained
     * @param renewalFactor how many limbs are renewed in a year against what the system says; 0 keeps and bends them
     * @param renovationWinters winters over which work is planned, this one included
     */
    public record Preferences(
            double woodShareFactor,
            double bigCutsFactor,
            boolean bendBeforeCut,
            boolean bench,
            boolean dressWounds,
            boolean paintBared,
            boolean cleanEveryTree,
            boolean chopPrunings,
            boolean shortenLongShoots,
            boolean headLeader,
            @JsonProperty("scaffoldLean_deg") double scaffoldLeanDeg,
            double renewalFactor,
            double renovationWinters) {

        /** Winters planned over, as a whole number. */
        public int winters() {
            return (int) Math.round(renovationWinters);
        }
    }
}
