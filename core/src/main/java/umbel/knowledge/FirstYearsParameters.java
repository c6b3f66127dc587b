package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

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
public record FirstYearsParameters(
        int untilLeaf,
        double rivalShare,
        @JsonProperty("rivalUpright_deg") double rivalUprightDeg,
        @JsonProperty("origin_cm") double originCm,
        double chokingShare,
        @JsonProperty("chokingOpposite_deg") double chokingOppositeDeg,
        @JsonProperty("gap_deg") double gapDeg,
        @JsonProperty("steep_deg") double steepDeg,
        @JsonProperty("union_cm") double unionCm) {}
