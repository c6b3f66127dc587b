package umbel.app.block;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.http.NotFound;
import umbel.app.orchard.BlockRepository;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.knowledge.Knowledge;
import umbel.plant.SurveyedTree;
import umbel.reading.BlockReading;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Reads every surveyed tree of a block in the background, one block at a time, with progress; can be cancelled. A job lives as
 * long as somebody asks for it; it only reads, so a job lost at a restart is simply begun again.
 */
@Service
public class BlockReadingService {

    private static final Logger LOG = LoggerFactory.getLogger(BlockReadingService.class);
    private static final int BATCH = 20;

    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final TransactionTemplate transactions;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "block-reading");
        thread.setDaemon(true);
        return thread;
    });
    private final Knowledge knowledge;
    private final AtomicLong numbers = new AtomicLong();
    private final Cache<Long, Job> jobs = Caffeine.newBuilder()
            .maximumSize(100)
            .expireAfterAccess(Duration.ofHours(1))
            .build();

    public BlockReadingService(
            BlockRepository blocks,
            SurveyRepository surveys,
            TreeReadings readings,
            TransactionTemplate transactions,
            Knowledge knowledge) {
        this.blocks = blocks;
        this.surveys = surveys;
        this.readings = readings;
        this.transactions = transactions;
        this.knowledge = knowledge;
    }

    /** A reading of a block as it stands. */
    public static final class Job {
        private final long id;
        private final long farm = FarmScope.current();
        private final long blockId;
        private final String block;
        private final int total;
        private final AtomicInteger done = new AtomicInteger();
        private volatile String state = "waiting";
        private volatile BlockReading result;
        private volatile Statement trouble;

        Job(long id, long blockId, String block, int total) {
            this.id = id;
            this.blockId = blockId;
            this.block = block;
            this.total = total;
        }

        boolean cancelled() {
            return state.equals("cancelled");
        }
    }

    /** How far a reading has come: waiting, running, done, cancelled or failed. */
    public record Progress(
            long job,
            long blockId,
            String block,
            String state,
            int done,
            int total,
            String trouble,
            BlockAnswer result) {}

    /** Begins reading a block. */
    public Progress begin(long blockId) {
        Job job = transactions.execute(status -> {
            var block = blocks.existing(blockId);
            int total = (int) surveys.findNewestOfBlock(blockId).stream()
                    .filter(entry -> !entry.isCounted())
                    .count();
            return new Job(numbers.incrementAndGet(), blockId, block.name(), total);
        });
        jobs.put(job.id, job);
        worker.submit(FarmScope.carried(() -> run(job)));
        return progress(job.id);
    }

    /** How far it has come. */
    public Progress progress(long id) {
        Job job = job(id);
        return new Progress(
                job.id,
                job.blockId,
                job.block,
                job.state,
                job.done.get(),
                job.total,
                Reader.speech().say(job.trouble),
                BlockAnswer.of(job.result));
    }

    /** Stops it before its next tree; one that is done stays done. */
    public Progress cancel(long id) {
        Job job = job(id);
        if (job.state.equals("waiting") || job.state.equals("running")) {
            job.state = "cancelled";
        }
        return progress(id);
    }

    private Job job(long id) {
        Job job = jobs.getIfPresent(id);
        if (job == null || job.farm != FarmScope.current()) {
            throw new NotFound("reading", id);
        }
        return job;
    }

    private void run(Job job) {
        if (job.cancelled()) {
            return;
        }
        job.state = "running";
        try {
            List<SurveyEntry> entries = transactions.execute(status -> {
                List<SurveyEntry> found = surveys.findNewestOfBlock(job.blockId).stream()
                        .filter(entry -> !entry.isCounted())
                        .toList();
                found.forEach(entry -> entry.tree().label());
                return found;
            });
            ConcurrentLinkedQueue<BlockReading.TreeRead> read = new ConcurrentLinkedQueue<>();
            for (int from = 0; from < entries.size() && !job.cancelled(); from += BATCH) {
                entries.subList(from, Math.min(entries.size(), from + BATCH)).parallelStream()
                        .filter(entry -> !job.cancelled())
                        .forEach(entry -> FarmScope.run(job.farm, () -> {
                            SurveyedTree tree = readings.of(entry);
                            read.add(BlockReading.TreeRead.of(
                                    entry.tree().id(), entry.tree().label(), tree.tree(), tree.reading()));
                            job.done.incrementAndGet();
                        }));
            }
            if (!job.cancelled()) {
                job.result = BlockReading.of(
                        read.stream()
                                .sorted(java.util.Comparator.comparingLong(BlockReading.TreeRead::id))
                                .toList(),
                        knowledge.parameters().reading().block());
                job.state = "done";
            }
        } catch (RuntimeException e) {
            LOG.warn("Reading block {} failed", job.block, e);
            job.trouble =
                    Statement.of("problem.tree-not-read").with("reason", Value.name(String.valueOf(e.getMessage())));
            job.state = "failed";
        }
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }
}
