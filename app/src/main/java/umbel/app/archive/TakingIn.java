package umbel.app.archive;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.UmbelSettings;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.app.job.JobProgress;
import umbel.app.job.JobService;
import umbel.app.job.WholeWork;
import umbel.app.people.FarmFounding;
import umbel.text.Statement;

/**
 * Takes archives in as new farms, in the background. The file lies in the data folder, which all nodes share, until it is done; the farm
 * is there from the beginning, and all its rows come with the end of the job or not at all.
 */
@Service
class TakingIn implements WholeWork {

    private static final String KIND = "taking-in";
    private static final String FOLDER = "uploads";
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int TOLD_EVERY = 500;

    private final ArchiveReader reader;
    private final Farms farms;
    private final FarmFounding founding;
    private final JobService jobs;
    private final TransactionTemplate transactions;
    private final Path folder;

    TakingIn(
            ArchiveReader reader,
            Farms farms,
            FarmFounding founding,
            JobService jobs,
            TransactionTemplate transactions,
            UmbelSettings settings) {
        this.reader = reader;
        this.farms = farms;
        this.founding = founding;
        this.jobs = jobs;
        this.transactions = transactions;
        this.folder = settings.data().resolve(FOLDER);
    }

    /** What a job is given: the file, by its name in the folder. */
    record Given(String file) {}

    /**
     * What comes of it.
     *
     * @param farm number of the farm; 0 where none came of it
     * @param rows how many came into each table; null while they have not
     * @param problem code of why it was not taken in; null where it was, or is not yet
     */
    record Outcome(long farm, Map<String, Long> rows, String problem) {}

    /**
     * How far one has come.
     *
     * @param farm that came of it; null where none did, or it is not done
     */
    record State(JobProgress job, Farm farm, Outcome outcome) {}

    /**
     * Begins to take an archive in.
     *
     * @throws NotAnArchive where it is seen at once that it is none, or one of a newer version
     * @throws Refused where another is being taken in
     */
    State begin(InputStream archive, String who) throws IOException, NotAnArchive {
        Files.createDirectories(folder);
        Path file = Files.createTempFile(folder, "farm-", ".zip");
        boolean begun = false;
        try {
            Files.copy(archive, file, StandardCopyOption.REPLACE_EXISTING);
            FarmArchive.About about = reader.about(file);
            String given = JSON.writeValueAsString(new Given(file.getFileName().toString()));
            Optional<JobProgress> job = jobs.beginWhole(KIND, null, about.parts(), who, given);
            begun = job.isPresent();
            return new State(
                    job.orElseThrow(() -> new Refused(HttpStatus.CONFLICT, Statement.of("problem.archive-under-way"))),
                    null,
                    null);
        } finally {
            if (!begun) {
                Files.deleteIfExists(file);
            }
        }
    }

    /** How far the last one has come; empty where there was none. */
    Optional<State> last() {
        return jobs.last(KIND, null).map(this::state);
    }

    /** How far one has come. */
    State state(long job) {
        return state(jobs.progress(KIND, job));
    }

    private State state(JobProgress progress) {
        Outcome outcome =
                jobs.outcome(KIND, progress.job()).map(TakingIn::outcome).orElse(null);
        Farm farm = progress.complete() && outcome != null ? farms.existing(outcome.farm()) : null;
        return new State(progress, farm, outcome);
    }

    /** Stops one; nothing of it stays. */
    State cancel(long job) {
        jobs.cancel(KIND, job);
        return state(job);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Runnable of(RunningJob job) {
        Path file = file(job.given());
        FarmArchive.About about;
        try {
            about = reader.about(file);
        } catch (NotAnArchive e) {
            throw impossible(e);
        }
        long farm = job.outcome() == null
                ? begun(job, about)
                : outcome(job.outcome()).farm();
        founding.settle(farm, job.who());
        return () -> {
            try {
                Map<String, Long> rows = reader.read(file, farm, done -> {
                    if (job.cancelled()) {
                        throw new CancellationException();
                    }
                    if (done % TOLD_EVERY == 0) {
                        job.report(done);
                    }
                });
                job.found(JSON.writeValueAsString(new Outcome(farm, rows, null)));
            } catch (NotAnArchive e) {
                throw impossible(e, farm);
            }
        };
    }

    /** The farm, and that this job has begun it, in one transaction: a node that takes it up goes on with the same farm. */
    private long begun(RunningJob job, FarmArchive.About about) {
        return transactions.execute(status -> {
            Farm farm = farms.add(about.name() == null ? "" : about.name());
            job.found(JSON.writeValueAsString(new Outcome(farm.id(), null, null)));
            return farm.id();
        });
    }

    /** Takes the file away, and the farm too where nothing came into it. */
    @Override
    public void clear(EndedJob job) {
        try {
            if (!job.done() && job.outcome() != null && outcome(job.outcome()).farm() > 0) {
                founding.undo(outcome(job.outcome()).farm());
            }
            Files.deleteIfExists(file(job.given()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path file(String given) {
        return folder.resolve(JSON.readValue(given, Given.class).file());
    }

    private static Outcome outcome(String text) {
        return JSON.readValue(text, Outcome.class);
    }

    private static Impossible impossible(NotAnArchive why) {
        return impossible(why, 0);
    }

    private static Impossible impossible(NotAnArchive why, long farm) {
        return new Impossible(
                JSON.writeValueAsString(new Outcome(farm, null, why.why().code())), why);
    }
}
