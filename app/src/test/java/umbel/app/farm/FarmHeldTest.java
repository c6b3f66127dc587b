package umbel.app.farm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.NewBlock;
import umbel.app.RunningUmbel;

/** Of two transactions that hold a farm the second waits for the first; those that only read or add go on. */
@ExtendWith(RunningUmbel.class)
class FarmHeldTest {

    private static final long WHILE_MS = 2_000;

    private final Farms farms;
    private final TransactionTemplate transactions;
    private final RunningUmbel umbel;

    FarmHeldTest(RunningUmbel umbel) {
        this.umbel = umbel;
        farms = umbel.part(Farms.class);
        transactions = umbel.part(TransactionTemplate.class);
    }

    private CompletableFuture<Void> held(Runnable then) {
        long farm = farms.numberOfFirst();
        return CompletableFuture.runAsync(() -> FarmScope.run(
                farm,
                () -> transactions.executeWithoutResult(status -> {
                    farms.hold();
                    then.run();
                })));
    }

    @Test
    void theSecondWaitsForTheFirst() throws Exception {
        List<String> order = new CopyOnWriteArrayList<>();
        CountDownLatch isHeld = new CountDownLatch(1);
        CompletableFuture<Void> first = held(() -> {
            isHeld.countDown();
            pause();
            order.add("first");
        });
        assertThat(isHeld.await(10, TimeUnit.SECONDS)).isTrue();
        CompletableFuture<Void> second = held(() -> order.add("second"));
        NewBlock.add(umbel, "While held", "apple", "tall-spindle", 1);
        assertThat(order)
                .as("what belongs to the farm is read and added meanwhile")
                .isEmpty();
        first.get(10, TimeUnit.SECONDS);
        second.get(10, TimeUnit.SECONDS);
        assertThat(order).containsExactly("first", "second");
    }

    private static void pause() {
        try {
            Thread.sleep(WHILE_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Test
    void outsideOfATransactionNothingIsHeld() {
        assertThatThrownBy(farms::hold).isInstanceOf(IllegalTransactionStateException.class);
    }
}
