package umbel.app.instruction;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.http.NotFound;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.ScheduleInputChanged;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
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
public class InstructionService {

    private static final Logger LOG = LoggerFactory.getLogger(InstructionService.class);
    private static final String ALWAYS = "always";
    private static final int MOST_SEARCHES = 200;

    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final InstructionRepository instructions;
    private final WorkCheckRepository checks;
    private final InstructionFinder finder;
    private final Knowledge knowledge;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "instruction");
        thread.setDaemon(true);
        return thread;
    });
    private final Cache<Long, Search> searches =
            Caffeine.newBuilder().maximumSize(MOST_SEARCHES).build();

    InstructionService(
            BlockRepository blocks,
            SurveyRepository surveys,
            InstructionRepository instructions,
            WorkCheckRepository checks,
            InstructionFinder finder,
            Knowledge knowledge,
            TransactionTemplate transactions,
            ApplicationEventPublisher events,
            Clock clock) {
        this.blocks = blocks;
        this.surveys = surveys;
        this.instructions = instructions;
        this.checks = checks;
        this.finder = finder;
        this.knowledge = knowledge;
        this.transactions = transactions;
        this.events = events;
        this.clock = clock;
    }

    @PreDestroy
    void end() {
        worker.shutdownNow();
    }

    /** A search under way, or how the last one ended. */
    private static final class Search {

        private final Cancellation cancellation = new Cancellation();
        private final int total;
        private volatile int done;
        private volatile String state = "waiting";

        Search(int total) {
            this.total = total;
        }

        boolean underWay() {
            return state.equals("waiting") || state.equals("running");
        }

        InstructionAnswers.SearchState told() {
            return new InstructionAnswers.SearchState(state, done, total);
        }
    }

    /** The instruction of a block, which trees to survey for it, and how a search stands. */
    @Transactional(readOnly = true)
    public InstructionAnswers.InstructionPage page(long blockId) {
        Block block = block(blockId);
        Search search = searches.getIfPresent(blockId);
        return new InstructionAnswers.InstructionPage(
                blockId,
                block.name(),
                block.treeCount(),
                instructions
                        .findFirstByBlockIdOrderByIdDesc(blockId)
                        .map(this::told)
                        .orElse(null),
                search == null ? null : search.told(),
                sample(block));
    }

    private InstructionAnswers.TreesToSurvey sample(Block block) {
        Set<String> there = new HashSet<>();
        surveyed(block)
                .forEach(entry ->
                        there.add(entry.tree().rowNo() + "-" + entry.tree().placeNo()));
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
    private List<SurveyEntry> surveyed(Block block) {
        return surveys.findNewestOfBlock(block.id()).stream()
                .filter(entry -> !entry.isCounted() && isOfItsKind(block, entry))
                .sorted(Comparator.comparing(SurveyEntry::surveyedOn).thenComparing(SurveyEntry::id))
                .toList();
    }

    private static boolean isOfItsKind(Block block, SurveyEntry entry) {
        Survey.TreeFacts facts = SurveyReader.read(entry.document()).tree();
        return block.species().equals(facts.species())
                && (facts.system() == null || block.system().equals(facts.system()));
    }

    private Block block(long id) {
        return blocks.existing(id);
    }

    /** Begins to look for the instruction of a block; a search that is under way goes on. */
    public InstructionAnswers.InstructionPage begin(long blockId, String who) {
        List<SurveyEntry> entries = transactions.execute(status -> {
            List<SurveyEntry> all = surveyed(block(blockId));
            all.forEach(entry -> entry.tree().label());
            int most = knowledge.instruction().sample().most();
            return all.subList(Math.max(0, all.size() - most), all.size());
        });
        if (entries.isEmpty()) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.block-without-surveys")));
        }
        Search fresh = new Search(entries.size());
        Search now =
                searches.asMap().compute(blockId, (id, before) -> before != null && before.underWay() ? before : fresh);
        if (now == fresh) {
            worker.submit(FarmScope.carried(() -> run(blockId, entries, who, fresh)));
        }
        return transactions.execute(status -> page(blockId));
    }

    /** Stops a search. */
    public InstructionAnswers.InstructionPage cancel(long blockId) {
        Search search = searches.getIfPresent(blockId);
        if (search != null && search.underWay()) {
            search.cancellation.request();
            search.state = "cancelled";
        }
        return transactions.execute(status -> page(blockId));
    }

    private void run(long blockId, List<SurveyEntry> entries, String who, Search search) {
        if (!search.underWay()) {
            return;
        }
        search.state = "running";
        try {
            InstructionDocument found =
                    Cancellation.during(search.cancellation, () -> finder.of(entries, () -> search.done++));
            if (!search.underWay()) {
                return;
            }
            transactions.executeWithoutResult(status ->
                    instructions.save(new InstructionEntry(block(blockId), LocalDate.now(clock), who, found)));
            search.state = "done";
        } catch (CancellationException e) {
            search.state = "cancelled";
        } catch (RuntimeException e) {
            LOG.warn("No instruction could be found for block {}.", blockId, e);
            search.state = "failed";
        }
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

    /** Mean minutes a tree of a block that is worked by an instruction, by who may do them; empty where it is not. */
    @Transactional(readOnly = true)
    public Map<WorkKind, Double> minutesATree(long blockId) {
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        instructions.findByBlockIdAndInUseTrue(blockId).stream()
                .findFirst()
                .ifPresent(one -> one.document()
                        .minutesByKind()
                        .forEach((kind, count) -> minutes.put(WorkKind.valueOf(kind), count)));
        return minutes;
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
