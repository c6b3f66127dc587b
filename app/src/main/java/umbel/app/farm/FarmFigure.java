package umbel.app.farm;

import java.util.Collection;
import java.util.List;

/** One figure by which a farm is told at a glance. Whoever keeps what it counts tells it. */
public interface FarmFigure {

    /** Which figure it is. */
    Kind kind();

    /** The figure of each of some farms; those with none may be left out. Asked across farms, for farms in which whoever asks has a role. */
    List<FarmCount> of(Collection<Long> farms);

    /** The figures there are. */
    enum Kind {
        /** Trees that were surveyed. */
        SURVEYED,
        /** What must be come back for, by today. */
        DUE,
        /** What should have been come back for before today. */
        OVERDUE,
        /** Suggestions of advisers that wait for an answer. */
        SUGGESTED,
        /** Trees of whose plan the program itself is not sure. */
        DOUBTFUL
    }
}
