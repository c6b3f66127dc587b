package umbel.app.learning;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.cache.ComputedCache;
import umbel.app.harvest.PickingRepository;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Mark;
import umbel.counted.CountLearned;
import umbel.counted.CountSurvey;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.knowledge.Knowledge;
import umbel.plant.CountedPlant;
import umbel.survey.Survey;

/**
 * Holds forecasts against what trees did: for every tree surveyed in two winters, the season between is foretold from the
 * earlier survey and what was recorded after it, and compared with the later one.
 */
@Service
public class LearningService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int SEASON_DAYS_LEAST = 200;
    private static final int SEASON_DAYS_MOST = 550;
    private static final int BLOCKS_KEPT = 500;

    private final SurveyRepository surveys;
    private final RecordRepository records;
    private final PickingRepository pickings;
    private final TreeReadings readings;
    private final BlockState states;
    private final Knowledge knowledge;
    private final ComputedCache<Key, Comparison> kept = ComputedCache.atMost(5_000);
    private final ComputedCache<String, BlockCalibration> learned = ComputedCache.atMost(BLOCKS_KEPT);
    private final ComputedCache<String, Map<String, CountLearned>> learnedOfCounted = ComputedCache.atMost(BLOCKS_KEPT);

    private record Key(long earlier, long later, int visits, double fruits) {}

    LearningService(
            SurveyRepository surveys,
            RecordRepository records,
            PickingRepository pickings,
            TreeReadings readings,
            BlockState states,
            Knowledge knowledge) {
        this.surveys = surveys;
        this.records = records;
        this.pickings = pickings;
        this.readings = readings;
        this.states = states;
        this.knowledge = knowledge;
    }

    /** A season of a tree that was foretold and has come. */
    public record Checked(SurveyEntry earlier, SurveyEntry later, Comparison comparison) {}

    /** What a block's trees have taught. */
    @Transactional(readOnly = true)
    public BlockCalibration of(Block block) {
        return learned.get(
                states.of(block.id()),
                () -> BlockCalibration.of(
                        counting(block).stream()
                                .filter(one -> !one.earlier().isCounted())
                                .map(Checked::comparison)
                                .toList(),
                        knowledge.parameters().learning()));
    }

    /** What a block's bushes, rows or vines of one kind have taught. */
    @Transactional(readOnly = true)
    public CountLearned counted(Block block, String kind) {
        return ofCounted(block).getOrDefault(kind, CountLearned.NOTHING);
    }

    /** What a block's counted plants have taught, by kind. */
    @Transactional(readOnly = true)
    public Map<String, CountLearned> ofCounted(Block block) {
        return learnedOfCounted.get(states.of(block.id()), () -> learnOfCounted(block));
    }

    private Map<String, CountLearned> learnOfCounted(Block block) {
        Map<String, List<Comparison>> byKind = new TreeMap<>();
        for (Checked one : counting(block)) {
            if (one.earlier().isCounted()) {
                String kind = readings.counted(one.earlier()).counted().kind().id();
                byKind.computeIfAbsent(kind, key -> new ArrayList<>()).add(one.comparison());
            }
        }
        Map<String, CountLearned> ofKinds = new TreeMap<>();
        byKind.forEach((kind, seasons) -> ofKinds.put(
                kind, CountLearned.of(seasons, knowledge.parameters().learning())));
        return Collections.unmodifiableMap(ofKinds);
    }

    /** The seasons of a block that count for what it has taught. */
    private List<Checked> counting(Block block) {
        return checked(block).stream()
                .filter(one -> block.learningSince() == null
                        || one.later().surveyedOn().isAfter(block.learningSince()))
                .toList();
    }

    /** The last seasons of a block's trees that can be checked; not all of them, since a block may hold thousands. */
    @Transactional(readOnly = true)
    public List<Checked> checked(Block block) {
        List<SurveyLine> all = surveys.tellAllOfBlock(block.id());
        Map<SurveyLine, SurveyLine> seasons = new LinkedHashMap<>(); // earlier by later
        for (int i = 0; i + 1 < all.size(); i++) {
            SurveyLine later = all.get(i);
            SurveyLine earlier = all.get(i + 1);
            if (earlier.treeId().equals(later.treeId()) && isSeason(earlier.surveyedOn(), later.surveyedOn())) {
                seasons.put(later, earlier);
            }
        }
        if (seasons.isEmpty()) {
            return List.of();
        }
        seasons.keySet()
                .retainAll(seasons.keySet().stream()
                        .sorted(Comparator.comparing(SurveyLine::surveyedOn)
                                .thenComparing(SurveyLine::id)
                                .reversed())
                        .limit(knowledge.parameters().learning().seasonsMost())
                        .collect(Collectors.toSet()));
        Map<Long, SurveyEntry> whole = surveys
                .findWithTrees(Stream.concat(seasons.keySet().stream(), seasons.values().stream())
                        .map(SurveyLine::id)
                        .distinct()
                        .toList())
                .stream()
                .collect(Collectors.toMap(SurveyEntry::id, survey -> survey));
        return seasons.entrySet().stream()
                .map(season -> checked(
                        whole.get(season.getValue().id()),
                        whole.get(season.getKey().id())))
                .toList();
    }

    private static boolean isSeason(LocalDate earlier, LocalDate later) {
        long days = ChronoUnit.DAYS.between(earlier, later);
        return days >= SEASON_DAYS_LEAST && days <= SEASON_DAYS_MOST;
    }

    private Checked checked(SurveyEntry earlier, SurveyEntry later) {
        return new Checked(earlier, later, compare(earlier, later));
    }

    /** Every season of a tree that can be checked, the last one first. */
    @Transactional(readOnly = true)
    public List<Checked> checked(long treeId) {
        List<SurveyEntry> own = surveys.findByTreeIdOrderBySurveyedOnDescIdDesc(treeId);
        List<Checked> all = new ArrayList<>();
        for (int i = 0; i + 1 < own.size(); i++) {
            SurveyEntry later = own.get(i);
            SurveyEntry earlier = own.get(i + 1);
            if (isSeason(earlier.surveyedOn(), later.surveyedOn())) {
                all.add(checked(earlier, later));
            }
        }
        return all;
    }

    /** What the next survey of a tree is expected to find today; empty where it was never surveyed. */
    @Transactional(readOnly = true)
    public Optional<Survey> expected(long treeId, LocalDate today) {
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId)
                .flatMap(last -> readings.plant(last)
                        .expected(
                                done(visitsAfter(last)),
                                of(last.tree().block()),
                                ChronoUnit.DAYS.between(last.surveyedOn(), today) >= SEASON_DAYS_LEAST,
                                today));
    }

    /** What the next count of a bush, a cane row or a vine is expected to find today; empty where it was never counted. */
    @Transactional(readOnly = true)
    public Optional<CountSurvey> expectedCount(long treeId, LocalDate today) {
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId)
                .map(last -> learning(last)
                        .expectedCount(
                                done(visitsAfter(last)),
                                ChronoUnit.DAYS.between(last.surveyedOn(), today) >= SEASON_DAYS_LEAST,
                                today));
    }

    /** The counted plant of a survey, foretold by what its block has taught. */
    @Transactional(readOnly = true)
    public CountedPlant learning(SurveyEntry survey) {
        CountedPlant plant = readings.counted(survey);
        return plant.with(counted(survey.tree().block(), plant.counted().kind().id()));
    }

    /** What was done on a surveyed plant from one day to another, both included. */
    @Transactional(readOnly = true)
    public List<Mark> done(SurveyEntry survey, LocalDate from, LocalDate to) {
        return done(visitsAfter(survey).stream()
                .filter(visit ->
                        !visit.doneOn().isBefore(from) && !visit.doneOn().isAfter(to))
                .toList());
    }

    private List<WorkRecord> visitsAfter(SurveyEntry survey) {
        return records.findByTreeIdOrderByDoneOnDescIdDesc(survey.tree().id()).stream()
                .filter(visit -> visit.surveyId().equals(survey.id()))
                .toList();
    }

    private Comparison compare(SurveyEntry earlier, SurveyEntry later) {
        List<WorkRecord> visits = visitsAfter(earlier);
        double fruits = fruitsBetween(earlier, later);
        return kept.get(
                new Key(earlier.id(), later.id(), visits.size(), fruits),
                () -> readings.plant(earlier).compare(done(visits), readings.plant(later), fruits));
    }

    /** Fruits a tree bore between two surveys, counted or by their mass; 0 where nobody wrote it down. */
    private double fruitsBetween(SurveyEntry earlier, SurveyEntry later) {
        double mass = readings.plant(earlier).facts().fruitMass();
        return pickings
                .findByTreeIdAndKindAndPickedOnBetween(
                        earlier.tree().id(), "harvest", earlier.surveyedOn(), later.surveyedOn())
                .stream()
                .mapToDouble(one -> one.fruits() != null ? one.fruits() : one.kg() / mass)
                .sum();
    }

    /** What was done at visits; those that were corrected do not count. */
    private static List<Mark> done(List<WorkRecord> visits) {
        List<Mark> done = new ArrayList<>();
        for (WorkRecord visit : visits) {
            boolean corrected = visits.stream().anyMatch(other -> visit.id().equals(other.correctsId()));
            if (!corrected) {
                done.addAll(doneIn(visit));
            }
        }
        return done;
    }

    private static List<Mark> doneIn(WorkRecord visit) {
        List<Mark> done = new ArrayList<>();
        for (JsonNode step : JSON.readTree(visit.document())) {
            String outcome = step.path("outcome").asString("");
            if (StepOutcome.of(outcome).filter(StepOutcome::done).isPresent()) {
                done.add(JSON.convertValue(step.path("mark"), new TypeReference<Mark>() {}));
            }
        }
        return done;
    }
}
