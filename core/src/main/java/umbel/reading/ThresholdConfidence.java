package umbel.reading;

import org.apache.commons.statistics.distribution.NormalDistribution;
import umbel.knowledge.ReadingParameters;

/** How sure a comparison with a threshold is when the value carries a measuring error. */
final class ThresholdConfidence {

    private ThresholdConfidence() {}

    /** Probability that the true value lies above the threshold, for a normal error of one sigma. */
    static double above(double value, double threshold, double sigma) {
        return sigma <= 0
                ? (value > threshold ? 1 : 0)
                : NormalDistribution.of(threshold, sigma).cumulativeProbability(value);
    }

    /** Probability that the true value lies below the threshold. */
    static double below(double value, double threshold, double sigma) {
        return above(-value, -threshold, sigma);
    }

    /** Severity by how far past its threshold a value lies, as a share of the threshold. */
    static Severity severity(double value, double threshold, ReadingParameters.Severe severe) {
        double past = Math.abs(value - threshold) / Math.max(1e-9, Math.abs(threshold));
        return past >= severe.act() ? Severity.ACT : past >= severe.consider() ? Severity.CONSIDER : Severity.WATCH;
    }
}
