package umbel.app.planning;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import umbel.app.UmbelSettings;
import umbel.app.computing.BackgroundThreads;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.plan.AnswersAhead;
import umbel.app.plan.PlanWorth;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;

/**
 * After a start, works out what somebody may soon ask for, where nobody waits for it: the plans and pages of the first trees in the lists of the
 * first farm. With the demo, those of all its trees, and they are kept.
 */
@Component
@Lazy(false)
class Preparation {

    private static final Logger LOG = LoggerFactory.getLogger(Preparation.class);
    private static final int FIRST_TREES = 8;

    private final UmbelSettings settings;
    private final Farms farms;
    private final ObjectProvider<TreePlanning> planning;
    private final ObjectProvider<PlanWorth> worths;
    private final ObjectProvider<AnswersAhead> ahead;
    private final SurveyRepository surveys;
    private final BackgroundThreads threads = new BackgroundThreads("prepare", 1);

    Preparation(
            UmbelSettings settings,
            Farms farms,
            ObjectProvider<TreePlanning> planning,
            ObjectProvider<PlanWorth> worths,
            ObjectProvider<AnswersAhead> ahead,
            SurveyRepository surveys) {
        this.settings = settings;
        this.farms = farms;
        this.planning = planning;
        this.worths = worths;
        this.ahead = ahead;
        this.surveys = surveys;
    }

    /** Begins, once the demo is written where it is wanted. */
    @EventListener(ApplicationReadyEvent.class)
    @Order(Ordered.LOWEST_PRECEDENCE)
    void begin() {
        if (!settings.prepareAfter().isNegative()) {
            // in threads of the lowest priority: the first list comes as soon as without
            CompletableFuture.delayedExecutor(settings.prepareAfter().toMillis(), TimeUnit.MILLISECONDS)
                    .execute(() -> FarmScope.run(farms.numberOfFirst(), this::start));
        }
    }

    @PreDestroy
    void end() {
        threads.close();
    }

    private void start() {
        threads.later(this::prepare);
    }

    private void prepare() {
        try {
            List<Long> first = surveys.tellNewest().stream()
                    .limit(FIRST_TREES)
                    .map(SurveyLine::id)
                    .toList();
            surveys.findInOrder(first).forEach(this::weigh);
            if (settings.demo()) {
                planning.getObject().beginChanged();
            }
        } catch (RuntimeException e) {
            LOG.warn("Plans could not be prepared.", e);
        }
    }

    private void weigh(SurveyEntry survey) {
        worths.getObject().of(survey);
        ahead.getObject().of(survey);
    }
}
