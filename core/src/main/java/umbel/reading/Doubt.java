package umbel.reading;

/** How sure a comparison with a threshold is when the value carries a measuring error. */
final class Doubt {

    private Doubt() {}

    /** Probability that the true value lies above the threshold, for a normal error of one sigma. */
    static double above(double value, double threshold, double sigma) {
        return sigma <= 0 ? (value > threshold ? 1 : 0) : normal((value - threshold) / sigma);
    }

    /** Probability that the true value lies below the threshold. */
    static double below(double value, double threshold, double sigma) {
        return above(-value, -threshold, sigma);
    }

    /** Standard normal distribution function, after Zelen and Severo (1964), error below 1e-7. */
    static double normal(double z) {
        double t = 1 / (1 + 0.2316419 * Math.abs(z));
        double density = Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
        double tail = density
                * t
                * (0.319381530 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
        return z >= 0 ? 1 - tail : tail;
    }

    /** Severity by how far past its threshold a value lies, as a share of the threshold. */
    static Severity severity(double value, double threshold) {
        double past = Math.abs(value - threshold) / Math.max(1e-9, Math.abs(threshold));
        return past >= 0.15 ? Severity.ACT : past >= 0.05 ? Severity.CONSIDER : Severity.WATCH;
    }
}
