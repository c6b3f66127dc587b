package umbel.wood;

import java.util.List;

/** The line an axis follows from its origin to its tip: at least two points, not changed once made. */
public final class Course {

    private final Vec[] points;
    private final double[] along;
    private final double top;

    /** A course through the points, origin first. */
    public Course(List<Vec> through) {
        this(through.toArray(Vec[]::new));
    }

    private Course(Vec[] points) {
        if (points.length < 2) {
            throw new IllegalArgumentException("A course needs two points");
        }
        this.points = points;
        this.along = new double[points.length];
        double highest = points[0].z();
        for (int i = 1; i < points.length; i++) {
            along[i] = along[i - 1] + points[i].minus(points[i - 1]).length();
            highest = Math.max(highest, points[i].z());
        }
        this.top = highest;
    }

    /** Number of points. */
    public int size() {
        return points.length;
    }

    /** Point {@code i}, 0 at the origin. */
    public Vec point(int i) {
        return points[i];
    }

    /** Distance of point {@code i} from the origin along the course, metres. */
    public double along(int i) {
        return along[i];
    }

    /** Whole length, metres. */
    public double length() {
        return along[along.length - 1];
    }

    /** The point at a distance from the origin, held to the course's ends. */
    public Vec at(double distance) {
        int i = segmentAt(distance);
        double span = along[i + 1] - along[i];
        double share = span < 1e-12 ? 0 : Math.max(0, Math.min(1, (distance - along[i]) / span));
        return points[i].plus(points[i + 1].minus(points[i]).times(share));
    }

    /** Unit direction at a distance from the origin. */
    public Vec directionAt(double distance) {
        int i = segmentAt(distance);
        return points[i + 1].minus(points[i]).unit();
    }

    /** The course from its origin as far as {@code distance}. */
    public Course upTo(double distance) {
        if (distance >= length()) {
            return this;
        }
        int i = segmentAt(distance);
        Vec[] kept = new Vec[i + 2];
        System.arraycopy(points, 0, kept, 0, i + 1);
        kept[i + 1] = at(distance);
        return new Course(kept);
    }

    /** The course turned about a pivot. */
    public Course turned(Vec pivot, Vec axis, double angle) {
        Vec[] moved = new Vec[points.length];
        for (int i = 0; i < points.length; i++) {
            moved[i] = points[i].minus(pivot).turned(axis, angle).plus(pivot);
        }
        return new Course(moved);
    }

    /** Highest point's height, metres. */
    public double top() {
        return top;
    }

    private int segmentAt(double distance) {
        int low = 0;
        int high = points.length - 2;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (along[middle] <= distance) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
