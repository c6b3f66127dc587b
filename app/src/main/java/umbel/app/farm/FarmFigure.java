package umbel.app.farm;

import java.util.Collection;
import java.util.List;
import java.util.function.Function;

/**
 * One figure by which a farm is told at a glance. Whoever keeps what it counts tells it.
 *
 * @param kind which figure it is
 * @param of the figure of each of some farms; those with none may be left out. Asked across farms, for farms in which whoever asks has a role
 */
public record FarmFigure(Kind kind, Function<Collection<Long>, List<FarmCount>> of) {

    /** The figures there are. */
    public enum Kind {
        /** Trees that were surveyed. */
        SURVEYED,
        /** What must be come back for, by today. */
        DUE,
        /** What should have been come back for before today. */
        OVERDUE,
        /** Suggestions of advisers that wait for an answer. */
        SUGGESTED,
        /** Trees whose plan leaves doubts that a measurement would settle. */
        DOUBTFUL
    }
}
