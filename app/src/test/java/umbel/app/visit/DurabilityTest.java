package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.UmbelApplication;

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
        int port = freePort();
        Process first = start(data, port);
        List<Integer> acknowledged = Collections.synchronizedList(new ArrayList<>());
        Thread saving = new Thread(() -> save(port, acknowledged));
        try {
            awaitTrees(port);
            saving.start();
            while (acknowledged.size() < KILLED_AFTER && saving.isAlive()) {
                TimeUnit.MILLISECONDS.sleep(2);
            }
        } finally {
            first.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
        }
        saving.join(20_000);
        assertThat(acknowledged).as("it was killed while it was saving").hasSizeBetween(KILLED_AFTER, SAVES - 1);
        Process second = start(data, port);
        try {
            awaitTrees(port);
            String records = send(port, "GET", "/api/trees/1/records", "").body();
            for (int i : acknowledged) {
                assertThat(records).contains("\"minutes\":" + i + ".0,");
            }
        } finally {
            second.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
        }
    }

    /** Saves one after another until all are saved or nobody answers any more. */
    private void save(int port, List<Integer> acknowledged) {
        try {
            for (int i = 1; i <= SAVES; i++) {
                if (send(port, "POST", "/api/trees/1/records", String.format(ENTRY, i))
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

    private static Process start(Path data, int port) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", // it runs for seconds only
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                UmbelApplication.class.getName(),
                "--umbel.demo=true");
        builder.environment().put("UMBEL_DATA", data.toString());
        builder.environment().put("UMBEL_PORT", String.valueOf(port));
        builder.redirectErrorStream(true);
        builder.redirectOutput(Files.createTempFile(data, "log", ".txt").toFile());
        return builder.start();
    }

    private void awaitTrees(int port) throws Exception {
        for (int i = 0; i < 300; i++) {
            try {
                HttpResponse<String> answer = send(port, "GET", "/api/trees/1/records", "");
                if (answer.statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // it is still starting
            }
            TimeUnit.MILLISECONDS.sleep(300);
        }
        throw new IllegalStateException("The program did not start");
    }

    private HttpResponse<String> send(int port, String method, String path, String body)
            throws IOException, InterruptedException {
        return http.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                        .header("Content-Type", "application/json")
                        .method(method, HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static int freePort() throws IOException {
        try (java.net.ServerSocket socket = new java.net.ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
