package umbel.app.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.time.MonthDay;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.UmbelSettings;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.holding.HoldingService;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.Holding;
import umbel.app.orchard.HoldingRepository;
import umbel.app.orchard.RowLayout;
import umbel.app.survey.SurveyEntry;
import umbel.practice.Fault;

/** Fills an empty data folder with an invented holding: blocks of many kinds and their surveyed trees, each with faults. */
@Component
@Lazy(false)
class DemoHolding {

    private static final Logger LOG = LoggerFactory.getLogger(DemoHolding.class);

    private final UmbelSettings settings;
    private final Farms farms;
    private final HoldingRepository holdings;
    private final BlockRepository blocks;
    private final DemoSurveys surveys;
    private final DemoCountedPlants counted;
    private final DemoLog log;
    private final HoldingService service;
    private final TransactionTemplate transactions;
    private final Clock clock = Clock.systemDefaultZone();

    DemoHolding(
            UmbelSettings settings,
            Farms farms,
            HoldingRepository holdings,
            BlockRepository blocks,
            DemoSurveys surveys,
            DemoCountedPlants counted,
            DemoLog log,
            HoldingService service,
            TransactionTemplate transactions) {
        this.settings = settings;
        this.farms = farms;
        this.holdings = holdings;
        this.blocks = blocks;
        this.surveys = surveys;
        this.counted = counted;
        this.log = log;
        this.service = service;
        this.transactions = transactions;
    }

    @EventListener(ApplicationReadyEvent.class)
    void fillWhenEmpty() {
        if (settings.demo()) {
            FarmScope.run(farms.first().id(), this::fillFirst);
        }
    }

    private void fillFirst() {
        boolean filled = Boolean.TRUE.equals(transactions.execute(status -> {
            if (holdings.count() > 0) {
                return false;
            }
            fill();
            log.years(year());
            return true;
        }));
        if (filled) {
            log.counted("Long Wall");
            LOG.info("The demo holding was written to an empty data folder.");
        }
        service.page();
    }

