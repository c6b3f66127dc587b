package umbel.app.backup;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import umbel.app.UmbelSettings;
import umbel.app.http.Refused;
import umbel.app.job.JobProgress;
import umbel.app.people.SignedIn;
import umbel.text.Statement;
import umbel.text.Value;

/** The whole installation in one file: at once, or kept in the data folder; and brought back at the program's next start. */
@RestController
@RequestMapping("/api")
class BackupController {

    private static final String ZIP = "application/zip";

    private final BackupWriter writer;
    private final KeptBackups kept;
    private final UmbelSettings settings;
    private final Clock clock;

    BackupController(BackupWriter writer, KeptBackups kept, UmbelSettings settings, Clock clock) {
        this.writer = writer;
        this.kept = kept;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * A backup that is kept.
     *
     * @param name of its file
     */
    public record BackupLine(String name, long bytes, Instant madeAt) {}

    /**
     * The backups that are kept.
     *
     * @param job how far the last one has come; null where there was none
     * @param mostKept how many stay; where it is 0, none is made by night and all that are asked for stay
     * @param backups the newest first
     */
    public record BackupsKept(JobProgress job, int mostKept, List<BackupLine> backups) {}

    /**
     * A ZIP of the data as it stands at this moment: the database, the holding's own knowledge, its photographs, and the records
     * as a table.
     */
    @GetMapping(value = "/backup", produces = ZIP)
    ResponseEntity<StreamingResponseBody> backup() {
        writer.requireOwnFile();
        String name = "umbel-" + DateTimeFormatter.ofPattern("yyyyMMdd-HHmm").format(LocalDateTime.now(clock)) + ".zip";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(name))
                .body(out -> writer.write(out, () -> {}));
    }

    /** The backups that are kept in the data folder. */
    @GetMapping("/backups")
    BackupsKept keptBackups() {
        writer.requireOwnFile();
        JobProgress job = kept.last().orElse(null);
        return new BackupsKept(
                job,
                kept.mostKept(),
                kept.all().stream()
                        .map(one -> new BackupLine(one.name(), one.bytes(), one.madeAt()))
                        .toList());
    }

    /** Begins to make one. */
    @PostMapping("/backups")
    @ResponseStatus(HttpStatus.ACCEPTED)
    BackupsKept beginBackup() {
        kept.begin(SignedIn.name());
        return keptBackups();
    }

    /** Stops that. */
    @DeleteMapping("/backups")
    BackupsKept stopBackup() {
        kept.cancel();
        return keptBackups();
    }

    /** One that is kept. */
    @GetMapping(value = "/backups/{name}", produces = ZIP)
    ResponseEntity<Resource> keptBackup(@PathVariable String name) {
        writer.requireOwnFile();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(name))
                .body(new FileSystemResource(kept.file(name)));
    }

    /** Checks a backup and lays it ready: it takes the place of the data at the program's next start. */
    @Hidden
    @PostMapping(value = "/backup/restore", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    RestoreReport restore(HttpServletRequest request) throws IOException {
        writer.requireOwnFile();
        Path upload = Files.createTempFile("umbel-restore", ".zip");
        try {
            Files.copy(request.getInputStream(), upload, StandardCopyOption.REPLACE_EXISTING);
            return BackupFile.stage(upload, settings.data());
        } catch (NotABackup e) {
            throw new Refused(
                    HttpStatus.BAD_REQUEST,
                    Statement.of("problem.not-restored").with("reason", new Value.Several(List.of(e.why()))));
        } finally {
            Files.deleteIfExists(upload);
        }
    }

    private static String attachment(String name) {
        return ContentDisposition.attachment().filename(name).build().toString();
    }
}
