package umbel.app.season;

import jakarta.annotation.PreDestroy;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
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
    private final Map<Long, PlanWorth.Worth> weighed = new ConcurrentHashMap<>();
    private final Map<Long, Boolean> begun = new ConcurrentHashMap<>();
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

    /**
     * A block's work, and what leaving it would cost.
     *
     * @param trees surveyed trees it was judged by; 0 where none is surveyed, so that nothing is said of it
     * @param lossPerHour against the block whose hours matter most, 0…1
     * @param shadeUndone share of fruiting wood in shade if it is left, and if it is done
     * @param firstClassUndoneKg first-class fruit a tree if it is left, and if it is done
     * @param leaveHours of it to leave for the hours that are missing
     */
    record WorkLine(
            long blockId,
            String block,
            double hours,
            int trees,
            double lossPerHour,
            double shadeUndone,
            double shadeDone,
            double firstClassUndoneKg,
            double firstClassDoneKg,
            double leaveHours,
            boolean whole) {}

    /**
     * What to leave first.
     *
     * @param crewHoursADay hours all hands have in a day
     * @param weighed trees whose plans are weighed so far, of {@code toWeigh}
     * @param hours that are missing
     */
    record GiveUpPage(double crewHoursADay, int weighed, int toWeigh, double hours, List<WorkLine> blocks) {}

    /** What to leave so that so many hours are saved; what is not weighed yet is begun and left out. */
    GiveUpPage page(double hours) {
        return transactions.execute(status -> page(hours, season.today()));
    }

    private GiveUpPage page(double hours, LocalDate today) {
        List<SeasonService.BlockStatus> statuses =
                season.statuses(today, today.plusDays(AHEAD_DAYS), new HashMap<>()).stream()
                        .filter(one -> one.allHours() > 0)
                        .toList();
        Map<Long, List<SurveyEntry>> samples = new HashMap<>();
        for (SeasonService.BlockStatus one : statuses) {
            samples.put(
                    one.block().id(),
                    surveys.findNewestOfBlock(one.block().id()).stream()
                            .filter(survey -> !survey.isCounted())
                            .limit(TREES_OF_A_BLOCK)
                            .toList());
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
        List<WorkLine> lines = new ArrayList<>();
        for (SeasonService.BlockStatus one : statuses) {
            lines.add(
                    line(one, judged.get(one.block().id()), left.get(one.block().id()), most));
        }
        lines.sort(Comparator.comparing((WorkLine line) -> line.trees() == 0).thenComparing(WorkLine::lossPerHour));
        return new GiveUpPage(
                Units.round(season.crewHours(), 1),
                (int) all.stream()
                        .filter(survey -> weighed.containsKey(survey.id()))
                        .count(),
                all.size(),
                hours,
                lines);
    }

    /** The mean of the trees of a block that are weighed. */
    private record Judged(
            int trees,
            double lossPerHour,
            double shadeUndone,
            double shadeDone,
            double firstClassUndone,
            double firstClassDone) {}

    private Judged judged(SeasonService.BlockStatus block, List<SurveyEntry> sample) {
        List<PlanWorth.Worth> found = sample.stream()
                .map(survey -> weighed.get(survey.id()))
                .filter(worth -> worth != null)
                .toList();
        if (found.isEmpty()) {
            return new Judged(0, 0, 0, 0, 0, 0);
        }
        // a hectare counts as a hectare, of young trees too: what they lose is their frame
        double perTree = mean(found, worth -> Math.max(0, worth.gain()))
                * block.block().inRowM()
                * block.block().betweenRowsM();
        int left = Math.max(1, block.block().treeCount() - block.treesDone());
        return new Judged(
                found.size(),
                perTree * left / block.allHours(),
                mean(found, PlanWorth.Worth::shadeUndone),
                mean(found, PlanWorth.Worth::shadeDone),
                mean(found, PlanWorth.Worth::firstClassUndoneKg),
                mean(found, PlanWorth.Worth::firstClassDoneKg));
    }

    private static double mean(List<PlanWorth.Worth> worths, java.util.function.ToDoubleFunction<PlanWorth.Worth> of) {
        return worths.stream().mapToDouble(of).average().orElse(0);
    }

    private static WorkLine line(SeasonService.BlockStatus one, Judged judged, GiveUp.Left left, double most) {
        return new WorkLine(
                one.block().id(),
                one.block().name(),
                Units.round(one.allHours(), 1),
                judged.trees(),
                most <= 0 ? 0 : Units.round(judged.lossPerHour() / most, 3),
                Units.round(judged.shadeUndone(), 3),
                Units.round(judged.shadeDone(), 3),
                Units.round(judged.firstClassUndone(), 1),
                Units.round(judged.firstClassDone(), 1),
                left == null ? 0 : Units.round(left.hours(), 1),
                left != null && left.whole());
    }

    private void begin(SurveyEntry survey) {
        if (begun.putIfAbsent(survey.id(), true) == null) {
            long id = survey.id();
            worker.submit(() -> weigh(id));
        }
    }

    private void weigh(long surveyId) {
        try {
            // read in a transaction, weighed outside of it: a plan takes up to a second
            SurveyEntry survey =
                    transactions.execute(status -> surveys.findById(surveyId).orElse(null));
            if (survey != null) {
                weighed.put(surveyId, worths.of(survey));
            }
        } catch (RuntimeException e) {
            begun.remove(surveyId);
            LOG.warn("The plan of survey {} could not be weighed.", surveyId, e);
        }
    }
}
