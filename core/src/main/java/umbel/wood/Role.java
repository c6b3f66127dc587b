package umbel.wood;

import java.util.Locale;

/** What the surveyor took a limb for. */
public enum Role {
    LEADER,
    SCAFFOLD,
    LIMB,
    LATERAL,
    SHOOT,
    WATER_SPROUT,
    HANGER,
    SUCKER,
    UNKNOWN;

    /** The role the survey format writes as {@code word}; unknown when null. */
    public static Role of(String word) {
        return word == null ? UNKNOWN : valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'));
    }
}
