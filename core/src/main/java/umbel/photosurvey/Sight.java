package umbel.photosurvey;

import java.util.List;
import umbel.wood.Vec;

/** Points of space from where they are seen: eq. 4 and 6 of docs/model/photographs.md. */
final class Sight {

    private static final int ROUNDS = 3;

    private Sight() {}

    /** The point that lies nearest to where two cameras see it, each weighed by how near it is. */
    static Vec triangulated(Camera one, Camera.Point inOne, Camera two, Camera.Point inTwo) {
        List<Camera> cameras = List.of(one, two);
        List<Vec> rays = List.of(one.ray(inOne), two.ray(inTwo));
        double[] away = {one.distance(), two.distance()};
        Vec found = Vec.UP.times(0);
        for (int round = 0; round < ROUNDS; round++) {
            found = nearest(cameras, rays, away);
            away = new double[] {one.away(found), two.away(found)};
        }
        return found;
    }

    private static Vec nearest(List<Camera> cameras, List<Vec> rays, double[] away) {
        double[][] sum = new double[3][3];
        Vec right = Vec.UP.times(0);
        for (int i = 0; i < rays.size(); i++) {
            Vec ray = rays.get(i);
            double weight = 1 / (away[i] * away[i]);
            Vec place = cameras.get(i).place();
            right = right.plus(place.minus(ray.times(ray.dot(place))).times(weight));
            double[] r = {ray.x(), ray.y(), ray.z()};
            for (int row = 0; row < 3; row++) {
                for (int column = 0; column < 3; column++) {
                    sum[row][column] += weight * ((row == column ? 1 : 0) - r[row] * r[column]);
                }
            }
        }
        return solved(sum, right);
    }

    /** Cramer's rule for three unknowns. */
    private static Vec solved(double[][] m, Vec right) {
        Vec a = new Vec(m[0][0], m[1][0], m[2][0]);
        Vec b = new Vec(m[0][1], m[1][1], m[2][1]);
        Vec c = new Vec(m[0][2], m[1][2], m[2][2]);
        double whole = a.dot(b.cross(c));
        return new Vec(right.dot(b.cross(c)) / whole, a.dot(right.cross(c)) / whole, a.dot(b.cross(right)) / whole);
    }

    /**
     * Where a camera sees a point that lies in the upright plane through another point.
     *
     * @param through a point of the plane
     * @param bearing direction of the plane, radians from north
     */
    static Vec inPlane(Camera camera, Camera.Point point, Vec through, double bearing) {
        Vec across = new Vec(Math.cos(bearing), -Math.sin(bearing), 0);
        Vec ray = camera.ray(point);
        double along = through.minus(camera.place()).dot(across) / ray.dot(across);
        return camera.place().plus(ray.times(along));
    }
}
