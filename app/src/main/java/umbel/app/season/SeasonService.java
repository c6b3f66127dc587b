package umbel.app.season;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.instruction.InstructionService;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.Holding;
import umbel.app.orchard.TreeRepository;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.app.plan.MarkedLabour;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.crew.WorkKind;
import umbel.knowledge.Knowledge;
import umbel.season.DayAdvice;
import umbel.season.DayOrder;
import umbel.season.Phenology;
import umbel.season.SeasonBlock;
import umbel.season.SeasonCalendar;
import umbel.season.Weather;
import umbel.wood.Units;

/** The season of every block: its dates, its days, the work left in it. */
@Service
public class SeasonService {

    private static final int WEEKS_BACK = 3;
    private static final int WEEKS = 52;
    private static final int WEATHER_BACK_DAYS = 500;
    private static final int WEATHER_AHEAD_DAYS = 900;

    private final BlockRepository blocks;
    private final TreeRepository trees;
    private final SurveyRepository surveys;
    private final SavedDecisionsRepository works;
    private final RecordRepository records;
    private final BlockFacts blockFacts;
    private final InstructionService instructions;
    private final PersonRepository people;
    private final ScheduledWorkRepository placedWork;
    private final MarkedLabour labour;
    private final WeatherStations stations;
    private final TreeReadings readings;
    private final Knowledge knowledge;
    private final Clock clock;

