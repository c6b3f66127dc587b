package umbel.wood;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import umbel.knowledge.Species;

/** Thickness class of a one-year shoot. */
public enum ShootClass {
    MATCHSTICK,
    PENCIL,
    STRONG;

    /** The class the survey format writes as {@code word}. */
    public static ShootClass of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }

    /** The class a shoot of a length, cm, belongs to by the usual lengths of a kind's classes. */
    public static ShootClass ofLength(double cm, Species.WoodTraits kind) {
        Map<String, Double> usual = kind.shootLengthCm();
        double pencil = usual.get(PENCIL.word());
        if (cm < (usual.get(MATCHSTICK.word()) + pencil) / 2) {
            return MATCHSTICK;
        }
        return cm > (pencil + usual.get(STRONG.word())) / 2 ? STRONG : PENCIL;
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
