package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class BlockReadingTest {

    private static BlockReading.TreeRead read(long id, Survey survey) {
        Tree tree = TreeBuilder.build(survey, Knowledge.shipped(), 1);
        return BlockReading.TreeRead.of(
                id, "3-" + id, tree, TreeReader.read(tree, Knowledge.shipped().school("classic"), 2.4));
    }

    private static Survey slender(double trunkMm) {
        return Surveys.apple()
                .as("tall-spindle")
                .stock("dwarfing")
                .trunk(trunkMm, 300)
                .limb("1", "trunk", "limb", 90, 90, 90, 14, 60, 3, Surveys.spurs(20, 2))
                .limb("2", "trunk", "limb", 110, 270, 90, 14, 60, 3, Surveys.spurs(20, 2))
                .survey();
    }

    @Test
    void whatMostTreesShareComesFirst() {
        List<BlockReading.TreeRead> trees = new ArrayList<>();
        for (long seed = 1; seed <= 4; seed++) {
            trees.add(read(seed, PracticeTree.survey("central-leader", 14, seed, Fault.SUCKERS)));
        }
        trees.add(read(5, PracticeTree.survey("central-leader", 14, 5, Fault.SUCKERS, Fault.DEAD_LIMB)));
        BlockReading block = BlockReading.of(
                trees, Knowledge.shipped().parameters().reading().block());
        assertThat(block.trees()).isEqualTo(5);
        assertThat(block.common().get(0).rule()).isEqualTo("root-sucker");
        assertThat(block.common().get(0).trees()).as("trees, not suckers").isEqualTo(5);
        assertThat(block.common().get(0).share()).isEqualTo(1);
        assertThat(block.common()).anyMatch(one -> one.rule().equals("unsound-wood") && one.trees() == 1);
    }

    @Test
    void runtsGapsAndRootedScionsStandOut() {
        Survey dead = Surveys.apple()
                .as("tall-spindle")
                .stock("dwarfing")
                .trunk(48, 200)
                .limb("1", "trunk", "limb", 90, 90, 90, 14, 60, 3, null)
                .noted("dead", null)
                .survey();
        BlockReading block = BlockReading.of(
                List.of(
                        read(1, slender(48)),
                        read(2, slender(47)),
                        read(3, slender(49)),
                        read(4, slender(33)),
                        read(5, slender(62)),
                        read(6, dead)),
                Knowledge.shipped().parameters().reading().block());
        assertThat(block.outliers())
                .extracting(BlockReading.Outlier::id, BlockReading.Outlier::kind)
                .containsExactlyInAnyOrder(
                        org.assertj.core.groups.Tuple.tuple(4L, "runt"),
                        org.assertj.core.groups.Tuple.tuple(5L, "scion-rooted"),
                        org.assertj.core.groups.Tuple.tuple(6L, "gap"));
        assertThat(block.medianSection()).isCloseTo(Math.PI / 4 * 0.048 * 0.048, within(1e-9));
    }

    @Test
    void evennessIsTheVariationAboutTheMean() {
        BlockReading block = BlockReading.of(
                List.of(read(1, slender(40)), read(2, slender(60))),
                Knowledge.shipped().parameters().reading().block());
        BlockReading.Evenness section = block.evenness().get(0);
        // sections as 16 : 36, mean 26, each 10 from it
        assertThat(section.variation()).isCloseTo(10.0 / 26, within(1e-9));
        assertThat(BlockReading.of(
                                List.of(read(1, slender(50)), read(2, slender(50))),
                                Knowledge.shipped().parameters().reading().block())
                        .evenness()
                        .get(0)
                        .variation())
                .isCloseTo(0, within(1e-12));
    }

    @Test
    void anEmptyBlockHasNothingToTell() {
        BlockReading block = BlockReading.of(
                List.of(), Knowledge.shipped().parameters().reading().block());
        assertThat(block.trees()).isZero();
        assertThat(block.common()).isEmpty();
        assertThat(block.outliers()).isEmpty();
        assertThat(block.evenness()).isEmpty();
    }
}
