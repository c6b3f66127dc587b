package umbel.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.FarmScope;
import umbel.app.survey.SurveyRepository;

/** The real program with the demo on a free port, started once for all tests that ask for it. */
public final class RunningUmbel implements ParameterResolver {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int ACCEPTED = 202;
    private static final int TOO_BUSY = 503;
    private static final int COMES_AGAIN = 3;
    private static final long LOOKS_EVERY_MS = 50;
    private static final Duration MOST_WAIT = Duration.ofMinutes(1);
    private static RunningUmbel started;

    private ConfigurableApplicationContext context;
    private String url;
    private final HttpClient http = HttpClient.newHttpClient();

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
        return parameter.getParameter().getType() == RunningUmbel.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
        synchronized (RunningUmbel.class) {
            if (started == null) {
                started = new RunningUmbel();
                started.start();
            }
            return started;
        }
    }

    /** One of its own for a test that leaves something behind; it is to be closed. */
    public static RunningUmbel another() {
        RunningUmbel own = new RunningUmbel();
        own.start();
        return own;
    }

    /** Ends one of its own; what it kept goes when the tests end. */
    public void close() {
        context.close();
    }

    private void start() {
        try {
            Path data = Files.createTempDirectory("umbel-test");
            context = UmbelApplication.run(
                    "--server.port=0",
                    "--umbel.demo=true",
                    "--server.shutdown=immediate",
                    "--umbel.schedule-quiet=1h",
                    "--umbel.prepare-after=-1s",
                    "--UMBEL_DATA=" + data);
            int port = ((WebServerApplicationContext) context).getWebServer().getPort();
            url = "http://127.0.0.1:" + port;
            Runtime.getRuntime().addShutdownHook(new Thread(() -> end(data)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void end(Path data) {
        context.close();
        try {
            FileSystemUtils.deleteRecursively(data);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Where it answers. */
    public String url() {
        return url;
    }

    /** How many surveys it keeps. */
    public long surveys() {
        return FarmScope.acrossFarms(() -> part(SurveyRepository.class).count());
    }

    /** A part of the running program. */
    public <T> T part(Class<T> type) {
        return context.getBean(type);
    }

    /** An answer as it came. */
    public record Answer(int status, String type, String text, HttpResponse<String> response) {

        public JsonNode json() {
            return JSON.readTree(text);
        }
    }

    public Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path)).GET().build());
    }

    /** What a file download holds. */
    public byte[] bytes(String path) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create(url + path)).GET().build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Sends JSON; where the program is too busy to answer in time it asks callers to come again, and this one does, a few times. */
    public Answer post(String path, String body) {
        Answer answer = send("POST", path, body, "application/json");
        for (int again = 0; again < COMES_AGAIN && answer.status() == TOO_BUSY; again++) {
            answer = send("POST", path, body, "application/json");
        }
        return answer;
    }

    /** A recorded visit, once what it came to is worked out; that is done after it is saved. */
    public JsonNode workedOut(long tree, long record) {
        long end = System.nanoTime() + MOST_WAIT.toNanos();
        while (System.nanoTime() < end) {
            for (JsonNode visit : get("/api/trees/" + tree + "/records").json()) {
                if (visit.path("id").asLong() == record
                        && !visit.path("outcomePending").asBoolean()) {
                    return visit;
                }
            }
            sleep();
        }
        throw new IllegalStateException("What visit " + record + " came to was not worked out.");
    }

    /** An archive that is taken in, once that has ended; or the answer by which it was refused at once. */
    public Answer takenIn(byte[] archive) {
        Answer begun = send("/api/farms/archive", archive, "application/octet-stream");
        long end = System.nanoTime() + MOST_WAIT.toNanos();
        Answer now = begun;
        while (begun.status() == ACCEPTED && now.json().path("state").asString().equals("running")) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("The archive was not taken in: " + now.text());
            }
            sleep();
            now = get("/api/farms/archive/" + begun.json().path("job").asLong());
        }
        return now;
    }

    private static void sleep() {
        try {
            Thread.sleep(LOOKS_EVERY_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public Answer send(String method, String path, String body, String type) {
        return send(method, path, body, type, "en", "metric");
    }

    /** The same, answered in a language and in units. */
    public Answer send(String method, String path, String body, String type, String language, String units) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", type)
                .header("Accept-Language", language)
                .header("Umbel-Units", units)
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    /** Sends a file as it is. */
    public Answer send(String path, byte[] file, String type) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", type)
                .header("Accept-Language", "en")
                .POST(HttpRequest.BodyPublishers.ofByteArray(file))
                .build());
    }

    private Answer send(HttpRequest request) {
        try {
            HttpResponse<String> response = http.send(request, HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("content-type").orElse("");
            return new Answer(response.statusCode(), type, response.body(), response);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
