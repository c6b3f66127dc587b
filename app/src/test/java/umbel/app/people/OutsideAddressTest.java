package umbel.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import umbel.app.UmbelApplication;

/** Where others can reach the program, only whoever started it makes the first account. */
class OutsideAddressTest {

    private static final Pattern CODE = Pattern.compile("Code for the first account: ([A-Z0-9]{8})");

    @Test
    void theFirstAccountAsksForTheCodePrintedAtTheStart(@TempDir Path data) throws Exception {
        PrintStream console = System.out;
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
        try (ConfigurableApplicationContext umbel = UmbelApplication.run(
                "--server.port=0", "--server.address=0.0.0.0", "--server.shutdown=immediate", "--UMBEL_DATA=" + data)) {
            System.setOut(console);
            String url = "http://127.0.0.1:"
                    + ((WebServerApplicationContext) umbel).getWebServer().getPort();
            Visitor visitor = new Visitor(() -> url);
            assertThat(visitor.json("/api/session").get("codeNeeded").asBoolean())
                    .isTrue();
            String account = "{\"name\":\"G\",\"login\":\"g\",\"password\":\"a long pass phrase\",\"code\":\"%s\"}";
            assertThat(visitor.status("POST", "/api/session/first", account.formatted("")))
                    .isEqualTo(403);
            assertThat(visitor.status("POST", "/api/session/first", account.formatted("WRONGONE")))
                    .isEqualTo(403);
            Matcher code = CODE.matcher(printed.toString(StandardCharsets.UTF_8));
            assertThat(code.find()).as(printed.toString(StandardCharsets.UTF_8)).isTrue();
            assertThat(visitor.status("POST", "/api/session/first", account.formatted(code.group(1))))
                    .isEqualTo(201);
        } finally {
            System.setOut(console);
        }
    }
}
