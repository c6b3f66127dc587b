package umbel.app.job;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.http.NotFound;
import umbel.app.survey.SurveyLine;

/** Begins jobs of the farm, tells how far they have come, and cancels them. */
@Service
public class JobService {

    /** A farm's jobs are worked on in so many queues at once, each by one node at a time. */
    static final int LANES = 4;

    private static final int BATCH = 500;
    private static final Duration KEPT = Duration.ofDays(14);

    private final JobRepository jobs;
    private final JobPartRepository parts;
    private final JdbcTemplate database;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    JobService(
            JobRepository jobs,
            JobPartRepository parts,
            JdbcTemplate database,
            TransactionTemplate transactions,
            ApplicationEventPublisher events,
            Clock clock) {
        this.jobs = jobs;
        this.parts = parts;
        this.database = database;
        this.transactions = transactions;
        this.events = events;
        this.clock = clock;
    }

    /** Something waits to be done in a farm. */
    record WorkWaits(long farm) {}

    /**
     * Begins a job; one of the same kind about the same block that is under way goes on instead.
     *
     * @param block null for every block of the farm
     * @param surveys of the trees it is to be done for
     */
    public JobProgress begin(String kind, Long block, List<SurveyLine> surveys, String who) {
        Job job = transactions.execute(status -> {
            Optional<Job> before =
                    jobs.findLast(kind, block).filter(one -> one.state().equals(Job.RUNNING));
            if (before.isPresent()) {
                return before.get();
            }
            Job begun = jobs.saveAndFlush(new Job(kind, block, who, clock.instant(), surveys.size()));
            addParts(begun, surveys);
            return begun;
        });
        events.publishEvent(new WorkWaits(FarmScope.current()));
        return progress(job);
    }

    /**
     * Begins a job that is done in one piece; one of the same kind about the same block that is under way goes on instead.
     *
     * @param block null for every block of the farm
     * @param total what its progress is counted to
     */
    public JobProgress beginWhole(String kind, Long block, int total, String who) {
        return beginWhole(kind, block, total, who, null)
                .orElseGet(() -> last(kind, block).orElseThrow());
    }

    /**
     * Begins a job that is done in one piece, on something that it is given.
     *
     * @param block null for every block of the farm
     * @param total what its progress is counted to
     * @param given null where all it works on follows from its kind and block
     * @return empty where one of the same kind about the same block is under way
     */
    public Optional<JobProgress> beginWhole(String kind, Long block, int total, String who, String given) {
        Job job = transactions.execute(status -> {
            boolean underWay = jobs.findLast(kind, block)
                    .filter(one -> one.endedAt() == null)
                    .isPresent();
            return underWay ? null : jobs.saveAndFlush(Job.inOnePiece(kind, block, who, clock.instant(), total, given));
        });
        if (job == null) {
            return Optional.empty();
        }
        events.publishEvent(new WorkWaits(FarmScope.current()));
        return Optional.of(progress(job));
    }

    /** What came of a job in one piece; empty where nothing did, or it goes on. */
    public Optional<String> outcome(String kind, long id) {
        return Optional.of(job(kind, id)).filter(one -> one.endedAt() != null).map(Job::outcome);
    }

    /** Asks the job of a kind about a block that is under way to end, and keep what it has found. */
    public void askToEnd(String kind, Long block) {
        transactions.executeWithoutResult(
                status -> jobs.findLast(kind, block).ifPresent(job -> jobs.askToEnd(job.id())));
    }

    private void addParts(Job job, List<SurveyLine> surveys) {
        long farm = FarmScope.current();
        int[] at = {0};
        database.batchUpdate(
                "insert into job_part (farm_id, job_id, tree_id, survey_id, lane, state) values (?, ?, ?, ?, ?, ?)",
                surveys,
                BATCH,
                (put, survey) -> {
                    put.setLong(1, farm);
                    put.setLong(2, job.id());
                    put.setLong(3, survey.treeId());
                    put.setLong(4, survey.id());
                    put.setInt(5, at[0]++ % LANES);
                    put.setString(6, JobPart.WAITING);
                });
    }

    /** How far the last job of a kind about a block has come; empty where there was none. */
    public Optional<JobProgress> last(String kind, Long block) {
        return transactions.execute(status -> jobs.findLast(kind, block).map(this::progress));
    }

    /**
     * How far a job has come.
     *
     * @throws NotFound where the farm has none of that kind and number
     */
    public JobProgress progress(String kind, long id) {
        return progress(job(kind, id));
    }

    /** What came of the trees that are done. */
    public List<String> results(long id) {
        return transactions.execute(status -> parts.findByJobIdAndStateOrderByIdAsc(id, JobPart.DONE).stream()
                .map(JobPart::result)
                .toList());
    }

    /** Stops a job before its next trees; those that are done stay done. */
    public JobProgress cancel(String kind, long id) {
        job(kind, id);
        transactions.executeWithoutResult(status -> jobs.cancel(id, clock.instant()));
        return progress(kind, id);
    }

    /** Forgets jobs of the farm that ended long ago. */
    void forgetOld() {
        Instant before = clock.instant().minus(KEPT);
        transactions.executeWithoutResult(status -> {
            List<Long> old = jobs.findEndedBefore(before);
            if (!old.isEmpty()) {
                parts.deleteByJobs(old);
                jobs.deleteAllByIdInBatch(old);
            }
        });
    }

    private Job job(String kind, long id) {
        return jobs.findById(id).filter(one -> one.kind().equals(kind)).orElseThrow(() -> new NotFound(kind, id));
    }

    private JobProgress progress(Job job) {
        return new JobProgress(
                job.id(),
                job.blockId(),
                job.state(),
                job.whole() ? job.done() : (int) parts.countByJobIdAndState(job.id(), JobPart.DONE),
                job.whole() ? 0 : (int) parts.countByJobIdAndState(job.id(), JobPart.FAILED),
                job.total(),
                job.startedAt(),
                job.endedAt());
    }
}
