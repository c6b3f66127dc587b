package umbel.reading;

import umbel.light.FruitingSite;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/**
 * Where the lit fruiting wood of a tree stands: its light-weighted centre.
 *
 * @param height over the ground, metres
 * @param out level distance from the trunk, metres
 * @param alongLimbs mean place along the way from the trunk (0) to the furthest wood of each main limb (1)
 */
public record FruitingCentre(double height, double out, double alongLimbs) {

    /** The centre for a tree whose light is known; zeros for one without fruiting wood on its limbs. */
    public static FruitingCentre of(Tree tree, LightReading light) {
        int count = tree.axes().size();
        double[] fromTrunk = new double[count];
        int[] main = new int[count];
        double[] furthest = new double[count];
        for (Axis axis : tree.axes()) {
            int i = axis.index();
            if (axis.kind() == AxisKind.TRUNK) {
                continue;
            }
            boolean onTrunk = axis.parent() == 0;
            main[i] = onTrunk ? i : main[axis.parent()];
            fromTrunk[i] = onTrunk ? 0 : fromTrunk[axis.parent()] + axis.at();
            if (axis.isFrame()) {
                furthest[main[i]] = Math.max(furthest[main[i]], fromTrunk[i] + axis.length());
            }
        }
        double sum = 0;
        double height = 0;
        double out = 0;
        double along = 0;
        for (int s = 0; s < light.light().length; s++) {
            FruitingSite site = light.sites().get(s);
            int i = site.axis().index();
            if (main[i] == 0 || !tree.axis(main[i]).isFrame()) {
                continue;
            }
            double weight = site.weight() * light.light()[s];
            sum += weight;
            height += weight * site.place().z();
            out += weight * site.place().level().length();
            along += weight * Math.min(1, fromTrunk[i] / furthest[main[i]]);
        }
        return sum == 0 ? new FruitingCentre(0, 0, 0) : new FruitingCentre(height / sum, out / sum, along / sum);
    }
}
