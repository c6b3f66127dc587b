package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonCreator;

/**
 * A short caution shown beside the steps it belongs to.
 *
 * @param when the circumstance that calls for it
 * @param text what to mind, in one or two short sentences
 */
public record Caution(String id, When when, String text) {

    /** Circumstances of a cut that call for a caution. */
    public enum When {
        ABOVE_REACH,
        SAW,
        THREE_STEP,
        QUALIFIED,
        DECAYED,
        BEND,
        DISEASED,
        BROKEN,
        ALWAYS;

        @JsonCreator
        static When of(String word) {
            return valueOf(word.toUpperCase(java.util.Locale.ROOT).replace('-', '_'));
        }
    }
}
