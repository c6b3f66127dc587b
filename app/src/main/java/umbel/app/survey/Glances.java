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
import umbel.app.cache.ProgramDigest;

/** Tells surveyed plants at a glance. A saved survey never changes: what was read once is kept, for every node and the next start. */
@Service
public class Glances {

    private static final Logger LOG = LoggerFactory.getLogger(Glances.class);
    private static final int AT_A_TIME = 500;

    private final GlanceRepository kept;
    private final TreeReadings readings;
    private final ProgramDigest program;
    private final TransactionTemplate transactions;

    Glances(GlanceRepository kept, TreeReadings readings, ProgramDigest program, TransactionTemplate transactions) {
        this.kept = kept;
        this.readings = readings;
        this.program = program;
        this.transactions = transactions;
    }

    /**
     * Some surveys at a glance, by their numbers; those that nobody has looked at yet are read, some tens of milliseconds each. To be asked
     * outside of any transaction.
     */
    public Map<Long, Glance> of(List<SurveyEntry> surveys) {
        Map<Long, Glance> glances = new HashMap<>();
        Map<Long, GlanceEntry> old = new HashMap<>();
        List<Long> numbers = surveys.stream().map(SurveyEntry::id).toList();
        for (int from = 0; from < numbers.size(); from += AT_A_TIME) {
            for (GlanceEntry one :
                    kept.findBySurveyIdIn(numbers.subList(from, Math.min(numbers.size(), from + AT_A_TIME)))) {
                if (one.program().equals(program.text())) {
                    glances.put(one.surveyId(), one.glance());
                } else {
                    old.put(one.surveyId(), one);
                }
            }
        }
        List<GlanceEntry> fresh = new ArrayList<>();
        for (SurveyEntry survey : surveys) {
            if (!glances.containsKey(survey.id())) {
                Glance glance = Glance.of(readings.plant(survey));
                glances.put(survey.id(), glance);
                GlanceEntry entry = old.getOrDefault(survey.id(), new GlanceEntry(survey.id()));
                entry.tell(glance, program.text());
                fresh.add(entry);
            }
        }
        keep(fresh);
        return glances;
    }

    /** Keeps what was read; where another request or node keeps the same at this moment, theirs stands. */
    private void keep(List<GlanceEntry> fresh) {
        if (fresh.isEmpty()) {
            return;
        }
        try {
            transactions.executeWithoutResult(status -> kept.saveAllAndFlush(fresh));
        } catch (DataIntegrityViolationException e) {
            LOG.debug("{} glances were kept by others meanwhile.", fresh.size());
        }
    }
}
