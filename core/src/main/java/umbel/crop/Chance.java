package umbel.crop;

/** The normal distribution, for rules that weigh an uncertain value against a line. */
public final class Chance {

    private Chance() {}

    /** Standard normal distribution function, after Zelen and Severo (1964), error below 1e-7. */
    public static double normal(double z) {
        double t = 1 / (1 + 0.2316419 * Math.abs(z));
        double density = Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
        double tail = density
                * t
                * (0.319381530 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
        return z >= 0 ? 1 - tail : tail;
    }
}
