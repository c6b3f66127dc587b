package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * Numbers of the reading rules that hold for every school; each is explained in {@code parameters.yaml}.
 *
 * @param clearOfForkCm how far from a fork its step in thickness no longer shows
 * @param oldScaffoldY age from which a scaffold of a tree that comes down far is renewed from a stub
 * @param reductions most side branches a limb is weighed to be cut back to
 */
public record ReadingParameters(
        Severe severity,
        @JsonProperty("clearOfFork_cm") double clearOfForkCm,
        @JsonProperty("oldScaffold_y") int oldScaffoldY,
        int reductions,
        Frame frame,
        SmallWood smallWood,
        Shape shape,
        Shade shade,
        OverCrop overCrop,
        Block block,
        Group group) {

    /**
     * Several trees in one hole, surveyed as one: the thickest is the trunk, the others leave it near the ground.
     *
     * @param below height under which a leader that leaves the trunk is a tree of its own, cm
     * @param least thickness against the trunk from which it is, where the system is of such trees
     * @param sunny how much nearer the sun than the mean of the others its wood stands, cm
     * @param latitude nearer the equator no side is the sunny one, degrees
     */
    public record Group(
            @JsonProperty("below_cm") double below,
            double least,
            @JsonProperty("sunny_cm") double sunny,
            @JsonProperty("latitude_deg") double latitude) {}

    /** How far past its line a finding is to be acted on, or considered; shares of the line. */
    public record Severe(double act, double consider) {}

    /**
     * Limbs of the frame.
     *
     * @param crotchFromMm thinner limbs have no crotch to speak of
     * @param crotchYoungLeaf up to this leaf a crotch is judged by the school's angle
     * @param crotchYoungMm and up to this thickness
     * @param mainShare from this share of the trunk a limb is a main one
     * @param apartDeg limbs so far round the trunk from one another are not crowded
     * @param thickFromMm thinner limbs are not too thick, whatever carries them
     * @param likeScaffold from this share of a limb's thickness another is as good a scaffold
     * @param thickFromShare nor those on the trunk under this share of its thickness at the foot
     * @param stackedGapCm limbs closer on the trunk leave from one place and are not above one another
     * @param crossingFromCm nearer its origin a limb does not cross another
     * @param inwardFromCm wood nearer the trunk cannot head inward
     * @param overRoomCm a limb is out of its room only by more than this
     * @param endOfTrunkCm a limb so near the end of a trunk that was cut back may carry it on
     * @param ratioWithoutLeader most thickness against the trunk of a limb whose leader was cut back
     */
    public record Frame(
            @JsonProperty("crotchFrom_mm") double crotchFromMm,
            int crotchYoungLeaf,
            @JsonProperty("crotchYoung_mm") double crotchYoungMm,
            double mainShare,
            @JsonProperty("apart_deg") double apartDeg,
            @JsonProperty("thickFrom_mm") double thickFromMm,
            double thickFromShare,
            double likeScaffold,
            @JsonProperty("stackedGap_cm") double stackedGapCm,
            @JsonProperty("crossingFrom_cm") double crossingFromCm,
            @JsonProperty("inwardFrom_cm") double inwardFromCm,
            @JsonProperty("overRoom_cm") double overRoomCm,
            @JsonProperty("endOfTrunk_cm") double endOfTrunkCm,
            double ratioWithoutLeader) {}

    /**
     * Shoots and spurs.
     *
     * @param sproutYears age up to which an upright is a sprout
     * @param inwardFromM shoots heading inward on one limb are told from so many metres
     * @param hangingFromM hanging ones likewise
     * @param crowdingFromCm shorter limbs are not crowded
     * @param strongLimbMm thicker limbs are also weighed to keep half of what crowds
     * @param blindFromM length of older wood from which it can be blind
     * @param blindMostMm thicker limbs are not cut into for it
     * @param blindFromY age from which a limb can be blind
     * @param blindCutAt where its older wood is cut, as a share of its length
     * @param oldSpursFrom fewer spurs say nothing of their age
     */
    public record SmallWood(
            int sproutYears,
            @JsonProperty("inwardFrom_m") double inwardFromM,
            @JsonProperty("hangingFrom_m") double hangingFromM,
            @JsonProperty("crowdingFrom_cm") double crowdingFromCm,
            @JsonProperty("strongLimb_mm") double strongLimbMm,
            @JsonProperty("blindFrom_m") double blindFromM,
            @JsonProperty("blindMost_mm") double blindMostMm,
            @JsonProperty("blindFrom_y") int blindFromY,
            double blindCutAt,
            int oldSpursFrom) {}

    /**
     * The outline.
     *
     * @param leastGapDeg a bare side is at least so wide
     * @param few with so few main limbs the line of three holds
     * @param tierM height of a tier
     * @param tierReachCm a tier that reaches less shades nothing
     * @param tierSpanCm a crown lower than this has no tiers
     * @param tierFromLeaf younger trees have none
     * @param movedOutFromLeaf younger trees bear where they can
     * @param movedOutError error of the place of fruiting wood, share of the way along a limb
     */
    public record Shape(
            @JsonProperty("leastGap_deg") double leastGapDeg,
            int few,
            @JsonProperty("tier_m") double tierM,
            @JsonProperty("tierReach_cm") double tierReachCm,
            @JsonProperty("tierSpan_cm") double tierSpanCm,
            int tierFromLeaf,
            int movedOutFromLeaf,
            double movedOutError) {}

    /** Most limbs named, most limbs weighed, and how many uprights on a limb are worth taking for light. */
    public record Shade(int limbsNamed, int limbsWeighed, int uprightsFrom) {}

    /** Pruning as the first thinning: most limbs, the fewest spurs a limb must have, and the share left. */
    public record OverCrop(int limbs, int spursFrom, double spursLeft) {}

    /**
     * A block's trees against each other.
     *
     * @param weakUnder trunk section against the median, under which a tree is told
     * @param strongOver the same over which one on dwarfing stock is told
     * @param treesFrom fewer trees have no median to speak of
     */
    public record Block(double weakUnder, double strongOver, int treesFrom) {}
}
