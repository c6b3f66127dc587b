package umbel.photosurvey;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import umbel.knowledge.PhotographParameters;
import umbel.text.Statement;

/**
 * A tree measured in photographs; see docs/model/photographs.md.
 *
 * @param limbs from the ground up, each after the one it stands on
 * @param trunkHeight metres; empty where nobody touched the trunk's top
 * @param cameras where each picture was taken from
 * @param between angle between the directions of two pictures, radians; empty with one
 * @param unsure limbs of which a person should say which they are in the other picture
 * @param left limbs that could not be measured
 * @param notes what to do better, in the order it matters
 */
public record PhotoSurvey(
        List<PhotoLimb> limbs,
        OptionalDouble trunkHeight,
        List<Place> cameras,
        OptionalDouble between,
        List<Unsure> unsure,
        List<Left> left,
        List<Statement> notes) {

    /** Where a picture was taken from: level distance from the trunk and height above its foot, metres. */
    public record Place(double distance, double height) {}

    /** A limb of the first picture and those of the second that it may be, the best first. */
    public record Unsure(String first, List<String> second) {}

    /**
     * A limb that could not be measured.
     *
     * @param view number of the picture, 0 for the first
     */
    public record Left(int view, String id, Why why) {}

    /** Why a limb could not be measured. */
    public enum Why {
        /** The other picture does not show it, and nobody told its direction. */
        NO_PARTNER,
        /** It heads too much towards the camera for one picture. */
        END_ON,
        /** What bears it could not be measured. */
        NO_BEARER;

        /** The word of the open format. */
        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** The word its message chooses by. */
        String choice() {
            return switch (this) {
                case NO_PARTNER -> "partner";
                case END_ON -> "end";
                case NO_BEARER -> "bearer";
            };
        }
    }

    /** Measures a tree. Some tenths of a second with two pictures. */
    public static PhotoSurvey of(PhotoSurveyRequest request, PhotographParameters parameters) {
        return new PhotoMeasuring(request, parameters).measured();
    }
}
