package umbel.app.learning;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.harvest.PickingRepository;
import umbel.app.kept.ComputedCache;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Mark;
import umbel.cut.CutTree;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.growth.ExpectedSurvey;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Season;
import umbel.knowledge.Knowledge;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;

/**
 * Holds forecasts against what trees did: for every tree surveyed in two winters, the season between is foretold from the
 * earlier survey and what was recorded after it, and compared with the later one.
 */
@Service
public class LearningService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int SEASON_DAYS_LEAST = 200;
    private static final int SEASON_DAYS_MOST = 550;
    private static final long SEED = 1;

    private final SurveyRepository surveys;
    private final RecordRepository records;
    private final PickingRepository pickings;
    private final TreeReadings readings;
    private final Knowledge knowledge;
    private final ComputedCache<Key, Comparison> kept = ComputedCache.atMost(5_000);

    private record Key(long earlier, long later, int visits, double fruits) {}

    LearningService(
            SurveyRepository surveys,
            RecordRepository records,
            PickingRepository pickings,
            TreeReadings readings,
            Knowledge knowledge) {
        this.surveys = surveys;
        this.records = records;
        this.pickings = pickings;
        this.readings = readings;
        this.knowledge = knowledge;
    }

    /** A season of a tree that was foretold and has come. */
    public record Checked(SurveyEntry earlier, SurveyEntry later, Comparison comparison) {}

    /** What a block's trees have taught. */
    @Transactional(readOnly = true)
    public BlockCalibration of(Block block) {
        return BlockCalibration.of(
                checked(block).stream()
                        .filter(one -> block.learningSince() == null
                                || one.later().surveyedOn().isAfter(block.learningSince()))
                        .map(Checked::comparison)
                        .toList(),
                knowledge.parameters().learning());
    }

    /** Every season of a block's trees that can be checked. */
    @Transactional(readOnly = true)
    public List<Checked> checked(Block block) {
        List<Checked> all = new ArrayList<>();
        for (SurveyEntry newest : surveys.findNewestOfBlock(block.id())) {
            all.addAll(checked(newest.tree().id()));
        }
        return all;
    }

    /** Every season of a tree that can be checked, the last one first. */
    @Transactional(readOnly = true)
    public List<Checked> checked(long treeId) {
        List<SurveyEntry> own = surveys.findByTreeIdOrderBySurveyedOnDescIdDesc(treeId);
        List<Checked> all = new ArrayList<>();
        for (int i = 0; i + 1 < own.size(); i++) {
            SurveyEntry later = own.get(i);
            SurveyEntry earlier = own.get(i + 1);
            long days = ChronoUnit.DAYS.between(earlier.surveyedOn(), later.surveyedOn());
            if (days >= SEASON_DAYS_LEAST && days <= SEASON_DAYS_MOST) {
                all.add(new Checked(earlier, later, compare(earlier, later)));
            }
        }
        return all;
    }

    /** What the next survey of a tree is expected to find today; empty where it was never surveyed. */
    @Transactional(readOnly = true)
    public Optional<Survey> expected(long treeId, LocalDate today) {
        return surveys.findFirstByTreeIdOrderBySurveyedOnDescIdDesc(treeId).map(last -> {
            TreeReadings.ReadTree read = readings.of(last);
            Tree before = read.tree();
            Season.Work work = work(before, visitsAfter(last));
            boolean season = ChronoUnit.DAYS.between(last.surveyedOn(), today) >= SEASON_DAYS_LEAST;
            Tree now = season
                    ? Forecast.middle(
                                    of(last.tree().block()).applied(InitialState.of(before, SEED)),
                                    List.of(work),
                                    read.reading().lines().fruit())
                            .get(0)
                            .tree()
                    : CutTree.of(before, work.before()).left();
            return ExpectedSurvey.of(SurveyReader.read(last.document()), now, season, today);
        });
    }

    private List<WorkRecord> visitsAfter(SurveyEntry survey) {
        return records.findByTreeIdOrderByDoneOnDescIdDesc(survey.tree().id()).stream()
                .filter(visit -> visit.survey().id().equals(survey.id()))
                .toList();
    }

    private Comparison compare(SurveyEntry earlier, SurveyEntry later) {
        List<WorkRecord> visits = visitsAfter(earlier);
        double fruits = fruitsBetween(earlier, later);
        return kept.get(new Key(earlier.id(), later.id(), visits.size(), fruits), () -> {
            TreeReadings.ReadTree read = readings.of(earlier);
            Tree before = read.tree();
            Forecast.Outlook foretold = Forecast.of(
                            InitialState.of(before, SEED),
                            List.of(work(before, visits)),
                            read.reading().lines().fruit())
                    .years()
                    .get(0);
            Comparison seen = Comparison.of(foretold, readings.of(later).tree());
            return fruits > 0 ? seen.withFruits(foretold.fruits(), fruits) : seen;
        });
    }

    /** Fruits a tree bore between two surveys, counted or by their mass; 0 where nobody wrote it down. */
    private double fruitsBetween(SurveyEntry earlier, SurveyEntry later) {
        double mass = readings.of(earlier).tree().setting().fruitMass();
        return pickings
                .findByTreeIdAndKindAndPickedOnBetween(
                        earlier.tree().id(), "harvest", earlier.surveyedOn(), later.surveyedOn())
                .stream()
                .mapToDouble(one -> one.fruits() != null ? one.fruits() : one.kg() / mass)
                .sum();
    }

    /** What was done after a survey, as far as it can be made out on its tree; corrected visits do not count. */
    private static Season.Work work(Tree tree, List<WorkRecord> visits) {
        List<Operation> done = new ArrayList<>();
        for (WorkRecord visit : visits) {
            boolean corrected = visits.stream().anyMatch(other -> visit.id().equals(other.correctsId()));
            if (!corrected) {
                done.addAll(doneIn(visit));
            }
        }
        return Season.Work.dormant(CutTree.possible(tree, done));
    }

    private static List<Operation> doneIn(WorkRecord visit) {
        record Step(Mark mark, String outcome) {}
        List<Operation> done = new ArrayList<>();
        for (JsonNode node : JSON.readTree(visit.document())) {
            Step step = new Step(
                    JSON.convertValue(node.path("mark"), new TypeReference<Mark>() {}),
                    node.path("outcome").asString(""));
            if (StepOutcome.of(step.outcome()).filter(StepOutcome::done).isPresent()) {
                try {
                    done.add(step.mark().toOperation());
                } catch (ImpossibleCut e) {
                    // an old visit whose mark says nothing about this tree
                }
            }
        }
        return done;
    }
}
