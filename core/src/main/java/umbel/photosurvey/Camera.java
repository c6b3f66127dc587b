package umbel.photosurvey;

import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.wood.Vec;

/**
 * Where a picture was taken from and how: a pinhole camera. The tree's foot is the origin; lengths in metres, angles in radians,
 * picture coordinates in pixels from the middle of the picture, rightwards and upwards.
 *
 * @param bearing direction from the camera to the tree's foot, from north
 * @param distance from the tree's foot, level
 * @param height above the tree's foot
 * @param yaw how much further to the right than the foot it looks
 * @param pitch how far above the horizon it looks
 * @param roll how far it is turned about its line of sight
 * @param focal focal length in pixels
 */
record Camera(double bearing, double distance, double height, double yaw, double pitch, double roll, double focal) {

    /** Nothing nearer than this is looked at, metres. */
    private static final double NEAREST = 0.05;

    /** A point of the picture, from its middle. */
    record Point(double right, double up) {

        /** The same point of a picture so wide and high, counted from its upper left corner. */
        static Point of(Pixel pixel, int width, int height) {
            return new Point(pixel.x() - width / 2.0, height / 2.0 - pixel.y());
        }

        double distanceTo(Point other) {
            return Math.hypot(right - other.right, up - other.up);
        }
    }

    /** Where it stands. */
    Vec place() {
        return new Vec(-distance * Math.sin(bearing), -distance * Math.cos(bearing), height);
    }

    /** Its place and axes, worked out once for many points. */
    Frame frame() {
        double direction = bearing + yaw;
        Vec level = new Vec(Math.cos(direction), -Math.sin(direction), 0);
        Vec forward =
                new Vec(Math.sin(direction) * Math.cos(pitch), Math.cos(direction) * Math.cos(pitch), Math.sin(pitch));
        Vec upright = level.cross(forward);
        return new Frame(
                place(),
                forward,
                level.times(Math.cos(roll)).plus(upright.times(Math.sin(roll))),
                upright.times(Math.cos(roll)).minus(level.times(Math.sin(roll))),
                focal);
    }

    /** Where a camera stands and where its axes point to. */
    record Frame(Vec place, Vec forward, Vec right, Vec up, double focal) {

        /** Where a point of space stands in the picture. */
        Point project(Vec point) {
            Vec seen = point.minus(place);
            double depth = Math.max(NEAREST, seen.dot(forward));
            return new Point(focal * seen.dot(right) / depth, focal * seen.dot(up) / depth);
        }

        /** The direction a point of the picture is seen in; of length one. */
        Vec ray(Point point) {
            return forward.plus(right.times(point.right() / focal))
                    .plus(up.times(point.up() / focal))
                    .unit();
        }
    }

    /** Where a point of space stands in the picture. */
    Point project(Vec point) {
        return frame().project(point);
    }

    /** The direction a point of the picture is seen in; of length one. */
    Vec ray(Point point) {
        return frame().ray(point);
    }

    /** How far away a point is. */
    double away(Vec point) {
        return point.minus(place()).length();
    }

    /** The height at which a point of the picture stands if it stands on the upright line over the tree's foot. */
    double heightOnTrunk(Point point) {
        Vec ray = ray(point);
        double level = Math.hypot(ray.x(), ray.y());
        return height + distance * ray.z() / level;
    }
}
