package umbel.app.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import umbel.knowledge.Species;
import umbel.light.ComingShoot;
import umbel.light.LightReading;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.LateralTwigs;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

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
        Foliage foliage,
        List<AxisLine> axes) {

    /**
     * How leaf, flowers and fruit of its kind are drawn: colours as {@code #rrggbb}.
     *
     * @param leaf colour in summer
     * @param blossomM width of what opens from one flower bud, metres
     * @param fruit colour of ripe fruit
     * @param spreadM root mean square distance of leaf from the wood that carries it, metres
     */
    public record Foliage(String leaf, String blossom, double blossomM, String fruit, double spreadM) {

        static Foliage of(Species species) {
            Species.Look look = species.look();
            return new Foliage(
                    look.leaf(),
                    look.blossom(),
                    look.blossomCm() / 100,
                    look.fruit(),
                    species.canopy().spreadCm() / 100);
        }
    }

    /**
     * One axis.
     *
     * @param id survey id, or a path for small wood
     * @param limb measured limb it belongs to
     * @param kind trunk, limb, lateral, fruiting-lateral (one nobody measured), shoot or spur
     * @param parent index of the axis it grows from, -1 for the trunk
     * @param at where it leaves its parent, metres along it
     * @param points x, y, z, diameter of each point in turn, metres
     * @param ages years of the wood at each point
     * @param seen measured, counted or estimated
     * @param flowerBuds flower buds on it
     * @param light mean light of its fruiting sites, 0…1; null where it has none
     * @param sites fruiting sites on it
     * @param twigs side branches of a fruiting lateral: x, y, z of foot and end in turn, metres
     * @param leaf leaf it will carry in the coming summer, m²
     * @param coming where the shoot that will grow on from its end comes to an end: x, y, z in metres; empty where none grows on
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
            Double light,
            double sites,
            double[] twigs,
            double leaf,
            double[] coming) {}

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
            lines.add(line(axis, tree.setting(), sum == null ? null : Units.round(sum[0] / sum[1], 3)));
        }
        Setting setting = tree.setting();
        return new StandDrawing(
                Units.round(tree.top(), 3),
                setting.place().inRow(),
                setting.place().betweenRows(),
                Units.round(Units.toDegrees(setting.place().rowBearing()), 1),
                setting.unionAt(),
                setting.species().id(),
                Foliage.of(setting.species()),
                lines);
    }

    private static AxisLine line(Axis axis, Setting setting, Double light) {
        int count = axis.course().size();
        int[] ages = new int[count];
        for (int i = 0; i < count; i++) {
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
                points(axis),
                ages,
                word(axis.provenance()),
                axis.shootClass() == null ? null : axis.shootClass().word(),
                axis.attitude() == null ? null : axis.attitude().word(),
                axis.conditions().stream().map(Condition::word).toList(),
                Units.round(axis.flowerBuds(), 2),
                light,
                Units.round(axis.siteWeight(), 1),
                twigs(axis, setting),
                Units.round(axis.leafArea(), 4),
                coming(axis, setting));
    }

    private static double[] coming(Axis axis, Setting setting) {
        if (axis.leafArea() <= 0 || axis.isUnmeasured() || axis.kind() == AxisKind.SPUR) {
            return new double[0];
        }
        ComingShoot shoot = ComingShoot.of(axis, setting);
        double[] place = new double[3];
        put(place, 0, axis.course().at(axis.length()).plus(shoot.heading().times(shoot.length())));
        return place;
    }

    /** x, y, z, diameter of each point of an axis in turn, metres. */
    public static double[] points(Axis axis) {
        int count = axis.course().size();
        double[] points = new double[count * 4];
        for (int i = 0; i < count; i++) {
            put(points, 4 * i, axis.course().point(i));
            points[4 * i + 3] = Units.round(axis.diameters()[i], 4);
        }
        return points;
    }

    /** Side branches of an axis: x, y, z of foot and end in turn, metres; none but on a fruiting lateral. */
    public static double[] twigs(Axis axis, Setting setting) {
        if (!axis.isUnmeasured()) {
            return new double[0];
        }
        List<LateralTwigs.Twig> branches = LateralTwigs.branches(axis, setting);
        double[] twigs = new double[branches.size() * 6];
        for (int i = 0; i < branches.size(); i++) {
            put(twigs, 6 * i, branches.get(i).from());
            put(twigs, 6 * i + 3, branches.get(i).to());
        }
        return twigs;
    }

    private static void put(double[] numbers, int at, Vec place) {
        numbers[at] = Units.round(place.x(), 3);
        numbers[at + 1] = Units.round(place.y(), 3);
        numbers[at + 2] = Units.round(place.z(), 3);
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
