package umbel.app.holding;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.cache.ComputedCache;
import umbel.app.log.LastWork;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.Holding;
import umbel.app.orchard.HoldingRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.DecidedLine;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.app.plan.TreeDecisions;
import umbel.app.reader.Reader;
import umbel.app.survey.Glance;
import umbel.app.survey.Glances;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.assess.CountedAssessor;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlanParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.text.Speech;
import umbel.text.UnitSystem;
import umbel.wood.Units;

/** Tells what stands on the holding and what each surveyed tree needs. */
@Service
public class HoldingService {

    private static final int MOST_SAID = 20_000;

    private final HoldingRepository holdings;
    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final SavedDecisionsRepository works;
    private final RecordRepository records;
    private final Glances glances;
    private final TransactionTemplate transactions;
    private final Knowledge knowledge;
    private final ComputedCache<Said, String> said = ComputedCache.atMost(MOST_SAID);

    public HoldingService(
            HoldingRepository holdings,
            BlockRepository blocks,
            TreeRepository trees,
            SurveyRepository surveys,
            SavedDecisionsRepository works,
            RecordRepository records,
            Glances glances,
            TransactionTemplate transactions,
            Knowledge knowledge) {
        this.holdings = holdings;
        this.blocks = blocks;
        this.trees = trees;
        this.surveys = surveys;
        this.works = works;
        this.records = records;
        this.glances = glances;
        this.transactions = transactions;
        this.knowledge = knowledge;
    }

    /**
     * The holding; its name is empty while nothing is set up.
     *
     * @param unread trees that nobody has looked at yet; they are being read in the background
     */
    public record HoldingPage(String name, List<BlockLine> blocks, List<TreeLine> trees, int unread) {}

    /**
     * One block.
     *
     * @param counted bush, row or vine where its plants are counted; empty for trees
     */
    public record BlockLine(
            long id,
            String holding,
            String name,
            String species,
            String speciesName,
            String system,
            String systemName,
            String cultivar,
            String stock,
            int plantedYear,
            int treeCount,
            int rows,
            int placesPerRow,
            double inRowM,
            double betweenRowsM,
            double rowBearingDeg,
            double latitudeDeg,
            double elevationM,
            String note,
            double eastM,
            double northM,
            boolean nearPowerLines,
            boolean supported,
            String counted,
            boolean archived,
            String timeZone) {}

    /**
     * One surveyed tree.
     *
     * @param read whether it was read yet; where not, what follows from its survey is 0 or empty
     * @param act findings that call for action
     * @param all all findings
     * @param first the first of them in the order of work, in words
     * @param shade share of fruiting sites with less light than fruit needs
     * @param shaded whether that is more than the school lets stand
     * @param state to-decide, marked or done
     * @param doneOn when it was worked on last, and by whom; empty where it was not
     * @param counted whether it is a bush, a cane row or a vine
     */
    public record TreeLine(
            long id,
            long blockId,
            String label,
            int row,
            int place,
            String surveyedOn,
            boolean read,
            int leaf,
            int limbs,
            double heightM,
            int act,
            int all,
            String first,
            String firstRule,
            double shade,
            boolean shaded,
            String state,
            String doneOn,
            String doneBy,
            boolean counted) {}

    /** A tree at a place, and its newest survey where it has one. */
    public record TreeAt(long id, String label, Long surveyId) {}

    /**
     * A tree with the block it stands in, and its newest survey where it has one.
     *
     * @param counted whether its canes are counted: by that survey, or else by the kind of its block
     */
    public record TreePlace(long id, String label, BlockLine block, Long surveyId, boolean counted) {}

    /** A choice by id and name. */
    public record Choice(String id, String name, String why) {}

    /**
     * A school.
     *
     * @param winters over how many its work is planned
     */
    public record SchoolChoice(String id, String name, String why, int winters) {}

    /** A system with the species it is usually chosen for. */
    public record SystemChoice(String id, String name, List<String> species) {}

    /** What can be chosen from. */
    public record Catalogue(
            List<SpeciesChoice> species,
            List<CountedChoice> counted,
            List<SystemChoice> systems,
            List<SchoolChoice> schools,
            List<PlanParameters.Purpose> purposes,
            List<NamedCultivar> cultivars,
            List<NamedStock> rootstocks) {}

