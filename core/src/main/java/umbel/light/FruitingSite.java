package umbel.light;

import java.util.ArrayList;
import java.util.List;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * A place where fruit can form: a spur, a stretch of a flowering one-year shoot, or a stretch of a fruiting lateral with all
 * that stands on it.
 *
 * @param axis the axis that bears it
 * @param weight how much of a site it is; a spur is 1
 * @param flowerBuds flower buds there
 */
public record FruitingSite(Axis axis, Vec place, double weight, double flowerBuds) {

    private static final double INNER = 0.3;

    /** Every fruiting site of a tree, in the order of its axes. */
    public static List<FruitingSite> of(Tree tree) {
        List<FruitingSite> sites = new ArrayList<>();
        for (Axis axis : tree.axes()) {
            if (axis.siteWeight() <= 0) {
                continue;
            }
            if (axis.kind() == AxisKind.SPUR) {
                sites.add(
                        new FruitingSite(axis, axis.course().at(axis.length()), axis.siteWeight(), axis.flowerBuds()));
                continue;
            }
            int places = Math.max(1, (int) Math.round(Math.min(3, axis.siteWeight())));
            double start = startOfBearing(axis);
            for (int i = 0; i < places; i++) {
                double at = start + (axis.length() - start) * (i + 0.5) / places;
                sites.add(new FruitingSite(
                        axis, axis.course().at(at), axis.siteWeight() / places, axis.flowerBuds() / places));
            }
        }
        return sites;
    }

    private static double startOfBearing(Axis axis) {
        return switch (axis.kind()) {
            case LIMB -> axis.length() - axis.lastGrowth();
            case FRUITING_LATERAL -> INNER * axis.length();
            default -> 0;
        };
    }
}
