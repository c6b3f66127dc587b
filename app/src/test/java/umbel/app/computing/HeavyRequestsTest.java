package umbel.app.computing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import umbel.app.RunningUmbel;

/** No legal request, and no number of them, stops the program. */
@ExtendWith(RunningUmbel.class)
class HeavyRequestsTest {

    private final RunningUmbel umbel;

    HeavyRequestsTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void aChainOfAThousandLimbsIsRefusedByField() {
        RunningUmbel.Answer answer = umbel.post("/api/assess", "{\"survey\":" + survey(1_000, true) + "}");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("survey.limbs[12].parent");
        assertThat(answer.json().at("/errors/0/message").asString()).contains("at most 12");
    }

    @Test
    void moreWoodThanCanBeComputedIsRefusedByField() {
        RunningUmbel.Answer answer = umbel.post("/api/assess", "{\"survey\":" + survey(1_000, false) + "}");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("survey.limbs");
        assertThat(umbel.post("/api/survey/preview", survey(1_000, false))
                        .json()
                        .at("/errors/0/field")
                        .asString())
                .isEqualTo("limbs");
    }

    @Test
    void aComputationEndsWhenItsCallerLeaves() throws Exception {
        Computing computing = umbel.part(Computing.class);
        URI url = URI.create(umbel.url());
        byte[] body = ("{\"survey\":" + survey(120, false) + "}").getBytes(StandardCharsets.UTF_8);
        try (Socket socket = new Socket(url.getHost(), url.getPort())) {
            socket.getOutputStream()
                    .write(("POST /api/assess HTTP/1.1\r\nHost: 127.0.0.1:" + url.getPort()
                                    + "\r\nContent-Type: application/json\r\nContent-Length: " + body.length
                                    + "\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            socket.getOutputStream().write(body);
            socket.getOutputStream().flush();
            waitUntil(computing, 1);
        }
        long began = System.nanoTime();
        waitUntil(computing, 0);
        assertThat(TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - began))
                .as("long before its time is over")
                .isLessThan(6);
    }

    @Test
    void aCallerWhoWaitsIsNotTakenForGoneAndItsConnectionServesOn() throws Exception {
        URI url = URI.create(umbel.url());
        byte[] body = ("{\"survey\":" + survey(8, false) + "}").getBytes(StandardCharsets.UTF_8);
        String head = "POST /api/assess HTTP/1.1\r\nHost: 127.0.0.1:" + url.getPort()
                + "\r\nContent-Type: application/json\r\nContent-Length: " + body.length + "\r\n\r\n";
        try (Socket socket = new Socket(url.getHost(), url.getPort())) {
            socket.setSoTimeout(30_000);
            for (int i = 0; i < 2; i++) {
                socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
                socket.getOutputStream().write(body);
                socket.getOutputStream().flush();
                assertThat(readAnswer(socket.getInputStream())).startsWith("HTTP/1.1 200");
            }
        }
    }

    @Test
    void twentyAskedAtOnceAreAnsweredOrToldToComeAgain() throws Exception {
        String body = "{\"survey\":" + survey(14, false) + "}";
        ExecutorService programs = Executors.newFixedThreadPool(20);
        List<Callable<RunningUmbel.Answer>> calls = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            calls.add(() -> umbel.post("/api/assess", body));
        }
        int answered = 0;
        for (Future<RunningUmbel.Answer> call : programs.invokeAll(calls)) {
            RunningUmbel.Answer answer = call.get();
            assertThat(answer.status()).isIn(200, 503);
            if (answer.status() == 503) {
                assertThat(answer.response().headers().firstValue("Retry-After"))
                        .isPresent();
            } else {
                answered++;
            }
        }
        programs.shutdown();
        assertThat(answered).isPositive();
    }

    private static void waitUntil(Computing computing, int underWay) throws InterruptedException {
        for (int i = 0; i < 400 && computing.underWay(Computing.Lane.OUTSIDE) != underWay; i++) {
            TimeUnit.MILLISECONDS.sleep(25);
        }
    }

    /** One answer with the length of its body told or in chunks, as text. */
    private static String readAnswer(InputStream in) throws Exception {
        StringBuilder text = new StringBuilder();
        while (text.indexOf("\r\n\r\n") < 0) {
            text.append((char) in.read());
        }
        if (text.toString().toLowerCase(java.util.Locale.ROOT).contains("transfer-encoding: chunked")) {
            while (!text.toString().endsWith("\r\n0\r\n\r\n")) {
                text.append((char) in.read());
            }
        } else {
            int length = Integer.parseInt(text.toString().replaceAll("(?is).*content-length: (\\d+).*", "$1"));
            text.append(new String(in.readNBytes(length), StandardCharsets.UTF_8));
        }
        return text.toString();
    }

    private static String survey(int limbs, boolean chain) {
        StringBuilder text = new StringBuilder("{\"format\":\"umbel-survey/1\",\"tree\":{\"species\":\"apple\"},"
                + "\"trunk\":{\"diameter_mm\":120,\"height_cm\":300},\"limbs\":[");
        for (int i = 0; i < limbs; i++) {
            text.append(i == 0 ? "" : ",")
                    .append("{\"id\":\"l")
                    .append(i)
                    .append("\",\"parent\":\"")
                    .append(chain && i > 0 ? "l" + (i - 1) : "trunk")
                    .append("\",\"at_cm\":")
                    .append(chain && i > 0 ? 90 : 60 + i % 200)
                    .append(",\"bearing_deg\":")
                    .append(i * 137 % 360)
                    .append(",\"angle_deg\":60,\"diameter_mm\":20,\"length_cm\":100}");
        }
        return text.append("]}").toString();
    }
}
