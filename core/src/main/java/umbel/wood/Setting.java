package umbel.wood;

import java.util.List;
import umbel.knowledge.Species;
import umbel.knowledge.Trade;
import umbel.knowledge.TrainingSystem;

/**
 * What a tree is and where it stands, with everything the survey left out filled in.
 *
 * @param leaf years since planting
 * @param habit the cultivar's habit
 * @param setFactor how heavily the cultivar sets, 1 is moderate
 * @param stock rootstock class
 * @param inRow distance to the neighbour in the row, metres
 * @param betweenRows distance to the next row, metres
 * @param rowBearing radians from north
 * @param latitude radians, north positive
 * @param trunkSection trunk cross-section where it was measured, m²
 * @param unionAt height of the graft union, metres
 * @param estimated the survey fields that were estimated
 */
public record Setting(
        String label,
        Species species,
        TrainingSystem system,
        Trade trade,
        int leaf,
        Trade.Habit habit,
        double setFactor,
        String stock,
        double inRow,
        double betweenRows,
        double rowBearing,
        double latitude,
        double trunkSection,
        double unionAt,
        List<String> estimated) {

    public Setting {
        estimated = List.copyOf(estimated);
    }
}
