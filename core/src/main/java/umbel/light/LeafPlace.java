package umbel.light;

import java.util.ArrayList;
import java.util.List;
import umbel.wood.Axis;
import umbel.wood.LateralTwigs;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * A place that stands for so much of a tree's leaf.
 *
 * @param area leaf, m²
 */
record LeafPlace(Vec place, double area) {

    /** So many places, each for the same leaf, in the order of the tree's axes. */
    static List<LeafPlace> sample(Tree tree, int count) {
        double all = tree.leafArea();
        List<LeafPlace> places = new ArrayList<>();
        if (all <= 0) {
            return places;
        }
        double each = all / count;
        double owed = each / 2;
        for (Axis axis : tree.axes()) {
            if (axis.leafArea() <= 0) {
                continue;
            }
            if (!axis.isUnmeasured()) {
                owed += axis.leafArea();
                double start = axis.kind().isSmallWood() ? 0 : axis.length() - axis.lastGrowth();
                for (int n = 0; owed >= each; n++) {
                    owed -= each;
                    double along = (0.5 + n * 0.618) % 1;
                    places.add(new LeafPlace(axis.course().at(start + (axis.length() - start) * along), each));
                }
            } else if (owed + axis.leafArea() < each) {
                owed += axis.leafArea();
            } else {
                for (LateralTwigs.Twig twig : LateralTwigs.of(axis, tree.setting())) {
                    owed += axis.leafArea() * twig.share();
                    for (int n = 0; owed >= each; n++) {
                        owed -= each;
                        double along = (0.5 + n * 0.618) % 1;
                        places.add(new LeafPlace(
                                twig.from().plus(twig.to().minus(twig.from()).times(along)), each));
                    }
                }
            }
        }
        return places;
    }
}
