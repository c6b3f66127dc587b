package umbel.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The whole holding in one file, taken while the program runs; nothing waits for it. */
@RestController
@RequestMapping("/api/backup")
class BackupController {

    private final JdbcTemplate database;
    private final Clock clock;

    BackupController(JdbcTemplate database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** A ZIP of the data as it stands at this moment; {@code ./umbel restore FILE} brings it back. */
    @GetMapping(produces = "application/zip")
    ResponseEntity<StreamingResponseBody> backup() throws IOException {
        Path file = Files.createTempFile("umbel-backup", ".zip");
        database.update("backup to ?", file.toString());
        String name = "umbel-" + DateTimeFormatter.ofPattern("yyyyMMdd-HHmm").format(LocalDateTime.now(clock)) + ".zip";
        StreamingResponseBody body = out -> {
            try (InputStream in = Files.newInputStream(file)) {
                in.transferTo(out);
            } finally {
                Files.deleteIfExists(file);
            }
        };
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentLength(Files.size(file))
                .body(body);
    }
}