    private void fill() {
        Holding holding = holdings.save(new Holding("Halden Combe Orchards", 47.6, 410));
        farms.nameFirst(holding.name());
        kilnField(holding);
        longWall(holding);
        southCourt(holding);
        geanWalk(holding);
        hobBank(holding);
        sunStep(holding);
        gardenFence(holding);
        nurseryCorner(holding);
        log.crew();
        karoTerrace(holdings.save(new Holding("Karo Terrace", -41, 60)));
        blueBank(holding);
        caneRows(holding);
        slopeVines(holding);
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
                .at(152, 20));
        surveys.surveyAYearOn(block, MonthDay.of(7, 3), 2, 4, 6, 401, "Nightjar", Fault.HANGERS, Fault.THICK_LIMB);
        surveys.survey(block, 2, 9, 6, 402, "Pale Wren", Fault.OLD_SPURS);
        surveys.survey(block, 5, 1, 1, 403, "Nightjar");
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
        surveys.surveyBefore(block, 1, 1, 28, 501, "Velvet Hob", Fault.TOO_TALL, Fault.WATER_SPROUTS, Fault.OLD_SPURS);
        surveys.survey(block, 1, 5, 28, 502, "Velvet Hob", Fault.TOO_TALL, Fault.DEAD_LIMB, Fault.LOP_SIDED);
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
        surveys.survey(block, 1, 3, 2, 601, "Small Lantern", Fault.TIGHT_CROTCH);
        surveys.survey(block, 2, 2, 2, 602, "Small Lantern");
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
                .rows(new RowLayout(1, 6))
                .at(209, 62));
        surveys.surveyAYearOn(block, MonthDay.of(9, 20), 1, 2, 9, 701, "Dame Orrin", Fault.WATER_SPROUTS);
        surveys.survey(block, 1, 4, 9, 702, "Dame Orrin", Fault.OUT_OF_BOX);
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
        surveys.survey(block, 1, 1, 3, 801, "Lantern Gage", Fault.RIVAL_LEADER);
        surveys.survey(block, 1, 2, 3, 802, "Lantern Gage", Fault.WEAK_GROWTH);
    }

    private void blueBank(Holding holding) {
        counted.plant(blocks.save(new Block(
                        holding,
                        "Blue Bank",
                        "blueberry",
                        "bush",
                        "Dusk Bell, Pale Lark",
                        "seedling",
                        year() - 12,
                        60,
                        1,
                        2.8,
                        90,
                        "Blueberries, with currants and gooseberries in the last row.")
                .rows(new RowLayout(3, 20))
                .at(260, -30)));
    }

    private void caneRows(Holding holding) {
        counted.plant(blocks.save(new Block(
                        holding,
                        "Cane Rows",
                        "raspberry-summer",
                        "row",
                        "Red Sill, Last Warm, Coal Cap, Long Ink",
                        "seedling",
                        year() - 6,
                        25,
                        10,
                        2.8,
                        10,
                        "Raspberries and blackberries, a kind a row.")
                .rows(new RowLayout(5, 5))
                .at(260, 10)));
    }

    private void slopeVines(Holding holding) {
        counted.plant(blocks.save(new Block(
                        holding,
                        "Slope Vines",
                        "grape",
                        "vine",
                        "Bent Amber, Grey Step",
                        "seedling",
                        year() - 18,
                        45,
                        2.4,
                        3,
                        10,
                        "Vines on the south slope; weighed every winter.")
                .rows(new RowLayout(3, 15))
                .at(320, 10)));
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
        surveys.survey(block, 1, 6, 7, 901, "Tui Gold", Fault.LOW_LIMB, Fault.CROSSING_LIMBS);
        surveys.survey(block, 2, 3, 7, 902, "Tui Gold");
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
        surveys.survey(
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
        surveys.survey(block, 2, 9, 22, 102, "Bellmoor", Fault.RIVAL_LEADER, Fault.WATER_SPROUTS, Fault.HANGERS);
        surveys.survey(block, 4, 11, 22, 103, "Ashlock", Fault.TOO_TALL, Fault.WATER_SPROUTS, Fault.CROSSING_LIMBS);
        surveys.survey(block, 5, 3, 22, 104, "Ashlock", Fault.BROKEN_LIMB, Fault.THICK_LIMB, Fault.INWARD_LIMB);
        SurveyEntry calm = surveys.survey(block, 6, 7, 22, 105, "Bellmoor");
        log.visited(calm, "Two shading limbs off the south side; sprouts rubbed in June.");
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
                .rows(new RowLayout(20, 70))
                .at(64, 0));
        surveys.survey(block, 3, 14, 4, 201, "Tansel", Fault.THICK_LIMB);
        surveys.survey(block, 3, 15, 4, 202, "Tansel", Fault.RIVAL_LEADER, Fault.SUCKERS);
        surveys.survey(block, 7, 22, 4, 203, "Merrow Late", Fault.TIGHT_CROTCH, Fault.WATER_SPROUTS);
        surveys.survey(block, 12, 40, 4, 204, "Merrow Late", Fault.HANGERS, Fault.BROKEN_LIMB);
        surveys.survey(block, 18, 6, 4, 205, "Tansel");
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
        surveys.survey(block, 1, 2, 6, 301, "Copperlight", Fault.THICKET, Fault.CANKER);
        surveys.survey(block, 1, 3, 6, 302, "Copperlight", Fault.THICKET, Fault.TOO_TALL);
        surveys.survey(block, 3, 8, 6, 303, "Copperlight", Fault.WATER_SPROUTS, Fault.CROSSING_LIMBS, Fault.DEAD_LIMB);
        surveys.survey(block, 4, 4, 6, 304, "Copperlight", Fault.INWARD_LIMB, Fault.SUCKERS, Fault.THICKET);
    }

    private int year() {
        return LocalDate.now(clock).getYear();
    }
}
