package umbel.counted;

import java.util.List;
import umbel.text.Statement;

/**
 * A plan for a counted plant.
 *
 * @param name recommended, gentler, firmer or nothing
 * @param steps in the order of the work
 * @param after canes that stay, by age (bush) or class (row); none for a vine
 * @param nodesAfter nodes that stay; 0 for anything but a vine
 * @param seasons this season first
 */
public record CountPlan(
        String name,
        List<CountStep> steps,
        List<CountReading.Group> after,
        int nodesAfter,
        List<Season> seasons,
        List<Left> left) {

    /** Names of the plans, in the order they are told. */
    public static final List<String> NAMES = List.of("recommended", "gentler", "firmer", "nothing");

    public CountPlan {
        steps = List.copyOf(steps);
        after = List.copyOf(after);
        seasons = List.copyOf(seasons);
        left = List.copyOf(left);
    }

    /** Canes that stay. */
    public double canesAfter() {
        return after.stream().mapToDouble(CountReading.Group::count).sum();
    }

    /**
     * What this plan brings over its seasons that another does not, as a share of the marketable crop of the better one; negative
     * where the other brings more, 0 where neither brings any.
     */
    public double shareAbove(CountPlan other) {
        double own = marketable();
        double others = other.marketable();
        double more = Math.max(own, others);
        return more <= 0 ? 0 : (own - others) / more;
    }

    /** Marketable crop of all its seasons, kg. */
    private double marketable() {
        return seasons.stream().mapToDouble(Season::marketable).sum();
    }

    /**
     * One season.
     *
     * @param crop kg
     * @param marketable of it, kg
     * @param renewal new canes (bush, row), or weight of the prunings in kg (vine), for the season after
     * @param delayDays days later than usual that it ripens
     */
    public record Season(double crop, double marketable, double renewal, double delayDays) {}

    /** A finding that the plan leaves, and why. */
    public record Left(CountFinding finding, Statement why) {}
}
