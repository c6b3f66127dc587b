package umbel.growth;

import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** Wood laid on for the leaf that each place carries (pipe model), more in a year with something to spare; paid for. */
final class RadialGrowth {

    private final double[][] diameters;
    private final double mass;
    private final double gained;

    /**
     * Thickens a tree.
     *
     * @param spare share of the season's gain that crop and upkeep left
     * @param own wood this tree lays on for its leaf, against the usual of its kind
     */
    RadialGrowth(Tree tree, double spare, double own) {
        Species.Growth species = tree.setting().species().growth();
        GrowthParameters parameters = tree.setting().parameters().growth();
        LeafArea leafage = new LeafArea(tree);
        GrowthParameters.Laid laid = parameters.wood().thickening();
        double balance = Math.max(laid.least(), Math.min(laid.most(), laid.plenty() * spare));
        double sectionPerLeaf = own * species.thickening() * 1e-4 * balance;
        gained = sectionPerLeaf * leafage.all();
        diameters = new double[tree.axes().size()][];
        double volume = 0;
        for (Axis axis : tree.axes()) {
            int a = axis.index();
            diameters[a] = axis.diameters();
            if (axis.kind() == AxisKind.SPUR || axis.age() <= 1 || leafage.of(a) <= 0) {
                continue;
            }
            double[] thicker = new double[axis.course().size()];
            double before = 0;
            for (int i = 0; i < thicker.length; i++) {
                double added = sectionPerLeaf * leafage.beyond(a, axis.course().along(i));
                double was = axis.diameters()[i];
                thicker[i] = Math.sqrt(was * was + 4 * added / Math.PI);
                if (i > 0) {
                    volume += (added + before)
                            / 2
                            * (axis.course().along(i) - axis.course().along(i - 1));
                }
                before = added;
            }
            diameters[a] = thicker;
        }
        mass = volume * parameters.wood().dry() * parameters.wood().rootShare();
    }

    /** Diameters of an axis after the season, metres. */
    double[] of(int axis) {
        return diameters[axis];
    }

    /** Section the trunk gains, m². */
    double gained() {
        return gained;
    }

    /** Dry mass laid on, roots with it, kilograms. */
    double mass() {
        return mass;
    }
}
