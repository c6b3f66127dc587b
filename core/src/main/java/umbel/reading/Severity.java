package umbel.reading;

import java.util.Locale;

/** How much a finding presses. */
public enum Severity {
    WATCH,
    CONSIDER,
    ACT;

    /** The word of the open format. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
