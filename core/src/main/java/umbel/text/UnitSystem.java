package umbel.text;

/** The units a reader thinks in; everything is stored in SI. */
public enum UnitSystem {
    METRIC,
    US;

    /** The system a word names; metric where it names none. */
    public static UnitSystem of(String word) {
        return "us".equalsIgnoreCase(word) ? US : METRIC;
    }
}
