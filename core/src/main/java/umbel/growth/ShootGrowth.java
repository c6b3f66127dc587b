package umbel.growth;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import umbel.growth.GrowingPoint.Fate;
import umbel.growth.GrowingPoint.Kind;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Species;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Course;
import umbel.wood.FruitingWood;
import umbel.wood.Provenance;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Makes of shared-out points the wood they grow: longer axes, new shoots, new and older spurs. No flower buds yet. */
final class ShootGrowth {

    private static final int SHOOT_STEPS = 4;
    private static final double TIP_OF_FOOT = 0.4;
    private static final double[] SPUR_DIAMETERS = {0.006, 0.005};

    private final GrowingPoints points;
    private final Tree left;
    private final Setting setting;
    private final Species species;
    private final GrowthParameters parameters;
    private final int year;
    private final FruitingWood laterals;
    private final List<Axis> grown = new ArrayList<>();
    private final int[] place;
    private int woken;
    private int longShoots;
    private int longTips;
    private double newLength;

    private ShootGrowth(GrowingPoints points, int year) {
        this.points = points;
        this.left = points.left();
        this.setting = left.setting();
        this.species = setting.species();
        this.parameters = setting.parameters().growth();
        this.year = year;
        this.laterals = FruitingWood.of(setting);
        this.place = new int[left.axes().size()];
    }

    /**
     * What grew.
     *
     * @param tree the tree with its new wood in leaf
     * @param bareSpurs ids of spurs that did not open
     * @param woken shoots from dormant buds
     * @param longShoots new shoots, tips left out
     * @param longTips tips that grew on
     * @param newLength of all shoots and tips, metres
     */
    record Grown(Tree tree, Set<String> bareSpurs, int woken, int longShoots, int longTips, double newLength) {}

    /** Grows the points of one spring. */
    static Grown of(GrowingPoints points, int year) {
        return new ShootGrowth(points, year).grow();
    }

    /** Grows what a summer's cuts set free, beside all that has grown in the spring before. */
    static Grown again(GrowingPoints points, int year) {
        return new ShootGrowth(points, year).growAgain();
    }

    private Grown growAgain() {
        for (Axis axis : left.axes()) {
            place[axis.index()] = grown.size();
            grown.add(axis);
        }
        for (Axis axis : left.axes()) {
            points.on(axis.index()).stream().filter(GrowingPoint::growsLong).forEach(point -> shoot(axis, point));
        }
        return new Grown(new Tree(setting, grown), Set.of(), woken, longShoots, 0, newLength);
    }

    private Grown grow() {
        boolean[] turned = new boolean[left.axes().size()];
        GrowingPoint[] tips = new GrowingPoint[left.axes().size()];
        GrowingPoint[] spurs = new GrowingPoint[left.axes().size()];
        GrowingPoint[] clusters = new GrowingPoint[left.axes().size()];
        for (Axis axis : left.axes()) {
            for (GrowingPoint point : points.on(axis.index())) {
                if (point.kind == Kind.TIP) {
                    tips[axis.index()] = point;
                } else if (point.kind == Kind.CLUSTER) {
                    clusters[point.axis] = point;
                } else if (point.kind == Kind.SPUR) {
                    spurs[point.axis] = point;
                    turned[point.axis] = point.growsLong();
                }
            }
        }
        Set<String> bareSpurs = new java.util.HashSet<>();
        for (Axis axis : left.axes()) {
            int a = axis.index();
            if (turned[a]) {
                place[a] = -1;
                continue;
            }
            place[a] = grown.size();
            if (axis.kind() == AxisKind.SPUR) {
                boolean opens = spurs[a] == null || spurs[a].opens();
                if (!opens) {
                    bareSpurs.add(axis.id());
                }
                grown.add(olderSpur(axis, opens));
            } else if (axis.isUnmeasured()) {
                grown.add(olderLateral(axis, clusters[a] == null ? 0 : points.leafOf(clusters[a])));
            } else {
                grown.add(older(axis, tips[a]));
            }
        }
        for (Axis axis : left.axes()) {
            for (GrowingPoint point : points.on(axis.index())) {
                sprout(axis, point);
            }
        }
        return new Grown(new Tree(setting, grown), bareSpurs, woken, longShoots, longTips, newLength);
    }

