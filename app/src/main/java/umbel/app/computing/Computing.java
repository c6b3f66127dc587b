package umbel.app.computing;

import jakarta.annotation.PreDestroy;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import umbel.app.farm.FarmScope;
import umbel.app.reader.Reader;
import umbel.compute.Cancellation;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Computes answers in a few threads of their own, so that however many are asked for, the program goes on answering everything
 * else. A lane takes so many questions and no more, and fewer while answers take long; whoever comes beyond that is told to come
 * again. An answer is given up when
 * its time is over or whoever asked for it has gone, and its computation stops.
 */
@Component
public class Computing {

    private static final long LOOK_EVERY_MS = 200;
    private static final double MOST_OF_TIME_WAITING = 0.5;
    private static final int SMOOTHING = 4;

    /** Who asks for what: lanes do not wait for each other. */
    public enum Lane {
        /** A mark, a limb, a page: short, and somebody watches. */
        QUICK(2, 64, Duration.ofSeconds(15)),
        /** Plans and years of a tree on screen. */
        PLANS(2, 16, Duration.ofSeconds(30)),
        /** Assessments asked for by other programs. */
        OUTSIDE(1, 8, Duration.ofMillis(9_000));

        private final int threads;
        private final int waiting;
        private final Duration time;

        Lane(int threads, int waiting, Duration time) {
            this.threads = threads;
            this.waiting = waiting;
            this.time = time;
        }
    }

    private final Map<Lane, ThreadPoolExecutor> lanes = new EnumMap<>(Lane.class);
    private final Map<Lane, Long> usual = new ConcurrentHashMap<>();

    Computing() {
        for (Lane lane : Lane.values()) {
            lanes.put(
                    lane,
                    new ThreadPoolExecutor(
                            lane.threads,
                            lane.threads,
                            1,
                            TimeUnit.MINUTES,
                            new ArrayBlockingQueue<>(lane.waiting),
                            work -> {
                                Thread thread = new Thread(
                                        work, "computing-" + lane.name().toLowerCase(java.util.Locale.ROOT));
                                thread.setDaemon(true);
                                return thread;
                            }));
        }
    }

    /**
     * The answer, computed in its lane.
     *
     * @throws Busy where the lane is full, or the answer took longer than its lane allows
     * @throws CallerGone where nobody is left to be answered
     */
    public <T> T answer(Lane lane, Supplier<T> work) {
        Cancellation cancellation = new Cancellation();
        Supplier<T> carried = FarmScope.carried(Reader.carried(work));
        FutureTask<T> task = new FutureTask<>(() -> timed(lane, () -> Cancellation.during(cancellation, carried)));
        ThreadPoolExecutor pool = lanes.get(lane);
        requireRoom(lane);
        try {
            pool.execute(task);
        } catch (RejectedExecutionException e) {
            throw full();
        }
        BooleanSupplier gone = callerGone();
        long until = System.nanoTime() + lane.time.toNanos();
        while (true) {
            try {
                return task.get(LOOK_EVERY_MS, TimeUnit.MILLISECONDS);
            } catch (TimeoutException e) {
                boolean left = gone.getAsBoolean();
                if (left || System.nanoTime() > until) {
                    cancellation.request();
                    task.cancel(false);
                    pool.remove(task);
                    throw left
                            ? new CallerGone()
                            : new Busy(Statement.of("problem.took-too-long")
                                    .with("seconds", Value.count(lane.time.toSeconds())));
                }
            } catch (InterruptedException e) {
                cancellation.request();
                Thread.currentThread().interrupt();
                throw new Busy(Statement.of("problem.being-stopped"));
            } catch (ExecutionException e) {
                if (e.getCause() instanceof RuntimeException known) {
                    throw known;
                }
                throw new IllegalStateException(e.getCause());
            }
        }
    }

    /**
     * Looks whether a lane has room, so that nobody reads a long question in vain.
     *
     * @throws Busy where it has none
     */
    public void requireRoom(Lane lane) {
        boolean queueFull = lanes.get(lane).getQueue().remainingCapacity() == 0;
        if (queueFull || expectedWait(lane) > lane.time.toNanos() * MOST_OF_TIME_WAITING) {
            throw full();
        }
    }

    private static Busy full() {
        return new Busy(Statement.of("problem.busy"));
    }

    /** Computes, and notes how long answers of this lane take of late. */
    private <T> T timed(Lane lane, Supplier<T> work) {
        long began = System.nanoTime();
        try {
            return work.get();
        } finally {
            long took = System.nanoTime() - began;
            usual.merge(lane, took, (before, now) -> before + (now - before) / SMOOTHING);
        }
    }

    /** How long somebody who comes now would wait for a thread, nanoseconds: whoever is let in should have time to be answered. */
    private double expectedWait(Lane lane) {
        return (double) underWay(lane) / lane.threads * usual.getOrDefault(lane, 0L);
    }

    /** How many computations of a lane run or wait. */
    int underWay(Lane lane) {
        ThreadPoolExecutor pool = lanes.get(lane);
        return pool.getActiveCount() + pool.getQueue().size();
    }

    private static BooleanSupplier callerGone() {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now) {
            HttpServletRequest request = now.getRequest();
            if (request.getAttribute(CallerPresence.GONE) instanceof BooleanSupplier gone) {
                return gone;
            }
        }
        return () -> false;
    }

    @PreDestroy
    void stop() {
        lanes.values().forEach(ThreadPoolExecutor::shutdownNow);
    }
}
