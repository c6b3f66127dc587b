package umbel.app.job;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;

/** Does jobs that are done in one piece. */
@Component
class WholeRunner {

    private static final Logger LOG = LoggerFactory.getLogger(WholeRunner.class);
    private static final long LOOK_EVERY_NANOS = TimeUnit.MILLISECONDS.toNanos(400);

    private final JobRepository jobs;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final Map<String, WholeWork> works = new HashMap<>();

    WholeRunner(JobRepository jobs, TransactionTemplate transactions, Clock clock, List<WholeWork> works) {
        this.jobs = jobs;
        this.transactions = transactions;
        this.clock = clock;
        works.forEach(one -> this.works.put(one.kind(), one));
    }

    /** Does a job of this thread's farm, where it is still to be done. */
    void run(long id) {
        Job job = transactions.execute(status -> jobs.findById(id).orElse(null));
        if (job == null || job.endedAt() != null) {
            return;
        }
        try {
            Runnable keep = works.get(job.kind()).of(new ObservedJob(job));
            transactions.executeWithoutResult(status -> {
                if (jobs.endWhole(id, Job.DONE, clock.instant()) == 1) {
                    keep.run();
                }
            });
        } catch (CancellationException e) {
            LOG.debug("Job {} was cancelled.", id);
        } catch (RuntimeException e) {
            LOG.warn("Job {} failed: {}.", id, job.kind(), e);
            transactions.executeWithoutResult(status -> jobs.endWhole(id, Job.FAILED, clock.instant()));
        }
    }

    /** A job under way, whose state is looked up every now and then. */
    private final class ObservedJob implements WholeWork.RunningJob {

        private final Job job;
        private long lookedAt;
        private String state = Job.RUNNING;

        ObservedJob(Job job) {
            this.job = job;
            this.lookedAt = System.nanoTime();
        }

        @Override
        public Long block() {
            return job.blockId();
        }

        @Override
        public String who() {
            return job.startedBy();
        }

        @Override
        public void report(int done) {
            inFarm(() -> jobs.report(job.id(), done));
        }

        @Override
        public boolean cancelled() {
            return state().equals(Job.CANCELLED);
        }

        @Override
        public boolean toEnd() {
            return !state().equals(Job.RUNNING);
        }

        /** For the job's farm, in whichever thread of the work it is asked. */
        private <T> T inFarm(Supplier<T> question) {
            return FarmScope.in(job.farm(), () -> transactions.execute(status -> question.get()));
        }

        private synchronized String state() {
            if (System.nanoTime() - lookedAt > LOOK_EVERY_NANOS) {
                lookedAt = System.nanoTime();
                state = inFarm(() -> jobs.findState(job.id()).orElse(Job.CANCELLED));
            }
            return state;
        }
    }
}
