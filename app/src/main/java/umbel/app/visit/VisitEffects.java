package umbel.app.visit;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import umbel.aftercare.AfterTask;
import umbel.app.cache.ComputedCache;
import umbel.app.computing.BackgroundThreads;
import umbel.app.farm.FarmScope;
import umbel.app.job.Unfinished;
import umbel.app.log.DueEffects;
import umbel.app.log.EffectsKept;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.season.SeasonService;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.assess.Mark;
import umbel.cut.ImpossibleCut;
import umbel.knowledge.Knowledge;
import umbel.plant.Plant;
import umbel.plant.Visit;
import umbel.plant.VisitTotals;
import umbel.season.FollowUps;
import umbel.season.Phenology;

/**
 * Works out what saved visits came to, by the same sums the plan was made with, and what must be come back for. That is done after the
 * visit is saved, where nobody waits for it, mostly within a second; that it is still to be done is kept with the visit, so that another
 * start or another node does what one that was killed had not done.
 */
@Service
class VisitEffects implements Unfinished {

    private static final Logger LOG = LoggerFactory.getLogger(VisitEffects.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration LEFT_TO_WHO_SAVED = Duration.ofMinutes(1);
    private static final int AT_A_TIME = 500;

    private final RecordRepository records;
    private final FollowUpRepository followUps;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final SeasonService season;
    private final Knowledge knowledge;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final ApplicationEventPublisher events;
    private final ComputedCache<Long, VisitTotals> asSurveyed = ComputedCache.atMost(2_000);
    private final BackgroundThreads threads = new BackgroundThreads("effects", 1);
    private final Set<Long> waiting = ConcurrentHashMap.newKeySet();

    VisitEffects(
            RecordRepository records,
            FollowUpRepository followUps,
            SurveyRepository surveys,
            TreeReadings readings,
            SeasonService season,
            Knowledge knowledge,
            Clock clock,
            TransactionTemplate transactions,
            ApplicationEventPublisher events) {
        this.records = records;
        this.followUps = followUps;
        this.surveys = surveys;
        this.readings = readings;
        this.season = season;
        this.knowledge = knowledge;
        this.clock = clock;
        this.transactions = transactions;
        this.events = events;
    }

    @PreDestroy
    void end() {
        threads.close();
    }

    /** A visit is saved: its effects come next. */
    @TransactionalEventListener(fallbackExecution = true)
    public void saved(VisitService.VisitSaved visit) {
        later(visit.record());
    }

    @Override
    public void resume() {
        List<DueEffects> left = transactions.execute(
                status -> records.findEffectsDue(clock.instant().minus(LEFT_TO_WHO_SAVED), Limit.of(AT_A_TIME)));
        left.forEach(one -> FarmScope.run(one.farm(), () -> later(one.record())));
    }

    private void later(long record) {
        if (waiting.add(record)) {
            threads.later(() -> {
                try {
                    workOut(record);
                } catch (RuntimeException e) {
                    LOG.warn("What visit {} came to could not be kept; it is tried again.", record, e);
                } finally {
                    waiting.remove(record);
                }
            });
        }
    }

    /** Works out what a visit came to and keeps it, once, unless the visit was corrected meanwhile. */
    void workOut(long record) {
        WorkRecord visit = transactions.execute(status ->
                records.findById(record).filter(WorkRecord::effectsDue).orElse(null));
        if (visit == null) {
            return;
        }
        Effects effects = effects(visit, surveys.findById(visit.surveyId()).orElseThrow());
        transactions.executeWithoutResult(status -> {
            boolean first = records.keepEffects(
                            record,
                            effects == null ? null : JSON.writeValueAsString(effects.outcome()),
                            effects == null ? null : effects.before().shade(),
                            effects == null ? null : effects.after().shade())
                    == 1;
            if (first && effects != null && visit.worked()) {
                scheduleFollowUps(visit, effects);
            }
            events.publishEvent(new EffectsKept(visit.tree().block().id()));
        });
    }

    /** What a visit did to the plant as it was surveyed. */
    private record Effects(
            Plant plant, Visit done, VisitAnswers.VisitOutcome outcome, VisitTotals before, VisitTotals after) {}

    /** What was really done, on the plant as it was surveyed; null where it cannot be told, as after another survey. */
    private Effects effects(WorkRecord visit, SurveyEntry survey) {
        try {
            Plant plant = readings.plant(survey);
            List<VisitEntry.DoneStep> steps = RecordedSteps.of(visit);
            List<Mark> done = marks(steps, true);
            VisitTotals before = asSurveyed.get(survey.id(), () -> plant.totals(List.of()));
            VisitTotals after = done.isEmpty() ? before : plant.totals(done);
            List<Mark> asPlanned = marks(steps, false);
            VisitTotals planned = asPlanned.equals(done) ? after : plant.totals(asPlanned);
            return new Effects(
                    plant,
                    plant.visit(done),
                    new VisitAnswers.VisitOutcome(before.told(), planned.told(), after.told()),
                    before,
                    after);
        } catch (ImpossibleCut e) {
            return null;
        } catch (RuntimeException e) {
            LOG.warn("What visit {} came to cannot be worked out.", visit.id(), e);
            return null;
        }
    }

    /** The marks that were planned, or those that were done. */
    private static List<Mark> marks(List<VisitEntry.DoneStep> steps, boolean done) {
        List<Mark> marks = new ArrayList<>();
        for (VisitEntry.DoneStep step : steps) {
            StepOutcome how = step.how().orElseThrow();
            boolean counts = done ? how.done() : how != StepOutcome.ADDED;
            Mark mark = step.mark();
            if (counts && mark.operation() != null && mark.limb() != null) {
                marks.add(mark);
            }
        }
        return marks;
    }

    private void scheduleFollowUps(WorkRecord visit, Effects effects) {
        Phenology year = season.yearOf(visit.tree().block(), visit.doneOn());
        if (year == null) {
            return;
        }
        effects.plant().followUps(effects.done(), effects.after(), visit.doneOn(), year).stream()
                .filter(one -> one.to().isAfter(LocalDate.now(clock).minusYears(1)))
                .map(one -> new FollowUpEntry(visit, one))
                .forEach(followUps::save);
        if (leftLying(visit, effects)) {
            followUps.save(new FollowUpEntry(
                    visit,
                    FollowUps.clearing(
                            visit.doneOn(), knowledge.parameters().season().followUp())));
        }
    }

    /** Whether diseased prunings were left where they fell; only where somebody said what was looked after. */
    private static boolean leftLying(WorkRecord visit, Effects effects) {
        String clearing = AfterTask.Kind.DISEASED_PRUNINGS.word();
        List<Mark> marks = effects.done().steps().stream().map(Visit.Step::mark).toList();
        return visit.afterwards() != null
                && !visit.afterwards().contains(clearing)
                && effects.plant().afterwards(marks).stream()
                        .anyMatch(task -> task.kind().word().equals(clearing));
    }
}
