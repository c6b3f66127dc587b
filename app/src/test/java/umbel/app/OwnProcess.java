package umbel.app;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** The program in a process of its own, which can be killed. */
public final class OwnProcess {

    private static final int ASKED_TIMES = 400;
    private static final int PAUSE_MS = 300;

    private final Process process;
    private final int port;

    private OwnProcess(Process process, int port) {
        this.process = process;
        this.port = port;
    }

    /** Starts it on a free port, and waits until it answers. */
    public static OwnProcess start(Path data, Map<String, String> settings, String... arguments)
            throws IOException, InterruptedException {
        int port = freePort();
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", // it runs for seconds only
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                UmbelApplication.class.getName(),
                "--umbel.prepare-after=-1s"));
        command.addAll(Arrays.asList(arguments));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("UMBEL_DATA", data.toString());
        builder.environment().put("UMBEL_PORT", String.valueOf(port));
        builder.environment().putAll(settings);
        builder.redirectErrorStream(true);
        builder.redirectOutput(Files.createTempFile(data, "log", ".txt").toFile());
        OwnProcess started = new OwnProcess(builder.start(), port);
        started.await();
        return started;
    }

    /** Where it answers. */
    public String url() {
        return "http://127.0.0.1:" + port;
    }

    /** Kills it without a warning. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
    }

    private void await() throws InterruptedException, IOException {
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest question =
                HttpRequest.newBuilder(URI.create(url() + "/api/session")).build();
        for (int i = 0; i < ASKED_TIMES && process.isAlive(); i++) {
            try {
                if (http.send(question, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // it is still starting
            }
            TimeUnit.MILLISECONDS.sleep(PAUSE_MS);
        }
        kill();
        throw new IllegalStateException("The program did not start");
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
