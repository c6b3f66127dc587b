package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.cut.CutTree;
import umbel.growth.GrowingPoint.Kind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.knowledge.Species.LiveBuds;
import umbel.light.LightField;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** How many buds of one-year wood can open, and where they stand. */
class LiveBudsTest {

    private static final double GROWN = 1.40;

    private static Tree whip(String species, long seed) {
        String json = """
                {"format":"umbel-survey/1","tree":{"species":"%s","leaf":1,"system":"slender-axe"},
                 "trunk":{"diameter_mm":18,"height_cm":160,"lastGrowth_cm":140},"limbs":[]}""".formatted(species);
        return TreeBuilder.build(SurveyReader.read(json), Knowledge.shipped(), seed);
    }

    /** Where the live buds of a whip stand, metres from its foot. */
    private static double[] live(Tree whip, long seed) {
        GrowingPoints points = new GrowingPoints(
                CutTree.of(whip, List.of()),
                new LeafArea(whip),
                LightField.of(whip, 0.2, 16),
                GrowthTraits.USUAL,
                new KeyedDraws(seed, 0));
        return points.on(0).stream()
                .filter(point -> point.kind == Kind.BUD)
                .mapToDouble(point -> point.at)
                .toArray();
    }

    @ParameterizedTest
    @CsvSource({"0.6, 0.5", "0.65, 0", "0.65, 0.2", "1, 0.7", "0.5, 1"})
    void onAverageOverTheWoodItIsTheShare(double share, double acrotony) {
        LiveBuds buds = new LiveBuds(share, acrotony);
        int places = 1000;
        double mean = DoubleStream.iterate(0.5 / places, place -> place + 1.0 / places)
                .limit(places)
                .map(buds::at)
                .average()
                .orElseThrow();
        assertThat(mean).isCloseTo(share, within(1e-9));
        assertThat(buds.at(0)).isBetween(0.0, 1.0).isLessThanOrEqualTo(buds.at(1));
        assertThat(buds.at(1)).isBetween(0.0, 1.0);
    }

    @ParameterizedTest
    @CsvSource({"apple", "cherry-sweet", "peach"})
    void aWhipHasAsManyAsItsKindKeepsAlive(String id) {
        Species.Growth growth = Knowledge.shipped().species(id).growth();
        long nodes = Math.round(GROWN * 1000 / growth.nodeGapMm());
        double mean = 0;
        int whips = 40;
        for (int seed = 1; seed <= whips; seed++) {
            double[] live = live(whip(id, seed), seed);
            assertThat(live.length).isLessThanOrEqualTo((int) nodes);
            mean += live.length / (double) whips;
        }
        double spread = Math.sqrt(
                nodes * growth.liveBuds().share() * (1 - growth.liveBuds().share()) / whips);
        assertThat(mean).isCloseTo(nodes * growth.liveBuds().share(), within(4 * spread + 1e-9));
    }

    @Test
    void anApplesLiveBudsStandTowardsItsTip() {
        int near = 0;
        int far = 0;
        double middle = 1.60 - GROWN / 2;
        for (int seed = 1; seed <= 60; seed++) {
            for (double at : live(whip("apple", seed), seed)) {
                near += at < middle ? 1 : 0;
                far += at >= middle ? 1 : 0;
            }
        }
        assertThat(far).isGreaterThan((int) (1.05 * near));
    }
}
