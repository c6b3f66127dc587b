package umbel.app.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.RunningUmbel;
import umbel.app.farm.FarmScope;
import umbel.app.photo.Pictures;
import umbel.app.survey.SurveyRepository;

/** A backup is looked at before it takes anybody's place, and nothing in it is run. */
@ExtendWith(RunningUmbel.class)
class RestoreTest {

    @TempDir
    private Path folder;

    private final RunningUmbel umbel;
    private Path zip;
    private Path data;

    RestoreTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @BeforeEach
    void aBackupAndADataFolder() throws IOException {
        zip = folder.resolve("backup.zip");
        Files.write(zip, umbel.bytes("/api/backup"));
        data = Files.createDirectory(folder.resolve("data"));
    }

    @Test
    void aBackupIsRestoredAndWhatWasThereIsKept() throws IOException {
        Files.writeString(data.resolve("umbel.mv.db"), "what was there");
        RestoreReport report = BackupFile.restore(zip, data);
        assertThat(report.surveys())
                .isEqualTo(FarmScope.acrossFarms(
                        () -> umbel.part(SurveyRepository.class).count()));
        try (var files = Files.list(data)) {
            assertThat(files.map(file -> file.getFileName().toString()).filter(name -> !name.equals("photos")))
                    .hasSize(2)
                    .anyMatch(name -> name.startsWith("umbel-before-"))
                    .contains("umbel.mv.db");
        }
    }

    @Test
    void theHoldingsOwnKnowledgeAndTheRecordsAsATableAreInIt() throws IOException {
        Map<String, byte[]> entries = entries();
        assertThat(entries).containsKeys("umbel.mv.db", "records.csv");
        assertThat(new String(entries.get("records.csv"), StandardCharsets.UTF_8))
                .startsWith("visit,corrects,done_on");
        entries.put("knowledge/species/quince.yaml", "id: quince".getBytes(StandardCharsets.UTF_8));
        BackupFile.restore(write(entries), data);
        assertThat(data.resolve("knowledge/species/quince.yaml")).hasContent("id: quince");
    }

    @Test
    void thePhotographsAreInIt() throws IOException {
        String who = "/api/trees/22/photos?clientId=backed-up&takenOn=2026-01-10&moment=seen&who=Ines";
        assertThat(umbel.send(who, Pictures.jpeg(), "image/jpeg").status()).isIn(200, 201);
        long id = umbel.get("/api/trees/22/photos").json().at("/0/id").asLong();
        Files.write(zip, umbel.bytes("/api/backup"));
        Files.createDirectories(data.resolve("photos"));
        Files.writeString(data.resolve("photos/old.jpg"), "what was there");
        BackupFile.restore(zip, data);
        try (var files = Files.list(data.resolve("photos"))) {
            byte[] shown = umbel.bytes("/api/trees/22/photos/" + id);
            assertThat(files)
                    .isNotEmpty()
                    .allMatch(file -> file.getFileName().toString().matches("[0-9a-f]{64}\\.jpg"))
                    .anyMatch(file -> Arrays.equals(shown, read(file)));
        }
        try (var folders = Files.list(data)) {
            assertThat(folders.map(folder -> folder.getFileName().toString()))
                    .anyMatch(name -> name.startsWith("photos-before-"));
        }
    }

