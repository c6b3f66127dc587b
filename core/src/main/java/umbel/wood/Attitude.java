package umbel.wood;

import java.util.Locale;

/** Which way a one-year shoot leaves the wood it stands on. */
public enum Attitude {
    UP,
    SIDE,
    OUT,
    DOWN,
    IN;

    /** The attitude the survey format writes as {@code word}; to the side when null. */
    public static Attitude of(String word) {
        return word == null ? SIDE : valueOf(word.toUpperCase(Locale.ROOT));
    }

    /** The word the format uses. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
