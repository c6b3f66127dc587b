package umbel.app.management;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.mock.env.MockEnvironment;
import umbel.app.UmbelApplication;

/** Health and figures: there where a port was told, and nothing of them where none was. */
class ManagementTest {

    private static final String[] CONFIGURATIONS = {
        "org.springframework.boot.actuate.autoconfigure.endpoint.EndpointAutoConfiguration",
        "org.springframework.boot.jdbc.autoconfigure.metrics.DataSourcePoolMetricsAutoConfiguration",
        "org.springframework.boot.jdbc.autoconfigure.DataSourceAutoConfiguration",
        null
    };

    private static boolean[] taken(String port) {
        ManagementWhenWanted filter = new ManagementWhenWanted();
        MockEnvironment environment = new MockEnvironment();
        if (port != null) {
            environment.setProperty("management.server.port", port);
        }
        filter.setEnvironment(environment);
        return filter.match(CONFIGURATIONS, null);
    }

    @Test
    void nothingOfItIsSetUpWithoutAPort() {
        assertThat(taken(null)).containsExactly(false, false, true, true);
        assertThat(taken("-1")).containsExactly(false, false, true, true);
        assertThat(taken("8191")).containsExactly(true, true, true, true);
    }

    @Test
    void healthAndFiguresAreToldOnTheirOwnPortOnly(@TempDir Path data) throws Exception {
        try (ConfigurableApplicationContext umbel = UmbelApplication.run(
                "--server.port=0",
                "--management.server.port=0",
                "--server.shutdown=immediate",
                "--UMBEL_DATA=" + data)) {
            String own = umbel.getEnvironment().getProperty("local.management.port");
            String main = umbel.getEnvironment().getProperty("local.server.port");
            assertThat(own).isNotEqualTo(main);
            assertThat(get(own, "/health/readiness")).contains("\"UP\"");
            assertThat(get(own, "/health/liveness")).contains("\"UP\"");
            assertThat(get(own, "/prometheus"))
                    .contains("jvm_memory_used_bytes")
                    .contains("hikaricp_connections");
            assertThat(get(main, "/health")).doesNotContain("\"UP\"");
            assertThat(get(main, "/prometheus")).doesNotContain("jvm_memory_used_bytes");
            assertThat(get(own, "/env")).doesNotContain("propertySources");
        }
    }

    private static String get(String port, String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }
}