    private int parent(Axis axis) {
        return axis.parent() < 0 ? -1 : place[axis.parent()];
    }

    private Axis olderSpur(Axis spur, boolean opens) {
        return new Axis(
                grown.size(),
                spur.id(),
                spur.limb(),
                spur.kind(),
                spur.role(),
                parent(spur),
                spur.at(),
                spur.course(),
                spur.diameters(),
                spur.age() + 1,
                0,
                spur.conditions(),
                spur.disease(),
                Provenance.FORECAST,
                null,
                null,
                opens ? species.wood().leafPerSpur() : 0,
                1,
                0);
    }

    /** A fruiting lateral a year older, in the leaf it opened. */
    private Axis olderLateral(Axis lateral, double leaf) {
        newLength += leaf * laterals.shoots();
        return new Axis(
                grown.size(),
                lateral.id(),
                lateral.limb(),
                lateral.kind(),
                lateral.role(),
                parent(lateral),
                lateral.at(),
                lateral.course(),
                lateral.diameters(),
                lateral.age() + 1,
                0,
                lateral.conditions(),
                lateral.disease(),
                Provenance.FORECAST,
                null,
                null,
                leaf,
                leaf * laterals.sites(),
                0);
    }

    /** An axis a year older, longer by what its tip grew; a shoot that has wintered is a lateral. */
    private Axis older(Axis axis, GrowingPoint tip) {
        boolean grows = tip != null && tip.growsLong();
        double length = grows ? CarbonAllocation.length(tip.flow, species.growth()) : 0;
        newLength += length;
        longTips += grows ? 1 : 0;
        Course course = grows ? longer(axis.course(), length) : axis.course();
        boolean wasShoot = axis.kind() == AxisKind.SHOOT;
        return new Axis(
                grown.size(),
                axis.id(),
                axis.limb(),
                wasShoot ? AxisKind.LATERAL : axis.kind(),
                wasShoot ? Role.LATERAL : axis.role(),
                parent(axis),
                axis.at(),
                course,
                grows ? longer(axis.diameters(), course, length) : axis.diameters(),
                axis.age() + 1,
                length,
                axis.conditions(),
                axis.disease(),
                axis.provenance(),
                null,
                null,
                LeafArea.grows(axis) ? length * species.wood().leafPerShootMetre() : 0,
                sitesAlong(length),
                0);
    }

    private double sitesAlong(double length) {
        return length > 0 && species.bearing().flowerPerShootMetre() > 0
                ? Math.max(1, Math.round(length / Tree.SITE_EVERY))
                : 0;
    }

    private void sprout(Axis host, GrowingPoint point) {
        if (!point.opens()) {
            return;
        }
        if (point.growsLong() && point.kind != Kind.TIP) {
            shoot(host, point);
        } else if (point.fate == Fate.SHORT
                && (point.kind == Kind.BUD || point.kind == Kind.TIP)
                && points.becomesSpur(point)) {
            spur(host, point);
        }
    }

    private void shoot(Axis host, GrowingPoint point) {
        double length = CarbonAllocation.length(point.flow, species.growth());
        newLength += length;
        longShoots++;
        woken += point.kind == Kind.DORMANT ? 1 : 0;
        Course course = rising(host.course().at(point.at), point.heading, length, point.kind == Kind.DORMANT ? 1.3 : 1);
        ShootClass size = sizeOf(length);
        Attitude attitude = attitudeOf(host, point);
        double foot = foot(length);
        double[] diameters = new double[course.size()];
        for (int i = 0; i < diameters.length; i++) {
            diameters[i] = foot * (1 - (1 - TIP_OF_FOOT) * course.along(i) / course.length());
        }
        boolean along = species.bearing().flowerPerShootMetre() > 0;
        grown.add(new Axis(
                grown.size(),
                name(host, point, "shoots/" + attitude.word()),
                host.limb(),
                AxisKind.SHOOT,
                Role.SHOOT,
                place[host.index()],
                point.at,
                course,
                diameters,
                1,
                length,
                Set.of(),
                "",
                Provenance.FORECAST,
                size,
                attitude,
                length * species.wood().leafPerShootMetre(),
                along ? sitesAlong(length) : Math.min(0.9, tipBud()),
                0));
    }

