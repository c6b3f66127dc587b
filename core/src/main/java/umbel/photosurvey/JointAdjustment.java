package umbel.photosurvey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.hipparchus.linear.RealMatrix;
import umbel.knowledge.PhotographParameters;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * Both pictures at once: the cameras, the lean of trunk and staff and every limb's points that together explain all touches best,
 * each weighed by its error, with what is known beforehand. The inverse of the normal matrix gives the errors. See docs/model/photographs.md.
 */
final class JointAdjustment {

    private static final int FOCAL = 0;
    private static final int BETWEEN = 1;
    private static final int LEAN = 2;
    private static final int STAFF_LEAN = 4;
    private static final int CAMERAS = 6;
    private static final int A_CAMERA = 5;
    private static final int TOP = CAMERAS + 2 * A_CAMERA;
    private static final int POINTS = TOP + 1;

    /** One limb's points in space, base first, and what they are known to. */
    record Limb(LimbPairing.Paired pair, List<Vec> points, RealMatrix covariance, double residual) {}

    /**
     * What came of it.
     *
     * @param between angle between the two pictures' directions, radians
     * @param top height of the trunk's top; empty where nobody touched it
     */
    record Result(Camera first, Camera second, double between, OptionalDouble top, List<Limb> limbs) {}

    private final List<View> views;
    private final List<Camera> cameras;
    private final List<LimbPairing.Paired> pairs;
    private final Map<LimbPairing.Paired, Integer> firstPoint = new HashMap<>();
    private final double staff;
    private final double[] px;
    private final PhotographParameters.Errors errors;
    private final boolean hasTop;
    private final int unknowns;
    private final int many;

    private JointAdjustment(
            List<View> views,
            List<Camera> cameras,
            List<LimbPairing.Paired> pairs,
            double staff,
            double[] px,
            PhotographParameters.Errors errors) {
        this.views = views;
        this.cameras = cameras;
        this.pairs = pairs;
        this.staff = staff;
        this.px = px;
        this.errors = errors;
        int next = POINTS;
        for (LimbPairing.Paired pair : pairs) {
            firstPoint.put(pair, next);
            next += 3 * pointsOf(pair);
        }
        this.hasTop = views.stream().anyMatch(view -> view.trunkTop() != null);
        this.unknowns = next;
        this.many = countOfResiduals();
    }

    /**
     * Adjusts two pictures.
     *
     * @param cameras as the staff alone gives them
     * @param pairs a pair after the one it stands on
     * @param staff its length, metres
     * @param px one-sigma error of a touch in each picture, pixels
     */
    static Result of(
            List<View> views,
            List<Camera> cameras,
            List<LimbPairing.Paired> pairs,
            double staff,
            double[] px,
            PhotographParameters.Errors errors) {
        return new JointAdjustment(views, cameras, pairs, staff, px, errors).solved();
    }

    private static boolean isBent(LimbPairing.Paired pair) {
        return pair.first().bend() != null && pair.second().bend() != null;
    }

    private static int pointsOf(LimbPairing.Paired pair) {
        return isBent(pair) ? 3 : 2;
    }

    private Result solved() {
        DampedLeastSquares.Optimum best = DampedLeastSquares.of(this::residuals, start());
        double[] x = best.point();
        RealMatrix covariance = best.covariance();
        List<Limb> limbs = new ArrayList<>();
        for (LimbPairing.Paired pair : pairs) {
            int at = firstPoint.get(pair);
            int end = at + 3 * pointsOf(pair) - 1;
            limbs.add(new Limb(pair, points(x, pair), covariance.getSubMatrix(at, end, at, end), residual(x, pair)));
        }
        return new Result(
                camera(x, 0),
                camera(x, 1),
                apart(camera(x, 0).bearing(), camera(x, 1).bearing()),
                hasTop ? OptionalDouble.of(x[TOP]) : OptionalDouble.empty(),
                limbs);
    }

    static double apart(double one, double two) {
        double angle = Math.abs(one - two) % (2 * Math.PI);
        return Math.min(angle, 2 * Math.PI - angle);
    }

    private double[] start() {
        double[] x = new double[unknowns];
        for (int k = 0; k < 2; k++) {
            Camera camera = cameras.get(k);
            int at = CAMERAS + A_CAMERA * k;
            x[at] = camera.distance();
            x[at + 1] = camera.height();
            x[at + 2] = camera.yaw();
            x[at + 3] = camera.pitch();
            x[at + 4] = camera.roll();
        }
        x[TOP] = staff;
        for (int k = 0; k < 2; k++) {
            if (views.get(k).trunkTop() != null) {
                x[TOP] = cameras.get(k).heightOnTrunk(point(k, views.get(k).trunkTop()));
            }
        }
        for (LimbPairing.Paired pair : pairs) {
            int at = firstPoint.get(pair);
            List<Camera.Point> one = touched(pair, 0);
            List<Camera.Point> two = touched(pair, 1);
            for (int i = 0; i < one.size(); i++) {
                Vec point = Sight.triangulated(cameras.get(0), one.get(i), cameras.get(1), two.get(i));
                x[at + 3 * i] = point.x();
                x[at + 3 * i + 1] = point.y();
                x[at + 3 * i + 2] = point.z();
            }
        }
        return x;
    }

