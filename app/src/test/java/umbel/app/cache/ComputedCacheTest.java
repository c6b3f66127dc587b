package umbel.app.cache;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class ComputedCacheTest {

    private static final int TREES = 100;

    private final ComputedCache<String, Integer> kept = ComputedCache.atMost(10);

    @Test
    void treesAreKeptAsFarAsTheirShareOfTheMemoryGoes() {
        ComputedCache<Integer, int[]> trees = ComputedCache.ofTrees(1.0 / 16, tree -> tree[0]);
        int large = (int) (Runtime.getRuntime().maxMemory() / 16 / 700 / 10);
        for (int tree = 0; tree < TREES; tree++) {
            trees.get(tree, () -> new int[] {large});
        }
        int workedOutAgain = 0;
        for (int tree = 0; tree < TREES; tree++) {
            int[] fresh = {large};
            workedOutAgain += trees.get(tree, () -> fresh) == fresh ? 1 : 0;
        }
        assertThat(workedOutAgain)
                .as("of a hundred ten fit, give or take what is still being cleared")
                .isGreaterThan(TREES / 2);
    }

    @Test
    void whatATreeTakesIsCountedAgain() {
        ComputedCache<Integer, int[]> trees = ComputedCache.ofTrees(1.0 / 16, tree -> tree[0]);
        int third = (int) (Runtime.getRuntime().maxMemory() / 16 / 700 / 3);
        int[] growing = {1};
        trees.get(1, () -> growing);
        int[] other = {third};
        trees.get(2, () -> other);
        trees.get(2, () -> other);
        growing[0] = third * 4;
        trees.weighAgain(1);
        int[] fresh = {1};
        assertThat(trees.get(1, () -> fresh)).as("more than there is room for").isSameAs(fresh);
        assertThat(trees.get(2, () -> fresh)).isSameAs(other);
        trees.weighAgain(3);
        assertThat(trees.get(3, () -> fresh))
                .as("what is not kept is not counted")
                .isSameAs(fresh);
    }

    @Test
    void anAnswerIsWorkedOutOnce() {
        AtomicInteger asked = new AtomicInteger();
        assertThat(kept.get("a", asked::incrementAndGet)).isEqualTo(1);
        assertThat(kept.get("a", asked::incrementAndGet)).isEqualTo(1);
        assertThat(kept.get("b", asked::incrementAndGet)).isEqualTo(2);
    }

    @Test
    void anAnswerCanBeWorkedOutFromTheOneBefore() {
        assertThat(kept.renew("a", before -> before == null ? 1 : before + 1)).isEqualTo(1);
        assertThat(kept.renew("a", before -> before == null ? 1 : before + 1)).isEqualTo(2);
        assertThat(kept.get("a", () -> 7)).isEqualTo(2);
    }

    @Test
    void whatFailsIsNotKept() {
        assertThatThrownBy(() -> kept.get("a", () -> {
                    throw new IllegalStateException("no tree");
                }))
                .isInstanceOf(IllegalStateException.class);
        assertThat(kept.get("a", () -> 7)).isEqualTo(7);
    }

    @Test
    void nobodyWaitsForWhoIsStillWorking() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch asked = new CountDownLatch(1);
        // the first waits for the second to be answered, as a light sweep may wait for a pool thread
        CompletableFuture<Integer> first = CompletableFuture.supplyAsync(() -> kept.get("a", () -> {
            begun.countDown();
            await(asked);
            return 1;
        }));
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        CompletableFuture<Integer> second = CompletableFuture.supplyAsync(() -> kept.get("a", () -> 1), Runnable::run);
        asked.countDown();
        assertThat(second).succeedsWithin(Duration.ofSeconds(10)).isEqualTo(1);
        assertThat(first).succeedsWithin(Duration.ofSeconds(10)).isEqualTo(1);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(30, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
