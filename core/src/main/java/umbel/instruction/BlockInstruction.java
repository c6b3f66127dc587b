package umbel.instruction;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import umbel.cut.Operation;
import umbel.instruction.Sentence.Form;
import umbel.knowledge.InstructionParameters;
import umbel.knowledge.TrainingSystem;
import umbel.plan.VisitWorth;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * The instruction of a block: the few sentences found on its surveyed trees, and what they bring on trees they were not found on,
 * which is worked out by leaving out one tree at a time.
 *
 * @param sentences in the order they are carried out
 * @param share of what the trees' own plans gain that the sentences keep, cross-validated; NaN with fewer than two trees
 * @param agreeing trees that the sentences, found without them, would do as their own plans would
 * @param trees of the sample
 * @param minutes a tree, looking at it included: middle, and the range of four blocks in five
 * @param cuts a tree, likewise
 * @param plannedMinutes a tree by the trees' own plans
 * @param enough whether the last two trees changed nothing that matters
 */
public record BlockInstruction(
        List<Sentence> sentences,
        double share,
        int agreeing,
        List<OnTree> trees,
        Range minutes,
        Range cuts,
        double plannedMinutes,
        boolean enough) {

    public BlockInstruction {
        sentences = List.copyOf(sentences);
        trees = List.copyOf(trees);
    }

    /** Middle, and from so much to so much. */
    public record Range(double low, double middle, double high) {}

    /**
     * The sentences on one tree of the sample.
     *
     * @param operations what they do to it
     * @param share of its plan's gain that they keep when they were found without it; NaN where its plan gains nothing
     * @param agrees whether that is as good as its plan; where its plan gains nothing, whether hardly anything is done to it
     * @param otherwise limbs that they, found without it, decide otherwise than its plan
     */
    public record OnTree(
            String name, List<Operation> operations, double share, boolean agrees, int otherwise, double minutes) {}

    /**
     * Looks for a block's instruction.
     *
     * @param sample its surveyed trees with their plans; at least one
     */
    public static BlockInstruction of(List<SampleTree> sample, InstructionParameters numbers) {
        InstructionSearch search = new InstructionSearch(numbers, usual(sample, numbers.begin()));
        List<Sentence> said = search.best(sample);
        List<OnTree> trees = new ArrayList<>();
        for (SampleTree tree : sample) {
            trees.add(onTree(tree, sample, search, said));
        }
        double share = shareOf(sample, trees);
        return new BlockInstruction(
                said,
                share,
                (int) trees.stream().filter(OnTree::agrees).count(),
                trees,
                range(
                        trees.stream().mapToDouble(OnTree::minutes).toArray(),
                        numbers.sample().variation().get("minutes"),
                        numbers),
                range(
                        sample.stream()
                                .mapToDouble(tree -> search.on(tree, said).cuts())
                                .toArray(),
                        numbers.sample().variation().get("cuts"),
                        numbers),
                sample.stream()
                        .mapToDouble(tree -> tree.plan().minutes()
                                + tree.worth().found().setting().system().work().lookMinutes())
                        .average()
                        .orElse(0),
                isEnough(sample, search, said, share, numbers));
    }

    /** The sentences found without a tree, on it. */
    private static OnTree onTree(
            SampleTree tree, List<SampleTree> sample, InstructionSearch search, List<Sentence> said) {
        List<Operation> operations = search.operations(tree, said);
        double look = tree.worth().found().setting().system().work().lookMinutes();
        double minutes = look + search.on(tree, said).minutes();
        if (sample.size() < 2) {
            return new OnTree(tree.name(), operations, Double.NaN, false, tree.limbsOtherwise(operations), minutes);
        }
        List<SampleTree> others = sample.stream().filter(other -> other != tree).toList();
        List<Sentence> without = search.best(others);
        VisitWorth.Visit visit = search.on(tree, without);
        double planned = tree.plan().gain();
        int otherwise = tree.limbsOtherwise(search.operations(tree, without));
        boolean nothingToGain = planned <= 0;
        return new OnTree(
                tree.name(),
                operations,
                nothingToGain ? Double.NaN : visit.gain() / planned,
                nothingToGain
                        ? otherwise <= search.numbers().hardlyAny()
                        : visit.gain() >= search.numbers().agrees() * planned,
                otherwise,
                minutes);
    }

    /** Gains of all trees together against those of their plans, so that a tree that hardly needs a visit hardly counts. */
    private static double shareOf(List<SampleTree> sample, List<OnTree> trees) {
        if (sample.size() < 2) {
            return Double.NaN;
        }
        double kept = 0;
        double planned = 0;
        for (int i = 0; i < sample.size(); i++) {
            double own = sample.get(i).plan().gain();
            if (own > 0) {
                kept += trees.get(i).share() * own;
                planned += own;
            }
        }
        return planned <= 0 ? Double.NaN : kept / planned;
    }

    /**
     * Whether the last two trees taught nothing: what was found without them does as well on all trees as what was found with them, and
     * the share kept moved little. Sentences may differ where the difference is worth nothing.
     */
    private static boolean isEnough(
            List<SampleTree> sample,
            InstructionSearch search,
            List<Sentence> said,
            double share,
            InstructionParameters numbers) {
        InstructionParameters.Sample rules = numbers.sample();
        if (sample.size() < rules.least() || sample.size() < 4) {
            return false;
        }
        List<SampleTree> fewer = sample.subList(0, sample.size() - 2);
        List<Sentence> before = search.best(fewer);
        double gain = gain(sample, search, said);
        if (gain(sample, search, before) < gain - rules.steadyGain() * Math.abs(gain)) {
            return false;
        }
        List<OnTree> then =
                fewer.stream().map(tree -> onTree(tree, fewer, search, before)).toList();
        return Math.abs(share - shareOf(fewer, then)) < rules.steadyShare();
    }

    private static double gain(List<SampleTree> sample, InstructionSearch search, List<Sentence> said) {
        return sample.stream().mapToDouble(tree -> search.on(tree, said).gain()).sum();
    }

    /** Mean with its range on another tree, by the spread of the sample; by the usual spread where there are few trees. */
    private static Range range(double[] values, double usualVariation, InstructionParameters numbers) {
        double mean = DoubleStream.of(values).average().orElse(0);
        double squares =
                DoubleStream.of(values).map(one -> (one - mean) * (one - mean)).sum();
        double deviation = values.length < 3 ? usualVariation * mean : Math.sqrt(squares / (values.length - 1));
        double error = numbers.sample().z() * deviation / Math.sqrt(values.length);
        return new Range(Math.max(0, mean - error), mean, mean + error);
    }

    /** Gauges that the system, and the trees' own size, begin from. */
    private static Map<Form, Double> usual(List<SampleTree> sample, InstructionParameters.Begin begin) {
        Tree first = sample.get(0).worth().found();
        TrainingSystem system = first.setting().system();
        Map<Form, Double> usual = new EnumMap<>(Form.class);
        double trunk = median(sample, tree -> Units.toMm(tree.trunk().baseDiameter()));
        usual.put(
                Form.THICK,
                system.limbs().diameterMostMm() != null
                        ? system.limbs().diameterMostMm()
                        : (system.limbs().ratioMost() == null
                                        ? begin.thickShare()
                                        : system.limbs().ratioMost())
                                * trunk);
        usual.put(Form.CLOSE, system.scaffolds().stackGapCm());
        usual.put(Form.HANGING, system.limbs().hangAngleDeg());
        usual.put(Form.STEEP_BENT, system.scaffolds().angleDeg().get(0) - begin.steepMarginDeg());
        usual.put(Form.REACH, Units.toCm(system.shape().spreadAt(first.setting().leaf()) / 2 * begin.pastTheBox()));
        usual.put(
                Form.HEIGHT, Units.toCm(system.shape().heightAt(first.setting().leaf())));
        return usual;
    }

    private static double median(List<SampleTree> sample, ToDoubleFunction<Tree> of) {
        double[] values = sample.stream()
                .map(one -> one.worth().found())
                .mapToDouble(of)
                .sorted()
                .toArray();
        return values[values.length / 2];
    }

    /** The trees on which the sentences do worst, first. */
    public List<OnTree> worst() {
        return trees.stream()
                .filter(tree -> !Double.isNaN(tree.share()))
                .sorted(Comparator.comparingDouble(OnTree::share))
                .toList();
    }
}