    /**
     * A kind of tree.
     *
     * @param topworked whether it is grafted to another cultivar on a stump
     */
    public record SpeciesChoice(String id, String name, boolean topworked) {}

    /**
     * A kind of bush, cane or vine.
     *
     * @param form bush, row or vine
     * @param woods kinds of vine that differ in how nodes follow from weight; none for anything else
     */
    public record CountedChoice(String id, String name, String form, String system, List<Choice> woods) {}

    /** A cultivar somebody named, and its species. */
    public record NamedCultivar(String name, String species) {}

    /** A rootstock somebody named, and its vigour class. */
    public record NamedStock(String name, String vigourClass) {}

    /** What is kept of the holding's trees, read at one moment. */
    private record Kept(
            String name,
            List<BlockLine> blocks,
            List<SurveyLine> newest,
            Map<Long, DecidedLine> marked,
            Map<Long, LastWork> done) {}

    /** The page; trees that nobody has looked at yet are read for a moment, outside of any transaction, and then in the background. */
    public HoldingPage page() {
        Kept kept = transactions.execute(status -> kept());
        Map<Long, Glance> read =
                glances.of(kept.newest().stream().map(SurveyLine::id).toList());
        List<TreeLine> lines = kept.newest().stream()
                .map(survey -> line(
                        survey,
                        read.get(survey.id()),
                        kept.marked().get(survey.treeId()),
                        kept.done().get(survey.id())))
                .toList();
        int unread = (int) lines.stream().filter(line -> !line.read()).count();
        return new HoldingPage(kept.name(), kept.blocks(), lines, unread);
    }

    private Kept kept() {
        Map<Long, DecidedLine> marked = new HashMap<>();
        works.tellAll().forEach(work -> marked.put(work.treeId(), work));
        Map<Long, LastWork> done = new HashMap<>();
        List<SurveyLine> newest = surveys.tellNewest();
        SurveyRepository.portions(newest.stream().map(SurveyLine::id).toList())
                .flatMap(portion -> records.tellLastWork(portion).stream())
                .forEach(visit -> done.putIfAbsent(visit.surveyId(), visit));
        String name = holdings.findAll().stream().findFirst().map(Holding::name).orElse("");
        return new Kept(name, blocks(), newest, marked, done);
    }

    @Transactional(readOnly = true)
    public List<BlockLine> blocks() {
        return blocks.findAllByOrderById().stream().map(this::line).toList();
    }

    @Transactional
    public TreeAt treeAt(long blockId, int row, int place) {
        Block block = blocks.existing(blockId);
        block.requirePlace(row, place);
        OrchardTree tree = trees.findByBlockIdAndRowNoAndPlaceNo(blockId, row, place)
                .orElseGet(() -> trees.save(new OrchardTree(block, row, place)));
        Long survey = surveys.tellNewestOfTree(tree.id()).map(SurveyLine::id).orElse(null);
        return new TreeAt(tree.id(), tree.label(), survey);
    }

    @Transactional(readOnly = true)
    public TreePlace place(long treeId) {
        OrchardTree tree = trees.existing(treeId);
        SurveyLine survey = surveys.tellNewestOfTree(treeId).orElse(null);
        BlockLine block = line(tree.block());
        return new TreePlace(
                tree.id(),
                tree.label(),
                block,
                survey == null ? null : survey.id(),
                survey == null ? !block.counted().isEmpty() : survey.counted());
    }

