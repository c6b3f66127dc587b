package umbel.photosurvey;

import org.hipparchus.analysis.solvers.BrentSolver;
import umbel.knowledge.PhotographParameters;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.wood.Units;

/** The camera of a picture, from a staff of known length that stands upright at the tree's foot. */
final class StaffCalibration {

    private static final double FILM_LONG_SIDE_MM = 36;
    private static final int MOST_STEPS = 200;
    private static final double NEAREST = 0.3;
    private static final double FARTHEST = 60;

    private StaffCalibration() {}

    /**
     * The camera, taken as level sideways.
     *
     * @param staff length of the staff, metres
     */
    static Camera of(View view, double staff, PhotographParameters parameters) {
        double focal = focal(view, parameters);
        double height =
                Units.fromCm(view.cameraHeightCm() == null ? parameters.camera().heightCm() : view.cameraHeightCm());
        Camera.Point foot = Camera.Point.of(view.staff().foot(), view.widthPx(), view.heightPx());
        Camera.Point head = Camera.Point.of(view.staff().head(), view.widthPx(), view.heightPx());
        double seen = Math.atan(head.up() / focal) - Math.atan(foot.up() / focal);
        double distance = distance(staff, height, seen);
        double pitch = -Math.atan(height / distance) - Math.atan(foot.up() / focal);
        double ahead = focal * Math.cos(pitch) - foot.up() * Math.sin(pitch);
        double yaw = -Math.atan(foot.right() / ahead);
        return new Camera(Units.fromDegrees(view.bearingDeg()), distance, height, yaw, pitch, 0, focal);
    }

    /** The distance at which a staff is seen under an angle; the ends of the range where it is nearer or further. */
    private static double distance(double staff, double height, double seen) {
        double nearest = angle(staff, height, NEAREST);
        if (seen >= nearest) {
            return NEAREST;
        }
        if (seen <= angle(staff, height, FARTHEST)) {
            return FARTHEST;
        }
        return new BrentSolver(1e-9)
                .solve(MOST_STEPS, distance -> angle(staff, height, distance) - seen, NEAREST, FARTHEST);
    }

    private static double angle(double staff, double height, double distance) {
        return Math.atan((staff - height) / distance) + Math.atan(height / distance);
    }

    private static double focal(View view, PhotographParameters parameters) {
        double equivalent = view.focal35Mm() == null ? parameters.camera().focal35Mm() : view.focal35Mm();
        return equivalent / FILM_LONG_SIDE_MM * Math.max(view.widthPx(), view.heightPx());
    }
}
