package umbel.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import umbel.app.RunningUmbel;

/** Many who send slowly hold up nobody else. */
@ExtendWith(RunningUmbel.class)
class SlowSendersTest {

    private final RunningUmbel umbel;

    SlowSendersTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void twoHundredAndThirtySlowBodiesLeaveThePagesAlone() throws Exception {
        URI url = URI.create(umbel.url());
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 230; i++) {
                Socket socket = new Socket(url.getHost(), url.getPort());
                slow.add(socket);
                socket.getOutputStream()
                        .write(("POST /api/assess HTTP/1.1\r\nHost: 127.0.0.1:" + url.getPort()
                                        + "\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{")
                                .getBytes(StandardCharsets.US_ASCII));
                socket.getOutputStream().flush();
            }
            TimeUnit.MILLISECONDS.sleep(500);
            List<Long> times = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                long began = System.nanoTime();
                assertThat(umbel.get("/api/session").status()).isEqualTo(200);
                times.add(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began));
            }
            assertThat(times)
                    .as("none waits for the slow ones, who hold on for seconds")
                    .allMatch(time -> time < 5_000);
        } finally {
            for (Socket socket : slow) {
                close(socket);
            }
        }
        assertThat(umbel.post("/api/assess", "{}").status())
                .as("they have gone")
                .isIn(400, 503);
    }

    private static void close(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            // it is gone already
        }
    }
}
