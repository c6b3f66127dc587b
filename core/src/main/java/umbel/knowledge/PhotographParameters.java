package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * How a tree is measured in photographs. Read from {@code knowledge/photographs.yaml}; see docs/model/photographs.md.
 *
 * @param againCm residual from which a limb is to be touched again, cm
 * @param staffCm length of the staff where nobody says otherwise
 * @param uprights strong uprights of a limb as they are asked for; the last stands for more
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
        double bendLeast,
        @JsonProperty("staff_cm") double staffCm,
        Gauge gauge,
        List<Integer> uprights) {

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

    /**
     * Between which directions two pictures should differ.
     *
     * @param refusedDeg directions so near to each other, or to opposite, tell no depth
     */
    public record Between(
            @JsonProperty("least_deg") double leastDeg,
            @JsonProperty("most_deg") double mostDeg,
            @JsonProperty("refused_deg") double refusedDeg) {}

    /**
     * Thickness by classes at the tree.
     *
     * @param edgesMm where classes begin and end, rising
     * @param usualMm taken for a limb whose class nobody entered
     */
    public record Gauge(
            @JsonProperty("edges_mm") List<Double> edgesMm,
            @JsonProperty("usual_mm") double usualMm) {}

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
