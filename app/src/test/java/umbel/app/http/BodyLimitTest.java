package umbel.app.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.FilterChain;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.DelegatingServletInputStream;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.util.unit.DataSize;
import umbel.app.UmbelSettings;

class BodyLimitTest {

    private final BodyLimit limit = new BodyLimit(new UmbelSettings(
            Path.of("."),
            false,
            DataSize.ofKilobytes(1),
            null,
            Duration.ofMinutes(2),
            Duration.ofMillis(300),
            DataSize.ofMegabytes(1),
            DataSize.ofKilobytes(4),
            0,
            Duration.ZERO,
            null,
            0));

    @Test
    void aStatedLengthOverTheLimitIsRefusedBeforeAnythingIsRead() throws Exception {
        MockHttpServletRequest request = request(2000);
        MockHttpServletResponse response = new MockHttpServletResponse();
        limit.doFilter(request, response, (one, two) -> {
            throw new AssertionError("must not be reached");
        });
        assertThat(response.getStatus()).isEqualTo(413);
        assertThat(response.getContentType()).startsWith("application/problem+json");
        assertThat(response.getContentAsString()).contains("errors");
    }

    @Test
    void aBodyWithoutStatedLengthIsCountedWhileItIsRead() {
        HttpServletRequest unstated = new MockHttpServletRequest("POST", "/api/assess") {
            {
                setContent(new byte[5000]);
            }

            @Override
            public long getContentLengthLong() {
                return -1;
            }

            @Override
            public int getContentLength() {
                return -1;
            }
        };
        assertThatThrownBy(() -> limit.doFilter(
                        unstated,
                        new MockHttpServletResponse(),
                        (one, two) -> one.getInputStream().readAllBytes()))
                .isInstanceOf(BodyLimit.TooLarge.class);
    }

    @Test
    void whatFitsIsReadWhole() throws Exception {
        AtomicInteger read = new AtomicInteger();
        FilterChain chain = (one, two) -> read.set(one.getInputStream().readAllBytes().length);
        limit.doFilter(request(900), new MockHttpServletResponse(), chain);
        assertThat(read).hasValue(900);
    }

    @Test
    void byteByByteCountsTheSame() {
        HttpServletRequest unstated = new MockHttpServletRequest("POST", "/api/assess") {
            {
                setContent(new byte[1500]);
            }

            @Override
            public long getContentLengthLong() {
                return -1;
            }
        };
        assertThatThrownBy(() -> limit.doFilter(unstated, new MockHttpServletResponse(), (one, two) -> {
                    while (one.getInputStream().read() >= 0) {
                        // read to the end
                    }
                }))
                .isInstanceOf(IOException.class);
    }

    @Test
    void aBodyThatTricklesIsGivenUpInTime() {
        assertThatThrownBy(() -> limit.doFilter(trickling(null), new MockHttpServletResponse(), (one, two) -> {
                    while (one.getInputStream().read() >= 0) {
                        // read to the end
                    }
                }))
                .isInstanceOf(BodyLimit.TooSlow.class);
    }

    @Test
    void aSmallBodyThatTricklesIsGivenUpWhereItIsRead() {
        AtomicInteger reached = new AtomicInteger();
        assertThatThrownBy(() ->
                        limit.doFilter(trickling("application/json"), new MockHttpServletResponse(), (one, two) -> {
                            reached.incrementAndGet();
                            one.getInputStream().readAllBytes();
                        }))
                .isInstanceOf(BodyLimit.TooSlow.class);
        assertThat(reached).as("it is told as any other").hasValue(1);
    }

    /** It may be as large as a backup: only what is known to be small is held in memory. */
    @Test
    void aBodyWithoutStatedLengthIsNotReadBeforeSomebodyWantsIt() throws Exception {
        AtomicInteger read = new AtomicInteger();
        MockHttpServletRequest unstated = new MockHttpServletRequest("POST", "/api/backup/restore") {
            @Override
            public long getContentLengthLong() {
                return -1;
            }

            @Override
            public ServletInputStream getInputStream() {
                return new DelegatingServletInputStream(new InputStream() {
                    @Override
                    public int read() {
                        return read.incrementAndGet() > 900 ? -1 : 0;
                    }
                });
            }
        };
        unstated.setContentType("application/json");
        unstated.addHeader("Transfer-Encoding", "chunked");
        AtomicInteger beforehand = new AtomicInteger(-1);
        limit.doFilter(unstated, new MockHttpServletResponse(), (one, two) -> beforehand.set(read.get()));
        assertThat(beforehand).hasValue(0);
    }

    @Test
    void aBackupMayBeLargerThanWhatPagesSend() throws Exception {
        AtomicInteger read = new AtomicInteger();
        FilterChain chain = (one, two) -> read.set(one.getInputStream().readAllBytes().length);
        MockHttpServletRequest backup = new MockHttpServletRequest("POST", "/api/backup/restore");
        backup.setContent(new byte[3_000]);
        limit.doFilter(backup, new MockHttpServletResponse(), chain);
        assertThat(read).hasValue(3_000);
    }

    /** A hundred people of one office have one address: whoever only waits for an answer sends nothing any more. */
    @Test
    void aSmallBodyThatIsThereIsNotOnItsWayWhileItIsAnswered() throws Exception {
        assertThat(answeredWithinEachOther(60, "application/json")).isEqualTo(60);
    }

    @Test
    void bodiesOnTheirWayFromOneAddressAreLimitedAndTheRefusedAreToldSo() throws Exception {
        assertThat(answeredWithinEachOther(60, "application/octet-stream")).isLessThan(60);
    }

    /** So many requests, each of which comes while the one before is being answered and has read its body only after that. */
    private int answeredWithinEachOther(int count, String type) throws Exception {
        if (count == 0) {
            return 0;
        }
        MockHttpServletRequest request = request(500);
        request.setContentType(type);
        MockHttpServletResponse response = new MockHttpServletResponse();
        AtomicInteger answered = new AtomicInteger();
        limit.doFilter(request, response, (one, two) -> {
            try {
                answered.set(1 + answeredWithinEachOther(count - 1, type));
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
            assertThat(one.getInputStream().readAllBytes()).hasSize(500);
        });
        if (answered.get() == 0) {
            assertThat(response.getStatus()).isEqualTo(503);
            MockHttpServletResponse page = new MockHttpServletResponse();
            request.setAttribute(RequestDispatcher.ERROR_STATUS_CODE, 503);
            new ErrorAnswer().tell(request, page);
            assertThat(page.getContentAsString()).contains("problem.too-many-requests");
        }
        return answered.get();
    }

    /** A body of which 60 of 900 bytes come, one every 20 ms. */
    private static HttpServletRequest trickling(String type) {
        return new MockHttpServletRequest("POST", "/api/assess") {
            {
                setContentType(type);
            }

            @Override
            public long getContentLengthLong() {
                return 900;
            }

            @Override
            public ServletInputStream getInputStream() {
                return new DelegatingServletInputStream(new InputStream() {
                    private int left = 60;

                    @Override
                    public int read() throws IOException {
                        if (left-- <= 0) {
                            return -1;
                        }
                        try {
                            TimeUnit.MILLISECONDS.sleep(20);
                        } catch (InterruptedException e) {
                            throw new IOException(e);
                        }
                        return 'x';
                    }
                });
            }
        };
    }

    private static MockHttpServletRequest request(int size) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/assess");
        request.setContent(new byte[size]);
        return request;
    }
}