    public Catalogue known() {
        return new Catalogue(
                knowledge.allSpecies().stream()
                        .map(one -> new SpeciesChoice(one.id(), said(one.name()), one.topwork() != null))
                        .toList(),
                knowledge.allCounted().stream()
                        .map(HoldingService::countedChoice)
                        .toList(),
                knowledge.allSystems().stream()
                        .map(one -> new SystemChoice(one.id(), said(one.name()), usedFor(one)))
                        .toList(),
                knowledge.allSchools().stream()
                        .map(one -> new SchoolChoice(
                                one.id(),
                                said(one.name()),
                                said(one.why()),
                                one.preferences().winters()))
                        .toList(),
                knowledge.plan().purposes().stream()
                        .map(one -> new PlanParameters.Purpose(one.id(), said(one.name()), one.goals()))
                        .toList(),
                knowledge.cultivars().stream()
                        .map(one -> new NamedCultivar(one.name(), one.species()))
                        .toList(),
                knowledge.rootstocks().stream()
                        .map(one -> new NamedStock(one.name(), one.vigourClass()))
                        .toList());
    }

    private static CountedChoice countedChoice(CountedKind kind) {
        return new CountedChoice(
                kind.id(),
                said(kind.name()),
                kind.form().word(),
                kind.systems().get(0),
                kind.vine() == null
                        ? List.of()
                        : kind.vine().woods().entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .map(wood -> new Choice(
                                        wood.getKey(), said(wood.getValue().name()), ""))
                                .toList());
    }

    private static String said(String known) {
        return Reader.speech().knowledge(known);
    }

    private List<String> usedFor(TrainingSystem system) {
        return knowledge.allSpecies().stream()
                .filter(species -> species.systems().contains(system.id()))
                .map(Species::id)
                .toList();
    }

    private TreeLine line(SurveyLine survey, Glance read, DecidedLine work, LastWork done) {
        Glance glance = read == null ? Glance.NONE : read;
        boolean marked = work != null && TreeDecisions.marks(work, survey.id());
        return new TreeLine(
                survey.treeId(),
                survey.blockId(),
                survey.label(),
                survey.row(),
                survey.place(),
                survey.surveyedOn().toString(),
                read != null,
                glance.leaf(),
                glance.parts(),
                Units.round(glance.height(), 1),
                glance.act(),
                glance.all(),
                read == null ? "" : first(survey.id(), glance),
                glance.rule(),
                Units.round(glance.shade(), 3),
                glance.shaded(),
                marked ? "marked" : done != null ? "done" : "to-decide",
                done != null ? done.doneOn().toString() : "",
                done != null ? done.who() : "",
                survey.counted());
    }

    /** What comes first on a tree, in the reader's words and units; it is said once for all who look. */
    private String first(long surveyId, Glance glance) {
        Speech speech = Reader.speech();
        return said.get(new Said(surveyId, speech.language(), speech.units()), () -> speech.say(glance.first()));
    }

    private record Said(long surveyId, String language, UnitSystem units) {}

    private BlockLine line(Block block) {
        CountedKind counted = knowledge.allCounted().stream()
                .filter(one -> one.id().equals(block.species()))
                .findFirst()
                .orElse(null);
        boolean supported = counted != null
                || knowledge.allSpecies().stream().anyMatch(one -> one.id().equals(block.species()))
                        && knowledge.allSystems().stream()
                                .anyMatch(one -> one.id().equals(block.system()));
        return new BlockLine(
                block.id(),
                block.holding().name(),
                block.name(),
                block.species(),
                knowledge.allSpecies().stream()
                        .filter(one -> one.id().equals(block.species()))
                        .map(one -> said(one.names().one()))
                        .findFirst()
                        .orElse(
                                counted == null
                                        ? block.species()
                                        : said(counted.names().one())),
                block.system(),
                knowledge.allSystems().stream()
                        .filter(one -> one.id().equals(block.system()))
                        .map(one -> said(one.name()))
                        .findFirst()
                        .orElse(
                                counted == null
                                        ? block.system()
                                        : Reader.speech().say(CountedAssessor.formOf(counted))),
                block.cultivar(),
                block.stock(),
                block.plantedYear(),
                block.treeCount(),
                block.rows().rows(),
                block.rows().places(),
                block.inRowM(),
                block.betweenRowsM(),
                block.rowBearingDeg(),
                block.holding().latitudeDeg(),
                block.holding().elevationM(),
                block.note(),
                block.eastM(),
                block.northM(),
                block.nearPowerLines(),
                supported,
                counted == null ? "" : counted.form().word(),
                block.archived(),
                block.holding().timeZone().getId());
    }
}
