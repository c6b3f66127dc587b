package umbel.app.survey;

import java.time.LocalDate;
import java.util.Optional;

/** What was counted in a block after its trees were surveyed, as far as their readings need it. */
public interface SeasonCounts {

    /**
     * A count of flowers or fruits.
     *
     * @param stage {@code bloom}, {@code set} or {@code fruit}
     * @param factor on the fruits the block's trees were expected to set
     */
    record Counted(LocalDate countedOn, String stage, double factor) {}

    /** The newest count of the season after a survey; empty where nothing was counted. */
    Optional<Counted> after(long blockId, LocalDate surveyedOn);
}
