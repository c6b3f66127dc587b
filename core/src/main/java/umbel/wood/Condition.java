package umbel.wood;

import java.util.Locale;

/** What was noted of a limb's health. */
public enum Condition {
    SOUND,
    DEAD,
    BROKEN,
    DAMAGED,
    DISEASED,
    GIRDLED,
    SPLITTING,
    DECAYED;

    /** The condition the survey format writes as {@code word}. */
    public static Condition of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }

    /** The word the format uses. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
