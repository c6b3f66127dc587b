package umbel.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Vec;

class SlopeNetAndShadeTest {

    private static Surveys spurred() {
        return Surveys.apple()
                .spacing(3, 4)
                .limb("1", "trunk", "scaffold", 90, 90, 60, 45, 180, 6, Surveys.spurs(120, 2))
                .limb("2", "trunk", "scaffold", 120, 270, 60, 45, 180, 6, Surveys.spurs(120, 2));
    }

    @Test
    void aNetTakesItsShareEverywhere() {
        double[] open = LightModel.read(spurred().tree()).light();
        double[] netted = LightModel.read(spurred().net(0.2).tree()).light();
        for (int s = 0; s < open.length; s++) {
            assertThat(netted[s]).isCloseTo(open[s] * 0.8, within(1e-9));
        }
    }

    @Test
    void levelGroundIsTheSlopeOfNought() {
        double[] level = LightModel.read(spurred().tree()).light();
        assertThat(LightModel.read(spurred().slope(0, 90).tree()).light()).isEqualTo(level);
        double[] nearly = LightModel.read(spurred().slope(0.01, 90).tree()).light();
        for (int s = 0; s < level.length; s++) {
            assertThat(nearly[s]).isCloseTo(level[s], within(0.02));
        }
    }

    /** Where south is uphill, the neighbours stand in the way of the midday sun and catch more of what comes. */
    @Test
    void neighboursUphillTowardsTheSunCatchMore() {
        double northUp = LightModel.read(spurred().slope(30, 0).tree()).interception();
        double southUp = LightModel.read(spurred().slope(30, 180).tree()).interception();
        assertThat(southUp).isGreaterThan(northUp + 0.02);
    }

    /**
     * A single direction through an even layer over a slope: the path is the layer's upright thickness over the rise of the
     * ray above the ground's plane, by plane geometry.
     */
    @ParameterizedTest
    @CsvSource({"0.3, 0, 30, 90", "0.3, 0, 30, 270", "0, -0.2, 45, 10", "0.4, 0.2, 20, 200"})
    void theSlopedLayerLetsThroughWhatPlaneGeometrySays(double along, double across, double zenith, double azimuth) {
        CanopyGrid grid = new CanopyGrid(2, 2, 0.95, 0.1, 0.5);
        for (int l = 0; l < 10; l++) {
            grid.fillLayer(l, 0.5 * 2.0);
        }
        Sky ray = Sky.single(Math.toRadians(zenith), Math.toRadians(azimuth));
        double[] d = ray.direction(0);
        double rise = d[2] - along * d[0] - across * d[1];
        double expected = Math.exp(-0.5 * 2.0 * 1.0 / rise);
        double through = new PeriodicSweep(grid, new double[] {1}, new double[] {1}, new double[] {0})
                .under(ray.overSlope(along, across))
                .light()[0];
        assertThat(through).isCloseTo(expected, within(2e-4));
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "15, 40", "35, 220"})
    void whatIsCaughtAndWhatReachesTheGroundAddUp(double slope, double uphill) {
        Tree tree = spurred().slope(slope, uphill).tree();
        LightReading light = LightModel.read(tree);
        assertThat(light.interception()).isBetween(0.01, 0.9);
    }

    @Test
    void theShadeOfALimbIsTheLightItsRemovalGives() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 18, 3), Knowledge.shipped(), 1);
        List<ShadeBetweenLimbs.Shade> shades = ShadeBetweenLimbs.of(tree);
        assertThat(shades).isSortedAccordingTo((a, b) -> Double.compare(b.fromTree(), a.fromTree()));
        ShadeBetweenLimbs.Shade first = shades.get(0);
        Tree without = CutTree.of(tree, List.of(Operation.remove(Target.parse(first.limb()))))
                .left();
        LightReading before = LightModel.readCoarse(tree, 1);
        LightReading after = LightModel.readCoarse(without, 1);
        double sum = 0;
        double weight = 0;
        int s = 0;
        for (int i = 0; i < before.light().length; i++) {
            FruitingSite site = before.sites().get(i);
            if (without.find(site.axis().id()).isPresent()) {
                sum += (after.light()[s] - before.light()[i]) * site.weight();
                weight += site.weight();
                s++;
            }
        }
        assertThat(first.fromTree()).isCloseTo(sum / weight, within(1e-9)).isPositive();
        assertThat(first.fromLimbs()).doesNotContainKey(first.limb());
    }

    @Test
    void aHighLimbShadesTheOneBelowAndNotTheOtherWayRound() {
        Tree tree = Surveys.apple()
                .limb("low", "trunk", "scaffold", 70, 90, 80, 40, 150, 6, Surveys.spurs(120, 2))
                .limb("high", "trunk", "scaffold", 120, 90, 80, 40, 150, 6, Surveys.spurs(120, 2))
                .tree();
        List<ShadeBetweenLimbs.Shade> shades = ShadeBetweenLimbs.of(tree);
        double down = taken(shades, "high", "low");
        double up = taken(shades, "low", "high");
        assertThat(down).isGreaterThan(0.05);
        assertThat(up).isLessThan(down / 4);
    }

    private static double taken(List<ShadeBetweenLimbs.Shade> shades, String by, String from) {
        return shades.stream()
                .filter(shade -> shade.limb().equals(by))
                .findFirst()
                .orElseThrow()
                .fromLimbs()
                .getOrDefault(from, 0.0);
    }

    @Test
    void aSectionIsBrightAboveAndDarkerInside() {
        Tree tree = TreeBuilder.build(PracticeTree.survey("central-leader", 18, 3), Knowledge.shipped(), 1);
        LightSection section = LightSection.of(tree, Math.PI / 2);
        int rows = section.light().length / section.columns();
        assertThat(section.light()).hasSize(rows * section.columns());
        int middle = section.columns() / 2;
        assertThat(section.light()[(rows - 1) * section.columns() + middle]).isGreaterThan(0.9);
        assertThat(section.light()[7 * section.columns() + middle]).isLessThan(0.75);
    }

    @Test
    void placesReadAloneAgreeWithTheSites() {
        Tree tree = spurred().tree();
        LightReading light = LightModel.read(tree);
        List<Vec> places = light.sites().stream().map(FruitingSite::place).toList();
        assertThat(LightModel.at(tree, places, LightResolution.CLOSE)).isEqualTo(light.light());
    }
}
