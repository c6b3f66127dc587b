package umbel.app.database;

import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector.DefaultQueryEnhancerSelector;

/**
 * Leaves it to Hibernate to take our questions apart. Nothing is added to them afterwards that a second grammar would be needed for,
 * and taking apart fifty questions with one that has just been loaded took half of the first seconds.
 */
public final class PlainQueries extends DefaultQueryEnhancerSelector {

    /** For questions in Hibernate's words and in the database's. */
    public PlainQueries() {
        super(QueryEnhancerFactories.fallback(), QueryEnhancerFactories.fallback());
    }
}
