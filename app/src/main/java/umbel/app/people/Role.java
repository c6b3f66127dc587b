package umbel.app.people;

import java.util.Locale;

/** What somebody may do here. */
public enum Role {
    /** Everything: accounts, limits, backup. */
    GROWER,
    /** All work: trees, surveys, marks, season, crew, records. */
    FOREMAN,
    /** The sheets of the row and what was done at them. */
    PRUNER,
    /** Reads everything, and suggests by marking. */
    ADVISER;

    /** The word that travels. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Role of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }
}