    SeasonService(
            BlockRepository blocks,
            TreeRepository trees,
            SurveyRepository surveys,
            SavedDecisionsRepository works,
            RecordRepository records,
            BlockFacts blockFacts,
            InstructionService instructions,
            PersonRepository people,
            ScheduledWorkRepository placedWork,
            MarkedLabour labour,
            WeatherStations stations,
            TreeReadings readings,
            Knowledge knowledge,
            Clock clock) {
        this.blocks = blocks;
        this.trees = trees;
        this.surveys = surveys;
        this.works = works;
        this.records = records;
        this.blockFacts = blockFacts;
        this.instructions = instructions;
        this.people = people;
        this.placedWork = placedWork;
        this.labour = labour;
        this.stations = stations;
        this.readings = readings;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    /** A block with its calendar, its coming days and what is left to do. */
    record BlockStatus(
            Block block,
            SeasonBlock facts,
            String systemName,
            SeasonCalendar calendar,
            List<DayAdvice> days,
            Map<WorkKind, Double> hours,
            int treesDone,
            boolean counted) {

        double allHours() {
            return hours.values().stream().mapToDouble(Double::doubleValue).sum();
        }

        DayOrder.Waiting waiting(LocalDate from) {
            return DayOrder.waiting(block.id(), block.name(), facts, days, from, allHours());
        }
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Hours at the trees that all active people have in a day. */
    double crewHours() {
        return people.findByCrewTrueAndActiveTrueOrderByNameAsc().stream()
                .mapToDouble(Person::hoursADay)
                .sum();
    }

    /** Every block from some weeks back to nearly a year ahead. */
    @Transactional(readOnly = true)
    public SeasonAnswers.SeasonPage page() {
        LocalDate today = today();
        LocalDate from = today.minusWeeks(WEEKS_BACK).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        LocalDate to = from.plusWeeks(WEEKS).minusDays(1);
        double hands = crewHours();
        List<SeasonAnswers.BlockSeason> lines = new ArrayList<>();
        Map<Long, Weather> weathers = new HashMap<>();
        Map<Long, Holding> holdings = new HashMap<>();
        for (BlockStatus one : statuses(from, to, weathers)) {
            holdings.put(one.block().holding().id(), one.block().holding());
            lines.add(line(one, today, hands));
        }
        List<SeasonAnswers.HoldingWeather> told = holdings.values().stream()
                .map(holding -> new SeasonAnswers.HoldingWeather(
                        holding.id(),
                        holding.name(),
                        weathers
                                .get(holding.id())
                                .between(
                                        from,
                                        today.plusDays(knowledge
                                                .parameters()
                                                .season()
                                                .calendar()
                                                .forecastDays()))
                                .stream()
                                .map(SeasonAnswers.WeatherLine::of)
                                .toList()))
                .toList();
        return new SeasonAnswers.SeasonPage(today, from, to, Units.round(hands, 1), told, lines);
    }

    /** One day: where to go, in which order, and why not elsewhere. */
    @Transactional(readOnly = true)
    public SeasonAnswers.DayPage day(LocalDate date) {
        LocalDate to = date.plusDays(330);
        Map<Long, Weather> weathers = new HashMap<>();
        List<BlockStatus> statuses = statuses(date, to, weathers);
        Map<Long, BlockStatus> byId = new HashMap<>();
        statuses.forEach(one -> byId.put(one.block().id(), one));
        double hands = crewHours();
        List<DayOrder.Placed> placed =
                DayOrder.of(statuses.stream().map(one -> one.waiting(date)).toList(), Math.max(1, hands));
        Map<Long, LocalDate> planned = plannedFrom(date);
        List<SeasonAnswers.PlacedBlock> blocksOfDay = placed.stream()
                .map(one -> {
                    LocalDate day = planned.get(one.waiting().id());
                    boolean go = planned.isEmpty() ? one.go() : date.equals(day);
                    return SeasonAnswers.PlacedBlock.of(
                            one, byId.get(one.waiting().id()).block(), go, day);
                })
                .sorted(Comparator.comparing((SeasonAnswers.PlacedBlock one) -> !one.go()))
                .toList();
        return new SeasonAnswers.DayPage(date, Units.round(hands, 1), !planned.isEmpty(), blocksOfDay);
    }

    /** The first day from a date on that the crew's schedule sends somebody to each block; empty where nothing is scheduled. */
    private Map<Long, LocalDate> plannedFrom(LocalDate date) {
        Map<Long, LocalDate> first = new HashMap<>();
        placedWork
                .findByPlannedOnGreaterThanEqualOrderByPlannedOnAscIdAsc(date)
                .forEach(work -> first.putIfAbsent(work.block().id(), work.plannedOn()));
        return first;
    }

    /** The dates of the year a block's day belongs to; null where its kind or system is not known. */
    public Phenology yearOf(Block block, LocalDate day) {
        LocalDate today = today();
        Set<String> sick = readings.diseases(surveys.tellNewestOfBlock(block.id()).stream()
                .map(SurveyLine::id)
                .toList());
        SeasonBlock facts =
                blockFacts.of(block, today, sick).map(BlockFacts.Facts::season).orElse(null);
        if (facts == null) {
            return null;
        }
        LocalDate from = day.isBefore(today) ? day : today;
        Weather weather = stations.tell(
                block.holding(), from.minusDays(WEATHER_BACK_DAYS), today.plusDays(WEATHER_AHEAD_DAYS), today);
        return new SeasonCalendar(facts, knowledge.parameters(), weather).year(day);
    }

    /** The windiest day of a holding from one day to another, both included, of those that were observed. */
    @Transactional(readOnly = true)
    public Optional<Weather.Day> windiest(Holding holding, LocalDate from, LocalDate to) {
        LocalDate today = today();
        LocalDate last = to.isBefore(today) ? to : today;
        return from.isAfter(last)
                ? Optional.empty()
                : stations.tell(holding, from, last, today).between(from, last).stream()
                        .filter(day -> day.kind() == Weather.Kind.OBSERVED)
                        .max(Comparator.comparingDouble(Weather.Day::wind));
    }

    /** Every supported block with its days from one to another. */
    List<BlockStatus> statuses(LocalDate from, LocalDate to, Map<Long, Weather> weathers) {
        LocalDate today = today();
        Map<Long, Map<WorkKind, Double>> marked = new HashMap<>();
        Map<Long, Integer> markedTrees = new HashMap<>();
        Set<Long> waiting = countMarked(marked, markedTrees);
        Map<LocalDate, Map<Long, Integer>> doneSince = new HashMap<>();
        Map<Long, List<Long>> surveysOfBlocks = surveys.tellNewest().stream()
                .collect(Collectors.groupingBy(
                        SurveyLine::blockId, Collectors.mapping(SurveyLine::id, Collectors.toList())));
        Map<Long, Map<WorkKind, Double>> instructed = instructions.minutesATree();
        List<BlockStatus> statuses = new ArrayList<>();
        for (Block block : blocks.findAllByOrderById()) {
            BlockFacts.Facts told = block.archived()
                    ? null
                    : blockFacts
                            .of(block, today, readings.diseases(surveysOfBlocks.getOrDefault(block.id(), List.of())))
                            .orElse(null);
            if (told == null) {
                continue;
            }
            SeasonBlock facts = told.season();
            Weather weather = weathers.computeIfAbsent(
                    block.holding().id(),
                    id -> stations.tell(
                            block.holding(),
                            today.minusDays(WEATHER_BACK_DAYS),
                            today.plusDays(WEATHER_AHEAD_DAYS),
                            today));
            SeasonCalendar calendar = new SeasonCalendar(facts, knowledge.parameters(), weather);
            LocalDate since = calendar.year(today).dormant().minusDays(30);
            int done = doneSince
                    .computeIfAbsent(since, day -> treesDone(day, waiting))
                    .getOrDefault(block.id(), 0);
            int count = markedTrees.getOrDefault(block.id(), 0);
            statuses.add(new BlockStatus(
                    block,
                    facts,
                    told.systemName(),
                    calendar,
                    calendar.between(from, to),
                    hours(
                            Math.max(0, block.treeCount() - done),
                            told.minutesAPlant(),
                            instructed.getOrDefault(block.id(), Map.of()),
                            marked.getOrDefault(block.id(), Map.of()),
                            count),
                    done,
                    count > 0));
        }
        return statuses;
    }

    /** Adds up the minutes that are marked and the trees they are on, by block; gives these trees. */
    private Set<Long> countMarked(Map<Long, Map<WorkKind, Double>> minutes, Map<Long, Integer> trees) {
        Set<Long> waiting = new HashSet<>();
        works.findAll().forEach(work -> {
            Map<WorkKind, Double> ofTree = labour.of(work);
            if (!ofTree.isEmpty()) {
                waiting.add(work.tree().id());
                Long block = work.tree().block().id();
                trees.merge(block, 1, Integer::sum);
                ofTree.forEach((kind, count) -> minutes.computeIfAbsent(block, id -> new EnumMap<>(WorkKind.class))
                        .merge(kind, count, Double::sum));
            }
        });
        return waiting;
    }

    /**
     * Hours left: marked trees as counted; the others as the block's instruction takes where it is worked by one, else as the marked
     * ones, or with none marked as is usual in the system.
     */
    private static Map<WorkKind, Double> hours(
            int left,
            Map<WorkKind, Double> usual,
            Map<WorkKind, Double> instructed,
            Map<WorkKind, Double> marked,
            int markedTrees) {
        int unmarked = Math.max(0, left - markedTrees);
        Map<WorkKind, Double> hours = new EnumMap<>(WorkKind.class);
        if (!instructed.isEmpty()) {
            instructed.forEach((kind, minutes) -> hours.merge(kind, minutes * unmarked / 60, Double::sum));
            marked.forEach((kind, minutes) -> hours.merge(kind, minutes / 60, Double::sum));
        } else if (markedTrees > 0) {
            marked.forEach((kind, minutes) -> hours.put(kind, minutes / markedTrees * left / 60));
        } else {
            usual.forEach((kind, minutes) -> hours.put(kind, minutes * left / 60));
        }
        return hours;
    }

    /** Trees done since a day, by block; one on which marks still wait is not done. */
    private Map<Long, Integer> treesDone(LocalDate since, Set<Long> waiting) {
        List<Long> done = records.findTreesDone(since).stream()
                .filter(tree -> !waiting.contains(tree))
                .toList();
        return done.isEmpty()
                ? Map.of()
                : trees.countByBlock(done).stream()
                        .collect(Collectors.toMap(TreeRepository.InBlock::getBlock, TreeRepository.InBlock::getTrees));
    }

    private static SeasonAnswers.BlockSeason line(BlockStatus one, LocalDate today, double hands) {
        Phenology year = one.calendar().year(today);
        DayOrder.Waiting waiting = one.waiting(today);
        return new SeasonAnswers.BlockSeason(
                one.block().id(),
                one.block().name(),
                one.block().holding().id(),
                Reader.speech().knowledge(one.facts().traits().one()),
                one.systemName(),
                one.facts().leaf(),
                one.block().treeCount(),
                one.treesDone(),
                one.counted(),
                Units.round(one.allHours(), 1),
                Units.round(one.hours().getOrDefault(WorkKind.SAW, 0.0), 1),
                Units.round(one.hours().getOrDefault(WorkKind.LADDER, 0.0), 1),
                waiting.daysLeft(),
                waiting.windowEnd(),
                hands <= 0 ? null : Units.round(one.allHours() / hands, 1),
                one.facts().diseases().stream()
                        .map(Reader.speech()::knowledge)
                        .sorted()
                        .toList(),
                SeasonAnswers.SeasonDates.of(year),
                SeasonAnswers.spans(one.days()));
    }
}
