package umbel.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import umbel.app.UmbelSettings;
import umbel.app.database.DatabaseKind;
import umbel.app.farm.FarmScope;
import umbel.app.http.Refused;
import umbel.app.photo.PhotoFiles;
import umbel.app.visit.RecordTable;
import umbel.text.Statement;

/**
 * Writes the whole installation as a ZIP while the program runs: the database as it stands at one moment, the holding's own knowledge,
 * its photographs, and the records as a table.
 */
@Component
class BackupWriter {

    private static final String KNOWLEDGE_FILE = ".*\\.ya?ml";
    /** The database and the records, besides the files. */
    private static final int OTHER_PARTS = 2;

    private final JdbcTemplate database;
    private final DatabaseKind kind;
    private final RecordTable records;
    private final UmbelSettings settings;

    BackupWriter(JdbcTemplate database, DatabaseKind kind, RecordTable records, UmbelSettings settings) {
        this.database = database;
        this.kind = kind;
        this.records = records;
        this.settings = settings;
    }

    /** Whether there is a database that is backed up by this program. */
    boolean applies() {
        return kind.isOwnFile();
    }

    /** A database that is not a file of the program's own is backed up by its own tools. */
    void requireOwnFile() {
        if (!applies()) {
            throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.backup-by-database"));
        }
    }

    /** Of how many parts one consists that is written now. */
    int parts() throws IOException {
        return OTHER_PARTS + files().size();
    }

    /** The most room one takes that is written now, in bytes. */
    long size() throws IOException {
        long size = Files.size(settings.data().resolve(BackupFile.DATABASE));
        for (Path file : files().values()) {
            size += Files.size(file);
        }
        return size;
    }

    /**
     * Writes one.
     *
     * @param written told after each part
     */
    void write(OutputStream out, Runnable written) throws IOException {
        Path copy = Files.createTempFile("umbel-backup", ".zip");
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            database.update("backup to ?", copy.toString());
            addDatabase(zip, copy);
            written.run();
            for (Map.Entry<String, Path> file : files().entrySet()) {
                addFile(zip, file.getValue(), file.getKey());
                written.run();
            }
            zip.putNextEntry(new ZipEntry(BackupFile.RECORDS));
            Writer table = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
            writeRecords(table);
            table.flush();
            zip.closeEntry();
            written.run();
        } finally {
            Files.deleteIfExists(copy);
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

    /** The files that go with the database, by their names in the ZIP. */
    private Map<String, Path> files() throws IOException {
        Map<String, Path> files = new TreeMap<>();
        files.putAll(files(settings.knowledge(), BackupFile.KNOWLEDGE, KNOWLEDGE_FILE));
        files.putAll(files(settings.data().resolve(PhotoFiles.FOLDER), PhotoFiles.FOLDER, PhotoFiles.FILE));
        return files;
    }

    /** The files of a folder, and of its folders, whose names match a pattern. */
    private static Map<String, Path> files(Path folder, String as, String pattern) throws IOException {
        if (!Files.isDirectory(folder)) {
            return Map.of();
        }
        try (Stream<Path> all = Files.walk(folder, 2)) {
            List<Path> there = all.filter(Files::isRegularFile)
                    .filter(file -> file.getFileName().toString().matches(pattern))
                    .toList();
            Map<String, Path> files = new TreeMap<>();
            there.forEach(file ->
                    files.put(as + "/" + folder.relativize(file).toString().replace('\\', '/'), file));
            return files;
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
