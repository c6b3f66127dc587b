package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * How a tree is measured in photographs. Read from {@code knowledge/photographs.yaml}; see docs/model/photographs.md.
 *
 * @param againCm residual from which a limb is to be touched again, cm
 * @param bendLeast a bend of so many of its own errors is told; a smaller one is taken as straight
 */
public record PhotographParameters(
        Click click,
        Camera camera,
        Errors errors,
        Between between,
        Pairing pairing,
        OneView oneView,
        @JsonProperty("again_cm") double againCm,
        double bendLeast) {

    /** One-sigma error of a touch, as a share of the picture's height, and the most it is taken for. */
    public record Click(
            double shareOfHeight,
            @JsonProperty("largest_px") double largestPx) {}

    /**
     * What is taken where a picture does not tell.
     *
     * @param nearM nearer than this the tree does not fit, metres
     * @param farM further than this a touch is too coarse, metres
     */
    public record Camera(
            @JsonProperty("height_cm") double heightCm,
            @JsonProperty("focal35_mm") double focal35Mm,
            @JsonProperty("near_m") double nearM,
            @JsonProperty("far_m") double farM,
            @JsonProperty("bestFrom_m") double bestFromM,
            @JsonProperty("bestTo_m") double bestToM) {}

    /** One sigma of what is told about pictures and tree. */
    public record Errors(
            @JsonProperty("height_cm") double heightCm,
            double focalShare,
            @JsonProperty("between_deg") double betweenDeg,
            @JsonProperty("roll_deg") double rollDeg,
            @JsonProperty("lean_deg") double leanDeg,
            @JsonProperty("staffLean_deg") double staffLeanDeg,
            @JsonProperty("base_cm") double baseCm,
            @JsonProperty("direction_deg") double directionDeg) {}

    /** Between which directions two pictures should differ. */
    public record Between(
            @JsonProperty("least_deg") double leastDeg,
            @JsonProperty("most_deg") double mostDeg) {}

    /**
     * What speaks against two traces being the same limb.
     *
     * @param mostOfPoints most that bend and tip may count
     * @param farCm a base this far from what bears it counts {@code farCost}
     * @param alone cost of a limb that the other picture does not show
     * @param sure a pair whose next best costs so much more is taken without asking
     */
    public record Pairing(
            @JsonProperty("base_mm") double baseMm,
            @JsonProperty("point_px") double pointPx,
            double mostOfPoints,
            @JsonProperty("far_cm") double farCm,
            double farCost,
            double outOfReachCost,
            @JsonProperty("reach_m") double reachM,
            double alone,
            double sure) {}

    /** Least angle between a limb and the line of sight at which one picture is enough. */
    public record OneView(@JsonProperty("least_deg") double leastDeg) {}
}
