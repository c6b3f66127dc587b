package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * How a survey is read: its errors, and what stands in where it is silent.
 *
 * @param errors one-sigma errors of a quick survey
 * @param redraws how often a tree is read again with such errors drawn
 * @param counts from where counts of small wood are asked about
 * @param estimates values used where the survey is silent
 */
public record SurveyParameters(Errors errors, Redraws redraws, Counts counts, Estimates estimates) {

    /** One-sigma errors of a quick survey. */
    public record Errors(
            @JsonProperty("angle_deg") double angleDeg,
            @JsonProperty("bearing_deg") double bearingDeg,
            @JsonProperty("diameter_share") double diameterShare,
            @JsonProperty("length_share") double lengthShare,
            @JsonProperty("height_cm") double heightCm,
            @JsonProperty("light_share") double lightShare,
            @JsonProperty("count_share") double countShare) {}

    /** How often a tree is read again with measuring errors drawn, and from which seed. */
    public record Redraws(int draws, long seed) {}

    /**
     * Counts of small wood that are asked about.
     *
     * @param most leaf they carry against what the limb's section feeds, from which they are too many
     * @param least the same from which they are too few, where they are said to cover all that stands on it
     * @param leafLeast leaf under which nothing is asked, m²
     */
    public record Counts(
            double most,
            double least,
            @JsonProperty("leafLeast_m2") double leafLeast) {}

    /** Estimates used where a survey is silent. */
    public record Estimates(
            @JsonProperty("leaf_perTrunkCm") double leafPerTrunkCm,
            @JsonProperty("union_cm") double unionCm,
            @JsonProperty("trunkDiameterAt_cm") double trunkDiameterAtCm,
            @JsonProperty("tipDiameter_mm") double tipDiameterMm,
            @JsonProperty("lateralEvery_cm") double lateralEveryCm,
            @JsonProperty("lateralLength_cm") List<Double> lateralLengthCm,
            double trunkTaper,
            @JsonProperty("latitude_deg") double latitudeDeg) {}
}
