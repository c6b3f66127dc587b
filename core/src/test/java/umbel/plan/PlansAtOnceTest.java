package umbel.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;

/** Plans asked for by several at once are all answered: no thread may hold a lock while it waits for the pool. */
@Isolated("it measures time")
class PlansAtOnceTest {

    @Test
    void everybodyWhoAsksAtTheSameMomentIsAnswered() {
        List<PlanCase> trees = SeasonsAgainstNow.manyTrees(6);
        ExecutorService people = Executors.newFixedThreadPool(4, task -> {
            Thread thread = new Thread(task);
            thread.setDaemon(true);
            return thread;
        });
        try {
            List<CompletableFuture<List<Plan>>> asked = new ArrayList<>();
            for (int round = 0; round < 8; round++) {
                trees.forEach(tree -> asked.add(CompletableFuture.supplyAsync(tree::plans, people)));
            }
            CompletableFuture<Void> all = CompletableFuture.allOf(asked.toArray(CompletableFuture[]::new));
            assertThat(all).succeedsWithin(Duration.ofMinutes(4));
            for (int i = trees.size(); i < asked.size(); i++) {
                Plan first = asked.get(i % trees.size()).join().get(0);
                Plan again = asked.get(i).join().get(0);
                assertThat(again.steps().stream().map(Step::operation).toList())
                        .as("however busy it was")
                        .isEqualTo(first.steps().stream().map(Step::operation).toList());
            }
        } finally {
            people.shutdownNow();
        }
    }
}
