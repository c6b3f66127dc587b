package umbel.aftercare;

import java.util.Locale;
import umbel.text.Statement;

/**
 * One thing to do after the last cut.
 *
 * @param kind what it looks after
 * @param what what is to be done, and why
 * @param toDo whether there is anything to do; else it is said so that nobody does more
 */
public record AfterTask(Kind kind, Statement what, boolean toDo) {

    /** What a task looks after, in the order it is done. */
    public enum Kind {
        WOUNDS,
        BARK,
        TOOLS,
        DISEASED_PRUNINGS,
        PRUNINGS;

        /** As it is sent and stored: {@code diseased-prunings}. */
        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
