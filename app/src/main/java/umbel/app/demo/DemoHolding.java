package umbel.app.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.UmbelSettings;
import umbel.app.harvest.Picking;
import umbel.app.harvest.PickingRepository;
import umbel.app.holding.HoldingService;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.Holding;
import umbel.app.orchard.HoldingRepository;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.visit.RecordController;
import umbel.app.visit.VisitService;
import umbel.assess.Mark;
import umbel.cut.Operation;
import umbel.growth.FirstStand;
import umbel.growth.Season;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.practice.YearAfter;
import umbel.practice.YearBefore;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Fills an empty data folder with an invented holding: blocks of many kinds and their surveyed trees, each with faults. */
@Component
@Lazy(false)
class DemoHolding {

    private static final Logger LOG = LoggerFactory.getLogger(DemoHolding.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final UmbelSettings settings;
    private final Knowledge knowledge;
    private final HoldingRepository holdings;
    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final RecordRepository records;
    private final HoldingService service;
    private final PersonRepository people;
    private final PickingRepository pickings;
    private final VisitService visits;
    private final TransactionTemplate transactions;
    private final Clock clock = Clock.systemDefaultZone();

    DemoHolding(
            UmbelSettings settings,
            HoldingRepository holdings,
            BlockRepository blocks,
            TreeRepository trees,
            SurveyRepository surveys,
            RecordRepository records,
            HoldingService service,
            PersonRepository people,
            PickingRepository pickings,
            VisitService visits,
            Knowledge knowledge,
            TransactionTemplate transactions) {
        this.settings = settings;
        this.knowledge = knowledge;
        this.holdings = holdings;
        this.blocks = blocks;
        this.trees = trees;
        this.surveys = surveys;
        this.records = records;
        this.service = service;
        this.people = people;
        this.pickings = pickings;
        this.visits = visits;
        this.transactions = transactions;
    }

    @EventListener(ApplicationReadyEvent.class)
    void fillWhenEmpty() {
        if (!settings.demo()) {
            return;
        }
        transactions.executeWithoutResult(status -> {
            if (holdings.count() == 0) {
                fill();
                years();
                LOG.info("The demo holding was written to an empty data folder.");
            }
        });
        service.page();
    }

    private void fill() {
        Holding holding = holdings.save(new Holding("Halden Combe Orchards", 47.6, 410));
        kilnField(holding);
        longWall(holding);
        southCourt(holding);
        geanWalk(holding);
        hobBank(holding);
        sunStep(holding);
        gardenFence(holding);
        nurseryCorner(holding);
        crew();
        karoTerrace(holdings.save(new Holding("Karo Terrace", -41, 60)));
    }

    /** Harvests of three years, and a visit that has to be come back for. */
    private void years() {
        int[][] kilograms = {
            {9_200, 12_400, 7_100}, {21_500, 30_800, 38_600}, {2_050, 1_780, 2_300}, {640, 1_450, 2_900}
        };
        List<MonthDay> lastPickings =
                List.of(MonthDay.of(9, 24), MonthDay.of(9, 29), MonthDay.of(8, 12), MonthDay.of(7, 5));
        List<Block> bearing = blocks.findAllByOrderById().subList(0, kilograms.length);
        for (int i = 0; i < kilograms.length; i++) {
            for (int ago = 1; ago <= 3; ago++) {
                LocalDate day = lastPickings.get(i).atYear(year() - ago);
                pickings.save(new Picking(
                        bearing.get(i),
                        null,
                        "harvest",
                        day,
                        (double) kilograms[i][3 - ago],
                        null,
                        true,
                        "",
                        clock.instant()));
            }
        }
        SurveyEntry young = surveys.findNewest().stream()
                .filter(one -> one.tree().block().name().equals("Nursery Corner"))
                .reduce((first, second) -> second)
                .orElseThrow();
        List<RecordController.DoneStep> steps = SurveyReader.read(young.document()).limbs().stream()
                .filter(limb -> limb.parent().equals(Survey.TRUNK) && limb.angleDeg() < 60)
                .limit(2)
                .map(limb -> new RecordController.DoneStep(
                        Mark.of(Operation.bend(limb.id(), Math.toRadians(62))),
                        "Bring limb " + limb.id() + " to 62°",
                        "as-planned",
                        ""))
                .toList();
        visits.keep(
                young.tree().id(),
                new RecordController.Entry(
                        LocalDate.now(clock).minusDays(1),
                        "Tomas",
                        6,
                        "Spreaders are marked with grey tape.",
                        steps,
                        null,
                        "ties",
                        null));
    }

    private void crew() {
        people.save(new Person("Ines", "en", 6, true, true));
        people.save(new Person("Tomas", "es", 7, true, true));
        people.save(new Person("Lucia", "es", 7, false, true));
        people.save(new Person("Wim", "en", 5, false, false));
    }

    private void geanWalk(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Gean Walk",
                        "cherry-sweet",
                        "slender-axe",
                        "Nightjar, Pale Wren",
                        "dwarfing",
                        year() - 6,
                        260,
                        2.1,
                        4.5,
                        10,
                        "Many even, thin limbs; a fifth renewed each year in dry weather.")
                .at(135, 20));
        surveyAYearOn(block, MonthDay.of(7, 3), 2, 4, 6, 401, "Nightjar", Fault.HANGERS, Fault.THICK_LIMB);
        survey(block, 2, 9, 6, 402, "Pale Wren", Fault.OLD_SPURS);
        survey(block, 5, 1, 1, 403, "Nightjar");
    }

    private void hobBank(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Hob Bank",
                        "plum-japanese",
                        "open-centre",
                        "Velvet Hob",
                        "seedling",
                        year() - 28,
                        14,
                        5,
                        6,
                        40,
                        "Old trees, fruit at the top; lowered over three winters.")
                .at(12, 98));
        surveyBefore(block, 1, 1, 28, 501, "Velvet Hob", Fault.TOO_TALL, Fault.WATER_SPROUTS, Fault.OLD_SPURS);
        survey(block, 1, 5, 28, 502, "Velvet Hob", Fault.TOO_TALL, Fault.DEAD_LIMB, Fault.LOP_SIDED);
    }

    private void sunStep(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Sun Step",
                        "apricot",
                        "open-centre",
                        "Small Lantern",
                        "semi-vigorous",
                        year() - 2,
                        24,
                        4,
                        5,
                        120,
                        "Young frames on a south slope.")
                .at(78, -16));
        survey(block, 1, 3, 2, 601, "Small Lantern", Fault.TIGHT_CROTCH);
        survey(block, 2, 2, 2, 602, "Small Lantern");
    }

    private void gardenFence(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Garden Fence",
                        "pear",
                        "espalier",
                        "Dame Orrin",
                        "semi-dwarfing",
                        year() - 9,
                        6,
                        4,
                        3,
                        10,
                        "Three tiers on the fence; short-spurred in summer.")
                .at(192, 62));
        surveyAYearOn(block, MonthDay.of(9, 20), 1, 2, 9, 701, "Dame Orrin", Fault.WATER_SPROUTS);
        survey(block, 1, 4, 9, 702, "Dame Orrin", Fault.OUT_OF_BOX);
    }

    private void nurseryCorner(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Nursery Corner",
                        "plum-european",
                        "central-leader",
                        "Lantern Gage",
                        "semi-vigorous",
                        year() - 3,
                        30,
                        5,
                        5.5,
                        10,
                        "Newly planted, to choose a system by.")
                .at(126, -58));
        survey(block, 1, 1, 3, 801, "Lantern Gage", Fault.RIVAL_LEADER);
        survey(block, 1, 2, 3, 802, "Lantern Gage", Fault.WEAK_GROWTH);
    }

    private void karoTerrace(Holding holding) {
        Block block = blocks.save(new Block(
                holding,
                "Karo Terrace",
                "citrus",
                "open-centre",
                "Tui Gold",
                "semi-vigorous",
                year() - 7,
                40,
                4,
                5,
                75,
                "The other hemisphere: after harvest and after frost."));
        survey(block, 1, 6, 7, 901, "Tui Gold", Fault.LOW_LIMB, Fault.CROSSING_LIMBS);
        survey(block, 2, 3, 7, 902, "Tui Gold");
    }

    private void kilnField(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Kiln Field",
                        "apple",
                        "central-leader",
                        "Bellmoor, Ashlock",
                        "semi-vigorous",
                        year() - 22,
                        120,
                        5,
                        6,
                        10,
                        "Dense old frame trees; staged over several winters.")
                .at(0, 0));
        survey(
                block,
                2,
                5,
                22,
                101,
                "Bellmoor",
                Fault.DEAD_LIMB,
                Fault.SUCKERS,
                Fault.STACKED_LIMBS,
                Fault.WATER_SPROUTS);
        survey(block, 2, 9, 22, 102, "Bellmoor", Fault.RIVAL_LEADER, Fault.WATER_SPROUTS, Fault.HANGERS);
        survey(block, 4, 11, 22, 103, "Ashlock", Fault.TOO_TALL, Fault.WATER_SPROUTS, Fault.CROSSING_LIMBS);
        survey(block, 5, 3, 22, 104, "Ashlock", Fault.BROKEN_LIMB, Fault.THICK_LIMB, Fault.INWARD_LIMB);
        SurveyEntry calm = survey(block, 6, 7, 22, 105, "Bellmoor");
        visited(calm, "Two shading limbs off the south side; sprouts rubbed in June.");
    }

    private void longWall(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "Long Wall",
                        "apple",
                        "tall-spindle",
                        "Merrow Late, Tansel",
                        "dwarfing",
                        year() - 4,
                        1400,
                        1.0,
                        3.5,
                        10,
                        "Slender wall, renewed limb by limb.")
                .at(64, 0));
        survey(block, 3, 14, 4, 201, "Tansel", Fault.THICK_LIMB);
        survey(block, 3, 15, 4, 202, "Tansel", Fault.RIVAL_LEADER, Fault.SUCKERS);
        survey(block, 7, 22, 4, 203, "Merrow Late", Fault.TIGHT_CROTCH, Fault.WATER_SPROUTS);
        survey(block, 12, 40, 4, 204, "Merrow Late", Fault.HANGERS, Fault.BROKEN_LIMB);
        survey(block, 18, 6, 4, 205, "Tansel");
    }

    private void southCourt(Holding holding) {
        Block block = blocks.save(new Block(
                        holding,
                        "South Court",
                        "peach",
                        "open-centre",
                        "Copperlight",
                        "semi-vigorous",
                        year() - 6,
                        90,
                        4,
                        5,
                        95,
                        "One corner with canker; cut around bloom, in dry weather.")
                .at(0, -14));
        survey(block, 1, 2, 6, 301, "Copperlight", Fault.THICKET, Fault.CANKER);
        survey(block, 1, 3, 6, 302, "Copperlight", Fault.THICKET, Fault.TOO_TALL);
        survey(block, 3, 8, 6, 303, "Copperlight", Fault.WATER_SPROUTS, Fault.CROSSING_LIMBS, Fault.DEAD_LIMB);
        survey(block, 4, 4, 6, 304, "Copperlight", Fault.INWARD_LIMB, Fault.SUCKERS, Fault.THICKET);
    }

    private int year() {
        return LocalDate.now(clock).getYear();
    }

    private SurveyEntry survey(Block block, int row, int place, int leaf, long seed, String cultivar, Fault... faults) {
        OrchardTree tree = trees.save(new OrchardTree(block, row, place));
        return save(tree, block, PracticeTree.survey(block.species(), block.system(), leaf, seed, faults), cultivar);
    }

    /** A tree surveyed last year as well, as it would have been then. */
    private void surveyBefore(Block block, int row, int place, int leaf, long seed, String cultivar, Fault... faults) {
        SurveyEntry now = survey(block, row, place, leaf, seed, cultivar, faults);
        Survey before = YearBefore.of(SurveyReader.read(now.document()));
        surveys.save(new SurveyEntry(
                now.tree(), now.surveyedOn().minusYears(1), SurveyReader.write(before), clock.instant()));
    }

    /** A tree surveyed last year as well, and its fruit counted; what grew since grew by the model, and was measured in haste. */
    private void surveyAYearOn(
            Block block, MonthDay picking, int row, int place, int leaf, long seed, String cultivar, Fault... faults) {
        OrchardTree tree = trees.save(new OrchardTree(block, row, place));
        Survey made = PracticeTree.survey(block.species(), block.system(), leaf, seed, faults);
        Survey before = YearBefore.of(inBlock(tree, block, made, cultivar));
        Tree stood = TreeBuilder.build(before, knowledge, 1);
        Season.Year season = Season.grow(FirstStand.of(stood, seed), Season.Work.NONE);
        for (Survey one : List.of(before, YearAfter.of(before, season.after().tree(), seed))) {
            surveys.save(new SurveyEntry(tree, one.surveyedOn(), SurveyReader.write(one), clock.instant()));
        }
        pickings.save(new Picking(
                block,
                tree,
                "harvest",
                picking.atYear(before.surveyedOn().getYear() + 1),
                null,
                (int) Math.round(season.fruits()),
                false,
                "Counted on the tree.",
                clock.instant()));
    }

    private SurveyEntry save(OrchardTree tree, Block block, Survey made, String cultivar) {
        Survey own = inBlock(tree, block, made, cultivar);
        return surveys.save(new SurveyEntry(tree, own.surveyedOn(), SurveyReader.write(own), clock.instant()));
    }

    /** An invented survey as one of a tree of this block, made these days. */
    private Survey inBlock(OrchardTree tree, Block block, Survey made, String cultivar) {
        Survey.TreeFacts facts = made.tree();
        String habit = cultivar.equals("Merrow Late") ? "tip" : "standard";
        LocalDate day = LocalDate.now(clock).minusDays(3);
        return new Survey(
                Survey.FORMAT,
                new Survey.TreeFacts(
                        tree.label(),
                        facts.species(),
                        facts.leaf(),
                        facts.system(),
                        new Survey.Cultivar(cultivar, habit, "moderate", "moderate"),
                        new Survey.Rootstock("", block.stock()),
                        facts.spacing(),
                        block.rowBearingDeg()),
                Survey.Site.level(block.holding().latitudeDeg(), block.holding().elevationM()),
                day,
                made.trunk(),
                made.limbs());
    }

    private void visited(SurveyEntry survey, String note) {
        List<java.util.Map<String, Object>> steps = List.of(java.util.Map.of(
                "mark",
                java.util.Map.of("operation", "remove", "limb", "old south limb"),
                "title",
                "Remove the shading limb on the south side",
                "outcome",
                "as-planned"));
        records.save(new WorkRecord(
                survey.tree(),
                survey,
                null,
                survey.surveyedOn().minusYears(1),
                "Ines, foreman",
                14,
                note,
                JSON.writeValueAsString(steps),
                clock.instant()));
    }
}
