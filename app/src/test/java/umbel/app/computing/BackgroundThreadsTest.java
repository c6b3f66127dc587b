package umbel.app.computing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import umbel.app.farm.FarmScope;

/** Threads for what nobody waits for. */
class BackgroundThreadsTest {

    @Test
    void theyHaveTheLowestPriorityAndKeepWhatIsComputedInParallelToThemselves() {
        try (BackgroundThreads threads = new BackgroundThreads("quiet", 2)) {
            Set<String> names = ConcurrentHashMap.newKeySet();
            Set<Integer> priorities = ConcurrentHashMap.newKeySet();
            threads.call(() -> {
                IntStream.range(0, 200).parallel().forEach(i -> {
                    names.add(Thread.currentThread().getName());
                    priorities.add(Thread.currentThread().getPriority());
                });
                return null;
            });
            assertThat(names).isNotEmpty().allMatch(name -> name.startsWith("quiet-"));
            assertThat(priorities).containsExactly(Thread.MIN_PRIORITY);
        }
    }

    @Test
    void whatIsDoneThereIsDoneForTheFarmItIsAskedIn() throws InterruptedException {
        try (BackgroundThreads threads = new BackgroundThreads("quiet", 1)) {
            long[] farms = {0, 0};
            CountDownLatch done = new CountDownLatch(1);
            FarmScope.run(
                    5,
                    () -> threads.later(() -> {
                        farms[0] = FarmScope.current();
                        done.countDown();
                    }));
            farms[1] = FarmScope.in(6, () -> threads.call(FarmScope::current));
            assertThat(done.await(10, TimeUnit.SECONDS)).isTrue();
            assertThat(farms).containsExactly(5, 6);
        }
    }

    @Test
    void whoWaitsIsToldWhatWentWrong() {
        try (BackgroundThreads threads = new BackgroundThreads("quiet", 1)) {
            assertThatThrownBy(() -> threads.call(() -> {
                        throw new IllegalArgumentException("as wanted");
                    }))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessage("as wanted");
        }
    }
}
