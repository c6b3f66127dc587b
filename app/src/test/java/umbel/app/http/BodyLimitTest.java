package umbel.app.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.FilterChain;
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
        HttpServletRequest slow = new MockHttpServletRequest("POST", "/api/assess") {
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
        assertThatThrownBy(() -> limit.doFilter(slow, new MockHttpServletResponse(), (one, two) -> {
                    while (one.getInputStream().read() >= 0) {
                        // read to the end
                    }
                }))
                .isInstanceOf(BodyLimit.TooSlow.class);
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

    private static MockHttpServletRequest request(int size) {
        MockHttpServletRequest request = new MockHttpServletRequest("POST", "/api/assess");
        request.setContent(new byte[size]);
        return request;
    }
}
