package umbel.app.computing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A lane takes so many and no more. */
class ComputingTest {

    private final Computing computing = new Computing();

    @AfterEach
    void stop() {
        computing.stop();
    }

    @Test
    void whoComesBeyondTheQueueIsToldAtOnce() throws Exception {
        CountDownLatch hold = new CountDownLatch(1);
        List<Thread> callers = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            Thread caller = new Thread(() -> computing.answer(Computing.Lane.OUTSIDE, () -> await(hold)));
            caller.start();
            callers.add(caller);
        }
        while (computing.underWay(Computing.Lane.OUTSIDE) < 9) {
            TimeUnit.MILLISECONDS.sleep(5);
        }
        assertThatThrownBy(() -> computing.answer(Computing.Lane.OUTSIDE, () -> 1))
                .isInstanceOf(Busy.class);
        assertThat(computing.<Integer>answer(Computing.Lane.QUICK, () -> 7))
                .as("another lane is free")
                .isEqualTo(7);
        hold.countDown();
        for (Thread caller : callers) {
            caller.join(5_000);
        }
        assertThat(computing.<Integer>answer(Computing.Lane.OUTSIDE, () -> 3)).isEqualTo(3);
    }

    @Test
    void whatGoesWrongInALaneReachesWhoeverAsked() {
        assertThatThrownBy(() -> computing.answer(Computing.Lane.QUICK, () -> {
                    throw new IllegalArgumentException("odd");
                }))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("odd");
    }

    private static int await(CountDownLatch hold) {
        try {
            hold.await(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return 0;
    }
}
