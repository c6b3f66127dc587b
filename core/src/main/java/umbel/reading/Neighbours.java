package umbel.reading;

import umbel.wood.Tree;

/**
 * What is known beside the tree itself.
 *
 * @param rowMedianSection median trunk cross-section of the row or block, m²; null when not known
 * @param earlier where the fruiting wood stood at an earlier survey; null without one
 * @param yearsSince years between that survey and this one
 * @param fruitFactor on the fruits its flower buds are expected to set, from a count in its block; 1 where nothing was counted
 * @param measured factors from what was measured on trees of its block
 */
public record Neighbours(
        Double rowMedianSection,
        FruitingCentre earlier,
        double yearsSince,
        double fruitFactor,
        MeasuredFactors measured) {

    /** A tree read for itself. */
    public static final Neighbours NONE = new Neighbours(null, null, 0);

    /** What is known where nothing was counted in the block. */
    public Neighbours(Double rowMedianSection, FruitingCentre earlier, double yearsSince) {
        this(rowMedianSection, earlier, yearsSince, 1, MeasuredFactors.NONE);
    }

    /** The same after a count in the block. */
    public Neighbours counted(double factor) {
        return new Neighbours(rowMedianSection, earlier, yearsSince, factor, measured);
    }

    /** The same after measurements in the block. */
    public Neighbours measured(MeasuredFactors factors) {
        return new Neighbours(rowMedianSection, earlier, yearsSince, fruitFactor, factors);
    }

    /** A tree that sets as was counted in its block, and is in leaf as was seen there. */
    public Tree applied(Tree tree) {
        Tree set = fruitFactor == 1 ? tree : tree.in(tree.setting().settingFruit(fruitFactor));
        return measured.leaf() == 1 ? set : set.withLeaf(measured.leaf());
    }
}
