package umbel.app.reader;

import java.util.function.Supplier;
import umbel.text.Speech;

/** How whoever asks is answered: in their language and units. It goes with a request, also into the threads that compute for it. */
public final class Reader {

    private static final ThreadLocal<Speech> NOW = new ThreadLocal<>();

    private Reader() {}

    /** How things are said to whoever asks now; in English and metric units where nobody does. */
    public static Speech speech() {
        Speech now = NOW.get();
        return now == null ? Speech.english() : now;
    }

    /** The work, answering the same reader in whichever thread it is done. */
    public static <T> Supplier<T> carried(Supplier<T> work) {
        Speech now = speech();
        return () -> answering(now, work);
    }

    /** The work, answering a reader of this language and these units. */
    public static <T> T answering(Speech speech, Supplier<T> work) {
        Speech before = NOW.get();
        NOW.set(speech);
        try {
            return work.get();
        } finally {
            if (before == null) {
                NOW.remove();
            } else {
                NOW.set(before);
            }
        }
    }

    static void begin(Speech speech) {
        NOW.set(speech);
    }

    static void end() {
        NOW.remove();
    }
}
