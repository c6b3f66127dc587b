package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * A training system: the shape a tree is led towards and what is normal in it. From {@code knowledge/systems/*.yaml}.
 *
 * @param sunnySideAboveCm where several trees share a hole, how far the one on the sunny side may stand above the lowest of the
 *     others; null where trees stand singly
 * @param structure what carries and leads the trees; null where nobody said
 */
@JsonIgnoreProperties("base")
public record TrainingSystem(
        String id,
        String name,
        String form,
        List<Integer> leaders,
        boolean topped,
        boolean tied,
        Shape shape,
        List<Tier> tiers,
        Scaffolds scaffolds,
        LimbRule limbs,
        double reachFactor,
        @JsonProperty("sunnySideAbove_cm") Double sunnySideAboveCm,
        double shadeFactor,
        String thickLimbCut,
        String leaderCut,
        @JsonProperty("tipRise_deg") double tipRiseDeg,
        Spacing spacing,
        @JsonProperty("aisle_m") double aisle,
        List<String> stocks,
        String support,
        Structure structure,
        int bigCuts,
        Work work,
        Map<Integer, Double> yields,
        String cost,
        List<YearStep> steps,
        List<Act> programme,
        String mature,
        String strengths,
        String risks) {

    private static final String DEAR = "high";

    /** Whether the tree narrows to the top under one leader. */
    public boolean isCone() {
        return form.equals("cone");
    }

    /** Whether its rows are so even and narrow that a platform between them serves, where hands do not reach. */
    public boolean isWorkedFromPlatforms() {
        return tied || isPlane() || cost.equals(DEAR);
    }

    /** Whether the tree is led in one upright plane along its row, wall or wires. */
    public boolean isPlane() {
        return form.equals("plane");
    }

    /**
     * The full tree's outline and how it gets there.
     *
     * @param spread width at its widest, along the row, metres
     * @param top width at its top, metres
     * @param depth across the row, metres
     * @param fullAtLeaf leaf in which it fills its space
     * @param firstHeight height as planted, metres
     * @param firstSpread width as planted, metres
     */
    public record Shape(
            @JsonProperty("height_m") double height,
            @JsonProperty("spread_m") double spread,
            @JsonProperty("top_m") double top,
            @JsonProperty("depth_m") double depth,
            int fullAtLeaf,
            @JsonProperty("firstHeight_m") double firstHeight,
            @JsonProperty("firstSpread_m") double firstSpread) {

        /** Height wanted in the given leaf, metres: straight from planting to full. */
        public double heightAt(int leaf) {
            return firstHeight + (height - firstHeight) * grown(leaf);
        }

        /** Greatest width wanted in the given leaf, metres. */
        public double spreadAt(int leaf) {
            return firstSpread + (spread - firstSpread) * grown(leaf);
        }

        /** How far on its way to full the tree should be in the given leaf, 0…1. */
        public double grown(int leaf) {
            return Math.min(1, Math.max(0, leaf / (double) fullAtLeaf));
        }
    }

    /**
     * What carries and leads the trees, as it is bought at planting.
     *
     * @param wires strung along a row
     * @param postEveryM distance between the posts of a row, metres; null without posts
     */
    public record Structure(
            int wires,
            @JsonProperty("postEvery_m") Double postEveryM,
            double stakesATree,
            double tiesATree,
            double spreadersATree) {}

    /** One tier of the full tree: height of its limbs' origin, how many, how far they reach from the trunk, their angle. */
    public record Tier(
            @JsonProperty("height_m") double height,
            int count,
            @JsonProperty("reach_m") double reach,
            @JsonProperty("angle_deg") double angleDeg) {}

    /**
     * One act of the system's programme: what is done to a tree in certain leaves, as the plan carries it out.
     *
     * @param from first leaf it is done in
     * @param to last leaf
     * @param act what, as {@code head-leader}
     * @param season dormant, summer or any; dormant when null
     * @param share of a length, or of the limbs; null where the act needs none
     * @param at height above ground or distance, centimetres; null where the act needs none
     * @param keep how many to leave; null where the act needs none
     * @param cut the cut that renews; null where the act needs none
     * @param gap between buds left, centimetres; null where the act needs none
     * @param thin thickness under which a limb is weak, millimetres; null where the act needs none
     * @param bySet share of what it applies to by how heavily the cultivar sets; null for all of it
     * @param why a sentence a grower would say
     */
    public record Act(
            int from,
            int to,
            String act,
            String season,
            Double share,
            @JsonProperty("at_cm") Double at,
            Integer keep,
            String cut,
            @JsonProperty("gap_cm") Double gap,
            @JsonProperty("thin_mm") Double thin,
            Map<String, Double> bySet,
            String why) {

        /** Whether it is due in a leaf and season. */
        public boolean due(int leaf, boolean summer) {
            boolean now = season == null ? !summer : season.equals("any") || season.equals("summer") == summer;
            return leaf >= from && leaf <= to && now;
        }
    }

    /** What is done in one leaf on the way to the full tree; 0 is planting. */
    public record YearStep(int leaf, @JsonProperty("do") String what) {}

    /**
     * How many main limbs, at which angle, how far apart (null gap where limbs may leave close together), and the age at which
     * limbs are renewed (null where they stay).
     */
    public record Scaffolds(
            List<Integer> count,
            @JsonProperty("angle_deg") List<Double> angleDeg,
            @JsonProperty("gap_cm") Double gapCm,
            @JsonProperty("stackGap_cm") double stackGapCm,
            boolean permanent,
            @JsonProperty("renewedAfter_y") Integer renewedAfter) {

        /** The middle of the wanted angles, degrees from vertical. */
        public double idealAngleDeg() {
            return (angleDeg.get(0) + angleDeg.get(1)) / 2;
        }
    }

    /**
     * Thickness and hang limits; a null ratio leaves the school's.
     *
     * @param siblingRatioMost where limbs stand on arms as equals, the most one may be thicker than their median; null elsewhere
     */
    public record LimbRule(
            Double ratioMost,
            Double siblingRatioMost,
            @JsonProperty("diameterMost_mm") Double diameterMostMm,
            double forkRatioMost,
            @JsonProperty("hangAngle_deg") double hangAngleDeg) {}

    /** Usual planting distances. */
    public record Spacing(
            @JsonProperty("inRow_m") double inRow,
            @JsonProperty("betweenRows_m") double betweenRows) {}

    /** Minutes to stand back and look, and usual minutes a tree in all, from–to. */
    public record Work(double lookMinutes, List<Double> minutesATree) {}
}
