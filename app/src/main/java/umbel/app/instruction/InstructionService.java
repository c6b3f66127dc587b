package umbel.app.instruction;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.cache.ComputedCache;
import umbel.app.http.NotFound;
import umbel.app.job.JobProgress;
import umbel.app.job.JobService;
import umbel.app.job.WholeWork;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyDocument;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.compute.Cancellation;
import umbel.crew.WorkKind;
import umbel.drawing.SentenceFigure;
import umbel.format.FieldError;
import umbel.instruction.SampleDraw;
import umbel.instruction.Sentence;
import umbel.instruction.WorkCheck;
import umbel.knowledge.InstructionParameters;
import umbel.knowledge.Knowledge;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.text.Catalogue;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/**
 * The instruction of a block: looked for in the background from its surveyed trees, kept, put to use, and held against finished
 * trees. A search that a restart ends is begun again by whoever wants it.
 */
@Service
public class InstructionService implements WholeWork {

    private static final String ALWAYS = "always";
    private static final String KIND = "instruction";
    private static final int MOST_KINDS = 50_000;

    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final InstructionRepository instructions;
    private final WorkCheckRepository checks;
    private final InstructionFinder finder;
    private final Knowledge knowledge;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final JobService jobs;
    private final ComputedCache<Long, TreeKind> kinds = ComputedCache.atMost(MOST_KINDS);

    InstructionService(
            BlockRepository blocks,
            SurveyRepository surveys,
            InstructionRepository instructions,
            WorkCheckRepository checks,
            InstructionFinder finder,
            Knowledge knowledge,
            JobService jobs,
            TransactionTemplate transactions,
            ApplicationEventPublisher events,
            Clock clock) {
        this.blocks = blocks;
        this.surveys = surveys;
        this.instructions = instructions;
        this.checks = checks;
        this.finder = finder;
        this.knowledge = knowledge;
        this.jobs = jobs;
        this.transactions = transactions;
        this.events = events;
        this.clock = clock;
    }

    /** The instruction of a block, which trees to survey for it, and how a search stands. */
    @Transactional(readOnly = true)
    public InstructionAnswers.InstructionPage page(long blockId) {
        Block block = block(blockId);
        return new InstructionAnswers.InstructionPage(
                blockId,
                block.name(),
                block.treeCount(),
                instructions
                        .findFirstByBlockIdOrderByIdDesc(blockId)
                        .map(this::told)
                        .orElse(null),
                jobs.last(KIND, blockId)
                        .map(job -> new InstructionAnswers.SearchState(job.state(), job.done(), job.total()))
                        .orElse(null),
                sample(block));
    }

    private InstructionAnswers.TreesToSurvey sample(Block block) {
        Set<String> there = new HashSet<>();
        surveyed(block).forEach(line -> there.add(line.row() + "-" + line.place()));
        InstructionParameters.Sample rules = knowledge.instruction().sample();
        List<Integer> rows =
                Collections.nCopies(block.rows().rows(), block.rows().places());
        int missing = Math.max(0, rules.usual() - there.size());
        List<InstructionAnswers.SamplePlace> places = SampleDraw.of(rows, rules.usual(), block.id()).stream()
                .filter(one -> !there.contains(one.row() + "-" + one.place()))
                .limit(missing)
                .map(one -> new InstructionAnswers.SamplePlace(
                        one.row(), one.place(), block.name() + " " + one.row() + "-" + one.place()))
                .toList();
        return new InstructionAnswers.TreesToSurvey(rules.usual(), rules.least(), there.size(), places);
    }

    /** Newest surveys of the trees of a block that are of its own kind and system, in the order they were made. */
    private List<SurveyLine> surveyed(Block block) {
        List<SurveyLine> trees = surveys.tellNewestOfBlock(block.id()).stream()
                .filter(line -> !line.counted())
                .toList();
        Map<Long, TreeKind> told = kinds.all(trees.stream().map(SurveyLine::id).toList(), this::kindsOf);
        return trees.stream()
                .filter(line -> told.get(line.id()).isThatOf(block))
                .sorted(Comparator.comparing(SurveyLine::surveyedOn).thenComparing(SurveyLine::id))
                .toList();
    }

