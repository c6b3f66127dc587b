package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * How a survey is read: its errors, and what stands in where it is silent.
 *
 * @param errors one-sigma errors of a quick survey
 * @param redraws how often a tree is read again with such errors drawn
 * @param counts from where counts of small wood are asked about
 * @param measures from where measures of a limb are asked about
 * @param estimates values used where the survey is silent
 */
public record SurveyParameters(Errors errors, Redraws redraws, Counts counts, Measures measures, Estimates estimates) {

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

    /**
     * Measures of a limb that are legal but asked about.
     *
     * @param slender length over thickness from which a limb is long for its thickness, cm/mm
     * @param stout the same under which it is short for its thickness, cm/mm
     * @param stoutFrom thickness from which a limb can be short for it, mm
     * @param thin thickness under which a long limb looks like a figure in inches, mm
     * @param thinFrom length from which it does, cm
     * @param hangs inclination from which a limb hangs steeply, degrees from vertical up
     * @param samePlace distance along the parent within which two limbs may be one, cm
     * @param sameBearing angle between their bearings within which they may be, degrees
     */
    public record Measures(
            @JsonProperty("slender_cmPerMm") double slender,
            @JsonProperty("stout_cmPerMm") double stout,
            @JsonProperty("stoutFrom_mm") double stoutFrom,
            @JsonProperty("thin_mm") double thin,
            @JsonProperty("thinFrom_cm") double thinFrom,
            @JsonProperty("hangs_deg") double hangs,
            @JsonProperty("samePlace_cm") double samePlace,
            @JsonProperty("sameBearing_deg") double sameBearing) {}

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
