package umbel.app.block;

import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.cache.ComputedCache;
import umbel.app.job.JobProgress;
import umbel.app.job.JobService;
import umbel.app.job.JobWork;
import umbel.app.orchard.BlockRepository;
import umbel.app.people.SignedIn;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.knowledge.Knowledge;
import umbel.plant.SurveyedTree;
import umbel.reading.BlockReading;
import umbel.reading.Finding;
import umbel.text.Statement;
import umbel.text.Value;

/** Reads every surveyed tree of a block in the background, with progress; can be cancelled. */
@Service
public class BlockReadingService implements JobWork {

    private static final String KIND = "reading";
    private static final int MOST_KEPT = 50;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final JobService jobs;
    private final TransactionTemplate transactions;
    private final Knowledge knowledge;
    private final ComputedCache<Long, BlockReading> done = ComputedCache.atMost(MOST_KEPT);

    BlockReadingService(
            BlockRepository blocks,
            SurveyRepository surveys,
            TreeReadings readings,
            JobService jobs,
            TransactionTemplate transactions,
            Knowledge knowledge) {
        this.blocks = blocks;
        this.surveys = surveys;
        this.readings = readings;
        this.jobs = jobs;
        this.transactions = transactions;
        this.knowledge = knowledge;
    }

    /** How far a reading has come: running, done or cancelled; what it told once it is done. */
    public record Progress(
            long job,
            long blockId,
            String block,
            String state,
            int done,
            int total,
            String trouble,
            BlockAnswer result) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Outcome of(SurveyEntry survey) {
        SurveyedTree tree = readings.of(survey);
        BlockReading.TreeRead read =
                BlockReading.TreeRead.of(survey.tree().id(), survey.tree().label(), tree.tree(), tree.reading());
        return new Outcome(JSON.writeValueAsString(read), () -> {});
    }

    /** Begins reading a block; a reading of it that is under way goes on. */
    public Progress begin(long blockId) {
        List<SurveyLine> trees = transactions.execute(status -> {
            blocks.existing(blockId);
            return surveys.tellNewestOfBlock(blockId).stream()
                    .filter(entry -> !entry.counted())
                    .toList();
        });
        return told(jobs.begin(KIND, blockId, trees, SignedIn.name()));
    }

    /** How far it has come. */
    public Progress progress(long id) {
        return told(jobs.progress(KIND, id));
    }

    /** Stops it before its next trees; one that is done stays done. */
    public Progress cancel(long id) {
        return told(jobs.cancel(KIND, id));
    }

    private Progress told(JobProgress job) {
        return transactions.execute(status -> new Progress(
                job.job(),
                job.blockId(),
                blocks.existing(job.blockId()).name(),
                job.state(),
                job.done(),
                job.total(),
                job.failed() == 0
                        ? ""
                        : Reader.speech()
                                .say(Statement.of("problem.trees-not-read").with("trees", Value.count(job.failed()))),
                job.complete() ? BlockAnswer.of(result(job.job()), this::reason) : null));
    }

    private BlockReading result(long job) {
        return done.get(
                job,
                () -> BlockReading.of(
                        jobs.results(job).stream()
                                .map(text -> JSON.readValue(text, BlockReading.TreeRead.class))
                                .sorted(Comparator.comparingLong(BlockReading.TreeRead::id))
                                .toList(),
                        knowledge.parameters().reading().block()));
    }

    /** Why a rule holds on a tree, by the tree's newest survey; empty where it does not any more. */
    private String reason(long tree, String rule) {
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(tree).stream()
                .filter(entry -> !entry.isCounted())
                .flatMap(entry -> readings.of(entry).reading().findings().stream())
                .filter(finding -> finding.rule().id().equals(rule))
                .max(Comparator.comparing(Finding::severity))
                .map(finding -> Reader.speech().say(finding.reason()))
                .orElse("");
    }
}
