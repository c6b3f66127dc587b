package umbel.practice;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How far several people agree beyond chance about what becomes of the limbs of one tree: Fleiss' kappa (Fleiss 1971, Measuring
 * nominal scale agreement among many raters, Psychological Bulletin 76, 378–382). 1 is full agreement, 0 as much as chance
 * brings, below 0 less.
 */
public final class Agreement {

    private Agreement() {}

    /**
     * Fleiss' kappa. NaN where nothing can be said: fewer than two people, no limb, or everybody always said the same one thing.
     *
     * @param counts a limb each: how many people gave it each fate; every limb by the same number of people
     * @throws IllegalArgumentException where the number of people differs
     */
    public static double kappa(List<? extends Map<?, Integer>> counts) {
        if (counts.isEmpty()) {
            return Double.NaN;
        }
        int people = people(counts.get(0));
        if (people < 2) {
            return Double.NaN;
        }
        double agreed = 0;
        Map<Object, Double> shares = new HashMap<>();
        for (Map<?, Integer> limb : counts) {
            if (people(limb) != people) {
                throw new IllegalArgumentException("Every limb must be judged by the same number of people.");
            }
            double pairs = 0;
            for (Map.Entry<?, Integer> fate : limb.entrySet()) {
                int n = fate.getValue();
                pairs += n * (n - 1.0);
                shares.merge(fate.getKey(), (double) n / people / counts.size(), Double::sum);
            }
            agreed += pairs / (people * (people - 1.0)) / counts.size();
        }
        double chance =
                shares.values().stream().mapToDouble(share -> share * share).sum();
        return chance > 1 - 1e-12 ? Double.NaN : (agreed - chance) / (1 - chance);
    }

    private static int people(Map<?, Integer> limb) {
        return limb.values().stream().mapToInt(Integer::intValue).sum();
    }
}
