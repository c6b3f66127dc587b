package umbel.app.job;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;

/** Does a few trees of a farm's jobs at a time. */
@Component
class JobRunner {

    private static final Logger LOG = LoggerFactory.getLogger(JobRunner.class);
    private static final long SLICE_NANOS = TimeUnit.SECONDS.toNanos(4);

    private final JobRepository jobs;
    private final JobPartRepository parts;
    private final SurveyRepository surveys;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final Map<String, JobWork> works = new HashMap<>();

    JobRunner(
            JobRepository jobs,
            JobPartRepository parts,
            SurveyRepository surveys,
            TransactionTemplate transactions,
            Clock clock,
            List<JobWork> works) {
        this.jobs = jobs;
        this.parts = parts;
        this.surveys = surveys;
        this.transactions = transactions;
        this.clock = clock;
        works.forEach(one -> this.works.put(one.kind(), one));
    }

    /**
     * Does trees of a lane of this thread's farm for some seconds, so that other farms have their turn.
     *
     * @param node who does it
     * @param stop whether to end before the next tree
     * @return whether more wait in the lane
     */
    boolean slice(int lane, String node, BooleanSupplier stop) {
        long until = System.nanoTime() + SLICE_NANOS;
        try {
            while (true) {
                if (stop.getAsBoolean() || System.nanoTime() > until) {
                    return true;
                }
                // one at a time, so that one that was cancelled ends with the tree that is under way
                List<JobPart> next = transactions.execute(status -> parts.findNext(lane, Limit.of(1)));
                if (next.isEmpty()) {
                    return false;
                }
                work(next.get(0), node);
            }
        } finally {
            // also those of a node that was killed before it could
            transactions.executeWithoutResult(status -> jobs.endThoseDone(clock.instant()));
        }
    }

    private void work(JobPart part, String node) {
        JobWork.Outcome outcome;
        String state;
        try {
            SurveyEntry survey = transactions.execute(
                    status -> surveys.findById(part.surveyId()).orElseThrow());
            outcome = works.get(part.job().kind()).of(survey);
            state = JobPart.DONE;
        } catch (RuntimeException e) {
            LOG.warn(
                    "A tree of job {} could not be done: survey {}.", part.job().id(), part.surveyId(), e);
            outcome = new JobWork.Outcome(null, () -> {});
            state = JobPart.FAILED;
        }
        JobWork.Outcome kept = outcome;
        String how = state;
        transactions.executeWithoutResult(status -> {
            if (parts.end(part.id(), how, kept.result(), node, clock.instant()) == 1) {
                kept.keep().run();
            }
        });
    }
}
