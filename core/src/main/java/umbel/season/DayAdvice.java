package umbel.season;

import java.time.LocalDate;
import java.util.List;
import umbel.text.Statement;

/**
 * Whether a block should be cut on a day, and why.
 *
 * @param phase of its season, as {@code delayed-dormant}
 * @param reasons the deciding one first
 * @param urgent whether dead, broken and diseased wood may come off all the same
 * @param ladder whether ladders may be used
 * @param weather of the day; null where nothing is known
 */
public record DayAdvice(
        LocalDate date,
        String phase,
        Verdict verdict,
        List<Reason> reasons,
        boolean urgent,
        boolean ladder,
        Weather.Day weather) {

    private static final java.util.Set<String> MAIN =
            java.util.Set.of("dormant", "delayed-dormant", "bloom", "after-harvest");

    /** Whether the year's main cutting is done in this phase; in leaf only light summer work is. */
    public boolean forMainWork() {
        return MAIN.contains(phase);
    }

    /** From not at all to best; a later rule can only lower it. */
    public enum Verdict {
        NOT,
        ALLOWED,
        BETTER,
        BEST;

        /** The word of the open format. */
        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }

        static Verdict of(String word) {
            return valueOf(word.toUpperCase(java.util.Locale.ROOT));
        }
    }

    /** One reason, by the rule that gives it. */
    public record Reason(String rule, Statement text) {}
}
