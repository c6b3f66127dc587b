package umbel.app.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.cache.ComputedCache;
import umbel.app.cache.ProgramDigest;

/** Tells surveyed plants at a glance. A saved survey never changes: what was read once is kept, for every node and the next start. */
@Service
public class Glances {

    private static final Logger LOG = LoggerFactory.getLogger(Glances.class);
    private static final int AT_A_TIME = 500;
    private static final int MOST_IN_MEMORY = 20_000;

    private final GlanceRepository kept;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final ProgramDigest program;
    private final TransactionTemplate transactions;
    private final ComputedCache<Long, Glance> known = ComputedCache.atMost(MOST_IN_MEMORY);

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

    /**
     * Some surveys at a glance, by their numbers; those that nobody has looked at yet are read, some tens of milliseconds each. To be asked
     * outside of any transaction.
     */
    public Map<Long, Glance> of(List<Long> surveyIds) {
        return known.all(surveyIds, this::look);
    }

    private Map<Long, Glance> look(List<Long> surveyIds) {
        Map<Long, Glance> glances = new HashMap<>();
        for (int from = 0; from < surveyIds.size(); from += AT_A_TIME) {
            glances.putAll(keptOrRead(surveyIds.subList(from, Math.min(surveyIds.size(), from + AT_A_TIME))));
        }
        return glances;
    }

    private Map<Long, Glance> keptOrRead(List<Long> surveyIds) {
        Map<Long, Glance> glances = new HashMap<>();
        Map<Long, GlanceEntry> old = new HashMap<>();
        for (GlanceEntry one : kept.findBySurveyIdIn(surveyIds)) {
            if (one.program().equals(program.text())) {
                glances.put(one.surveyId(), one.glance());
            } else {
                old.put(one.surveyId(), one);
            }
        }
        List<Long> unread =
                surveyIds.stream().filter(id -> !glances.containsKey(id)).toList();
        if (!unread.isEmpty()) {
            List<GlanceEntry> fresh = new ArrayList<>();
            for (SurveyEntry survey : surveys.findWithTrees(unread)) {
                Glance glance = Glance.of(readings.plant(survey));
                glances.put(survey.id(), glance);
                GlanceEntry entry = old.getOrDefault(survey.id(), new GlanceEntry(survey.id()));
                entry.tell(glance, program.text());
                fresh.add(entry);
            }
            keep(fresh);
        }
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
