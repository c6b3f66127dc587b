package umbel.photosurvey;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.photosurvey.PhotoSurveyRequest.Staff;
import umbel.photosurvey.PhotoSurveyRequest.Trace;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * Takes pictures of trees whose measures are known, as a person would: nearly level, nearly at breast height, with a lens that
 * distorts, a staff that leans and a finger that misses. Its projection is written by itself, in the camera's own axes after three
 * turns, and shares nothing with the one under test.
 */
final class Photographer {

    static final int WIDTH = 1500;
    static final int HEIGHT = 2000;
    static final double STAFF = 2.0;
    private static final double FOCAL = 26.0 / 36 * HEIGHT;

    private final SplittableRandom random;
    private final double missPx;
    private final double barrel;

    /**
     * @param missPx one sigma of a touch, pixels
     * @param barrel how much further out than it should a point at the picture's corner stands, as a share
     */
    Photographer(long seed, double missPx, double barrel) {
        this.random = new SplittableRandom(seed);
        this.missPx = missPx;
        this.barrel = barrel;
    }

    /** A limb's points in space as they are. */
    record True(String id, Vec base, Vec bend, Vec tip) {

        static True of(Axis limb) {
            return new True(
                    limb.id(),
                    limb.course().at(0),
                    limb.course().at(limb.length() / 2),
                    limb.course().at(limb.length()));
        }
    }

    /** The measured limbs of a tree that stand on its trunk. */
    static List<True> limbsOf(Tree tree) {
        return tree.limbs().stream()
                .filter(limb -> limb.parent() == 0)
                .map(True::of)
                .toList();
    }

    /** Where a picture is really taken from. */
    record Stand(double bearing, double distance, double height, double yaw, double pitch, double roll) {}

    Stand stand(double bearing, double distance) {
        return new Stand(
                bearing,
                distance,
                1.5 + 0.07 * random.nextGaussian(),
                Math.toRadians(1.5 * random.nextGaussian()),
                Math.toRadians(2 * random.nextGaussian() - 2),
                Math.toRadians(0.7 * random.nextGaussian()));
    }

    double gaussian() {
        return random.nextGaussian();
    }

    /**
     * A picture with every limb touched.
     *
     * @param told what the person says the bearing is, degrees
     */
    View picture(Stand stand, double told, List<True> limbs, double top, String prefix, Double heightTold) {
        Vec head = new Vec(0.02, 0, 1).unit().times(STAFF);
        List<Trace> traces = new ArrayList<>();
        for (True limb : limbs) {
            Pixel base = touched(stand, limb.base());
            Pixel bend = touched(stand, limb.bend());
            Pixel tip = touched(stand, limb.tip());
            traces.add(new Trace(prefix + limb.id(), "trunk", base, bend, tip, null));
        }
        return new View(
                WIDTH,
                HEIGHT,
                26.0,
                heightTold,
                told,
                new Staff(touched(stand, Vec.UP.times(0)), touched(stand, head)),
                touched(stand, Vec.UP.times(top)),
                traces);
    }

    Pixel touched(Stand stand, Vec point) {
        Pixel seen = seen(stand, point);
        return new Pixel(seen.x() + missPx * random.nextGaussian(), seen.y() + missPx * random.nextGaussian());
    }

    /** Turns the world about the upright, then the level, then the looking axis. */
    private Pixel seen(Stand stand, Vec point) {
        double east = point.x() + stand.distance() * Math.sin(stand.bearing());
        double north = point.y() + stand.distance() * Math.cos(stand.bearing());
        double up = point.z() - stand.height();
        double look = stand.bearing() + stand.yaw();
        double side = east * Math.cos(look) - north * Math.sin(look);
        double ahead = east * Math.sin(look) + north * Math.cos(look);
        double depth = ahead * Math.cos(stand.pitch()) + up * Math.sin(stand.pitch());
        double over = up * Math.cos(stand.pitch()) - ahead * Math.sin(stand.pitch());
        double column = FOCAL * (side * Math.cos(stand.roll()) + over * Math.sin(stand.roll())) / depth;
        double row = FOCAL * (over * Math.cos(stand.roll()) - side * Math.sin(stand.roll())) / depth;
        double out = Math.hypot(column, row) / Math.hypot(WIDTH / 2.0, HEIGHT / 2.0);
        double stretched = 1 + barrel * out * out;
        return new Pixel(WIDTH / 2.0 + column * stretched, HEIGHT / 2.0 - row * stretched);
    }
}
