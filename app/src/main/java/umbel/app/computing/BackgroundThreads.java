package umbel.app.computing;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinWorkerThread;
import java.util.function.Supplier;
import umbel.app.farm.FarmScope;

/**
 * Threads for what nobody waits for, of the lowest priority: where the processors are busy, whoever waits for an answer comes first. What
 * is computed in parallel within them stays within them. The priority counts only where the program is started so that the system
 * regards it, as the command that starts it does.
 */
public final class BackgroundThreads implements AutoCloseable {

    private final ForkJoinPool threads;

    /** So many threads, named so. */
    public BackgroundThreads(String name, int count) {
        threads = new ForkJoinPool(count, pool -> new BackgroundThread(pool, name), null, false);
    }

    private static final class BackgroundThread extends ForkJoinWorkerThread {

        BackgroundThread(ForkJoinPool pool, String name) {
            super(pool);
            setName(name + "-" + getPoolIndex());
            setPriority(Thread.MIN_PRIORITY);
            setContextClassLoader(BackgroundThreads.class.getClassLoader());
        }
    }

    /** Does something there later, for the farm it is asked in. */
    public void later(Runnable work) {
        threads.execute(FarmScope.carried(work));
    }

    /** Does something there for the farm it is asked in, and waits for what comes of it. */
    public <T> T call(Supplier<T> work) {
        try {
            return CompletableFuture.supplyAsync(FarmScope.carried(work), threads)
                    .get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("Stopped while waiting for background work.", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException known) {
                throw known;
            }
            throw new IllegalStateException(e.getCause());
        }
    }

    /** Lets go of everything; what waits is not begun any more. */
    @Override
    public void close() {
        threads.shutdownNow();
    }
}