    private static byte[] read(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void aRunningProgramIsNotTakenItsDatabaseFrom() throws Exception {
        try (Connection running = DriverManager.getConnection("jdbc:h2:file:" + data.resolve("umbel"), "umbel", "")) {
            running.createStatement().execute("create table t(id int)");
            assertThatThrownBy(() -> BackupFile.restore(zip, data))
                    .isInstanceOf(NotABackup.class)
                    .hasMessageContaining("running");
        }
        BackupFile.restore(zip, data);
    }

    @Test
    void aDatabaseThatWouldRunCodeIsRefusedAndRunsNone() throws Exception {
        Path hacked = folder.resolve("hacked");
        Path hostile = folder.resolve("hostile");
        Files.write(folder.resolve("hostile.mv.db"), entries().get("umbel.mv.db"));
        try (Connection database = DriverManager.getConnection("jdbc:h2:file:" + hostile, "umbel", "");
                Statement statement = database.createStatement()) {
            statement.execute("create trigger tr before insert on tree for each row as $$ org.h2.api.Trigger create() {"
                    + " try { java.nio.file.Files.writeString(java.nio.file.Path.of(\"" + hacked + "\"), \"x\"); }"
                    + " catch (Exception e) { } return new org.h2.api.Trigger() {"
                    + " public void fire(java.sql.Connection c, Object[] o, Object[] n) { } }; } $$");
        }
        Files.delete(hacked);
        Map<String, byte[]> entries = entries();
        entries.put("umbel.mv.db", Files.readAllBytes(folder.resolve("hostile.mv.db")));
        Path attack = write(entries);
        assertThatThrownBy(() -> BackupFile.restore(attack, data))
                .isInstanceOf(NotABackup.class)
                .hasMessageContaining("does not use");
        assertThat(hacked).doesNotExist();
        assertThat(data).isEmptyDirectory();
    }

    @Test
    void aTableThatCallsAFunctionIsRefused() throws Exception {
        Path hostile = folder.resolve("reading");
        try (Connection database = DriverManager.getConnection("jdbc:h2:file:" + hostile, "umbel", "");
                Statement statement = database.createStatement()) {
            statement.execute("create table t(id int, x varchar default file_read('/etc/hostname'))");
        }
        assertThatThrownBy(() -> BackupFile.restore(
                        write(new LinkedHashMap<>(
                                Map.of("umbel.mv.db", Files.readAllBytes(folder.resolve("reading.mv.db"))))),
                        data))
                .isInstanceOf(NotABackup.class)
                .hasMessageContaining("file_read");
    }

    @Test
    void whatIsNoBackupIsRefusedAndChangesNothing() throws IOException {
        Files.writeString(data.resolve("umbel.mv.db"), "what was there");
        byte[] text = "no database".getBytes(StandardCharsets.UTF_8);
        for (String name : new String[] {
            "../umbel.mv.db",
            "/etc/cron.d/x",
            "knowledge/../../x.yaml",
            "photos/../x.jpg",
            "photos/page.html",
            "other.txt"
        }) {
            assertThatThrownBy(() -> BackupFile.restore(write(new LinkedHashMap<>(Map.of(name, text))), data))
                    .isInstanceOf(NotABackup.class);
        }
        assertThatThrownBy(() -> BackupFile.restore(write(new LinkedHashMap<>(Map.of("umbel.mv.db", text))), data))
                .isInstanceOf(NotABackup.class);
        Files.writeString(zip, "not even a ZIP file");
        assertThatThrownBy(() -> BackupFile.restore(zip, data)).isInstanceOf(NotABackup.class);
        assertThat(data.resolve("umbel.mv.db")).hasContent("what was there");
        try (var files = Files.list(data)) {
            assertThat(files).hasSize(1);
        }
    }

    @Test
    void aBackupGivenInThePageWaitsForTheNextStart() throws IOException {
        Files.writeString(data.resolve("umbel.mv.db"), "what was there");
        BackupFile.stage(zip, data);
        assertThat(data.resolve("umbel.mv.db")).hasContent("what was there");
        assertThat(BackupFile.takeStaged(data)).isTrue();
        assertThat(DatabaseCheck.of(data.resolve("umbel.mv.db")).surveys()).isPositive();
        assertThat(BackupFile.takeStaged(data)).isFalse();
    }

    private Map<String, byte[]> entries() throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    private Path write(Map<String, byte[]> entries) throws IOException {
        Path file = Files.createTempFile(folder, "made", ".zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                out.putNextEntry(new ZipEntry(entry.getKey()));
                out.write(entry.getValue());
                out.closeEntry();
            }
        }
        return file;
    }
}
