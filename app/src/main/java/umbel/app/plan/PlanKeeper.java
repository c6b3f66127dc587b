package umbel.app.plan;

import org.springframework.stereotype.Component;
import umbel.app.kept.Kept;
import umbel.growth.Learned;
import umbel.plan.Planning;
import umbel.plan.Wish;
import umbel.reading.Company;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/** Plans of saved surveys, kept while a tree is looked at. A saved survey never changes, so they cannot go stale. */
@Component
class PlanKeeper {

    private static final int MOST = 60;

    private final Kept<Key, Planning> kept = Kept.atMost(MOST);
    private final Kept<Long, Planning> lastOfSurvey = Kept.atMost(MOST);

    /**
     * What a plan depends on.
     *
     * @param learned what its block has taught
     * @param company its neighbours, which its findings depend on
     */
    record Key(long surveyId, Decisions decisions, Learned learned, Company company) {}

    /** The planning of a key; what it, or the one before it on the same survey, has worked out already is there. */
    Planning of(Key key, Tree tree, TreeReader.Reading reading, Wish wish, long seed) {
        return kept.get(
                key,
                () -> lastOfSurvey.renew(key.surveyId(), before -> new Planning(tree, reading, wish, seed, before)));
    }
}
