package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import umbel.knowledge.ReadingParameters;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * A block seen as a whole: what its surveyed trees have in common, which of them stand out, how even they are.
 *
 * @param trees trees read
 * @param medianSection median trunk cross-section, m²; 0 where no tree was read
 * @param common rules that hold on several trees, the most frequent first
 * @param outliers trees unlike the rest, with the reason
 * @param evenness how even the trees are, by measure
 */
public record BlockReading(
        int trees, double medianSection, List<Common> common, List<Outlier> outliers, List<Evenness> evenness) {

    /**
     * One tree as read.
     *
     * @param id what the caller knows it by
     * @param alive whether any limb lives
     * @param findings every rule that holds on it, by its strongest finding
     */
    public record TreeRead(
            long id,
            String label,
            double section,
            boolean dwarfed,
            boolean alive,
            double height,
            double underFruitLight,
            double cropRatio,
            List<Found> findings) {

        /** A rule that holds on a tree, and how much it matters there. */
        public record Found(String rule, Severity severity) {}

        /** A tree as its reading tells it. */
        public static TreeRead of(long id, String label, Tree tree, TreeReader.Reading reading) {
            boolean alive = tree.limbs().isEmpty() || tree.limbs().stream().anyMatch(limb -> !limb.is(Condition.DEAD));
            return new TreeRead(
                    id,
                    label,
                    tree.setting().trunkSection(),
                    tree.setting().isDwarfed(),
                    alive,
                    tree.axes().stream()
                            .filter(Axis::isFrame)
                            .mapToDouble(axis -> axis.course().top())
                            .max()
                            .orElse(0),
                    reading.underFruitLight(),
                    reading.crop().ratio(),
                    strongest(reading.findings()));
        }

        private static List<Found> strongest(List<Finding> findings) {
            Map<String, Severity> strongest = new TreeMap<>();
            findings.forEach(
                    one -> strongest.merge(one.rule().id(), one.severity(), (a, b) -> b.compareTo(a) > 0 ? b : a));
            return strongest.entrySet().stream()
                    .map(one -> new Found(one.getKey(), one.getValue()))
                    .toList();
        }
    }

    /**
     * A rule that several trees break.
     *
     * @param share of all trees
     * @param act how many of them call for action
     * @param example the first tree that breaks it
     */
    public record Common(String rule, int trees, double share, int act, long example) {}

    /** A tree unlike its fellows: scion-rooted, runt or gap. */
    public record Outlier(long id, String label, String kind, Statement reason) {}

    /** Mean and coefficient of variation of one measure over the trees. */
    public record Evenness(String measure, String unit, double mean, double variation) {}

    /** Reads a block from its trees. */
    public static BlockReading of(List<TreeRead> trees, ReadingParameters.Block rules) {
        double median = median(trees);
        return new BlockReading(trees.size(), median, common(trees), outliers(trees, median, rules), evenness(trees));
    }

    private static double median(List<TreeRead> trees) {
        double[] sections = trees.stream()
                .filter(TreeRead::alive)
                .mapToDouble(TreeRead::section)
                .sorted()
                .toArray();
        return sections.length == 0 ? 0 : (sections[(sections.length - 1) / 2] + sections[sections.length / 2]) / 2;
    }

    private static List<Common> common(List<TreeRead> trees) {
        Map<String, List<TreeRead>> broken = new HashMap<>();
        for (TreeRead tree : trees) {
            tree.findings()
                    .forEach(one -> broken.computeIfAbsent(one.rule(), key -> new ArrayList<>())
                            .add(tree));
        }
        return broken.entrySet().stream()
                .map(entry -> new Common(
                        entry.getKey(),
                        entry.getValue().size(),
                        entry.getValue().size() / (double) trees.size(),
                        (int) entry.getValue().stream()
                                .filter(tree ->
                                        tree.findings().contains(new TreeRead.Found(entry.getKey(), Severity.ACT)))
                                .count(),
                        entry.getValue().get(0).id()))
                .sorted(Comparator.comparingInt(Common::trees)
                        .thenComparingInt(Common::act)
                        .reversed()
                        .thenComparing(Common::rule))
                .toList();
    }

    private static List<Outlier> outliers(List<TreeRead> trees, double median, ReadingParameters.Block rules) {
        List<Outlier> outliers = new ArrayList<>();
        for (TreeRead tree : trees) {
            double ratio = median == 0 ? 1 : tree.section() / median;
            if (!tree.alive()) {
                outliers.add(new Outlier(tree.id(), tree.label(), "gap", Statement.of("block.gap")));
            } else if (trees.size() < rules.treesFrom()) {
                continue;
            } else if (ratio < rules.weakUnder()) {
                outliers.add(new Outlier(
                        tree.id(),
                        tree.label(),
                        "runt",
                        Statement.of("block.weak").with("share", Value.share(ratio))));
            } else if (ratio > rules.strongOver() && tree.dwarfed()) {
                outliers.add(new Outlier(
                        tree.id(),
                        tree.label(),
                        "scion-rooted",
                        Statement.of("block.strong")
                                .with("ratio", Value.number(ratio, 1))
                                .with("own", new Value.Section(tree.section()))));
            }
        }
        return outliers;
    }

    private static List<Evenness> evenness(List<TreeRead> trees) {
        List<TreeRead> alive = trees.stream().filter(TreeRead::alive).toList();
        if (alive.isEmpty()) {
            return List.of();
        }
        return List.of(
                evenness(alive, "block.even.section", "cm²", tree -> Units.toCm2(tree.section())),
                evenness(alive, "block.even.height", "m", TreeRead::height),
                evenness(alive, "block.even.shade", "%", tree -> 100 * tree.underFruitLight()),
                evenness(alive, "block.even.crop", "", TreeRead::cropRatio));
    }

    private static Evenness evenness(
            List<TreeRead> trees, String measure, String unit, ToDoubleFunction<TreeRead> value) {
        double mean = trees.stream().mapToDouble(value).average().orElse(0);
        double square = trees.stream()
                .mapToDouble(value)
                .map(one -> (one - mean) * (one - mean))
                .average()
                .orElse(0);
        return new Evenness(measure, unit, mean, mean == 0 ? 0 : Math.sqrt(square) / mean);
    }
}
