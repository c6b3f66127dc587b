package umbel.compute;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;

/** A computation nobody waits for stops, in every thread it uses. */
@Isolated("it measures time")
class CancellationTest {

    @Test
    void withoutARequestNothingIsStopped() {
        assertThat(Cancellation.<Integer>during(new Cancellation(), () -> {
                    Cancellation.check();
                    return 7;
                }))
                .isEqualTo(7);
        Cancellation.check();
    }

    @Test
    void aRequestStopsAtTheNextStepAndHoldsForThatComputationOnly() {
        Cancellation cancellation = new Cancellation();
        assertThatThrownBy(() -> Cancellation.during(cancellation, () -> {
                    cancellation.request();
                    Cancellation.check();
                    return 0;
                }))
                .isInstanceOf(CancellationException.class);
        Cancellation.check();
    }

    @Test
    void workInOtherThreadsStopsToo() {
        Cancellation cancellation = new Cancellation();
        AtomicInteger worked = new AtomicInteger();
        Set<Long> threads = ConcurrentHashMap.newKeySet();
        assertThatThrownBy(() -> Cancellation.during(
                        cancellation,
                        () -> IntStream.range(0, 10_000)
                                .boxed()
                                .parallel()
                                .map(Cancellation.<Integer, Integer>carried(i -> {
                                    threads.add(Thread.currentThread().getId());
                                    if (worked.incrementAndGet() == 20) {
                                        cancellation.request();
                                    }
                                    return i;
                                }))
                                .toList()))
                .isInstanceOf(CancellationException.class);
        assertThat(worked.get()).isLessThan(200);
    }

    @Test
    void anAssessmentIsStoppedInItsMidst() throws Exception {
        AssessRequest request = AssessRequest.of(
                PracticeTree.survey("apple", "central-leader", 22, 101, Fault.WATER_SPROUTS, Fault.STACKED_LIMBS));
        Assessor assessor = new Assessor(Knowledge.shipped());
        Cancellation cancellation = new Cancellation();
        Thread caller = new Thread(() -> {
            try {
                Cancellation.during(cancellation, () -> assessor.assess(request));
            } catch (CancellationException stopped) {
                // as asked
            }
        });
        caller.start();
        Thread.sleep(30);
        cancellation.request();
        caller.join(10_000);
        assertThat(caller.isAlive()).isFalse();
    }
}
