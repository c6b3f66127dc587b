package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/** What a plan weighs and how finely it searches; from {@code knowledge/plan.yaml}, where each line is explained. */
public record PlanParameters(
        Map<String, RuleKnowledge> rules,
        Unions unions,
        Worth worth,
        Search search,
        Confidence confidence,
        Frame frame,
        ScaffoldChoice scaffoldChoice,
        GiveWay giveWay,
        Ahead ahead,
        Renovation renovation,
        Variants variants,
        Usual usual,
        List<Purpose> purposes,
        Lowering lowering,
        Map<String, String> leavingOfSystem) {

    /** The same with what is known of each rule of reading, by its id. */
    PlanParameters with(Map<String, RuleKnowledge> known) {
        return new PlanParameters(
                known,
                unions,
                worth,
                search,
                confidence,
                frame,
                scaffoldChoice,
                giveWay,
                ahead,
                renovation,
                variants,
                usual,
                purposes,
                lowering,
                leavingOfSystem);
    }

    /**
     * What comes of leaving a step, in a sentence; null where nothing is known to.
     *
     * @param answered ids of the rules it answers, the first one first; none for what the system does
     * @param operation what it is
     */
    public String leaving(List<String> answered, String operation) {
        return answered.isEmpty()
                ? leavingOfSystem.get(operation)
                : rules.get(answered.get(0)).leaving();
    }

    /**
     * How finely a plan searches.
     *
     * @param graveMayCost what a grave fault of the frame may cost and yet be answered first
     * @param leastGain a step that brings less is left
     * @param heavyShare a step that takes this much small wood is weighed a second time against its alternative
     * @param mostWatched limbs a plan asks to look at again
     */
    public record Search(double graveMayCost, double leastGain, double heavyShare, int mostWatched) {}

    /**
     * How sure a step is.
     *
     * @param closeCall a choice ahead of the next by less is called close
     * @param sureGain a lead of this much makes a step as sure as its finding
     * @param most no step is surer than this
     * @param closest share of its sureness kept by a step that leads by nothing
     * @param leastToAct a finding less sure is watched and measured, not acted on
     * @param grave from which a grave fault of the frame comes before everything that is weighed
     * @param sureOfSystem how sure what a system does every year is on one tree
     */
    public record Confidence(
            double closeCall,
            double sureGain,
            double most,
            double closest,
            double leastToAct,
            double grave,
            double sureOfSystem) {}

    /**
     * How far the usual limits give way to a grave fault.
     *
     * @param lasting factor on the share of wood where the frame is for life
     * @param renewed the same where limbs come and go, and while a tree is built
     * @param bigCuts more big cuts
     */
    public record GiveWay(double lasting, double renewed, int bigCuts) {}

    /**
     * What is decided about a frame before anything is weighed.
     *
     * @param mainShare from this share of the trunk's thickness a limb of a vase is one of its lasting limbs
     * @param forkRatio from this share of its parent's thickness a branch of a lasting limb carries its line on
     * @param forkDeg from and to which lean it does
     * @param forkTurnDeg turned less than this from its parent
     * @param leastLasting so many lasting limbs stay where another goes for a fault
     * @param lowStaysY from this age
     * @param lowStaysShare and above this share of the trunk's thickness a limb low on the stem stays
     * @param uprightDeg up to this lean a limb stands upright
     * @param strayMm inward, rank and hanging wood up to this thickness is off
     * @param strayShare or up to this share of the trunk's
     * @param flatStaysDeg a limb flatter than its system wants by no more than this is not raised
     */
    public record Frame(
            double mainShare,
            double forkRatio,
            @JsonProperty("fork_deg") List<Double> forkDeg,
            @JsonProperty("forkTurn_deg") double forkTurnDeg,
            int leastLasting,
            @JsonProperty("lowStays_y") int lowStaysY,
            double lowStaysShare,
            @JsonProperty("upright_deg") double uprightDeg,
            @JsonProperty("stray_mm") double strayMm,
            double strayShare,
            @JsonProperty("flatStays_deg") double flatStaysDeg) {}

    /**
     * How the main limbs of a young tree are chosen: every set of the wanted size is scored, and the best is kept.
     *
     * @param gapDeg what the largest gap round the trunk is over an even one counts once for each of these
     * @param unlike counts the range of thickness against its median
     * @param lean counts how far limbs lean from the system's middle angle on average
     * @param leanDeg degrees of it that count once
     * @param thick counts how thick they are against the thickest there
     * @param apart what origins all {@code apartCm} from each other count
     * @param apartCm see there
     * @param oneMore a single limb more than wanted may stay where all score no more than this less
     * @param among at most so many limbs, the thickest, are chosen among
     */
    public record ScaffoldChoice(
            @JsonProperty("gap_deg") double gapDeg,
            double unlike,
            double lean,
            @JsonProperty("lean_deg") double leanDeg,
            double thick,
            double apart,
            @JsonProperty("apart_cm") double apartCm,
            double oneMore,
            int among) {}

    /** Plans beside the recommended one, and the most of the small wood any of them takes in one winter. */
    public record Variants(double mostShare, Variant gentler, Variant firmer) {}

    /** What is taken where nobody says otherwise: weights of the goals. */
    public record Usual(Map<String, Double> goals) {}

    /** A common purpose of pruning, as goal weights. */
    public record Purpose(String id, String name, Map<String, Double> goals) {}

    /**
     * Faults of unions that weigh less the longer the union has held.
     *
     * @param young years of a limb up to which they weigh in full
     * @param old years from which they weigh least
     * @param least share of the weight then
     */
    public record Unions(
            @JsonProperty("young_y") double young,
            @JsonProperty("old_y") double old,
            double least) {}

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
            double wound,
            LightRamp lightRamp) {}

    /**
     * How the coming seasons count in a close choice.
     *
     * @param now weight of the tree as the cuts leave it
     * @param one of the tree after one season
     * @param three of the tree after three
     * @param choices most close choices grown on for one plan
     * @param lead by how much one must come out ahead to turn a choice
     * @param sameCrop crops that differ by less than this share are told as the same
     * @param sureness factor on the confidence of a step for each winter it lies ahead
     */
    public record Ahead(
            double now, double one, double three, int choices, double lead, double sureness, double sameCrop) {}

    /**
     * When a plan over winters is a renovation.
     *
     * @param laterShare of the small wood that goes in later winters, from which it is one; a big cut makes it one too
     */
    public record Renovation(double laterShare) {}

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
