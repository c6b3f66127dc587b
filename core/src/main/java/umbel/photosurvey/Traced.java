package umbel.photosurvey;

import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.photosurvey.PhotoSurveyRequest.Trace;
import umbel.photosurvey.PhotoSurveyRequest.View;

/** A limb's points in one picture, from its middle. */
record Traced(Trace trace, Camera.Point base, Camera.Point bend, Camera.Point tip) {

    static Traced of(Trace trace, View view) {
        return new Traced(trace, point(trace.base(), view), point(trace.bend(), view), point(trace.tip(), view));
    }

    private static Camera.Point point(Pixel pixel, View view) {
        return pixel == null ? null : Camera.Point.of(pixel, view.widthPx(), view.heightPx());
    }

    String id() {
        return trace.id();
    }
}
