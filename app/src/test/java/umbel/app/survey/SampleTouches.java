package umbel.app.survey;

import java.util.List;
import umbel.knowledge.Knowledge;
import umbel.photosurvey.PhotoSurveyRequest;
import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.photosurvey.PhotoSurveyRequest.Staff;
import umbel.photosurvey.PhotoSurveyRequest.Trace;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.photosurvey.SamplePictures;
import umbel.wood.Axis;
import umbel.wood.Vec;

/** Where a person with a steady hand would touch the sample pictures. */
public final class SampleTouches {

    public static final int WIDTH = 1500;
    public static final int HEIGHT = 2000;

    private static final SamplePictures SAMPLE = new SamplePictures(Knowledge.shipped());

    private SampleTouches() {}

    /** The sample tree's limbs on the trunk, from the lowest up. */
    public static List<Axis> limbs() {
        return SAMPLE.tree().limbs().stream()
                .filter(limb -> limb.parent() == 0)
                .sorted((one, other) -> Double.compare(one.at(), other.at()))
                .toList();
    }

    public static Pixel foot(int picture) {
        return SAMPLE.pixel(picture, Vec.UP.times(0));
    }

    public static Pixel head(int picture) {
        return SAMPLE.pixel(picture, Vec.UP.times(SamplePictures.STAFF));
    }

    public static Pixel top(int picture) {
        return SAMPLE.pixel(picture, Vec.UP.times(trunkLength()));
    }

    /** Metres. */
    static double trunkLength() {
        return SAMPLE.tree().trunk().length();
    }

    /** A place along a limb, 0 at its base and 1 at its tip. */
    public static Pixel on(int picture, Axis limb, double share) {
        return SAMPLE.pixel(picture, limb.course().at(share * limb.length()));
    }

    /** All limbs of a picture touched. */
    static View view(int picture) {
        return new View(
                WIDTH,
                HEIGHT,
                null,
                null,
                picture == 0 ? 0 : 90,
                new Staff(foot(picture), head(picture)),
                top(picture),
                limbs().stream()
                        .map(limb -> new Trace(
                                (picture == 0 ? "a" : "b") + limb.id(),
                                PhotoSurveyRequest.TRUNK,
                                on(picture, limb, 0),
                                on(picture, limb, 0.5),
                                on(picture, limb, 1),
                                null))
                        .toList());
    }
}
