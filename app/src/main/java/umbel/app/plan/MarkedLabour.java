package umbel.app.plan;

import java.util.EnumMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import umbel.app.cache.ComputedCache;
import umbel.crew.WorkKind;
import umbel.plant.Plant;

/** How long what is marked on a tree will take, by who may do it. */
@Component
public class MarkedLabour {

    private static final int MOST = 5_000;

    private final DecidedTrees surveyed;
    private final TreeDecisions decided;
    private final ComputedCache<Key, Map<WorkKind, Double>> kept = ComputedCache.atMost(MOST);

    private record Key(long tree, long survey, long version) {}

    MarkedLabour(DecidedTrees surveyed, TreeDecisions decided) {
        this.surveyed = surveyed;
        this.decided = decided;
    }

    /** Minutes by kind of work, standing back to look among them; empty where nothing is marked. */
    public Map<WorkKind, Double> of(SavedDecisions work) {
        Key key = new Key(work.tree().id(), work.survey().id(), work.version());
        return kept.get(key, () -> count(work));
    }

    private Map<WorkKind, Double> count(SavedDecisions work) {
        Decisions decisions = decided.on(work);
        if (decisions.marks().isEmpty()) {
            return Map.of();
        }
        Plant plant = surveyed.plant(work.tree().id());
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        double places = plant.places(work.tree().block().inRowM());
        plant.visit(decisions.marks()).minutesByKind().forEach((kind, count) -> minutes.put(kind, count / places));
        return minutes;
    }
}
