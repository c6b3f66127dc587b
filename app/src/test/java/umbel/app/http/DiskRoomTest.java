package umbel.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.util.unit.DataSize;
import umbel.app.UmbelSettings;

/** Near the end of the disk nothing is saved, everything can still be read, and it is said why. */
class DiskRoomTest {

    @TempDir
    private Path data;

    private MockHttpServletResponse ask(String method, DataSize least, AtomicBoolean reached) throws Exception {
        DiskRoom room = new DiskRoom(new UmbelSettings(
                data,
                false,
                DataSize.ofMegabytes(1),
                null,
                Duration.ZERO,
                Duration.ZERO,
                least,
                DataSize.ofMegabytes(1),
                0,
                Duration.ZERO,
                null,
                0));
        MockHttpServletResponse response = new MockHttpServletResponse();
        room.doFilter(
                new MockHttpServletRequest(method, "/api/trees/1/work"), response, (one, two) -> reached.set(true));
        return response;
    }

    @Test
    void aSaveIsRefusedBeforeItReachesTheDatabase() throws Exception {
        AtomicBoolean reached = new AtomicBoolean();
        MockHttpServletResponse response = ask("PUT", DataSize.ofTerabytes(1_000_000), reached);
        assertThat(response.getStatus()).isEqualTo(507);
        assertThat(response.getContentAsString()).contains("The disk is full");
        assertThat(reached).isFalse();
    }

    @Test
    void readingGoesOnAndSavingTooOnceThereIsRoom() throws Exception {
        AtomicBoolean read = new AtomicBoolean();
        ask("GET", DataSize.ofTerabytes(1_000_000), read);
        assertThat(read).isTrue();
        AtomicBoolean saved = new AtomicBoolean();
        ask("PUT", DataSize.ofBytes(1), saved);
        assertThat(saved).isTrue();
    }
}
