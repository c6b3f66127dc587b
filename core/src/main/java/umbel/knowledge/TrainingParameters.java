package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Devices that bend limbs, and what holds them; lengths and forces in the names. */
public record TrainingParameters(
        @JsonProperty("bendStep_deg") double bendStepDeg,
        Bending bending,
        Clip clip,
        Spreader spreader,
        Weight weight,
        Tie tie,
        @JsonProperty("wireReach_cm") double wireReachCm,
        @JsonProperty("anchorHolds_N") double anchorHolds,
        double windFactor,
        int weeksToSet,
        @JsonProperty("lengthStep_cm") double lengthStepCm) {

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

    /** Length of the limb's base over which a bend is taken up; a limb thicker than this of its parent tears its crotch. */
    public record Bending(@JsonProperty("overLength_cm") double overLengthCm, double crotchRatioMost) {}
}
