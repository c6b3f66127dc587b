package umbel.photosurvey;

import java.util.List;
import umbel.wood.Vec;

/** A line through points of space. */
final class PolyLine {

    private PolyLine() {}

    /** How far a point lies from the line. */
    static double distance(Vec point, List<Vec> line) {
        return point.minus(nearest(point, line)).length();
    }

    /** The line's point that is nearest to a point. */
    static Vec nearest(Vec point, List<Vec> line) {
        Vec best = line.get(0);
        for (int i = 1; i < line.size(); i++) {
            Vec near = onSegment(point, line.get(i - 1), line.get(i));
            if (near.minus(point).length() < best.minus(point).length()) {
                best = near;
            }
        }
        return best;
    }

    /** How far along the line its point nearest to a point is, from the line's beginning. */
    static double along(Vec point, List<Vec> line) {
        double gone = 0;
        double bestAlong = 0;
        double nearest = line.get(0).minus(point).length();
        for (int i = 1; i < line.size(); i++) {
            Vec near = onSegment(point, line.get(i - 1), line.get(i));
            if (near.minus(point).length() < nearest) {
                nearest = near.minus(point).length();
                bestAlong = gone + near.minus(line.get(i - 1)).length();
            }
            gone += line.get(i).minus(line.get(i - 1)).length();
        }
        return bestAlong;
    }

    private static Vec onSegment(Vec point, Vec from, Vec to) {
        Vec way = to.minus(from);
        double square = way.dot(way);
        double share =
                square < 1e-12 ? 0 : Math.max(0, Math.min(1, point.minus(from).dot(way) / square));
        return from.plus(way.times(share));
    }
}
