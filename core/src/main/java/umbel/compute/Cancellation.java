package umbel.compute;

import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * A request to stop that travels with a computation. Long computations ask {@link #check} at each step; whoever waits for the
 * answer and no longer wants it calls {@link #request}. Answers do not depend on it: a computation is finished or it is stopped.
 *
 * <p>It belongs to the thread that computes. Work handed to other threads takes it along by {@link #carried}.
 */
public final class Cancellation {

    private static final ThreadLocal<Cancellation> CURRENT = new ThreadLocal<>();

    private volatile boolean requested;

    /** Asks the computation to stop at its next step. */
    public void request() {
        requested = true;
    }

    /** Whether it was asked to stop. */
    public boolean requested() {
        return requested;
    }

    /**
     * Computes under a cancellation, and under none again afterwards; null computes under none.
     *
     * @throws CancellationException once it was asked to stop
     */
    public static <T> T during(Cancellation cancellation, Supplier<T> work) {
        Cancellation before = CURRENT.get();
        CURRENT.set(cancellation);
        try {
            return work.get();
        } finally {
            if (before == null) {
                CURRENT.remove();
            } else {
                CURRENT.set(before);
            }
        }
    }

    /**
     * Goes on, or stops the computation of this thread.
     *
     * @throws CancellationException where it was asked to stop
     */
    public static void check() {
        Cancellation now = CURRENT.get();
        if (now != null && now.requested) {
            throw new CancellationException("The computation was stopped.");
        }
    }

    /** The same function under this thread's cancellation, whichever thread calls it. */
    public static <A, B> Function<A, B> carried(Function<A, B> function) {
        Cancellation now = CURRENT.get();
        return argument -> during(now, () -> {
            check();
            return function.apply(argument);
        });
    }

    /** The same action under this thread's cancellation, whichever thread calls it. */
    public static <A> Consumer<A> carriedAction(Consumer<A> action) {
        Function<A, Void> function = carried(argument -> {
            action.accept(argument);
            return null;
        });
        return function::apply;
    }
}
