package umbel.plan;

import java.util.Map;

/** What the grower wants, as weights; 0 does not care, 1 is usual. */
public record Goals(double light, double crop, double height, double renewal, double structure, double labour) {

    /** Weights by name; those not named are taken from {@code usual}. */
    public static Goals of(Map<String, Double> named, Map<String, Double> usual) {
        return new Goals(
                weight("light", named, usual),
                weight("crop", named, usual),
                weight("height", named, usual),
                weight("renewal", named, usual),
                weight("structure", named, usual),
                weight("labour", named, usual));
    }

    /** The same goals with light weighing so many times as much. */
    Goals lightTimes(double factor) {
        return new Goals(light * factor, crop, height, renewal, structure, labour);
    }

    private static double weight(String goal, Map<String, Double> named, Map<String, Double> usual) {
        return named.getOrDefault(goal, usual.get(goal));
    }
}
