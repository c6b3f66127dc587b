package umbel.app.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * A tree's geometry as the browser draws it: lines in metres, x east, y north, z up.
 *
 * @param top height of the highest wood, metres
 * @param rowBearingDeg bearing of the row from north
 * @param axes every axis, parents first
 */
public record StandDrawing(
        double top,
        double inRowM,
        double betweenRowsM,
        double rowBearingDeg,
        double unionM,
        String species,
        List<AxisLine> axes) {

    /**
     * One axis.
     *
     * @param id survey id, or a path for small wood
     * @param limb measured limb it belongs to
     * @param kind trunk, limb, lateral, shoot or spur
     * @param parent index of the axis it grows from, -1 for the trunk
     * @param at where it leaves its parent, metres along it
     * @param points x, y, z, diameter of each point in turn, metres
     * @param ages years of the wood at each point
     * @param seen measured, counted or estimated
     * @param flowerBuds flower buds on it
     * @param light mean light of its fruiting sites, 0…1; null where it has none
     */
    public record AxisLine(
            String id,
            String limb,
            String kind,
            String role,
            int parent,
            double at,
            double length,
            double[] points,
            int[] ages,
            String seen,
            String shootClass,
            String attitude,
            List<String> conditions,
            double flowerBuds,
            Double light) {}

    /** The drawing of a tree whose light was read. */
    public static StandDrawing of(Tree tree, LightReading light) {
        Map<Integer, double[]> sums = new HashMap<>();
        for (int s = 0; s < light.light().length; s++) {
            double[] sum = sums.computeIfAbsent(light.sites().get(s).axis().index(), axis -> new double[2]);
            sum[0] += light.light()[s];
            sum[1]++;
        }
        List<AxisLine> lines = new ArrayList<>();
        for (Axis axis : tree.axes()) {
            double[] sum = sums.get(axis.index());
            lines.add(line(axis, sum == null ? null : Units.round(sum[0] / sum[1], 3)));
        }
        Setting setting = tree.setting();
        return new StandDrawing(
                Units.round(tree.top(), 3),
                setting.place().inRow(),
                setting.place().betweenRows(),
                Units.round(Units.toDegrees(setting.place().rowBearing()), 1),
                setting.unionAt(),
                setting.species().id(),
                lines);
    }

    /** One axis as drawn. */
    public static AxisLine line(Axis axis, Double light) {
        int count = axis.course().size();
        double[] points = new double[count * 4];
        int[] ages = new int[count];
        for (int i = 0; i < count; i++) {
            points[4 * i] = Units.round(axis.course().point(i).x(), 3);
            points[4 * i + 1] = Units.round(axis.course().point(i).y(), 3);
            points[4 * i + 2] = Units.round(axis.course().point(i).z(), 3);
            points[4 * i + 3] = Units.round(axis.diameters()[i], 4);
            ages[i] = axis.ageAt(axis.course().along(i));
        }
        return new AxisLine(
                axis.id(),
                axis.limb(),
                word(axis.kind()),
                word(axis.role()),
                axis.parent(),
                Units.round(axis.at(), 3),
                Units.round(axis.length(), 3),
                points,
                ages,
                word(axis.provenance()),
                axis.shootClass() == null ? null : axis.shootClass().word(),
                axis.attitude() == null ? null : axis.attitude().word(),
                axis.conditions().stream().map(umbel.wood.Condition::word).toList(),
                Units.round(axis.flowerBuds(), 2),
                light);
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
