package umbel.growth;

import umbel.knowledge.GrowthParameters;
import umbel.light.LightField;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/** What a season's leaf makes, by the light it stands in. */
final class Carbon {

    private Carbon() {}

    /** Dry mass the tree's leaf makes in a season, kilograms. */
    static double assimilated(Tree tree, LightField field) {
        GrowthParameters parameters = tree.setting().parameters().growth();
        double sum = 0;
        for (Axis axis : tree.axes()) {
            if (axis.leafArea() > 0 && LeafArea.grows(axis)) {
                sum += axis.leafArea() * rate(field.at(axis.course().at(leafPlace(axis))), parameters);
            }
        }
        return parameters.assimilation().perM2() * sum;
    }

    /** Leaf of a tree that gets at least so much light, m². */
    static double leafInLight(Tree tree, LightField field, double least) {
        double sum = 0;
        for (Axis axis : tree.axes()) {
            sum += leafInLight(axis, field, least);
        }
        return sum;
    }

    /** The same of one axis. */
    static double leafInLight(Axis axis, LightField field, double least) {
        return axis.leafArea() > 0
                        && LeafArea.grows(axis)
                        && field.at(axis.course().at(leafPlace(axis))) >= least
                ? axis.leafArea()
                : 0;
    }

    /** What the leaf makes under a crop: leaf that no fruit draws on works less (Palmer and others, 1997). */
    static double drawnOn(double could, double asked, GrowthParameters parameters) {
        double full = parameters.fruit().shareMost() * could;
        double drawn = full <= 0 ? 0 : Math.min(1, asked / full);
        return could * (1 - parameters.assimilation().idleLeaf() * (1 - drawn));
    }

    /** The middle of where an axis carries its own leaf, metres from its origin. */
    private static double leafPlace(Axis axis) {
        return switch (axis.kind()) {
            case SPUR -> axis.length();
            case SHOOT -> axis.length() / 2;
            case FRUITING_LATERAL -> axis.length() * 0.7;
            default -> axis.length() - axis.lastGrowth() / 2;
        };
    }

    /** Share of the best a leaf makes at a light, upkeep taken off: saturating (a rectangular hyperbola). */
    private static double rate(double light, GrowthParameters parameters) {
        return (1 + parameters.assimilation().lightHalf())
                        * light
                        / (light + parameters.assimilation().lightHalf())
                - parameters.assimilation().respiration();
    }

    /** Dry mass of all wood above ground, kilograms. */
    static double wood(Tree tree) {
        double volume = 0;
        for (Axis axis : tree.axes()) {
            if (axis.kind() != AxisKind.SPUR && LeafArea.grows(axis)) {
                volume += axis.volume(0, axis.length());
            }
        }
        return volume * tree.setting().parameters().growth().wood().dry();
    }

    /** Surface of all living wood above ground, m²: bark and the young wood under it hold what is laid up. */
    static double bark(Tree tree) {
        double surface = 0;
        for (Axis axis : tree.axes()) {
            if (axis.kind() != AxisKind.SPUR && LeafArea.grows(axis)) {
                double ends = axis.baseDiameter() + axis.diameters()[axis.diameters().length - 1];
                surface += Math.PI * ends / 2 * axis.length();
            }
        }
        return surface;
    }
}