    private Map<Long, TreeKind> kindsOf(List<Long> surveyIds) {
        return surveys.documents(surveyIds)
                .collect(Collectors.toMap(
                        SurveyDocument::id, survey -> TreeKind.of(SurveyReader.saved(survey.document()))));
    }

    /** What a surveyed tree is and how it is trained; without a system, in whatever way its block is. */
    private record TreeKind(String species, String system) {

        static TreeKind of(Survey survey) {
            return new TreeKind(survey.tree().species(), survey.tree().system());
        }

        boolean isThatOf(Block block) {
            return block.species().equals(species)
                    && (system == null || block.system().equals(system));
        }
    }

    private Block block(long id) {
        return blocks.existing(id);
    }

    @Override
    public String kind() {
        return KIND;
    }

    /** Begins to look for the instruction of a block; a search that is under way goes on. */
    public InstructionAnswers.InstructionPage begin(long blockId, String who) {
        int trees = transactions.execute(status -> sampled(blockId).size());
        if (trees == 0) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.block-without-surveys")));
        }
        jobs.beginWhole(KIND, blockId, trees, who);
        return transactions.execute(status -> page(blockId));
    }

    /** The surveys an instruction is found from: those of the block's own kind, the last ones. */
    private List<SurveyEntry> sampled(long blockId) {
        List<SurveyLine> all = surveyed(block(blockId));
        int most = knowledge.instruction().sample().most();
        return surveys.findInOrder(all.subList(Math.max(0, all.size() - most), all.size()).stream()
                .map(SurveyLine::id)
                .toList());
    }

    /** Stops a search. */
    public InstructionAnswers.InstructionPage cancel(long blockId) {
        block(blockId);
        jobs.last(KIND, blockId).filter(JobProgress::underWay).ifPresent(job -> jobs.cancel(KIND, job.job()));
        return transactions.execute(status -> page(blockId));
    }

    @Override
    public Runnable of(RunningJob job) {
        long blockId = job.block();
        List<SurveyEntry> entries = transactions.execute(status -> List.copyOf(sampled(blockId)));
        Cancellation cancellation = new Cancellation();
        AtomicInteger done = new AtomicInteger();
        InstructionDocument found = Cancellation.during(
                cancellation,
                () -> finder.of(entries, () -> {
                    job.report(done.incrementAndGet());
                    if (job.cancelled()) {
                        cancellation.request();
                    }
                }));
        return () -> instructions.save(new InstructionEntry(block(blockId), LocalDate.now(clock), job.who(), found));
    }

    /** Puts the newest instruction of a block to use, or out of it; season and schedule count by it from then on. */
    @Transactional
    public InstructionAnswers.InstructionPage use(long blockId, boolean use) {
        InstructionEntry newest = newest(blockId);
        instructions.findByBlockIdAndInUseTrue(blockId).forEach(one -> one.use(false));
        newest.use(use);
        events.publishEvent(new ScheduleInputChanged(
                Statement.of("schedule-again.instruction")
                        .with("block", Value.name(newest.block().name())),
                blockId));
        return page(blockId);
    }

    InstructionEntry newest(long blockId) {
        block(blockId);
        return instructions
                .findFirstByBlockIdOrderByIdDesc(blockId)
                .orElseThrow(() -> new NotFound("instructionOfBlock", blockId));
    }

    /** Keeps what was seen on finished trees. */
    @Transactional
    public InstructionAnswers.InstructionPage check(long blockId, InstructionAnswers.CheckSent sent) {
        InstructionEntry newest = newest(blockId);
        Set<String> known = new HashSet<>();
        known.add(ALWAYS);
        newest.document().sentences().forEach(one -> known.add(one.form()));
        List<FieldError> errors = sent.faults().keySet().stream()
                .filter(form -> !known.contains(form))
                .map(form -> FieldError.of("faults." + form, "problem.no-such-sentence"))
                .toList();
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
        checks.save(new WorkCheckEntry(
                newest,
                sent.checkedOn(),
                sent.who().strip(),
                sent.row(),
                sent.trees(),
                sent.faults(),
                clock.instant()));
        return page(blockId);
    }

    /** Mean minutes a tree of the blocks that are worked by an instruction, by who may do them; blocks by their numbers. */
    @Transactional(readOnly = true)
    public Map<Long, Map<WorkKind, Double>> minutesATree() {
        Map<Long, Map<WorkKind, Double>> ofBlocks = new HashMap<>();
        for (InstructionEntry one : instructions.findByInUseTrue()) {
            Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
            one.document().minutesByKind().forEach((kind, count) -> minutes.put(WorkKind.valueOf(kind), count));
            ofBlocks.put(one.block().id(), minutes);
        }
        return ofBlocks;
    }

    private InstructionAnswers.Instruction told(InstructionEntry entry) {
        InstructionDocument document = entry.document();
        List<WorkCheckEntry> seen = checks.findByInstructionIdOrderByIdDesc(entry.id());
        InstructionParameters.Check rules = knowledge.instruction().check();
        return new InstructionAnswers.Instruction(
                entry.id(),
                entry.madeOn(),
                entry.madeBy(),
                entry.inUse(),
                Reader.speech().say(Sentence.always()),
                inEveryLanguage(Sentence.always()),
                document.sentences().stream()
                        .map(InstructionDocument.SaidSentence::sentence)
                        .map(InstructionService::sentence)
                        .toList(),
                document.share(),
                document.share() != null
                        && document.share() < knowledge.instruction().unlike(),
                document.agreeing(),
                document.trees().stream()
                        .map(one -> new InstructionAnswers.InstructedTree(
                                one.treeId(), one.tree(), one.share(), one.agrees(), one.otherwise(), one.minutes()))
                        .toList(),
                document.minutes(),
                document.cuts(),
                Units.round(document.plannedMinutes(), 2),
                Units.round(document.tiesATree(), 2),
                document.enough(),
                outcome(document.before()),
                outcome(document.after()),
                outcome(document.planned()),
                seen.stream().map(one -> line(one, rules)).toList(),
                WorkCheck.missedByAll(seen.stream().map(WorkCheckEntry::seen).toList(), rules));
    }

    private static InstructionAnswers.InstructionOutcome outcome(InstructionDocument.Outcome one) {
        return new InstructionAnswers.InstructionOutcome(one.shade(), one.crop());
    }

    private static InstructionAnswers.CheckLine line(WorkCheckEntry one, InstructionParameters.Check rules) {
        WorkCheck.Seen seen = one.seen();
        return new InstructionAnswers.CheckLine(
                one.id(),
                one.checkedOn(),
                seen.who(),
                one.rowNo(),
                seen.trees(),
                seen.faults(),
                WorkCheck.of(seen.trees(), seen.all(), rules).word());
    }

    private static InstructionAnswers.InstructionSentence sentence(Sentence sentence) {
        Speech speech = Reader.speech();
        return new InstructionAnswers.InstructionSentence(
                sentence.form().word(),
                speech.say(sentence.text()),
                inEveryLanguage(sentence.text()),
                SentenceFigure.draw(sentence, speech.say(sentence.told())));
    }

    private static Map<String, String> inEveryLanguage(Statement statement) {
        Map<String, String> said = new TreeMap<>();
        Catalogue.LANGUAGES.forEach(language ->
                said.put(language, Speech.of(language, Reader.speech().units()).say(statement)));
        return said;
    }
}
