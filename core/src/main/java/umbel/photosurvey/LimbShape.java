package umbel.photosurvey;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import umbel.wood.Vec;

/** Direction, angles and length of a limb from its points, and how well they are known. */
final class LimbShape {

    private static final double STEP = 1e-5;

    private final List<Vec> points;
    private final RealMatrix covariance;

    /**
     * @param points base, bend if any, and tip
     * @param covariance of their coordinates, in their order, m²
     */
    LimbShape(List<Vec> points, RealMatrix covariance) {
        this.points = points;
        this.covariance = covariance;
    }

    /** A limb whose points are taken as they are. */
    static LimbShape exact(List<Vec> points) {
        return new LimbShape(points, MatrixUtils.createRealMatrix(3 * points.size(), 3 * points.size()));
    }

    private static Vec chord(List<Vec> points) {
        return points.get(points.size() - 1).minus(points.get(0));
    }

    double bearing() {
        return chord(points).bearing();
    }

    /** Angle at base and tip: a limb curves evenly; a bend within its error is none. */
    double[] angles(double bendLeast) {
        double chord = chord(points).inclination();
        if (points.size() < 3) {
            return new double[] {chord, chord};
        }
        double turn = turn(points);
        if (Math.abs(turn) < bendLeast * sigma(LimbShape::turn)) {
            return new double[] {chord, chord};
        }
        double lower = points.get(1).minus(points.get(0)).inclination();
        double share = points.get(1).minus(points.get(0)).length() / length();
        // the parts' chords are the inclinations at their middles, half the limb apart
        double whole = 2 * turn;
        double base = lower - whole * share / 2;
        return new double[] {held(base), held(base + whole)};
    }

    private static double held(double inclination) {
        return Math.max(0, Math.min(Math.PI, inclination));
    }

    private static double turn(List<Vec> points) {
        return points.get(2).minus(points.get(1)).inclination()
                - points.get(1).minus(points.get(0)).inclination();
    }

    double length() {
        return length(points);
    }

    private static double length(List<Vec> points) {
        double sum = 0;
        for (int i = 1; i < points.size(); i++) {
            sum += points.get(i).minus(points.get(i - 1)).length();
        }
        return sum;
    }

    PhotoLimb.Errors errors() {
        return new PhotoLimb.Errors(
                sigma(all -> all.get(0).z()),
                sigma(all -> fromHere(chord(all).bearing())),
                sigma(all -> chord(all).inclination()),
                sigma(LimbShape::length));
    }

    /** A direction near this limb's own, without the step at north. */
    private double fromHere(double bearing) {
        return Math.IEEEremainder(bearing - bearing(), 2 * Math.PI);
    }

    /** One sigma of what follows from the points, to first order. */
    private double sigma(ToDoubleFunction<List<Vec>> of) {
        double[] slope = new double[3 * points.size()];
        for (int i = 0; i < slope.length; i++) {
            slope[i] = (of.applyAsDouble(moved(i, STEP)) - of.applyAsDouble(moved(i, -STEP))) / (2 * STEP);
        }
        double variance = 0;
        for (int i = 0; i < slope.length; i++) {
            for (int j = 0; j < slope.length; j++) {
                variance += slope[i] * covariance.getEntry(i, j) * slope[j];
            }
        }
        return Math.sqrt(Math.max(0, variance));
    }

    private List<Vec> moved(int coordinate, double by) {
        List<Vec> moved = new ArrayList<>(points);
        Vec was = points.get(coordinate / 3);
        int axis = coordinate % 3;
        moved.set(
                coordinate / 3,
                new Vec(
                        was.x() + (axis == 0 ? by : 0),
                        was.y() + (axis == 1 ? by : 0),
                        was.z() + (axis == 2 ? by : 0)));
        return moved;
    }
}
