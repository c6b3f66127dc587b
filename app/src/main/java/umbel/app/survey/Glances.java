package umbel.app.survey;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.cache.ComputedCache;
import umbel.app.cache.ProgramDigest;
import umbel.app.computing.BackgroundThreads;
import umbel.app.farm.FarmScope;

/** Tells surveyed plants at a glance. A saved survey never changes: what was read once is kept, for every node and the next start. */
@Service
public class Glances {

    private static final Logger LOG = LoggerFactory.getLogger(Glances.class);
    private static final Duration PATIENCE = Duration.ofSeconds(2);
    private static final int FEW = 10;
    private static final int MOST_IN_MEMORY = 20_000;

    private final GlanceRepository kept;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final ProgramDigest program;
    private final TransactionTemplate transactions;
    private final ComputedCache<Long, Glance> known = ComputedCache.atMost(MOST_IN_MEMORY);
    private final Set<Long> begun = ConcurrentHashMap.newKeySet();
    private final Queue<Runnable> turns = new ConcurrentLinkedQueue<>();
    private final BackgroundThreads threads = new BackgroundThreads("glance", 1);

    Glances(
            GlanceRepository kept,
            SurveyRepository surveys,
            TreeReadings readings,
            ProgramDigest program,
            TransactionTemplate transactions) {
        this.kept = kept;
        this.surveys = surveys;
        this.readings = readings;
        this.program = program;
        this.transactions = transactions;
    }

    @PreDestroy
    void end() {
        threads.close();
    }

    /**
     * Some surveys at a glance, by their numbers. Those that nobody has looked at yet are read, some tens of milliseconds each, for a moment;
     * the others are missing, and are read afterwards in the background. To be asked outside of any transaction.
     */
    public Map<Long, Glance> of(List<Long> surveyIds) {
        return known.all(surveyIds, this::look);
    }

    private Map<Long, Glance> look(List<Long> surveyIds) {
        Map<Long, Glance> glances = new HashMap<>();
        SurveyRepository.portions(surveyIds)
                .flatMap(portion -> kept.findBySurveyIdIn(portion).stream())
                .filter(one -> one.program().equals(program.text()))
                .forEach(one -> glances.put(one.surveyId(), one.glance()));
        List<Long> unread = surveyIds.stream()
                .filter(id -> !glances.containsKey(id) && !begun.contains(id))
                .toList();
        long end = System.nanoTime() + PATIENCE.toNanos();
        int from = 0;
        while (from < unread.size() && System.nanoTime() < end) {
            List<Long> few = unread.subList(from, Math.min(unread.size(), from + FEW));
            glances.putAll(read(few));
            from += few.size();
        }
        readLater(List.copyOf(unread.subList(from, unread.size())));
        return glances;
    }

    /** Reads on in the background, some few at a time, so that farms take turns. */
    private void readLater(List<Long> surveyIds) {
        if (!surveyIds.isEmpty()) {
            begun.addAll(surveyIds);
            turns.add(FarmScope.carried(() -> turn(surveyIds)));
            threads.later(() -> turns.remove().run());
        }
    }

    private void turn(List<Long> surveyIds) {
        List<Long> few = surveyIds.subList(0, Math.min(surveyIds.size(), FEW));
        try {
            known.all(few, this::read);
        } catch (RuntimeException e) {
            LOG.warn("Surveys {} could not be read; whoever asks next tries again.", few, e);
        } finally {
            few.forEach(begun::remove);
        }
        try {
            readLater(surveyIds.subList(few.size(), surveyIds.size()));
        } catch (RejectedExecutionException e) {
            LOG.debug("The program ends; what is left is read after the next start.", e);
        }
    }

    private Map<Long, Glance> read(List<Long> surveyIds) {
        Map<Long, GlanceEntry> old = kept.findBySurveyIdIn(surveyIds).stream()
                .collect(Collectors.toMap(GlanceEntry::surveyId, Function.identity()));
        Map<Long, Glance> glances = new HashMap<>();
        List<GlanceEntry> fresh = new ArrayList<>();
        for (SurveyEntry survey : surveys.findWithTrees(surveyIds)) {
            Glance glance;
            try {
                glance = Glance.of(readings.plant(survey));
            } catch (RuntimeException e) {
                LOG.warn("Survey {} could not be read; it is tried again after the next start.", survey.id(), e);
                glances.put(survey.id(), Glance.UNREADABLE);
                continue;
            }
            glances.put(survey.id(), glance);
            GlanceEntry entry = old.getOrDefault(survey.id(), new GlanceEntry(survey.id()));
            entry.tell(glance, program.text());
            fresh.add(entry);
        }
        keep(fresh);
        return glances;
    }

    /** Keeps what was read; where another request or node keeps the same at this moment, theirs stands. */
    private void keep(List<GlanceEntry> fresh) {
        try {
            transactions.executeWithoutResult(status -> kept.saveAllAndFlush(fresh));
        } catch (DataIntegrityViolationException e) {
            LOG.debug("{} glances were kept by others meanwhile.", fresh.size());
        }
    }
}
