package umbel.cropcount;

import java.util.List;
import java.util.function.ToDoubleFunction;
import umbel.crop.CropReading;
import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * The middling tree of a block, as far as a count needs it.
 *
 * @param limbSection cross-section of all limbs where they leave the trunk, m²
 * @param expectedFruits fruits expected before anything was counted, unthinned
 * @param canCarry fruits the tree can carry to the end
 * @param leaf of the coming summer, m²
 * @param setting of one of the trees: kind, cultivar and stock
 */
public record BlockTrees(double limbSection, double expectedFruits, double canCarry, double leaf, Setting setting) {

    /** A tree and its crop as read. */
    public record Read(Tree tree, CropReading crop) {}

    /**
     * The mean of trees.
     *
     * @throws IllegalArgumentException where there are none
     */
    public static BlockTrees of(List<Read> trees) {
        if (trees.isEmpty()) {
            throw new IllegalArgumentException("a block needs one tree to be judged by");
        }
        return new BlockTrees(
                mean(trees, one -> limbSection(one.tree())),
                mean(trees, one -> one.crop().expectedFruits()),
                mean(trees, one -> one.crop().canFinish()),
                mean(trees, one -> one.tree().leafArea()),
                trees.get(0).tree().setting());
    }

    /** Limbs are as thick together as the trunk that feeds them, so that the trunk stands in where none was surveyed. */
    private static double limbSection(Tree tree) {
        double limbs = tree.limbs().stream()
                .filter(limb -> limb.parent() == tree.trunk().index())
                .mapToDouble(Axis::baseDiameter)
                .map(Units::section)
                .sum();
        return limbs > 0 ? limbs : tree.setting().trunkSection();
    }

    private static double mean(List<Read> trees, ToDoubleFunction<Read> of) {
        return trees.stream().mapToDouble(of).average().orElse(0);
    }
}
