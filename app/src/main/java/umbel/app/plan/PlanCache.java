package umbel.app.plan;

import org.springframework.stereotype.Component;
import umbel.app.cache.ComputedCache;
import umbel.growth.BlockCalibration;
import umbel.plan.PlanRequest;
import umbel.plan.Planning;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/** Plans of saved surveys, kept while a tree is looked at. A saved survey never changes, so they cannot go stale. */
@Component
class PlanCache {

    private static final double SHARE_OF_MEMORY = 1.0 / 16;

    private final ComputedCache<Key, Planning> kept = ComputedCache.ofTrees(SHARE_OF_MEMORY, Planning::axesHeld);
    private final ComputedCache<Long, Planning> lastOfSurvey =
            ComputedCache.ofTrees(SHARE_OF_MEMORY, Planning::axesHeld);

    /**
     * What a plan depends on.
     *
     * @param learned what its block has taught
     * @param neighbours its neighbours, which its findings depend on
     */
    record Key(long surveyId, Decisions decisions, BlockCalibration learned, Neighbours neighbours) {}

    /** The planning of a key; what it, or the one before it on the same survey, has worked out already is there. */
    Planning of(Key key, Tree tree, TreeReader.Reading reading, PlanRequest planRequest, long seed) {
        return kept.get(
                key,
                () -> lastOfSurvey.renew(
                        key.surveyId(), before -> new Planning(tree, reading, planRequest, seed, before)));
    }

    /** Counts again what a planning takes, once more or less is known of it. */
    void weighAgain(Key key) {
        kept.weighAgain(key);
        lastOfSurvey.weighAgain(key.surveyId());
    }
}
