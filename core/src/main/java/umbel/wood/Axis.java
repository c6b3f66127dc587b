package umbel.wood;

import java.util.Set;

/**
 * One axis of a tree: trunk, limb, lateral, shoot or spur, with its line in space and what it carries.
 *
 * @param index position in {@link Tree#axes()}; parents come before children
 * @param id the survey's id for measured limbs, {@code trunk}, or a path such as {@code 4/shoots/up/3}
 * @param limb id of the measured limb (or trunk) this axis belongs to; its own id when it is measured
 * @param parent index of the axis it grows from, -1 for the trunk
 * @param at distance from the parent's origin to this axis's origin, metres
 * @param diameters over bark at each point of the course, metres
 * @param age years; 1 is last season's growth
 * @param lastGrowth length grown last season, metres
 * @param disease what is recorded, empty when nothing is
 * @param shootClass null unless a shoot
 * @param attitude null unless a shoot
 * @param leafArea leaf this axis itself will carry in the coming season, m²
 * @param siteWeight fruiting sites on this axis (a spur is one)
 * @param flowerBuds flower buds on this axis itself
 */
public record Axis(
        int index,
        String id,
        String limb,
        AxisKind kind,
        Role role,
        int parent,
        double at,
        Course course,
        double[] diameters,
        int age,
        double lastGrowth,
        Set<Condition> conditions,
        String disease,
        Provenance provenance,
        ShootClass shootClass,
        Attitude attitude,
        double leafArea,
        double siteWeight,
        double flowerBuds) {

    /** Length along the axis, metres. */
    public double length() {
        return course.length();
    }

    /** Diameter at the origin, metres. */
    public double baseDiameter() {
        return diameters[0];
    }

    /** Diameter at a distance from the origin, metres. */
    public double diameterAt(double distance) {
        for (int i = 1; i < diameters.length; i++) {
            if (course.along(i) >= distance) {
                return diameterWithin(i, distance);
            }
        }
        return diameters[diameters.length - 1];
    }

    /** Between the points {@code i} - 1 and {@code i} of the course. */
    private double diameterWithin(int i, double distance) {
        double span = course.along(i) - course.along(i - 1);
        double share = span < 1e-12 ? 0 : (distance - course.along(i - 1)) / span;
        return diameters[i - 1] + (diameters[i] - diameters[i - 1]) * Math.max(0, share);
    }

    /** Age of the wood at a distance from the origin: last season's end is 1, older wood in even yearly lengths, all old where nothing grew. */
    public int ageAt(double distance) {
        if (lastGrowth <= 0) {
            return age;
        }
        double older = length() - lastGrowth;
        if (age <= 1 || distance >= older || older <= 0) {
            return Math.min(age, 1);
        }
        double aYear = older / (age - 1);
        return Math.min(age, 1 + (int) Math.ceil((older - distance) / aYear));
    }

    /** Inclination of the first stretch, radians from vertical up. */
    public double baseInclination() {
        return course.directionAt(0).inclination();
    }

    /** Bearing from origin to tip, radians from north. */
    public double bearing() {
        return course.point(course.size() - 1).minus(course.point(0)).bearing();
    }

    /** Wood volume between two distances from the origin, m³, as frustums. */
    public double volume(double from, double to) {
        double volume = 0;
        for (int i = 1; i < course.size(); i++) {
            double a = Math.max(from, course.along(i - 1));
            double b = Math.min(to, course.along(i));
            if (b > a) {
                double r = diameterWithin(i, a) / 2;
                double s = diameterWithin(i, b) / 2;
                volume += Math.PI / 3 * (b - a) * (r * r + r * s + s * s);
            }
        }
        return volume;
    }

    /** Whether the axis was measured in the survey (trunk or limb). */
    public boolean isFrame() {
        return kind == AxisKind.TRUNK || kind == AxisKind.LIMB;
    }

    /** Whether the survey named it; what is arranged or has grown since is known by the place it stands at. */
    public boolean isNamed() {
        return id.indexOf('/') < 0;
    }

    /** Whether any of the conditions was noted. */
    public boolean is(Condition... any) {
        for (Condition condition : any) {
            if (conditions.contains(condition)) {
                return true;
            }
        }
        return false;
    }

    /** This axis at another place in a tree's list. */
    Axis at(int newIndex, int newParent) {
        return with(newIndex, newParent, course, diameters, leafArea, siteWeight, flowerBuds, lastGrowth);
    }

    /** This axis along another line of the same points. */
    public Axis along(Course line) {
        return with(index, parent, line, diameters, leafArea, siteWeight, flowerBuds, lastGrowth);
    }

    /** Share of this axis's own leaf, sites and buds beyond a distance: along all of a shoot, on the last growth of a limb. */
    public double shareBeyond(double distance) {
        if (distance >= length()) {
            return 0;
        }
        if (kind.isSmallWood() || kind == AxisKind.FRUITING_LATERAL) {
            return 1 - distance / length();
        }
        double young = Math.max(0, distance - (length() - lastGrowth));
        return lastGrowth > 0 ? 1 - young / lastGrowth : 0;
    }

    /** What is left of this axis when it is cut at a distance from its origin. */
    Axis cutAt(double distance) {
        if (distance >= length()) {
            return this;
        }
        Course left = course.upTo(distance);
        double[] kept = new double[left.size()];
        for (int i = 0; i < kept.length; i++) {
            kept[i] = diameterAt(left.along(i));
        }
        double young = Math.max(0, distance - (length() - lastGrowth));
        double leafShare = 1 - shareBeyond(distance);
        return with(
                index, parent, left, kept, leafArea * leafShare, siteWeight * leafShare, flowerBuds * leafShare, young);
    }

    /** This axis with another number of flower buds. */
    public Axis bearing(double buds) {
        return with(index, parent, course, diameters, leafArea, siteWeight, buds, lastGrowth);
    }

    /** The same axis with so many times the leaf, and fruiting sites and flower buds in proportion. */
    Axis withLeaf(double times) {
        return with(
                index, parent, course, diameters, leafArea * times, siteWeight * times, flowerBuds * times, lastGrowth);
    }

    /** Whether it is a fruiting lateral nobody measured. */
    public boolean isUnmeasured() {
        return kind == AxisKind.FRUITING_LATERAL;
    }

    /** This axis without leaf, sites or buds, as on dead wood. */
    Axis bare() {
        return with(index, parent, course, diameters, 0, 0, 0, lastGrowth);
    }

    private Axis with(
            int newIndex,
            int newParent,
            Course line,
            double[] thickness,
            double leaf,
            double sites,
            double buds,
            double young) {
        return new Axis(
                newIndex,
                id,
                limb,
                kind,
                role,
                newParent,
                at,
                line,
                thickness,
                age,
                young,
                conditions,
                disease,
                provenance,
                shootClass,
                attitude,
                leaf,
                sites,
                buds);
    }
}
