package umbel.app.plan;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import umbel.app.kept.ComputedCache;
import umbel.app.survey.TreeReadings;
import umbel.crew.WorkKind;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.knowledge.Knowledge;
import umbel.wood.Tree;
import umbel.work.Tool;

/** How long what is marked on a tree will take, by who may do it. */
@Component
public class MarkedLabour {

    private static final int MOST = 5_000;

    private final PlanService plans;
    private final TreeDecisions decided;
    private final Knowledge knowledge;
    private final ComputedCache<Key, Map<WorkKind, Double>> kept = ComputedCache.atMost(MOST);

    private record Key(long tree, long survey, long version) {}

    MarkedLabour(PlanService plans, TreeDecisions decided, Knowledge knowledge) {
        this.plans = plans;
        this.decided = decided;
        this.knowledge = knowledge;
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
        TreeReadings.ReadTree read = plans.newestReading(work.tree().id());
        Tree tree = read.tree();
        double reach = decisions.hold() == null || decisions.hold().reachM() == null
                ? knowledge.parameters().reach()
                : decisions.hold().reachM();
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        List<Effect> effects = Effect.ofAll(CutTree.of(tree, PlanService.operations(decisions)), reach);
        for (Effect effect : effects) {
            WorkKind kind =
                    effect.tool() == Tool.SAW ? WorkKind.SAW : effect.ladder() ? WorkKind.LADDER : WorkKind.DETAIL;
            minutes.merge(kind, effect.minutes(), Double::sum);
        }
        minutes.merge(WorkKind.DETAIL, tree.setting().system().work().lookMinutes(), Double::sum);
        return minutes;
    }
}
