package umbel.training;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import umbel.knowledge.TrainingParameters;
import umbel.wood.Units;

/**
 * What has to be carried to the row: devices counted by the length they are cut to.
 *
 * @param device which
 * @param length each, metres, knots and loops counted in; 0 where length does not matter
 * @param mass of a weight, kilograms; else 0
 * @param count how many
 */
public record Material(Device device, double length, double mass, int count) {

    /** The list for some limbs of a tree, a row or a block; anchors are told apart from their strings. */
    public static List<Material> list(List<Training> trainings, TrainingParameters rules) {
        Map<Kind, Integer> counts = new TreeMap<>(
                Comparator.comparing(Kind::device).thenComparing(Kind::length).thenComparing(Kind::mass));
        for (Training training : trainings) {
            if (training.possible()) {
                counts.merge(Kind.of(training, rules), 1, Integer::sum);
            }
        }
        return counts.entrySet().stream()
                .map(entry -> new Material(
                        entry.getKey().device(),
                        entry.getKey().length(),
                        entry.getKey().mass(),
                        entry.getValue()))
                .toList();
    }

    /** Ground anchors for some limbs. */
    public static int anchors(List<Training> trainings) {
        return trainings.stream()
                .filter(Training::possible)
                .mapToInt(Training::anchors)
                .sum();
    }

    private record Kind(Device device, double length, double mass) {

        static Kind of(Training training, TrainingParameters rules) {
            double with = Units.toCm(training.length())
                    + (training.device().isTie() ? rules.tie().knotCm() : 0);
            double step = rules.lengthStepCm();
            double length = Units.fromCm(Math.ceil(with / step - 1e-9) * step);
            return new Kind(training.device(), length, Units.round(training.mass(), 1));
        }
    }
}
