package umbel.wood;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Thickness class of a one-year shoot. */
public enum ShootClass {
    MATCHSTICK,
    PENCIL,
    STRONG;

    /** The class the survey format writes as {@code word}. */
    public static ShootClass of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }

    /** The one with this word; empty when there is none. */
    public static Optional<ShootClass> named(String word) {
        return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
    }

    /** The word the format and the knowledge files use. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
