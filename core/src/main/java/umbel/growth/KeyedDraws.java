package umbel.growth;

/**
 * Draws keyed by what they are for, so that the twigs two futures have in common fare alike in both (a mixing hash after
 * Steele, Lea and Flood, 2014).
 */
final class KeyedDraws {

    private final long seed;

    KeyedDraws(long seed, int year) {
        this.seed = mix(seed * 0x9E3779B97F4A7C15L + year);
    }

    /** Even between 0 and 1. */
    double even(int key, int number) {
        return (mix(seed ^ (key * 0xD6E8FEB86659FD93L + number * 0xA5A3564E27F88693L)) >>> 11) * 0x1.0p-53;
    }

    /** About one, of lognormal shape with the given sigma (three even draws for a normal one). */
    double around(double sigma, int key, int number) {
        double normal = 2 * (even(key, 3 * number) + even(key, 3 * number + 1) + even(key, 3 * number + 2) - 1.5);
        return Math.exp(sigma * normal);
    }

    private static long mix(long z) {
        long x = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        x = (x ^ (x >>> 27)) * 0x94D049BB133111EBL;
        return x ^ (x >>> 31);
    }
}
