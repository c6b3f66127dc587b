package umbel.app.backup;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import umbel.app.UmbelSettings;
import umbel.app.database.DatabaseKind;
import umbel.app.farm.FarmScope;
import umbel.app.http.Refused;
import umbel.app.photo.PhotoFiles;
import umbel.app.visit.RecordTable;
import umbel.text.Statement;
import umbel.text.Value;

/** The whole installation in one file, taken while the program runs, and brought back at its next start. */
@RestController
@RequestMapping("/api/backup")
class BackupController {

    private final JdbcTemplate database;
    private final DatabaseKind kind;
    private final RecordTable records;
    private final UmbelSettings settings;
    private final Clock clock;

    BackupController(
            JdbcTemplate database, DatabaseKind kind, RecordTable records, UmbelSettings settings, Clock clock) {
        this.database = database;
        this.kind = kind;
        this.records = records;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * A ZIP of the data as it stands at this moment: the database, the holding's own knowledge, its photographs, and the records
     * as a table.
     */
    @GetMapping(produces = "application/zip")
    ResponseEntity<StreamingResponseBody> backup() throws IOException {
        ownFile();
        Path copy = Files.createTempFile("umbel-backup", ".zip");
        database.update("backup to ?", copy.toString());
        String name = "umbel-" + DateTimeFormatter.ofPattern("yyyyMMdd-HHmm").format(LocalDateTime.now(clock)) + ".zip";
        StreamingResponseBody body = out -> {
            try (ZipOutputStream zip = new ZipOutputStream(out)) {
                addDatabase(zip, copy);
                addFolder(zip, settings.knowledge(), BackupFile.KNOWLEDGE, ".*\\.ya?ml");
                addFolder(zip, settings.data().resolve(PhotoFiles.FOLDER), PhotoFiles.FOLDER, PhotoFiles.FILE);
                zip.putNextEntry(new ZipEntry(BackupFile.RECORDS));
                Writer table = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
                writeRecords(table);
                table.flush();
                zip.closeEntry();
            } finally {
                Files.deleteIfExists(copy);
            }
        };
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(body);
    }

    /** Checks a backup and lays it ready: it takes the place of the data at the program's next start. */
    @Hidden
    @PostMapping(value = "/restore", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    RestoreReport restore(HttpServletRequest request) throws IOException {
        ownFile();
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

    /** A database that is not a file of the program's own is backed up by its own tools. */
    private void ownFile() {
        if (!kind.isOwnFile()) {
            throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.backup-by-database"));
        }
    }

    private static void addDatabase(ZipOutputStream zip, Path copy) throws IOException {
        try (InputStream file = Files.newInputStream(copy);
                ZipInputStream in = new ZipInputStream(file)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (entry.getName().equals(BackupFile.DATABASE)) {
                    zip.putNextEntry(new ZipEntry(BackupFile.DATABASE));
                    in.transferTo(zip);
                    zip.closeEntry();
                }
            }
        }
    }

    /** The records of every farm: a backup is for whoever keeps the installation. */
    private void writeRecords(Writer table) throws IOException {
        try {
            FarmScope.acrossFarms(() -> {
                try {
                    records.write(table);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                return null;
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /** Adds the files of a folder, and of its folders, whose names match a pattern. */
    private static void addFolder(ZipOutputStream zip, Path folder, String as, String pattern) throws IOException {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> all = Files.walk(folder, 2)) {
            List<Path> files = all.filter(Files::isRegularFile)
                    .filter(file -> file.getFileName().toString().matches(pattern))
                    .sorted()
                    .toList();
            for (Path file : files) {
                addFile(zip, file, as + "/" + folder.relativize(file).toString().replace('\\', '/'));
            }
        }
    }

    /** Adds a file, unless it was deleted since it was listed. */
    private static void addFile(ZipOutputStream zip, Path file, String name) throws IOException {
        InputStream content;
        try {
            content = Files.newInputStream(file);
        } catch (NoSuchFileException e) {
            return;
        }
        try (content) {
            zip.putNextEntry(new ZipEntry(name));
            content.transferTo(zip);
            zip.closeEntry();
        }
    }
}
