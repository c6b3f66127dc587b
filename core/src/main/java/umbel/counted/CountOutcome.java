package umbel.counted;

import java.util.List;

/**
 * What a plant is after some operations.
 *
 * @param after canes that stay, by age (bush) or class (row); none for a vine
 * @param nodesAfter nodes that stay; 0 for anything but a vine
 * @param seasons this season first, if later winters are pruned as usual; or never, where nothing is done
 */
public record CountOutcome(List<CountReading.Group> after, int nodesAfter, List<CountPlan.Season> seasons) {

    public CountOutcome {
        after = List.copyOf(after);
        seasons = List.copyOf(seasons);
    }

    /** Canes that stay. */
    public double canesAfter() {
        return after.stream().mapToDouble(CountReading.Group::count).sum();
    }
}
