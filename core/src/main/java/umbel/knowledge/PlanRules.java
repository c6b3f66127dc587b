package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/** What a plan weighs and how finely it searches; from {@code knowledge/plan.yaml}, where each line is explained. */
public record PlanRules(
        Map<String, Double> structure,
        Proven proven,
        Worth worth,
        Ramp lightRamp,
        double leastGain,
        double heavyShare,
        double closeCall,
        double sureGain,
        double sureOfSystem,
        Ahead ahead,
        Renovation renovation,
        int mostWatched,
        double mostShare,
        Variant gentler,
        Variant firmer,
        List<Purpose> purposes,
        Map<String, Double> goals,
        int years,
        Lowering lowering,
        Map<String, String> skipped,
        Map<String, String> skippedOfSystem) {

    /**
     * What comes of leaving a step, in a sentence; null where nothing is known to.
     *
     * @param rules the findings it answers, the first one first; none for what the system does
     * @param operation what it is
     */
    public String leaving(List<String> rules, String operation) {
        return rules.isEmpty() ? skippedOfSystem.get(operation) : skipped.get(rules.get(0));
    }

    /** A common purpose of pruning, as goal weights. */
    public record Purpose(String id, String name, Map<String, Double> goals) {}

    /**
     * Faults of unions that weigh less the longer the union has held.
     *
     * @param rules which findings
     * @param young years of a limb up to which they weigh in full
     * @param old years from which they weigh least
     * @param least share of the weight then
     * @param fork share of the weight where the limb leaves another limb and not the trunk
     */
    public record Proven(
            List<String> rules,
            @JsonProperty("young_y") double young,
            @JsonProperty("old_y") double old,
            double least,
            double fork) {}

    /** Coefficients of the terms of a tree's worth. */
    public record Worth(
            double light,
            double crop,
            double capacity,
            double frame,
            double spareCrop,
            double structure,
            double height,
            double withinReach,
            double renewal,
            double labourMinutes,
            double cutting,
            double wound) {}

    /**
     * How the coming seasons count in a close choice.
     *
     * @param now weight of the tree as the cuts leave it
     * @param one of the tree after one season
     * @param three of the tree after three
     * @param choices most close choices grown on for one plan
     * @param lead by how much one must come out ahead to turn a choice
     * @param sureness factor on the confidence of a step for each winter it lies ahead
     */
    public record Ahead(double now, double one, double three, int choices, double lead, double sureness) {}

    /**
     * When a plan over winters is a renovation.
     *
     * @param laterShare of the small wood that goes in later winters, from which it is one; a big cut makes it one too
     */
    public record Renovation(double laterShare) {}

    /** Light at which a site begins to count and counts fully. */
    public record Ramp(double none, double full) {

        /** Worth of a site in this light, 0…1. */
        public double at(double light) {
            return Math.max(0, Math.min(1, (light - none) / (full - none)));
        }
    }

    /** A plan that goes less far, or further: factors on the limits, on the least gain and on the weight of light. */
    public record Variant(double woodShare, double bigCuts, double leastGain, double light) {}

    /**
     * How tall trees come down.
     *
     * @param leader most height to take off a leader in one winter, metres
     * @param limb most height to take off a limb in one winter, metres
     * @param renewFrom times the height wanted from which old scaffolds are renewed from low stubs
     */
    public record Lowering(
            @JsonProperty("leader_m") double leader,
            @JsonProperty("limb_m") double limb,
            double renewFrom) {}
}
