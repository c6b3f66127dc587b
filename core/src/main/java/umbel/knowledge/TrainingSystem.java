package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/** A training system: the shape a tree is led towards and what is normal in it. From {@code knowledge/systems/*.yaml}. */
public record TrainingSystem(
        String id,
        String name,
        List<String> species,
        int leaders,
        Shape shape,
        Scaffolds scaffolds,
        LimbRule limbs,
        double reachFactor,
        String thickLimbCut,
        String leaderCut,
        @JsonProperty("tipRise_deg") double tipRiseDeg,
        Spacing spacing,
        int bigCuts,
        Work work) {

    /** Height and spread when full, the leaf in which it is full, height as planted, whether it narrows to the top. */
    public record Shape(
            @JsonProperty("height_m") double height,
            @JsonProperty("spread_m") double spread,
            int fullAtLeaf,
            @JsonProperty("firstHeight_m") double firstHeight,
            boolean cone) {

        /** Height wanted in the given leaf, metres: straight from planting to full. */
        public double heightAt(int leaf) {
            double share = Math.min(1, Math.max(0, leaf / (double) fullAtLeaf));
            return firstHeight + (height - firstHeight) * share;
        }
    }

    /** How many main limbs, at which angle, how far apart; null gap where limbs may leave close together. */
    public record Scaffolds(
            List<Integer> count,
            @JsonProperty("angle_deg") List<Double> angleDeg,
            @JsonProperty("gap_cm") Double gapCm,
            @JsonProperty("stackGap_cm") double stackGapCm,
            boolean permanent) {

        /** The middle of the wanted angles, degrees from vertical. */
        public double idealAngleDeg() {
            return (angleDeg.get(0) + angleDeg.get(1)) / 2;
        }
    }

    /** Thickness and hang limits; a null ratio leaves the school's. */
    public record LimbRule(
            Double ratioMost,
            @JsonProperty("diameterMost_mm") Double diameterMostMm,
            double forkRatioMost,
            @JsonProperty("hangAngle_deg") double hangAngleDeg) {}

    /** Usual planting distances. */
    public record Spacing(
            @JsonProperty("inRow_m") double inRow,
            @JsonProperty("betweenRows_m") double betweenRows) {}

    /** Minutes to stand back and look. */
    public record Work(double lookMinutes) {}
}
