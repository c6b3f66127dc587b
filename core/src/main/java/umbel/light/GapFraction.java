package umbel.light;

import java.util.List;
import umbel.knowledge.LightParameters;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * The share of sky between the leaves as a photograph from under a tree shows it, and what it tells of the leaf. Through leaf
 * facing all ways the gap fraction falls off by the Lambert–Beer law (Monsi and Saeki 1953), so that the leaf seen against the
 * leaf expected is the ratio of the logarithms.
 */
public final class GapFraction {

    /** Fractions nearer to 0 or 1 than this tell nothing of the leaf. */
    private static final double TELLS_FROM = 0.02;

    private GapFraction() {}

    /** The gap fraction expected under a tree in the leaf of the coming season, among its neighbours; 0…1. */
    public static double expected(Tree tree) {
        Setting setting = tree.setting();
        LightParameters.Photograph photograph = setting.light().photograph();
        double out = Math.min(
                photograph.out() * meanDistance(tree),
                Math.min(setting.place().inRow(), setting.place().betweenRows()) / 2);
        int places = photograph.places();
        double[] xs = new double[places];
        double[] ys = new double[places];
        double[] zs = new double[places];
        for (int i = 0; i < places; i++) {
            double angle = 2 * Math.PI * (i + 0.5) / places;
            xs[i] = setting.place().inRow() / 2 + out * Math.cos(angle);
            ys[i] = setting.place().betweenRows() / 2 + out * Math.sin(angle);
            zs[i] = photograph.height() / 100;
        }
        Sky cone = Sky.cone(photograph.directions(), Math.toRadians(photograph.halfAngle()));
        double[] seen = LightModel.seen(tree, xs, ys, zs, setting.light().cellCm() / 100, cone, true)
                .light();
        double sum = 0;
        for (double one : seen) {
            sum += one;
        }
        return sum / places;
    }

    /**
     * The leaf that was seen against the leaf expected; 1 where the fractions tell nothing.
     *
     * @param seen gap fraction of the photograph, 0…1
     * @param expected gap fraction expected, 0…1
     */
    public static double leafRatio(double seen, double expected) {
        boolean tells = expected > TELLS_FROM && expected < 1 - TELLS_FROM;
        return tells ? Math.log(Math.min(1 - TELLS_FROM, Math.max(TELLS_FROM, seen))) / Math.log(expected) : 1;
    }

    private static double meanDistance(Tree tree) {
        List<LeafPlace> leaves = LeafPlace.sample(tree, 100);
        double area = 0;
        double sum = 0;
        for (LeafPlace leaf : leaves) {
            Vec place = leaf.place();
            area += leaf.area();
            sum += leaf.area() * Math.hypot(place.x(), place.y());
        }
        return area <= 0 ? 0 : sum / area;
    }
}
