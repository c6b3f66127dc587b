package umbel.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.app.RunningUmbel;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** Requests no page of ours makes are refused with what is wrong with them, and never met with a failure. */
@ExtendWith(RunningUmbel.class)
class OddRequestsTest {

    private final RunningUmbel umbel;

    OddRequestsTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "POST | /api/trees/1/schools | {} | 400",
                "GET  | /error |  | 404",
                "POST | /api/trees/1/marks | {\"marks\":[null]} | 400",
                "POST | /api/trees/1/records | {\"doneOn\":\"2026-01-01\",\"who\":\"x\",\"minutes\":1,\"steps\":[null]} | 400",
                "POST | /api/trees/1/records | null | 400",
                "POST | /api/trees | {\"blockId\":null} | 400",
                "PUT  | /api/schedule/pieces/1 | {\"personId\":1} | 400",
                "POST | /api/blocks | {} | 400",
                "POST | /api/assess | [] | 400",
                "GET  | /api/season/days/2026-99-99 | | 404",
                "PUT  | /api/trees/1/work | {} | 400",
            })
    void noneOfThemFails(String method, String path, String body, int status) {
        RunningUmbel.Answer answer =
                umbel.send(method.strip(), path.strip(), body == null ? "" : body.strip(), "application/json");
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        assertThat(answer.type()).startsWith("application/problem+json");
    }

    @Test
    void aVeryLongNameOfAKindIsRefused() {
        String survey = SurveyReader.write(PracticeTree.survey("tall-spindle", 2, 3))
                .replaceFirst("\"species\" : \"[a-z-]*\"", "\"species\" : \"" + "a-".repeat(30_000) + "b\"");
        RunningUmbel.Answer answer = umbel.post("/api/assess", "{\"survey\":" + survey + "}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/field").asString()).isEqualTo("survey.tree.species");
    }

    @Test
    void theDemoAnswersUnderItsOwnNamesOnly() throws Exception {
        assertThat(raw("GET /api/holding HTTP/1.1\r\nHost: rebound.example\r\nConnection: close\r\n\r\n"))
                .contains(" 421 ");
        int port = URI.create(umbel.url()).getPort();
        assertThat(raw("GET /api/blocks HTTP/1.1\r\nHost: localhost:" + port + "\r\nConnection: close\r\n\r\n"))
                .contains(" 200 ");
        assertThat(raw("POST /api/holdings HTTP/1.1\r\nHost: 127.0.0.1:" + port
                        + "\r\nOrigin: http://elsewhere.example\r\nContent-Type: application/json\r\n"
                        + "Content-Length: 2\r\nConnection: close\r\n\r\n{}"))
                .contains(" 403 ");
    }

    @Test
    void labelsWaitUntilTheirAddressIsSetAndTakeItFromNoRequest() {
        assertThat(umbel.send("PUT", "/api/settings/public-address", "{\"address\":\"\"}", "application/json")
                        .status())
                .isEqualTo(200);
        assertThat(umbel.get("/api/blocks/1/labels.pdf").status()).isEqualTo(409);
        assertThat(umbel.send(
                                "PUT",
                                "/api/settings/public-address",
                                "{\"address\":\"javascript:alert(1)\"}",
                                "application/json")
                        .status())
                .isEqualTo(400);
        umbel.send(
                "PUT", "/api/settings/public-address", "{\"address\":\"https://trees.example\"}", "application/json");
        assertThat(umbel.get("/api/blocks/1/labels.pdf").status()).isEqualTo(200);
    }

    private String raw(String request) throws Exception {
        URI url = URI.create(umbel.url());
        try (Socket socket = new Socket(url.getHost(), url.getPort())) {
            socket.setSoTimeout(20_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            socket.getOutputStream().flush();
            return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))
                    .readLine();
        }
    }
}
