package umbel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.CleanupMode;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.aot.AotDetector;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.SpringProperties;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.UmbelApplication;

/** The description of the API that ships is what a program that describes itself says, down to the last field. */
class DescriptionTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String OWN = "/described";

    @TempDir(cleanup = CleanupMode.NEVER)
    Path data;

    @Test
    void theCommittedDescriptionIsTheLiveOne() throws IOException, InterruptedException {
        Path committed = Path.of("src/main/resources/openapi.json");
        // what the build has worked out knows of no description
        SpringProperties.setProperty(AotDetector.AOT_ENABLED, "false");
        try (ConfigurableApplicationContext umbel =
                SpringApplication.run(new Class<?>[] {UmbelApplication.class, ApiDescription.class}, new String[] {
                    "--server.port=0",
                    "--server.shutdown=immediate",
                    "--umbel.demo=true",
                    "--umbel.prepare-after=-1s",
                    "--springdoc.api-docs.path=" + OWN,
                    "--springdoc.writer-with-order-by-keys=true",
                    "--springdoc.default-produces-media-type=application/json",
                    "--springdoc.default-flat-param-object=true",
                    "--UMBEL_DATA=" + data
                })) {
            int port = ((WebServerApplicationContext) umbel).getWebServer().getPort();
            JsonNode live = get(port, OWN);
            if (Boolean.getBoolean("umbel.openapi.write")) {
                Files.writeString(
                        committed, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(live) + "\n");
            }
            JsonNode kept = JSON.readTree(Files.readString(committed, StandardCharsets.UTF_8));
            assertThat(kept).as("write it anew with -Dumbel.openapi.write=true").isEqualTo(live);
            assertThat(get(port, "/api/openapi")).as("what ships").isEqualTo(kept);
        }
    }

    private static JsonNode get(int port, String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }
}
