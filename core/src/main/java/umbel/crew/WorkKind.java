package umbel.crew;

import java.util.Locale;

/** Kinds of work by who may do it; in the order they are done in a block. */
public enum WorkKind {
    SAW,
    LADDER,
    DETAIL;

    /** The word of the open format. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
