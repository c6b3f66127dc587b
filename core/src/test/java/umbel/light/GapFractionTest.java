package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class GapFractionTest {

    private static Tree tree(String species, String system, int leaf) {
        return TreeBuilder.build(PracticeTree.survey(species, system, leaf, 3), Knowledge.shipped(), 1);
    }

    @ParameterizedTest
    @CsvSource({"apple, tall-spindle, 6", "apple, central-leader, 15", "peach, open-centre, 6"})
    void moreLeafLeavesLessSky(String species, String system, int leaf) {
        Tree tree = tree(species, system, leaf);
        double usual = GapFraction.expected(tree);
        double fuller = GapFraction.expected(tree.withLeaf(1.3));
        double thinner = GapFraction.expected(tree.withLeaf(0.7));
        assertThat(usual).isBetween(0.05, 0.95);
        assertThat(fuller).isLessThan(usual);
        assertThat(thinner).isGreaterThan(usual);
    }

    @Test
    void theLeafOfATreeIsFoundFromThePhotographOfAnother() {
        // the same tree with more and less leaf than expected; the law holds for even leaf, crowns have gaps: a tenth
        // is allowed
        Tree tree = tree("apple", "central-leader", 15);
        double expected = GapFraction.expected(tree);
        for (double times : new double[] {0.7, 0.85, 1.2, 1.4}) {
            double seen = GapFraction.expected(tree.withLeaf(times));
            assertThat(GapFraction.leafRatio(seen, expected)).isCloseTo(times, within(0.1 * times));
        }
    }

    @Test
    void leafIsScaledAsAWholeAndCountsStay() {
        Tree tree = tree("apple", "central-leader", 15);
        assertThat(tree.withLeaf(1.3).leafArea()).isCloseTo(1.3 * tree.leafArea(), within(1e-6));
        double counted = tree.axes().stream()
                .filter(axis -> !axis.isUnmeasured())
                .mapToDouble(axis -> axis.leafArea())
                .sum();
        assertThat(tree.withLeaf(0).leafArea()).isCloseTo(counted, within(1e-9));
    }

    @Test
    void aPictureOfLeafAloneOrSkyAloneTellsNoMoreThanItShows() {
        assertThat(GapFraction.leafRatio(0, 0.4)).isCloseTo(Math.log(0.02) / Math.log(0.4), within(1e-12));
        assertThat(GapFraction.leafRatio(1, 0.4)).isCloseTo(Math.log(0.98) / Math.log(0.4), within(1e-12));
        assertThat(GapFraction.leafRatio(0.3, 0.99)).isEqualTo(1);
    }
}
