package umbel.app.farm;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.function.Supplier;

/**
 * The farm that the work of a thread is for. All that is read and written goes by it: the database gives and takes the rows of this farm
 * and of no other, and none at all where no farm is told. A transaction keeps the farm it began with.
 */
public final class FarmScope {

    /** No farm has this number. */
    static final long NONE = 0;

    /** Sees every farm; used only where a person is looked up by what they sign in with, or a key by its digest. */
    static final long ALL = -1;

    private static final ThreadLocal<Long> NOW = new ThreadLocal<>();

    private FarmScope() {}

    /** The number of the farm this thread works for; 0 where it works for none. */
    public static long current() {
        Long now = NOW.get();
        return now == null ? NONE : now;
    }

    /** Does something for a farm, and gives what came of it. */
    public static <T> T in(long farm, Supplier<T> work) {
        Long before = NOW.get();
        NOW.set(farm);
        try {
            return work.get();
        } finally {
            set(before);
        }
    }

    /** Does something for a farm. */
    public static void run(long farm, Runnable work) {
        in(farm, () -> {
            work.run();
            return null;
        });
    }

    /**
     * Reads across all farms. Only for finding out what somebody has a role in: what is found must not be told to anybody who has none in
     * the farm it belongs to.
     */
    public static <T> T acrossFarms(Supplier<T> reading) {
        return in(ALL, reading);
    }

    /** The work, done for the same farm in whichever thread it is done. */
    public static Runnable carried(Runnable work) {
        long farm = current();
        return () -> run(farm, work);
    }

    /** The work, done for the same farm in whichever thread it is done. */
    public static <T> Supplier<T> carried(Supplier<T> work) {
        long farm = current();
        return () -> in(farm, work);
    }

    /** A part of answering a request. */
    public interface Answering {

        /** Goes on answering. */
        void go() throws IOException, ServletException;
    }

    /** Answers a request for a farm. */
    public static void filter(long farm, Answering answering) throws IOException, ServletException {
        Long before = NOW.get();
        NOW.set(farm);
        try {
            answering.go();
        } finally {
            set(before);
        }
    }

    private static void set(Long farm) {
        if (farm == null) {
            NOW.remove();
        } else {
            NOW.set(farm);
        }
    }
}
