package umbel.app.season;

import jakarta.annotation.PreDestroy;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.plan.PlanWorth;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.crew.GiveUp;
import umbel.wood.Units;

/**
 * What to leave where days or hands are missing: the work whose hours lose least light and crop. What an hour of a block is worth is
 * told by the plans of a few of its surveyed trees, which are weighed in the background.
 */
@Service
class GiveUpService {

    private static final Logger LOG = LoggerFactory.getLogger(GiveUpService.class);
    private static final int TREES_OF_A_BLOCK = 3;
    private static final int AHEAD_DAYS = 330;
    private final SeasonService season;
    private final SurveyRepository surveys;
    private final PlanWorth worths;
    private final TransactionTemplate transactions;
    private final Set<Long> underWay = ConcurrentHashMap.newKeySet();
    /** Surveys that cannot be planned, so that nobody waits for them. */
    private final Set<Long> failed = ConcurrentHashMap.newKeySet();

    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "give-up");
        thread.setDaemon(true);
        return thread;
    });

    GiveUpService(SeasonService season, SurveyRepository surveys, PlanWorth worths, TransactionTemplate transactions) {
        this.season = season;
        this.surveys = surveys;
        this.worths = worths;
        this.transactions = transactions;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /** What to leave so that so many hours are saved; what is not weighed yet is begun and left out. */
    CrewDayAnswers.GiveUpPage page(double hours) {
        return transactions.execute(status -> page(hours, season.today()));
    }

    private CrewDayAnswers.GiveUpPage page(double hours, LocalDate today) {
        List<SeasonService.BlockStatus> statuses =
                season.statuses(today, today.plusDays(AHEAD_DAYS), new HashMap<>()).stream()
                        .filter(one -> one.allHours() > 0)
                        .toList();
        Map<Long, List<SurveyEntry>> samples = new HashMap<>();
        for (SeasonService.BlockStatus one : statuses) {
            samples.put(one.block().id(), surveys.firstNewestOfBlock(one.block().id(), line -> true, TREES_OF_A_BLOCK));
        }
        List<SurveyEntry> all = samples.values().stream().flatMap(List::stream).toList();
        all.forEach(this::begin);
        Map<Long, Judged> judged = new HashMap<>();
        statuses.forEach(one ->
                judged.put(one.block().id(), judged(one, samples.get(one.block().id()))));
        List<GiveUp.Work> works = statuses.stream()
                .filter(one -> judged.get(one.block().id()).trees() > 0)
                .map(one -> new GiveUp.Work(
                        one.block().id(),
                        one.allHours(),
                        judged.get(one.block().id()).lossPerHour()))
                .toList();
        Map<Long, GiveUp.Left> left =
                GiveUp.of(works, hours).stream().collect(Collectors.toMap(GiveUp.Left::blockId, one -> one));
        double most = works.stream().mapToDouble(GiveUp.Work::lossPerHour).max().orElse(0);
        List<CrewDayAnswers.WorkLine> lines = new ArrayList<>();
        for (SeasonService.BlockStatus one : statuses) {
            lines.add(
                    line(one, judged.get(one.block().id()), left.get(one.block().id()), most));
        }
        lines.sort(Comparator.comparing((CrewDayAnswers.WorkLine line) -> line.trees() == 0)
                .thenComparing(CrewDayAnswers.WorkLine::lossPerHour));
        return new CrewDayAnswers.GiveUpPage(
                Units.round(season.crewHours(), 1),
                (int) all.stream().filter(this::isAnswered).count(),
                all.size(),
                hours,
                lines);
    }

    /** The mean of the trees of a block that are weighed. */
    private record Judged(
            int trees,
            double lossPerHour,
            Double shadeUndone,
            Double shadeDone,
            double firstClassUndone,
            double firstClassDone) {}

    private Judged judged(SeasonService.BlockStatus block, List<SurveyEntry> sample) {
        List<PlanWorth.Worth> found =
                sample.stream().flatMap(survey -> worths.known(survey).stream()).toList();
        if (found.isEmpty()) {
            return new Judged(0, 0, null, null, 0, 0);
        }
        // a hectare counts as a hectare, of young trees too: what they lose is their frame
        double perTree = mean(found, worth -> Math.max(0, worth.gain()))
                * block.block().inRowM()
                * block.block().betweenRowsM();
        int left = Math.max(1, block.block().treeCount() - block.treesDone());
        return new Judged(
                found.size(),
                perTree * left / block.allHours(),
                meanShade(found, PlanWorth.Worth::shadeUndone),
                meanShade(found, PlanWorth.Worth::shadeDone),
                mean(found, PlanWorth.Worth::firstClassUndoneKg),
                mean(found, PlanWorth.Worth::firstClassDoneKg));
    }

    private static double mean(List<PlanWorth.Worth> worths, ToDoubleFunction<PlanWorth.Worth> of) {
        return worths.stream().mapToDouble(of).average().orElse(0);
    }

    /** Null where the plants are counted and no light is read on them. */
    private static Double meanShade(List<PlanWorth.Worth> worths, Function<PlanWorth.Worth, Double> of) {
        return worths.stream().anyMatch(worth -> of.apply(worth) == null)
                ? null
                : Double.valueOf(Units.round(mean(worths, of::apply), 3));
    }

    private static CrewDayAnswers.WorkLine line(
            SeasonService.BlockStatus one, Judged judged, GiveUp.Left left, double most) {
        return new CrewDayAnswers.WorkLine(
                one.block().id(),
                one.block().name(),
                Units.round(one.allHours(), 1),
                judged.trees(),
                most <= 0 ? 0 : Units.round(judged.lossPerHour() / most, 3),
                judged.shadeUndone(),
                judged.shadeDone(),
                Units.round(judged.firstClassUndone(), 1),
                Units.round(judged.firstClassDone(), 1),
                left == null ? 0 : Units.round(left.hours(), 1),
                left != null && left.whole());
    }

    private boolean isAnswered(SurveyEntry survey) {
        return worths.known(survey).isPresent() || failed.contains(survey.id());
    }

    private void begin(SurveyEntry survey) {
        if (!isAnswered(survey) && underWay.add(survey.id())) {
            long id = survey.id();
            worker.submit(FarmScope.carried(() -> weigh(id)));
        }
    }

    private void weigh(long surveyId) {
        try {
            // read in a transaction, weighed outside of it: a plan takes up to a second
            SurveyEntry survey =
                    transactions.execute(status -> surveys.findById(surveyId).orElse(null));
            if (survey != null) {
                worths.of(survey);
            }
        } catch (RuntimeException e) {
            failed.add(surveyId);
            LOG.warn("The plan of survey {} could not be weighed.", surveyId, e);
        } finally {
            underWay.remove(surveyId);
        }
    }
}
