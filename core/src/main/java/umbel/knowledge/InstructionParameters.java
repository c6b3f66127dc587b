package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * Numbers of a block's instruction. Read from {@code knowledge/instruction.yaml}; see docs/model/instruction.md.
 *
 * @param sentences gauges of each form of sentence, in the order they are carried out
 * @param topCm how far below its top a tree's top reaches
 * @param sameSideDeg limbs no further apart in bearing stand on the same side
 * @param notUnderCm limbs lower than this are not taken for their thickness
 * @param agrees share of a plan's gain from which a tree counts as done as its plan would
 * @param hardlyAny limbs decided otherwise on a tree that needs no visit, up to which that hardly matters
 * @param unlike share kept under which the trees are too unlike for one instruction
 */
public record InstructionParameters(
        Map<String, Gauges> sentences,
        @JsonProperty("top_cm") double topCm,
        @JsonProperty("sameSide_deg") double sameSideDeg,
        @JsonProperty("notUnder_cm") double notUnderCm,
        Search search,
        double agrees,
        int hardlyAny,
        double unlike,
        SecondLeader secondLeader,
        Begin begin,
        Sample sample,
        Check check) {

    /**
     * What a sentence can be said with.
     *
     * @param gauges its thresholds, rising; empty where it has none
     * @param usual the one to begin from
     * @param most how many limbs a tree it may take; 0 does not limit them
     */
    public record Gauges(List<Double> gauges, double usual, List<Integer> most) {}

    /**
     * How sentences are looked for.
     *
     * @param sentences most that are said besides those that always are
     * @param stepsMost gauges a threshold may lie away from the usual one
     * @param stepCost worth that each such step has to bring
     * @param minutesFactor minutes against the planned ones beyond which each costs {@code minuteCost}
     * @param overLimit cost of a tree that would lose more than a visit may take
     */
    public record Search(
            int sentences,
            int stepsMost,
            double stepCost,
            double minutesFactor,
            double minuteCost,
            double overLimit,
            int rounds) {}

    /**
     * How many trees are enough.
     *
     * @param steadyShare change of the share kept by two more trees under which the sample is enough
     * @param steadyGain share of the gain that what was found without them may fall short by
     * @param z of the normal law, for the ranges of cuts and minutes
     * @param variation standard deviation over mean where fewer than three trees tell
     */
    public record Sample(
            int least,
            int most,
            int usual,
            double steadyShare,
            double steadyGain,
            double z,
            Map<String, Double> variation) {}

    /**
     * When finished trees pass.
     *
     * @param trees looked at, of a person and half-day
     * @param accept most faults on them
     * @param slope faults a tree of the line that decides while they are counted
     * @param good faults below the line from which the work is good
     * @param again faults above it from which it is shown again
     * @param missedByAll share of all faults from which a sentence that everybody misses is itself at fault
     */
    public record Check(
            int trees, int accept, double slope, double good, double again, double missedByAll, Tolerance tolerance) {}

    /** How steep, and how thick against the trunk where it leaves it, a limb is a second leader. */
    public record SecondLeader(@JsonProperty("steep_deg") double steepDeg, double share) {}

    /**
     * Gauges to begin from where the system names none.
     *
     * @param thickShare of the trunk's thickness
     * @param steepMarginDeg steeper than the angles wanted
     * @param pastTheBox times half of a tree's place
     */
    public record Begin(
            double thickShare,
            @JsonProperty("steepMargin_deg") double steepMarginDeg,
            double pastTheBox) {}

    /** How far from a gauge a decision is still right. */
    public record Tolerance(
            @JsonProperty("diameter_mm") double diameterMm,
            @JsonProperty("angle_deg") double angleDeg,
            @JsonProperty("length_cm") double lengthCm) {}
}
