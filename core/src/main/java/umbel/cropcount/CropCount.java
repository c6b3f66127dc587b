package umbel.cropcount;

import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;
import umbel.growth.ReturnBloom;
import umbel.knowledge.CropCountParameters;
import umbel.wood.Units;

/**
 * What a count on marked limbs says of a block's trees. Flowers or fruits a square centimetre of limb are estimated by the ratio of
 * sums over the limbs, with its usual standard error (Cochran 1977, chapter 6); as much stands on each square centimetre of all limbs of a
 * tree (Shinozaki's pipes), and of those counted so many stay to harvest. The interval joins the chance of the limbs chosen with what
 * set and drop differ by.
 *
 * @param limbs that were counted
 * @param perCm2 flowers or fruits a square centimetre of limb
 * @param fruits a tree would carry at harvest, unthinned
 * @param canCarry fruits it can carry to the end
 * @param verdict how these compare
 * @param limbsWanted limbs to count altogether for an estimate that is near enough
 * @param thinning fruits a tree to take off by hand
 * @param nextBloom share of full bloom next spring as it hangs, and thinned to what the tree can carry
 * @param factor on what was expected of these trees before they were counted
 */
public record CropCount(
        int limbs,
        Estimate perCm2,
        Estimate fruits,
        double canCarry,
        Verdict verdict,
        int limbsWanted,
        double thinning,
        NextBloom nextBloom,
        double factor) {

    /** A figure with the ends of its interval. */
    public record Estimate(double low, double middle, double high) {}

    /** Shares of full bloom, 0…1. */
    public record NextBloom(double unthinned, double thinned) {}

    /** How what hangs compares with what the tree can carry: surely so where the whole interval lies there. */
    public enum Verdict {
        FAR_TOO_FEW,
        TOO_FEW,
        RIGHT,
        TOO_MANY,
        FAR_TOO_MANY
    }

    /**
     * A marked limb.
     *
     * @param diameter at its base, metres
     * @param count of flower clusters or fruits on all of it
     */
    public record Limb(double diameter, int count) {}

    /**
     * Reads a count.
     *
     * @param counted limbs, two at least
     * @throws IllegalArgumentException for fewer than two limbs
     */
    public static CropCount of(CountStage stage, List<Limb> counted, BlockTrees trees, CropCountParameters parameters) {
        Sample sample = Sample.of(counted);
        double t = sample.quantile(parameters.level());
        double z = NormalDistribution.of(0, 1).inverseCumulativeProbability(upper(parameters.level()));
        Estimate perM2 = sample.around(t * sample.relativeError());
        double kept = stage.kept(trees.setting(), parameters);
        double perTree = trees.limbSection() * kept;
        double width = Math.hypot(t * sample.relativeError(), z * stage.spread(parameters));
        Estimate fruits = scaled(sample.around(width), perTree);
        double carried = Math.min(fruits.middle(), trees.canCarry());
        return new CropCount(
                counted.size(),
                scaled(perM2, 1 / Units.toCm2(1)),
                fruits,
                trees.canCarry(),
                verdict(fruits, trees.canCarry(), parameters.band()),
                sample.wanted(parameters),
                Math.max(0, fruits.middle() - trees.canCarry()),
                new NextBloom(
                        ReturnBloom.share(fruits.middle(), trees.leaf(), trees.setting()),
                        ReturnBloom.share(carried, trees.leaf(), trees.setting())),
                factor(fruits.middle(), width / z, trees, parameters));
    }

    private static Estimate scaled(Estimate of, double times) {
        return new Estimate(of.low() * times, of.middle() * times, of.high() * times);
    }

    private static double upper(double level) {
        return (1 + level) / 2;
    }

    private static Verdict verdict(Estimate fruits, double canCarry, double band) {
        if (fruits.middle() > canCarry * (1 + band)) {
            return fruits.low() > canCarry ? Verdict.FAR_TOO_MANY : Verdict.TOO_MANY;
        }
        if (fruits.middle() < canCarry * (1 - band)) {
            return fruits.high() < canCarry ? Verdict.FAR_TOO_FEW : Verdict.TOO_FEW;
        }
        return Verdict.RIGHT;
    }

    /** What was expected and what was counted, each by how sure it is (normal on the logarithm). */
    private static double factor(double fruits, double sigma, BlockTrees trees, CropCountParameters parameters) {
        double most = parameters.factorMost();
        if (trees.expectedFruits() <= 0) {
            return 1;
        }
        double ratio = Math.max(1 / most, Math.min(most, fruits / trees.expectedFruits()));
        double before = parameters.model() * parameters.model();
        double weight = before / (before + sigma * sigma);
        return Math.exp(weight * Math.log(ratio));
    }

    /** The limbs as a sample: counts against cross-sections. */
    private record Sample(int size, double ratio, double meanSection, double deviation) {

        static Sample of(List<Limb> limbs) {
            int n = limbs.size();
            if (n < 2) {
                throw new IllegalArgumentException("a count needs two limbs");
            }
            double counts = limbs.stream().mapToDouble(Limb::count).sum();
            double sections = limbs.stream()
                    .mapToDouble(limb -> Units.section(limb.diameter()))
                    .sum();
            double ratio = counts / sections;
            double squares = limbs.stream()
                    .mapToDouble(limb -> limb.count() - ratio * Units.section(limb.diameter()))
                    .map(off -> off * off)
                    .sum();
            return new Sample(n, ratio, sections / n, Math.sqrt(squares / (n - 1)));
        }

        /** Standard error of the ratio, as a share of it. */
        double relativeError() {
            return relativeSpread() / Math.sqrt(size);
        }

        /** Spread of one limb about the ratio, as a share of what a middling limb carries. */
        double relativeSpread() {
            return ratio <= 0 ? 0 : deviation / (ratio * meanSection);
        }

        double quantile(double level) {
            return TDistribution.of(size - 1).inverseCumulativeProbability(upper(level));
        }

        /** The ratio with an interval so wide on its logarithm; where nothing was found, up to what would rarely be missed. */
        Estimate around(double width) {
            if (ratio <= 0) {
                return new Estimate(0, 0, MISSED / (size * meanSection));
            }
            return new Estimate(ratio * Math.exp(-width), ratio, ratio * Math.exp(width));
        }

        /** Limbs by which the ratio is known near enough, if the others differ as these do. */
        int wanted(CropCountParameters parameters) {
            for (int n = parameters.limbsLeast(); n < parameters.limbsMost(); n++) {
                double t = TDistribution.of(n - 1).inverseCumulativeProbability(upper(parameters.level()));
                if (t * relativeSpread() / Math.sqrt(n) <= parameters.within()) {
                    return n;
                }
            }
            return parameters.limbsMost();
        }

        /** Expected number under which finding none is rarer than one in twenty. */
        private static final double MISSED = 3;
    }
}
