package umbel.app.job;

import java.time.Clock;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;

/** Does jobs that are done in one piece. */
@Component
class WholeRunner {

    private static final Logger LOG = LoggerFactory.getLogger(WholeRunner.class);
    private static final Duration LEFT_AFTER = Duration.ofMinutes(1);
    private static final long LOOK_EVERY_NANOS = TimeUnit.MILLISECONDS.toNanos(400);

    private final JobRepository jobs;
    private final TransactionTemplate transactions;
    private final TransactionTemplate apart;
    private final Clock clock;
    private final Map<String, WholeWork> works = new HashMap<>();

    WholeRunner(JobRepository jobs, TransactionTemplate transactions, Clock clock, List<WholeWork> works) {
        this.jobs = jobs;
        this.transactions = transactions;
        this.apart = new TransactionTemplate(transactions.getTransactionManager());
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
        works.forEach(one -> this.works.put(one.kind(), one));
    }

    /** Does a job of this thread's farm, where it is still to be done. */
    void run(long id) {
        Job job = transactions.execute(status -> jobs.findById(id).orElse(null));
        if (job == null || job.endedAt() != null) {
            return;
        }
        WholeWork work = works.get(job.kind());
        try {
            Runnable keep = work.of(new ObservedJob(job));
            transactions.executeWithoutResult(status -> {
                // first what is kept, so that nobody who looks after the job meanwhile waits for its row
                keep.run();
                if (jobs.endWhole(id, Job.DONE, clock.instant()) == 0) {
                    status.setRollbackOnly();
                }
            });
        } catch (CancellationException e) {
            LOG.debug("Job {} was cancelled.", id);
        } catch (WholeWork.Impossible e) {
            LOG.info("Job {} cannot be done: {}.", id, e.outcome(), e.getCause());
            transactions.executeWithoutResult(status -> {
                if (jobs.endWhole(id, Job.FAILED, clock.instant()) == 1) {
                    jobs.found(id, e.outcome());
                }
            });
        } catch (RuntimeException e) {
            LOG.warn("Job {} failed: {}.", id, job.kind(), e);
            transactions.executeWithoutResult(status -> jobs.endWhole(id, Job.FAILED, clock.instant()));
        }
        if (job.given() != null) {
            clear(id);
        }
    }

    /** Clears away what jobs of this thread's farm were given that ended a while ago, their nodes being gone. */
    void clearThoseLeft() {
        transactions
                .execute(status -> jobs.findToClear(clock.instant().minus(LEFT_AFTER)))
                .forEach(job -> clear(job.id()));
    }

    private void clear(long id) {
        Job job = transactions.execute(status -> jobs.findById(id).orElse(null));
        if (job == null || job.given() == null || job.endedAt() == null) {
            return;
        }
        try {
            works.get(job.kind())
                    .clear(new WholeWork.EndedJob(
                            job.given(), job.outcome(), job.state().equals(Job.DONE)));
            transactions.executeWithoutResult(status -> jobs.cleared(id));
        } catch (RuntimeException e) {
            LOG.warn("What job {} was given could not be cleared away; it is tried again.", id, e);
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

        @Override
        public String given() {
            return job.given();
        }

        @Override
        public String outcome() {
            return transactions.execute(
                    status -> jobs.findById(job.id()).map(Job::outcome).orElse(null));
        }

        @Override
        public void found(String outcome) {
            transactions.executeWithoutResult(status -> jobs.found(job.id(), outcome));
        }

        /** For the job's farm, in whichever thread of the work it is asked, and apart from what that thread is writing. */
        private <T> T inFarm(Supplier<T> question) {
            return FarmScope.in(job.farm(), () -> apart.execute(status -> question.get()));
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
