package umbel.growth;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import umbel.knowledge.LearningParameters;
import umbel.knowledge.SurveyParameters;
import umbel.light.GapFraction;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** A forecast held against the tree as it was found a season later; both are measured the same way. */
public record Comparison(List<Measured> measures) {

    /** Growth from which an older shoot is counted again, metres. */
    private static final double COUNTED_FROM = 0.05;

    /** Standard deviations to either side that hold nine in ten of a normal distribution. */
    private static final double NINE_IN_TEN = 1.645;

    /** What is compared. */
    public enum Measure {
        /** Growth of the season on the measured limbs, mean, metres. */
        EXTENSION,
        /** One-year shoots on the tree. */
        SHOOTS,
        /** Flower buds on the tree. */
        FLOWER_BUDS,
        /** Top above ground, metres. */
        HEIGHT,
        /** Fruits finished in the season, where they were counted or weighed. */
        FRUITS,
        /** New canes of a bush, or of the stretch of a row that was counted. */
        NEW_CANES,
        /** Weight of the prunings, kg: of a vine in the winter after, of a tree at the visit they fell. */
        PRUNING_WEIGHT,
        /** What was picked, kg. */
        CROP,
        /** Share of sky between the leaves, photographed from under the tree, 0…1. */
        GAP_FRACTION
    }

    /** One measure: the range that was foretold, and what was found. */
    public record Measured(Measure measure, Forecast.Range foretold, double found) {

        /** Whether what was found lies in the range. */
        public boolean right() {
            return found >= foretold.low() - 1e-9 && found <= foretold.high() + 1e-9;
        }

        /**
         * Found against foretold; 1 where there was nothing to compare.
         *
         * @param few shoots taken as found and foretold besides: they are often few, and ten for two says little
         */
        double ratio(double few) {
            if (measure == Measure.SHOOTS) {
                return (found + few) / (foretold.middle() + few);
            }
            if (measure == Measure.GAP_FRACTION) {
                return GapFraction.leafRatio(found, foretold.middle());
            }
            return foretold.middle() <= 1e-9 || found <= 1e-9 ? 1 : found / foretold.middle();
        }
    }

    public Comparison {
        measures = List.copyOf(measures);
    }

    /** Compares the outlook of the season that has passed with the tree that came of it. */
    public static Comparison of(Forecast.Outlook foretold, Tree found) {
        SurveyParameters.Errors errors = found.setting().parameters().survey().errors();
        Tree as = foretold.tree();
        double length = errors.lengthShare();
        double count = errors.countShare();
        return new Comparison(List.of(
                new Measured(Measure.EXTENSION, told(foretold.extension(), extension(as), length), extension(found)),
                new Measured(Measure.SHOOTS, told(foretold.newLength(), shoots(as), count), shoots(found)),
                new Measured(
                        Measure.FLOWER_BUDS, told(foretold.flowerBuds(), flowerBuds(as), count), flowerBuds(found)),
                new Measured(Measure.HEIGHT, told(foretold.height(), as.top(), length), found.top())));
    }

    /**
     * The same with the fruits the tree bore in that season.
     *
     * @param fruits counted, or weighed and divided by the fruit's mass
     */
    public Comparison withFruits(Forecast.Range foretold, double fruits) {
        List<Measured> more = new ArrayList<>(measures);
        more.add(new Measured(Measure.FRUITS, foretold, fruits));
        return new Comparison(more);
    }

    /**
     * A tree's prunings as weighed against those expected.
     *
     * @param expected of the wood that fell, kg
     * @param found weighed, kg
     */
    public static Comparison ofPrunings(double expected, double found, LearningParameters rules) {
        double spread = Math.exp(NINE_IN_TEN * rules.pruningsError());
        return one(Measure.PRUNING_WEIGHT, expected / spread, expected, expected * spread, found);
    }

    /**
     * The sky seen from under a tree against that expected.
     *
     * @param expected gap fraction, 0…1
     * @param found gap fraction of the photograph, 0…1
     */
    public static Comparison ofGapFraction(double expected, double found, LearningParameters rules) {
        double spread = Math.exp(NINE_IN_TEN * rules.leafError());
        return one(Measure.GAP_FRACTION, Math.pow(expected, spread), expected, Math.pow(expected, 1 / spread), found);
    }

    /** A tree's crop as weighed against that expected of the season it came in, kg. */
    public static Comparison ofCrop(Forecast.Range expected, double found) {
        return one(Measure.CROP, expected.low(), expected.middle(), expected.high(), found);
    }

    private static Comparison one(Measure measure, double low, double middle, double high, double found) {
        return new Comparison(List.of(new Measured(measure, new Forecast.Range(low, middle, high), found)));
    }

    /**
     * The factor that comparisons put on what the model foretells of some measures: the mean of their logarithms, drawn towards 1
     * as if some plants had answered as usual, and held within bounds.
     */
    public static double factor(List<Comparison> comparisons, Set<Measure> of, LearningParameters rules) {
        double[] ratios = comparisons.stream()
                .flatMap(one -> one.measures().stream())
                .filter(one -> of.contains(one.measure()))
                .mapToDouble(one -> Math.log(one.ratio(rules.fewShoots())))
                .toArray();
        double factor = Math.exp(Arrays.stream(ratios).sum() / (ratios.length + rules.priorTrees()));
        return Math.max(1 / rules.most(), Math.min(rules.most(), factor));
    }

    /** The range about what was foretold, wider by what two quick surveys may be off (one sigma each). */
    private static Forecast.Range told(Forecast.Range like, double foretold, double error) {
        Forecast.Range seasons = like.about(foretold);
        double wider = Math.sqrt(2) * error;
        return new Forecast.Range(seasons.low() * (1 - wider), seasons.middle(), seasons.high() * (1 + wider));
    }

    private static double extension(Tree tree) {
        return tree.limbs().stream()
                .filter(limb -> limb.conditions().isEmpty())
                .mapToDouble(Axis::lastGrowth)
                .average()
                .orElse(0);
    }

    private static double shoots(Tree tree) {
        return tree.axes().stream().filter(Comparison::isOneYearShoot).count();
    }

    /** Whether a person would count an axis as a one-year shoot: a new one, or an older one that grew on. */
    public static boolean isOneYearShoot(Axis axis) {
        boolean grewOn = axis.kind() == AxisKind.LATERAL && axis.lastGrowth() >= COUNTED_FROM && wasShoot(axis);
        return axis.kind() == AxisKind.SHOOT || grewOn;
    }

    private static boolean wasShoot(Axis axis) {
        return axis.id().contains("/shoots/");
    }

    private static double flowerBuds(Tree tree) {
        return tree.axes().stream().mapToDouble(Axis::flowerBuds).sum();
    }
}
