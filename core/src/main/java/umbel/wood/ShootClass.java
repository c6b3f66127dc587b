package umbel.wood;

import java.util.Locale;

/** Thickness class of a one-year shoot. */
public enum ShootClass {
    MATCHSTICK,
    PENCIL,
    STRONG;

    /** The class the survey format writes as {@code word}. */
    public static ShootClass of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }

    /** The word the format and the knowledge files use. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
