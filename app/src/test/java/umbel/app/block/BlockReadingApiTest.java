package umbel.app.block;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class BlockReadingApiTest {

    private final RunningUmbel umbel;

    BlockReadingApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private JsonNode finished(long job) throws InterruptedException {
        Instant until = Instant.now().plus(Duration.ofSeconds(60));
        while (Instant.now().isBefore(until)) {
            JsonNode progress = umbel.get("/api/readings/" + job).json();
            if (!progress.at("/state").asString().matches("waiting|running")) {
                return progress;
            }
            Thread.sleep(50);
        }
        throw new AssertionError("the reading did not end");
    }

    @Test
    void aBlockIsReadToItsEnd() throws InterruptedException {
        RunningUmbel.Answer begun = umbel.post("/api/blocks/1/reading", "{}");
        assertThat(begun.status()).isEqualTo(202);
        JsonNode done = finished(begun.json().at("/job").asLong());
        assertThat(done.at("/state").asString()).isEqualTo("done");
        assertThat(done.at("/done").asInt())
                .isEqualTo(done.at("/total").asInt())
                .isGreaterThan(3);
        assertThat(done.at("/result/trees").asInt()).isEqualTo(done.at("/total").asInt());
        assertThat(done.at("/result/common/0/rule").asString()).isNotBlank();
        assertThat(done.at("/result/evenness")).hasSize(4);
    }

    @Test
    void aReadingCanBeStopped() throws InterruptedException {
        long first = umbel.post("/api/blocks/1/reading", "{}").json().at("/job").asLong();
        long second =
                umbel.post("/api/blocks/2/reading", "{}").json().at("/job").asLong();
        JsonNode cancelled = umbel.send("DELETE", "/api/readings/" + second, "", "application/json")
                .json();
        assertThat(cancelled.at("/state").asString()).isIn("cancelled", "done");
        assertThat(finished(first).at("/state").asString()).isEqualTo("done");
    }

    @Test
    void whatIsNotThereIsSaidNotToBe() {
        assertThat(umbel.post("/api/blocks/9999/reading", "{}").status()).isEqualTo(404);
        assertThat(umbel.get("/api/readings/9999").status()).isEqualTo(404);
    }
}
