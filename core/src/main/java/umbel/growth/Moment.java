package umbel.growth;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Locale;
import umbel.knowledge.GrowthParameters;

/** When in its year a tree is worked on; the words are the open format's phases. */
public enum Moment {
    @JsonProperty("dormant")
    DORMANT,

    @JsonProperty("delayed-dormant")
    DELAYED_DORMANT,

    @JsonProperty("bloom")
    BLOOM,

    @JsonProperty("early-summer")
    EARLY_SUMMER,

    @JsonProperty("summer")
    SUMMER,

    @JsonProperty("after-harvest")
    AFTER_HARVEST;

    /**
     * The moment the format writes as {@code phase}.
     *
     * @throws IllegalArgumentException for a word that is none of the phases
     */
    public static Moment of(String phase) {
        return valueOf(phase.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    /** The word of the open format. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether soft shoots grow, so that only light work by hand is done. */
    public boolean isSummer() {
        return this == EARLY_SUMMER || this == SUMMER;
    }

    /** What a cut at this moment takes and leaves. */
    GrowthParameters.Moment in(GrowthParameters parameters) {
        return parameters.assimilation().moments().get(word());
    }
}
