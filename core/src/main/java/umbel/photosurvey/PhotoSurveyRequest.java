package umbel.photosurvey;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * What was touched in the pictures of a tree: {@code umbel-photo-survey/1}. Pixels are those of the original picture, columns from
 * the left and rows from the top.
 *
 * @param staffCm length of the staff that stands at the trunk
 * @param views one picture or two
 * @param pairs which limb of the first picture is which of the second, where a person has said so
 */
public record PhotoSurveyRequest(
        String format, @JsonProperty("staff_cm") double staffCm, List<View> views, List<Pair> pairs) {

    /** The name of the format. */
    public static final String FORMAT = "umbel-photo-survey/1";

    /** What a limb on the trunk names as its parent. */
    public static final String TRUNK = "trunk";

    public PhotoSurveyRequest {
        views = List.copyOf(views);
        pairs = pairs == null ? List.of() : List.copyOf(pairs);
    }

    /** A point of a picture. */
    public record Pixel(double x, double y) {}

    /** Both ends of the staff. */
    public record Staff(Pixel foot, Pixel head) {}

    /**
     * One picture.
     *
     * @param focal35Mm focal length as on 35 mm film; null where the picture does not tell
     * @param cameraHeightCm above the tree's foot; null for the usual
     * @param bearingDeg compass direction from the camera to the tree
     * @param trunkTop null where it was not touched
     */
    public record View(
            @JsonProperty("width_px") int widthPx,
            @JsonProperty("height_px") int heightPx,
            @JsonProperty("focal35_mm") Double focal35Mm,
            @JsonProperty("cameraHeight_cm") Double cameraHeightCm,
            @JsonProperty("bearing_deg") double bearingDeg,
            Staff staff,
            Pixel trunkTop,
            List<Trace> limbs) {

        public View {
            limbs = List.copyOf(limbs);
        }
    }

    /**
     * A limb as it was touched in one picture.
     *
     * @param id its name in this picture
     * @param parent {@link #TRUNK}, or the limb of this picture that bears it
     * @param bend where it curves; null where it is straight
     * @param bearingDeg direction it heads to, where a person has said so; null otherwise
     */
    public record Trace(
            String id,
            String parent,
            Pixel base,
            Pixel bend,
            Pixel tip,
            @JsonProperty("bearing_deg") Double bearingDeg) {

        public Trace {
            parent = parent == null ? TRUNK : parent;
        }

        /** Whether it stands on the trunk. */
        public boolean isOnTrunk() {
            return parent.equals(TRUNK);
        }
    }

    /**
     * A limb of the first picture and the same limb in the second.
     *
     * @param second null where the second picture does not show it
     */
    public record Pair(String first, String second) {}
}
