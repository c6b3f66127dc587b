package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.growth.Comparison.Measure;
import umbel.growth.Comparison.Measured;
import umbel.knowledge.Knowledge;
import umbel.knowledge.LearningParameters;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class BlockCalibrationTest {

    private static final LearningParameters RULES =
            Knowledge.shipped().parameters().learning();

    private static Comparison grew(double ratio) {
        return new Comparison(List.of(
                new Measured(Measure.EXTENSION, new Forecast.Range(0.2, 0.3, 0.4), 0.3 * ratio),
                new Measured(Measure.SHOOTS, new Forecast.Range(80, 100, 120), 100),
                new Measured(Measure.FLOWER_BUDS, new Forecast.Range(80, 100, 120), 100 / ratio)));
    }

    @Test
    void oneTreeMovesTheForecastALittleAndManyMoveItAlmostAllTheWay() {
        // ln 1.4 over 1 + 4 trees, and 40 times that over 40 + 4
        assertThat(BlockCalibration.of(List.of(grew(1.4)), RULES).vigour()).isCloseTo(Math.pow(1.4, 0.2), within(1e-9));
        BlockCalibration many = BlockCalibration.of(Collections.nCopies(40, grew(1.4)), RULES);
        assertThat(many.vigour()).isCloseTo(Math.pow(1.4, 40.0 / 44), within(1e-9));
        assertThat(many.flowering()).isCloseTo(1 / many.vigour(), within(1e-9));
        assertThat(many.waking()).isEqualTo(1);
        assertThat(many.trees()).isEqualTo(40);
    }

    @Test
    void treesThatDisagreeCancelOut() {
        assertThat(BlockCalibration.of(List.of(grew(1.5), grew(1 / 1.5)), RULES).vigour())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void anAbsurdTreeIsHeldWithinBounds() {
        assertThat(BlockCalibration.of(Collections.nCopies(30, grew(9)), RULES).vigour())
                .isEqualTo(RULES.most());
    }

    @Test
    void fruitsThatWereCountedTeachHowWellTheBlockSets() {
        Comparison counted = grew(1).withFruits(new Forecast.Range(80, 100, 120), 150);
        // ln 1.5 over 2 trees whose fruits were counted + 4; the third's were not
        BlockCalibration learned = BlockCalibration.of(List.of(counted, counted, grew(1)), RULES);
        assertThat(learned.setting()).isCloseTo(Math.pow(1.5, 2.0 / 6), within(1e-9));
        assertThat(learned.vigour()).isCloseTo(1, within(1e-9));
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 8, 3), Knowledge.shipped(), 1);
        TreeState stand = InitialState.of(tree, 1);
        Season.Work unthinned = new Season.Work(List.of(), Moment.DORMANT, List.of(), false, false);
        double usual = Season.grow(stand, unthinned).fruits();
        double more = Season.grow(learned.applied(stand), unthinned).fruits();
        assertThat(more).as("a block that sets better is told to bear more").isGreaterThan(usual * 1.05);
    }

    @Test
    void aHandfulOfShootsMoreTeachesLittleAndManyTeachMuch() {
        Comparison few = new Comparison(List.of(new Measured(Measure.SHOOTS, new Forecast.Range(1, 2, 3), 10)));
        Comparison many = new Comparison(List.of(new Measured(Measure.SHOOTS, new Forecast.Range(80, 100, 120), 500)));
        double byFew = BlockCalibration.of(List.of(few), RULES).waking();
        double byMany = BlockCalibration.of(List.of(many), RULES).waking();
        assertThat(byFew).isGreaterThan(1).isLessThan(1.13);
        assertThat(byMany).as("five times as many of a hundred").isGreaterThan(1.3);
    }

    @Test
    void nothingLearnedChangesNothing() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 6, 3), Knowledge.shipped(), 1);
        TreeState stand = InitialState.of(tree, 1);
        assertThat(BlockCalibration.NOTHING.applied(stand)).isSameAs(stand);
        assertThat(BlockCalibration.of(List.of(), RULES)).isEqualTo(BlockCalibration.NOTHING);
    }

    @Test
    void aForecastThatHasLearnedComesNearerToTheTreesItLearnedFrom() {
        // Trees that truly grow a third more than the model thinks: made by the model itself with more reserve.
        double off = 0;
        double offAfter = 0;
        List<Season.Work> season = List.of(Season.Work.NONE);
        List<Comparison> seen = new java.util.ArrayList<>();
        for (int seed = 1; seed <= 8; seed++) {
            TreeState stand = InitialState.of(
                    TreeBuilder.build(PracticeTree.survey("central-leader", 8, seed), Knowledge.shipped(), 1), 1);
            Tree truth = Forecast.middle(new BlockCalibration(1, 1.35, 1, 1, 1).applied(stand), season, 0.3)
                    .get(0)
                    .tree();
            seen.add(Comparison.of(Forecast.of(stand, season, 0.3).years().get(0), truth));
        }
        BlockCalibration learned = BlockCalibration.of(seen, RULES);
        assertThat(learned.vigour()).isGreaterThan(1.03);
        for (int seed = 21; seed <= 26; seed++) {
            TreeState stand = InitialState.of(
                    TreeBuilder.build(PracticeTree.survey("central-leader", 8, seed), Knowledge.shipped(), 1), 1);
            double truth = Forecast.middle(new BlockCalibration(1, 1.35, 1, 1, 1).applied(stand), season, 0.3)
                    .get(0)
                    .newLength();
            off += Math.abs(Math.log(Forecast.middle(stand, season, 0.3).get(0).newLength() / truth));
            offAfter += Math.abs(Math.log(
                    Forecast.middle(learned.applied(stand), season, 0.3).get(0).newLength() / truth));
        }
        assertThat(offAfter).isLessThan(0.8 * off);
    }
}
