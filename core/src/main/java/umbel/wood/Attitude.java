package umbel.wood;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

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

    /** The one with this word; empty when there is none. */
    public static Optional<Attitude> named(String word) {
        return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
    }

    /** The word the format uses. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