    private Camera camera(double[] x, int k) {
        int at = CAMERAS + A_CAMERA * k;
        return new Camera(
                cameras.get(k).bearing() + (k == 1 ? x[BETWEEN] : 0),
                x[at],
                x[at + 1],
                x[at + 2],
                x[at + 3],
                x[at + 4],
                cameras.get(k).focal() * Math.exp(x[FOCAL]));
    }

    private Camera.Point point(int view, PhotoSurveyRequest.Pixel pixel) {
        return Camera.Point.of(pixel, views.get(view).widthPx(), views.get(view).heightPx());
    }

    private static List<Camera.Point> touched(LimbPairing.Paired pair, int view) {
        Traced traced = view == 0 ? pair.first() : pair.second();
        return isBent(pair)
                ? List.of(traced.base(), traced.bend(), traced.tip())
                : List.of(traced.base(), traced.tip());
    }

    private List<Vec> points(double[] x, LimbPairing.Paired pair) {
        int at = firstPoint.get(pair);
        List<Vec> points = new ArrayList<>();
        for (int i = 0; i < pointsOf(pair); i++) {
            points.add(point(x, at + 3 * i));
        }
        return points;
    }

    /** How far the touches of a limb lie from where its points are seen: the root mean square over both pictures, metres at the tree. */
    private double residual(double[] x, LimbPairing.Paired pair) {
        double sum = 0;
        int seen = 0;
        List<Vec> points = points(x, pair);
        for (int k = 0; k < 2; k++) {
            Camera camera = camera(x, k);
            List<Camera.Point> touched = touched(pair, k);
            for (int i = 0; i < points.size(); i++) {
                double off = camera.project(points.get(i)).distanceTo(touched.get(i))
                        * camera.away(points.get(i))
                        / camera.focal();
                sum += off * off;
                seen++;
            }
        }
        return Math.sqrt(sum / seen);
    }

    /** Every residual against its error: touches first, then what is known beforehand. */
    private double[] residuals(double[] x) {
        Residuals off = new Residuals(many);
        Vec staffHead = new Vec(staff * x[STAFF_LEAN], staff * x[STAFF_LEAN + 1], staff);
        for (int k = 0; k < 2; k++) {
            View view = views.get(k);
            Camera.Frame camera = camera(x, k).frame();
            off.add(camera, Vec.UP.times(0), point(k, view.staff().foot()), px[k]);
            off.add(camera, staffHead, point(k, view.staff().head()), px[k]);
            if (view.trunkTop() != null) {
                off.add(camera, onTrunk(x, x[TOP]), point(k, view.trunkTop()), px[k]);
            }
            for (LimbPairing.Paired pair : pairs) {
                int at = firstPoint.get(pair);
                List<Camera.Point> touched = touched(pair, k);
                for (int i = 0; i < touched.size(); i++) {
                    off.add(camera, point(x, at + 3 * i), touched.get(i), px[k]);
                }
            }
            int at = CAMERAS + A_CAMERA * k;
            off.add((x[at + 1] - cameras.get(k).height()) / Units.fromCm(errors.heightCm()));
            off.add(x[at + 4] / Units.fromDegrees(errors.rollDeg()));
        }
        off.add(x[FOCAL] / errors.focalShare());
        off.add(x[BETWEEN] / Units.fromDegrees(errors.betweenDeg()));
        off.add(x[LEAN] / Units.fromDegrees(errors.leanDeg()));
        off.add(x[LEAN + 1] / Units.fromDegrees(errors.leanDeg()));
        off.add(x[STAFF_LEAN] / Units.fromDegrees(errors.staffLeanDeg()));
        off.add(x[STAFF_LEAN + 1] / Units.fromDegrees(errors.staffLeanDeg()));
        if (!hasTop) {
            off.add(x[TOP] - staff);
        }
        double base = Units.fromCm(errors.baseCm());
        for (LimbPairing.Paired pair : pairs) {
            Vec at = point(x, firstPoint.get(pair));
            Vec from = pair.bearer() == null ? onTrunk(x, at.z()) : PolyLine.nearest(at, points(x, pair.bearer()));
            Vec away = at.minus(from);
            off.add(away.x() / base);
            off.add(away.y() / base);
            off.add(away.z() / base);
        }
        return off.all();
    }

    /** How many residuals there are. */
    private int countOfResiduals() {
        int touches =
                views.stream().mapToInt(view -> view.trunkTop() == null ? 2 : 3).sum();
        int ofLimbs = pairs.stream().mapToInt(pair -> 2 * pointsOf(pair)).sum();
        return 2 * (touches + ofLimbs) + 2 * 2 + 6 + (hasTop ? 0 : 1) + 3 * pairs.size();
    }

    private static Vec point(double[] x, int at) {
        return new Vec(x[at], x[at + 1], x[at + 2]);
    }

    /** Residuals one after the other. */
    private static final class Residuals {

        private final double[] all;
        private int next;

        Residuals(int many) {
            all = new double[many];
        }

        void add(double residual) {
            all[next++] = residual;
        }

        void add(Camera.Frame camera, Vec point, Camera.Point touched, double error) {
            Camera.Point seen = camera.project(point);
            add((seen.right() - touched.right()) / error);
            add((seen.up() - touched.up()) / error);
        }

        double[] all() {
            return all;
        }
    }

    private static Vec onTrunk(double[] x, double height) {
        return new Vec(height * x[LEAN], height * x[LEAN + 1], height);
    }
}
