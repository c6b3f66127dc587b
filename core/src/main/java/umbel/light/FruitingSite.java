package umbel.light;

import java.util.ArrayList;
import java.util.List;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * A place where fruit can form: a spur, or a stretch of a flowering one-year shoot.
 *
 * @param axis the axis that bears it
 * @param weight how much of a site it is; a spur is 1
 * @param flowerBuds flower buds there
 */
public record FruitingSite(Axis axis, Vec place, double weight, double flowerBuds) {

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
            double start = axis.kind() == AxisKind.LIMB ? axis.length() - axis.lastGrowth() : 0;
            for (int i = 0; i < places; i++) {
                double at = start + (axis.length() - start) * (i + 0.5) / places;
                sites.add(new FruitingSite(
                        axis, axis.course().at(at), axis.siteWeight() / places, axis.flowerBuds() / places));
            }
        }
        return sites;
    }
}
