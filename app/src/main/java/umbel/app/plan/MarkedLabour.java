package umbel.app.plan;

import java.util.EnumMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import umbel.app.cache.ComputedCache;
import umbel.crew.WorkKind;
import umbel.plant.Plant;
import umbel.plant.Visit;

/** How long what is marked on a tree will take, by who may do it, and how much wood falls. */
@Component
public class MarkedLabour {

    private static final int MOST = 5_000;

    private final DecidedTrees surveyed;
    private final TreeDecisions decided;
    private final ComputedCache<Key, Marked> kept = ComputedCache.atMost(MOST);

    private record Key(long tree, long survey, long version) {}

    private record Marked(Map<WorkKind, Double> minutes, double mass) {}

    MarkedLabour(DecidedTrees surveyed, TreeDecisions decided) {
        this.surveyed = surveyed;
        this.decided = decided;
    }

    /** Minutes by kind of work, standing back to look among them; empty where nothing is marked. */
    public Map<WorkKind, Double> of(SavedDecisions work) {
        return marked(work).minutes();
    }

    /** Fresh wood that falls by what is marked, kilograms; 0 where nothing is marked. */
    double mass(SavedDecisions work) {
        return marked(work).mass();
    }

    private Marked marked(SavedDecisions work) {
        Key key = new Key(work.tree().id(), work.surveyId(), work.version());
        return kept.get(key, () -> count(work));
    }

    private Marked count(SavedDecisions work) {
        Decisions decisions = decided.on(work);
        if (decisions.marks().isEmpty()) {
            return new Marked(Map.of(), 0);
        }
        Plant plant = surveyed.plant(work.tree().id());
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        double places = plant.places(work.tree().block().inRowM());
        Visit visit = plant.visit(decisions.marks());
        visit.minutesByKind().forEach((kind, count) -> minutes.put(kind, count / places));
        double mass =
                visit.steps().stream().mapToDouble(step -> step.effect().mass()).sum();
        return new Marked(minutes, mass / places);
    }
}
