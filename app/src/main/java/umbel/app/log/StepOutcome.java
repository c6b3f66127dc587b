package umbel.app.log;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** How a step of a visit went. */
public enum StepOutcome {
    /** Done as it was planned. */
    AS_PLANNED(true, true, false),
    /** Done otherwise than planned. */
    CHANGED(true, true, true),
    /** Decided against at the tree: it is no longer to be done. */
    SKIPPED(false, true, true),
    /** Done at the tree without having been planned. */
    ADDED(true, false, false),
    /** Not done: it waits for whoever comes next. */
    LEFT(false, false, false);

    private final boolean done;
    private final boolean settles;
    private final boolean needsReason;

    StepOutcome(boolean done, boolean settles, boolean needsReason) {
        this.done = done;
        this.settles = settles;
        this.needsReason = needsReason;
    }

    /** Whether something was done at the tree; only then has it effects. */
    public boolean done() {
        return done;
    }

    /** Whether the mark it answers is done with. */
    public boolean settles() {
        return settles;
    }

    /** Whether a reason must be given. */
    public boolean needsReason() {
        return needsReason;
    }

    /** The word that travels. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The outcome of a word; empty where there is none. */
    public static Optional<StepOutcome> of(String word) {
        return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
    }

    /** All words. */
    public static List<String> words() {
        return Arrays.stream(values()).map(StepOutcome::word).toList();
    }
}
