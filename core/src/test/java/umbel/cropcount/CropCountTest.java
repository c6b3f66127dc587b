package umbel.cropcount;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.crop.CropReading;
import umbel.knowledge.CropCountParameters;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.Units;

/** A count on marked limbs tells what is there, how surely, and what follows; held to blocks whose every limb is known. */
class CropCountTest {

    private static final CropCountParameters PARAMETERS =
            Knowledge.shipped().parameters().cropCount();
    private static final BlockTrees TREES = trees("apple", "tall-spindle", 6);

    @Test
    void limbsThatAgreeLeaveNoDoubtButThatOfTheStage() {
        List<CropCount.Limb> limbs = IntStream.of(16, 20, 24, 30)
                .mapToObj(mm -> limb(mm, 5 * section(mm)))
                .toList();
        CropCount fruit = CropCount.of(CountStage.FRUIT, limbs, TREES, PARAMETERS);
        assertThat(fruit.perCm2().middle()).isCloseTo(5, within(0.06));
        assertThat(fruit.perCm2().high() - fruit.perCm2().low()).isLessThan(0.4);
        // all limbs of the tree together, and nearly all hang to the end
        double perTree = 5 * Units.toCm2(TREES.limbSection()) * 0.95;
        assertThat(fruit.fruits().middle()).isCloseTo(perTree, within(0.02 * perTree));
        CropCount bloom = CropCount.of(CountStage.BLOOM, limbs, TREES, PARAMETERS);
        assertThat(bloom.fruits().high() / bloom.fruits().middle())
                .as("what sets is less sure than what hangs")
                .isGreaterThan(fruit.fruits().high() / fruit.fruits().middle() + 0.3);
        assertThat(fruit.limbsWanted()).isEqualTo(PARAMETERS.limbsLeast());
    }

    @Test
    void nineIntervalsInTenHoldTheTruth() {
        Random random = new Random(11);
        int held = 0;
        int wide = 0;
        int draws = 3000;
        for (int draw = 0; draw < draws; draw++) {
            double density = 2 + 6 * random.nextDouble();
            List<CropCount.Limb> limbs = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                double mm = 14 + 20 * random.nextDouble();
                // each limb bears its own way about the block's density
                double own = density * Math.exp(0.35 * random.nextGaussian() - 0.35 * 0.35 / 2);
                limbs.add(limb(mm, own * section(mm)));
            }
            CropCount.Estimate told =
                    CropCount.of(CountStage.FRUIT, limbs, TREES, PARAMETERS).perCm2();
            held += told.low() <= density && density <= told.high() ? 1 : 0;
            wide += told.high() > 2 * told.low() ? 1 : 0;
        }
        assertThat((double) held / draws).isBetween(0.86, 0.95);
        assertThat((double) wide / draws).as("intervals too wide to be of use").isLessThan(0.25);
    }

    @Test
    void limbsThatDifferMoreAskForMore() {
        int even = CropCount.of(CountStage.BLOOM, limbs(40, 42, 38, 41), TREES, PARAMETERS)
                .limbsWanted();
        int uneven = CropCount.of(CountStage.BLOOM, limbs(40, 70, 12, 55), TREES, PARAMETERS)
                .limbsWanted();
        assertThat(uneven).isGreaterThan(2 * even).isLessThanOrEqualTo(PARAMETERS.limbsMost());
    }

    @Test
    void theVerdictGoesByWhatTheTreeCanCarry() {
        double right = TREES.canCarry() / Units.toCm2(TREES.limbSection()) / 0.95;
        assertThat(verdict(right)).isEqualTo(CropCount.Verdict.RIGHT);
        assertThat(verdict(3 * right)).isEqualTo(CropCount.Verdict.FAR_TOO_MANY);
        assertThat(verdict(right / 3)).isEqualTo(CropCount.Verdict.FAR_TOO_FEW);
        CropCount heavy = even(3 * right, CountStage.FRUIT);
        assertThat(heavy.thinning()).isCloseTo(2 * TREES.canCarry(), within(0.1 * TREES.canCarry()));
        assertThat(even(right / 3, CountStage.FRUIT).thinning()).isZero();
        // a heavy crop left hanging costs next year's bloom, thinned it does not
        assertThat(heavy.nextBloom().unthinned()).isLessThan(heavy.nextBloom().thinned() - 0.2);
        assertThat(even(right / 3, CountStage.FRUIT).nextBloom().unthinned()).isGreaterThan(0.7);
    }

    @Test
    void aCountDrawsTheForecastTowardsItselfByHowSureItIs() {
        double expected = TREES.expectedFruits() / Units.toCm2(TREES.limbSection());
        double perFruit = 0.95;
        assertThat(even(expected / perFruit, CountStage.FRUIT).factor()).isCloseTo(1, within(0.03));
        double fruit = even(2 * expected / perFruit, CountStage.FRUIT).factor();
        double set = even(2 * expected / 0.45, CountStage.SET).factor();
        assertThat(fruit).isBetween(1.8, 2.0);
        assertThat(set).isBetween(1.4, fruit - 0.05);
        assertThat(even(100 * expected, CountStage.FRUIT).factor()).isLessThanOrEqualTo(PARAMETERS.factorMost());
    }

    @Test
    void limbsWithoutAnyTellHowFewThereAreAtMost() {
        CropCount none = CropCount.of(CountStage.BLOOM, limbs(0, 0, 0, 0, 0), TREES, PARAMETERS);
        assertThat(none.perCm2().middle()).isZero();
        assertThat(none.perCm2().high()).isCloseTo(3 / (5 * section(20)), within(1e-9));
        assertThat(none.verdict()).isEqualTo(CropCount.Verdict.FAR_TOO_FEW);
        assertThatThrownBy(() -> CropCount.of(CountStage.BLOOM, limbs(4), TREES, PARAMETERS))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static CropCount.Verdict verdict(double perCm2) {
        return even(perCm2, CountStage.FRUIT).verdict();
    }

    private static CropCount even(double perCm2, CountStage stage) {
        List<CropCount.Limb> limbs = IntStream.of(30, 34, 38, 42, 46)
                .mapToObj(mm -> limb(mm, perCm2 * section(mm)))
                .toList();
        return CropCount.of(stage, limbs, TREES, PARAMETERS);
    }

    private static List<CropCount.Limb> limbs(int... counts) {
        return IntStream.of(counts)
                .mapToObj(count -> new CropCount.Limb(0.020, count))
                .toList();
    }

    private static CropCount.Limb limb(double mm, double count) {
        return new CropCount.Limb(mm / 1000, (int) Math.round(count));
    }

    /** Section of a limb by hand, cm². */
    private static double section(double mm) {
        return Math.PI * mm * mm / 400;
    }

    private static BlockTrees trees(String species, String system, int leaf) {
        List<BlockTrees.Read> read = IntStream.rangeClosed(1, 3)
                .mapToObj(seed -> {
                    Tree tree = new Assessor(Knowledge.shipped())
                            .tree(AssessRequest.of(PracticeTree.survey(species, system, leaf, seed)));
                    return new BlockTrees.Read(
                            tree, CropReading.of(tree, LightModel.read(tree), CropReading.target(tree)));
                })
                .toList();
        return BlockTrees.of(read);
    }
}
