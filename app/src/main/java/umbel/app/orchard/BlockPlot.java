package umbel.app.orchard;

import java.util.ArrayList;
import java.util.List;
import umbel.wood.Units;

/**
 * A block on the ground: its rows as lines and its outline, in metres east and north. Trees are laid out in even rows from its
 * first tree. A row of one tree is drawn as far as its next place would be, so that its line still has a direction.
 */
record BlockPlot(List<List<List<Double>>> rows, List<List<Double>> outline) {

    private static final double LEAST_ROW = 1;

    static BlockPlot of(Block block) {
        double along = Math.toRadians(block.rowBearingDeg());
        int perRow = block.rows().places();
        int count = block.rows().rows();
        List<List<List<Double>>> rows = new ArrayList<>();
        double length = (perRow - 1) * block.inRowM();
        for (int row = 0; row < count; row++) {
            int trees = Math.max(1, Math.min(perRow, block.treeCount() - row * perRow));
            double reach = trees == 1 ? Math.max(LEAST_ROW, block.inRowM()) : (trees - 1) * block.inRowM();
            rows.add(List.of(
                    at(block, along, 0, row * block.betweenRowsM()),
                    at(block, along, reach, row * block.betweenRowsM())));
        }
        double half = block.betweenRowsM() / 2;
        double end = block.inRowM() / 2;
        double width = (count - 1) * block.betweenRowsM();
        List<Double> corner = at(block, along, -end, -half);
        return new BlockPlot(
                rows,
                List.of(
                        corner,
                        at(block, along, length + end, -half),
                        at(block, along, length + end, width + half),
                        at(block, along, -end, width + half),
                        corner));
    }

    private static List<Double> at(Block block, double bearing, double along, double across) {
        return List.of(
                Units.round(block.eastM() + along * Math.sin(bearing) + across * Math.cos(bearing), 2),
                Units.round(block.northM() + along * Math.cos(bearing) - across * Math.sin(bearing), 2));
    }
}
