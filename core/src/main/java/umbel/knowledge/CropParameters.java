package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * The crop and what it does to a limb.
 *
 * @param fullSetLight light below which set falls off in proportion, share of open sky
 * @param leafLight light from which a leaf counts for finishing fruit
 * @param firstClassLight light at which none, and all, of the fruit sizes and colours
 * @param load how limbs come down under it
 */
public record CropParameters(double fullSetLight, double leafLight, LightRamp firstClassLight, Load load) {

    /** Strength left at a poor union, how wood strength varies (one sigma), how far a limb droops before it gives way. */
    public record Load(
            UnionWeakness unionWeakness,
            @JsonProperty("tightUnder_deg") double tightUnderDeg,
            double thickOver,
            double stiffnessSpread,
            double strengthSpread,
            @JsonProperty("bendMost_deg") double bendMostDeg) {}

    /** Share of sound strength left at a tight, over-thick, splitting or decayed union. */
    public record UnionWeakness(double tight, double thick, double splitting, double decayed) {}
}
