package umbel.app.photo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.UmbelSettings;

/** A picture is removed while another node may come to need the same one. */
class PhotoFilesTest {

    @TempDir
    private Path data;

    private PhotoFiles files;
    private String picture;

    @BeforeEach
    void aPicture() {
        files = new PhotoFiles(
                new UmbelSettings(data, false, null, null, null, null, null, null, 0, Duration.ZERO, null, 0));
        picture = files.keep(Pictures.jpeg()).file();
    }

    private long left() throws IOException {
        try (var all = Files.list(data.resolve(PhotoFiles.FOLDER))) {
            return all.count();
        }
    }

    @Test
    void whatNobodyNeedsGoes() throws IOException {
        files.remove(picture, () -> false);
        assertThat(files.has(picture)).isFalse();
        assertThat(left()).isZero();
        files.remove(picture, () -> false);
    }

    @Test
    void whatSomebodyCameToNeedIsPutBack() throws IOException {
        files.remove(picture, () -> true);
        assertThat(files.has(picture)).isTrue();
        assertThat(left()).isEqualTo(1);
    }

    @Test
    void whoKeepsItWhileItIsAsideHasItAfterwards() throws IOException {
        files.remove(picture, () -> {
            assertThat(files.keep(Pictures.jpeg()).file()).isEqualTo(picture);
            return false;
        });
        assertThat(files.has(picture)).isTrue();
        assertThat(left()).isEqualTo(1);
    }
}
