package umbel.wood;

import java.util.SplittableRandom;

/** Seeded draws keyed by what they are for, so that changing one limb does not move the twigs of another. */
final class SeededRandom {

    private final SplittableRandom random;

    SeededRandom(long seed, String key) {
        long hash = 1125899906842597L;
        for (int i = 0; i < key.length(); i++) {
            hash = 31 * hash + key.charAt(i);
        }
        random = new SplittableRandom(seed * 0x9E3779B97F4A7C15L ^ hash);
    }

    /** Even between the bounds. */
    double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** Between the bounds, the likelier the nearer to the second: small wood stands where the light is. */
    double outward(double low, double high) {
        return low + (high - low) * Math.sqrt(random.nextDouble());
    }

    /** -1 or 1. */
    double side() {
        return random.nextBoolean() ? 1 : -1;
    }

    /** Index drawn in proportion to the weights. */
    int among(double[] weights) {
        double total = 0;
        for (double weight : weights) {
            total += weight;
        }
        double left = random.nextDouble() * total;
        for (int i = 0; i < weights.length; i++) {
            left -= weights[i];
            if (left < 0) {
                return i;
            }
        }
        return weights.length - 1;
    }
}
