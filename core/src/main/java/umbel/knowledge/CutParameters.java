package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * Which cuts can be made with what, and where.
 *
 * @param tools largest cut by tool
 * @param places where reduction and heading cuts may be made
 */
public record CutParameters(Tools tools, Places places) {

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

    /**
     * Where reduction and heading cuts may be made.
     *
     * @param spurReachCm an old side shoot on an arm longer than this is cut short again
     * @param longShootCm a one-year shoot longer than this is shortened by schools that do so
     * @param longShootToCm to this
     * @param outTurnedDeg a side shoot turned further than this from its arm, and leaning more than {@code outLeansDeg}, leaves the plane
     */
    public record Places(
            @JsonProperty("top_cm") double topCm,
            @JsonProperty("low_cm") double lowCm,
            double lightLeast,
            double scaffoldLightLeast,
            @JsonProperty("shortSpur_cm") double shortSpurCm,
            @JsonProperty("spurReach_cm") double spurReachCm,
            @JsonProperty("outTurned_deg") double outTurnedDeg,
            @JsonProperty("outLeans_deg") double outLeansDeg,
            @JsonProperty("scaffold_cm") double scaffoldCm,
            @JsonProperty("shortenMost_mm") double shortenMostMm,
            @JsonProperty("shortenAtNeed_mm") double shortenAtNeedMm,
            @JsonProperty("softMost_mm") double softMostMm,
            double reductionRatio,
            @JsonProperty("bud_mm") double budMm,
            @JsonProperty("longShoot_cm") double longShootCm,
            @JsonProperty("longShootTo_cm") double longShootToCm) {}
}
