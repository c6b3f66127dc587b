package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Map;

/**
 * What a cultivar and its stock change in their kind.
 *
 * @param habits by habit, as {@code spur}
 * @param sets fruit set by class, against the kind's own
 * @param vigours growth by class, against the kind's own
 * @param stocks by rootstock class
 */
public record CultivarParameters(
        Map<String, Habit> habits, Map<String, Double> sets, Map<String, Double> vigours, Map<String, Stock> stocks) {

    /** How a cultivar's habit changes estimated small wood: factors, and degrees added to the tip's angle. */
    public record Habit(
            double spurs,
            double shoots,
            double tipFlower,
            @JsonProperty("angle_deg") double angleDeg) {}

    /** A rootstock class: size of the full-grown tree and a year's extension, each against its seedling's. */
    public record Stock(double size, double extension) {}
}