    private double tipBud() {
        return species.bearing().flowerPerShootTip()
                * setting.cultivar().habit().tipFlower();
    }

    private void spur(Axis host, GrowingPoint point) {
        double at = Math.min(point.at, host.length());
        Vec foot = host.course().at(at);
        Vec tip = foot.plus(point.heading.times(0.02));
        grown.add(new Axis(
                grown.size(),
                name(host, point, "spurs"),
                host.limb(),
                AxisKind.SPUR,
                Role.UNKNOWN,
                place[host.index()],
                at,
                new Course(List.of(foot, tip)),
                SPUR_DIAMETERS,
                1,
                0,
                Set.of(),
                "",
                Provenance.FORECAST,
                null,
                null,
                species.wood().leafPerSpur(),
                1,
                0));
    }

    private String name(Axis host, GrowingPoint point, String what) {
        return host.limb() + "/" + what + "/" + year + "-"
                + Integer.toString(host.id().hashCode() & 0x7fffffff, 36) + "-"
                + Integer.toString(point.key & 0x7fffffff, 36);
    }

    private double foot(double length) {
        return Units.fromMm(parameters.wood().shootDiameter().foot()
                + parameters.wood().shootDiameter().perMetre() * length);
    }

    private ShootClass sizeOf(double length) {
        return ShootClass.ofLength(Units.toCm(length), species.wood());
    }

    private static Attitude attitudeOf(Axis host, GrowingPoint point) {
        Vec heading = point.heading;
        if (heading.z() > 0.82) {
            return Attitude.UP;
        }
        if (heading.z() < -0.25) {
            return Attitude.DOWN;
        }
        Vec outward = host.course().at(point.at).level();
        if (outward.length() > 0.05 && heading.level().unit().dot(outward.unit()) < -0.6) {
            return Attitude.IN;
        }
        return heading.dot(host.course().directionAt(point.at)) > 0.7 ? Attitude.OUT : Attitude.SIDE;
    }

    /** A shoot that turns up as it grows, the more the longer it is. */
    private Course rising(Vec foot, Vec heading, double length, double eagerness) {
        double rise = species.growth().rise() * eagerness * length / (length + 0.5);
        List<Vec> line = new ArrayList<>();
        line.add(foot);
        Vec at = foot;
        for (int i = 0; i < SHOOT_STEPS; i++) {
            double done = i / (double) SHOOT_STEPS;
            at = at.plus(heading.plus(Vec.UP.times(rise * done)).unit().times(length / SHOOT_STEPS));
            line.add(at);
        }
        return new Course(line);
    }

    private Course longer(Course course, double length) {
        List<Vec> line = new ArrayList<>();
        for (int i = 0; i < course.size(); i++) {
            line.add(course.point(i));
        }
        Vec heading = course.directionAt(course.length());
        double rise = species.growth().rise() * 0.35 * length / (length + 0.5);
        int steps = length > 0.2 ? 3 : 1;
        Vec at = course.point(course.size() - 1);
        for (int i = 0; i < steps; i++) {
            at = at.plus(
                    heading.plus(Vec.UP.times(rise * (i + 0.5) / steps)).unit().times(length / steps));
            line.add(at);
        }
        return new Course(line);
    }

    private double[] longer(double[] diameters, Course course, double length) {
        double[] more = new double[course.size()];
        System.arraycopy(diameters, 0, more, 0, diameters.length);
        double foot = Math.min(diameters[diameters.length - 1], foot(length));
        double joint = course.along(diameters.length - 1);
        for (int i = diameters.length; i < more.length; i++) {
            more[i] = foot * (1 - (1 - TIP_OF_FOOT) * (course.along(i) - joint) / length);
        }
        return more;
    }
}
