package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class StandDrawingTest {

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "modified-central-leader", "tall-spindle", "open-centre"})
    void everyAxisIsDrawnWhereItStands(String system) {
        Tree tree = grow(system);
        StandDrawing drawing = StandDrawing.of(tree, LightModel.read(tree));
        assertThat(drawing.axes()).hasSameSizeAs(tree.axes());
        for (Axis axis : tree.axes()) {
            StandDrawing.AxisLine line = drawing.axes().get(axis.index());
            int count = axis.course().size();
            assertThat(line.points()).hasSize(4 * count);
            assertThat(line.ages()).hasSize(count);
            assertThat(line.parent()).isEqualTo(axis.parent());
            assertThat(line.points()[4 * (count - 1) + 2])
                    .isCloseTo(axis.course().point(count - 1).z(), within(6e-4));
            assertThat(line.points()[3]).isCloseTo(axis.baseDiameter(), within(6e-5));
        }
    }

    @Test
    void lightStandsOnFruitingWoodOnly() {
        Tree tree = grow("tall-spindle");
        StandDrawing drawing = StandDrawing.of(tree, LightModel.read(tree));
        for (Axis axis : tree.axes()) {
            Double light = drawing.axes().get(axis.index()).light();
            assertThat(light != null).isEqualTo(axis.siteWeight() > 0);
            if (light != null) {
                assertThat(light).isBetween(0.0, 1.0);
            }
        }
    }

    @Test
    void whatWasSeenAndWhatWasNotIsTold() {
        Tree tree = grow("central-leader");
        StandDrawing drawing = StandDrawing.of(tree, LightModel.read(tree));
        assertThat(drawing.axes()).extracting(StandDrawing.AxisLine::seen).contains("measured", "counted", "estimated");
        assertThat(drawing.axes())
                .extracting(StandDrawing.AxisLine::kind)
                .contains("trunk", "limb", "lateral", "shoot", "spur");
        assertThat(drawing.axes().stream().filter(line -> line.conditions().contains("dead")))
                .hasSize(1);
    }

    private static Tree grow(String system) {
        return TreeBuilder.build(PracticeTree.survey(system, 9, 4, Fault.DEAD_LIMB), Knowledge.shipped(), 1);
    }
}
