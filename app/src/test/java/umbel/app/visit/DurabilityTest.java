package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.OwnProcess;

/** What was acknowledged is there after the program was killed in the midst of its work. */
class DurabilityTest {

    private static final String ENTRY =
            "{\"doneOn\":\"2026-03-01\",\"who\":\"Ines\",\"minutes\":%d,\"note\":\"\",\"steps\":["
                    + "{\"mark\":{\"operation\":\"remove\",\"limb\":\"2\"},\"title\":\"Remove limb 2\",\"outcome\":\"as-planned\"}]}";
    private static final int SAVES = 50;
    private static final int KILLED_AFTER = 27;

    private final HttpClient http = HttpClient.newHttpClient();

    @Test
    void noAcknowledgedSaveIsLostWhenTheProgramIsKilledInTheMidstOfFifty(@TempDir Path data) throws Exception {
        OwnProcess first = OwnProcess.start(data, Map.of(), "--umbel.demo=true");
        List<Integer> acknowledged = Collections.synchronizedList(new ArrayList<>());
        Thread saving = new Thread(() -> save(first, acknowledged));
        try {
            awaitTrees(first);
            saving.start();
            while (acknowledged.size() < KILLED_AFTER && saving.isAlive()) {
                TimeUnit.MILLISECONDS.sleep(2);
            }
        } finally {
            first.kill();
        }
        saving.join(20_000);
        assertThat(acknowledged).as("it was killed while it was saving").hasSizeBetween(KILLED_AFTER, SAVES - 1);
        OwnProcess second = OwnProcess.start(data, Map.of(), "--umbel.demo=true");
        try {
            awaitTrees(second);
            String records = send(second, "GET", "/api/trees/1/records", "").body();
            for (int i : acknowledged) {
                assertThat(records).contains("\"minutes\":" + i + ".0,");
            }
        } finally {
            second.kill();
        }
    }

    /** Saves one after another until all are saved or nobody answers any more. */
    private void save(OwnProcess program, List<Integer> acknowledged) {
        try {
            for (int i = 1; i <= SAVES; i++) {
                if (send(program, "POST", "/api/trees/1/records", String.format(ENTRY, i))
                                .statusCode()
                        == 201) {
                    acknowledged.add(i);
                }
            }
        } catch (IOException killed) {
            // as wanted
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void awaitTrees(OwnProcess program) throws Exception {
        for (int i = 0; i < 300; i++) {
            if (send(program, "GET", "/api/trees/1/records", "").statusCode() == 200) {
                return;
            }
            TimeUnit.MILLISECONDS.sleep(300);
        }
        throw new IllegalStateException("The demo was not written");
    }

    private HttpResponse<String> send(OwnProcess program, String method, String path, String body)
            throws IOException, InterruptedException {
        return http.send(
                HttpRequest.newBuilder(URI.create(program.url() + path))
                        .header("Content-Type", "application/json")
                        .method(method, HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
