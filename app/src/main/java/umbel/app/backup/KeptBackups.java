package umbel.app.backup;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import umbel.app.UmbelSettings;
import umbel.app.farm.Farm;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.job.JobProgress;
import umbel.app.job.JobService;
import umbel.app.job.NightWork;
import umbel.app.job.WholeWork;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Backups that are kept in the data folder: one every night, and whenever one is asked for. The newest so many stay, or all. They are of the
 * whole installation, and belong to its first farm as jobs.
 */
@Service
class KeptBackups implements WholeWork, NightWork {

    private static final Logger LOG = LoggerFactory.getLogger(KeptBackups.class);
    private static final String KIND = "backup";
    private static final String FOLDER = "backups";
    private static final String BY_NIGHT = "night";
    private static final String UNFINISHED = ".part";
    private static final Pattern NAME = Pattern.compile("umbel-\\d{8}-\\d{6}\\.zip");
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");
    private static final long MEGABYTE = 1_000_000;

    private final BackupWriter writer;
    private final JobService jobs;
    private final Farms farms;
    private final UmbelSettings settings;
    private final Clock clock;
    private final Path folder;

    KeptBackups(BackupWriter writer, JobService jobs, Farms farms, UmbelSettings settings, Clock clock) {
        this.writer = writer;
        this.jobs = jobs;
        this.farms = farms;
        this.settings = settings;
        this.clock = clock;
        this.folder = settings.data().resolve(FOLDER);
    }

    /** A backup in the folder. */
    record KeptBackup(String name, long bytes, Instant madeAt) {}

    /** How many stay; where it is 0, none is made by night and all that are asked for stay. */
    int mostKept() {
        return settings.backupsKept();
    }

    /** Those in the folder, the newest first. */
    List<KeptBackup> all() {
        try {
            return listed();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<KeptBackup> listed() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            List<Path> backups = files.filter(
                            file -> NAME.matcher(file.getFileName().toString()).matches())
                    .sorted(Comparator.reverseOrder())
                    .toList();
            List<KeptBackup> kept = new ArrayList<>();
            for (Path file : backups) {
                kept.add(new KeptBackup(
                        file.getFileName().toString(),
                        Files.size(file),
                        Files.getLastModifiedTime(file).toInstant()));
            }
            return kept;
        }
    }

    /**
     * The file of one.
     *
     * @throws NotFound where there is none of that name
     */
    Path file(String name) {
        if (!NAME.matcher(name).matches() || !Files.isRegularFile(folder.resolve(name))) {
            throw new NotFound("backup", name);
        }
        return folder.resolve(name);
    }

    /** How far the last one has come; empty where there was none. */
    Optional<JobProgress> last() {
        return FarmScope.in(farms.numberOfFirst(), () -> jobs.last(KIND, null));
    }

    /**
     * Begins one; one that is under way goes on instead.
     *
     * @throws Refused where the database is not a file of the program's own, or there is not enough room
     */
    void begin(String who) {
        writer.requireOwnFile();
        int parts;
        try {
            requireRoom();
            parts = writer.parts();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        FarmScope.run(farms.numberOfFirst(), () -> jobs.beginWhole(KIND, null, parts, who));
    }

    /** Stops the one that is under way. */
    void cancel() {
        FarmScope.run(
                farms.numberOfFirst(),
                () -> jobs.last(KIND, null)
                        .filter(JobProgress::underWay)
                        .ifPresent(job -> jobs.cancel(KIND, job.job())));
    }

    /** Beside the copy that is laid aside first there must be room for the backup, and for what is saved meanwhile. */
    private void requireRoom() throws IOException {
        Files.createDirectories(folder);
        long needed = 2 * writer.size() + settings.leastDisk().toBytes();
        long free = Files.getFileStore(folder).getUsableSpace();
        if (free < needed) {
            throw new Refused(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    Statement.of("problem.no-room-for-backup")
                            .with("needed", Value.count(needed / MEGABYTE))
                            .with("free", Value.count(free / MEGABYTE)));
        }
    }

    @Override
    public void begin(Farm farm) {
        if (settings.backupsKept() > 0 && writer.applies() && farm.id() == farms.numberOfFirst()) {
            try {
                begin(BY_NIGHT);
            } catch (Refused e) {
                LOG.warn("No backup was made this night: {}", e.getMessage());
            }
        }
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Runnable of(RunningJob job) {
        String name = "umbel-" + MOMENT.format(LocalDateTime.now(clock)) + ".zip";
        Path unfinished = folder.resolve(name + UNFINISHED);
        try {
            removeUnfinished();
            int[] written = {0};
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(unfinished))) {
                writer.write(out, () -> {
                    if (job.cancelled()) {
                        throw new CancellationException();
                    }
                    job.report(++written[0]);
                });
            }
            Files.move(unfinished, folder.resolve(name), StandardCopyOption.ATOMIC_MOVE);
            removeOld();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            removeQuietly(unfinished);
        }
        return () -> {};
    }

    /** What a killed program left. */
    private void removeUnfinished() throws IOException {
        Files.createDirectories(folder);
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(UNFINISHED)).toList()) {
                Files.deleteIfExists(file);
            }
        }
    }

    private void removeOld() throws IOException {
        if (settings.backupsKept() > 0) {
            for (KeptBackup old : listed().stream().skip(settings.backupsKept()).toList()) {
                Files.deleteIfExists(folder.resolve(old.name()));
            }
        }
    }

    private static void removeQuietly(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} could not be removed.", file, e);
        }
    }
}
