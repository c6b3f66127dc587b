package umbel.season;

import java.time.LocalDate;
import java.util.Set;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/**
 * What the calendar needs to know of a block.
 *
 * @param leaf years since planting
 * @param diseases recorded on its trees; empty when none
 * @param fruiting whether its trees bear yet
 * @param harvested the day this season's harvest ended, null while it has not been recorded
 * @param latitude degrees, south negative
 */
public record SeasonBlock(
        Species species,
        TrainingSystem system,
        int leaf,
        Set<String> diseases,
        boolean fruiting,
        LocalDate harvested,
        double latitude) {

    /** Whether trees stand higher than a person reaches. */
    boolean needsLadder(double reach) {
        return system.shape().height() > reach * system.reachFactor();
    }
}
