package umbel.photosurvey;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.PhotographParameters;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * A limb that one picture shows, whose direction a person has told: its points lie where the picture's rays meet the upright plane
 * through its base.
 */
final class OneView {

    /** Places looked at along a bearing limb for where a base stands. */
    private static final int TRIED = 200;

    private OneView() {}

    /** Whether a limb heads enough across the line of sight to be measured in one picture. */
    static boolean isAcross(Camera camera, double bearing, PhotographParameters parameters) {
        return acrossBy(camera, bearing)
                >= Units.fromDegrees(parameters.oneView().leastDeg());
    }

    /** Angle between a direction and the line of sight, 0…π/2. */
    private static double acrossBy(Camera camera, double bearing) {
        double angle = JointAdjustment.apart(camera.bearing(), bearing);
        return Math.min(angle, Math.PI - angle);
    }

    /**
     * The limb's points.
     *
     * @param bearer points of the limb that bears it; null for the trunk
     */
    static List<Vec> points(Camera camera, Traced traced, List<Vec> bearer, double bearing) {
        Vec base = bearer == null
                ? new Vec(0, 0, camera.heightOnTrunk(traced.base()))
                : seenOn(camera, traced.base(), bearer);
        List<Vec> points = new ArrayList<>(List.of(base));
        if (traced.bend() != null) {
            points.add(Sight.inPlane(camera, traced.bend(), base, bearing));
        }
        points.add(Sight.inPlane(camera, traced.tip(), base, bearing));
        return points;
    }

    /** The point of a line that a camera sees nearest to a point of its picture. */
    private static Vec seenOn(Camera camera, Camera.Point point, List<Vec> line) {
        Vec best = line.get(0);
        for (int i = 1; i < line.size(); i++) {
            Vec way = line.get(i).minus(line.get(i - 1));
            for (int step = 0; step <= TRIED; step++) {
                Vec one = line.get(i - 1).plus(way.times((double) step / TRIED));
                if (camera.project(one).distanceTo(point) < camera.project(best).distanceTo(point)) {
                    best = one;
                }
            }
        }
        return best;
    }

    /**
     * One sigma of each measure: the touches, and the direction told.
     *
     * @param px one-sigma error of a touch, pixels
     */
    static PhotoLimb.Errors errors(
            Camera camera, List<Vec> points, double bearing, double px, PhotographParameters parameters) {
        double lateral = px * camera.away(points.get(0)) / camera.focal();
        double length = points.get(points.size() - 1).minus(points.get(0)).length();
        double told = Units.fromDegrees(parameters.errors().directionDeg());
        double stretch = length * told / Math.tan(acrossBy(camera, bearing));
        return new PhotoLimb.Errors(lateral, told, lateral / length, Math.hypot(Math.sqrt(2) * lateral, stretch));
    }
}
