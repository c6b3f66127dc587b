package umbel.photosurvey;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.ArrayList;
import java.util.List;
import umbel.assess.StatementAnswer;
import umbel.survey.Survey;
import umbel.text.Speech;
import umbel.wood.Units;

/**
 * A tree measured in photographs, in the names and units of the survey's format.
 *
 * @param trunkHeightCm null where nobody touched the trunk's top
 * @param betweenDeg angle between the directions of two pictures; null with one
 * @param notes what to do better, in the reader's language
 * @param statements the same as codes with values
 */
public record PhotoSurveyAnswer(
        @JsonProperty("trunkHeight_cm") Double trunkHeightCm,
        @JsonProperty("between_deg") Double betweenDeg,
        List<PhotoPlace> cameras,
        List<PhotoLimbAnswer> limbs,
        List<PhotoUnsure> unsure,
        List<PhotoLeft> left,
        List<String> notes,
        List<StatementAnswer> statements) {

    /** Where a picture was taken from: level distance from the trunk, height above its foot. */
    public record PhotoPlace(
            @JsonProperty("distance_m") double distanceM,
            @JsonProperty("height_cm") double heightCm) {}

    /**
     * A limb; its thickness is not measured in pictures.
     *
     * @param id its number from the ground up
     * @param parent {@code trunk} or another limb's number
     * @param first its name in the first picture; empty where that does not show it
     * @param second its name in the second
     * @param residualCm how far the touches lie from the place found
     * @param sure whether both pictures certainly mean the same limb
     */
    public record PhotoLimbAnswer(
            String id,
            String parent,
            String first,
            String second,
            @JsonProperty("at_cm") double atCm,
            @JsonProperty("bearing_deg") double bearingDeg,
            @JsonProperty("angle_deg") double angleDeg,
            @JsonProperty("tipAngle_deg") double tipAngleDeg,
            @JsonProperty("length_cm") double lengthCm,
            Survey.MeasureError error,
            @JsonProperty("residual_cm") double residualCm,
            boolean sure) {}

    /** A limb of the first picture and those of the second that it may be, the best first. */
    public record PhotoUnsure(String first, List<String> second) {}

    /**
     * A limb that was not measured.
     *
     * @param picture 1 or 2
     * @param why {@code no-partner}, {@code end-on} or {@code no-bearer}
     */
    public record PhotoLeft(int picture, String limb, String why) {}

    /** The answer in a reader's language. */
    public static PhotoSurveyAnswer of(PhotoSurvey survey, Speech speech) {
        List<PhotoLimbAnswer> limbs = new ArrayList<>();
        for (PhotoLimb limb : survey.limbs()) {
            limbs.add(limb(limb, limbs.size() + 1));
        }
        return new PhotoSurveyAnswer(
                survey.trunkHeight().isPresent()
                        ? Double.valueOf(cm(survey.trunkHeight().getAsDouble()))
                        : null,
                survey.between().isPresent()
                        ? Double.valueOf(degrees(survey.between().getAsDouble()))
                        : null,
                survey.cameras().stream()
                        .map(place -> new PhotoPlace(Units.round(place.distance(), 2), cm(place.height())))
                        .toList(),
                limbs,
                survey.unsure().stream()
                        .map(one -> new PhotoUnsure(one.first(), one.second()))
                        .toList(),
                survey.left().stream()
                        .map(one -> new PhotoLeft(
                                one.view() + 1, one.id(), one.why().word()))
                        .toList(),
                survey.notes().stream().map(speech::say).toList(),
                survey.notes().stream().map(StatementAnswer::of).toList());
    }

    private static PhotoLimbAnswer limb(PhotoLimb limb, int number) {
        return new PhotoLimbAnswer(
                String.valueOf(number),
                limb.parent() < 0 ? PhotoSurveyRequest.TRUNK : String.valueOf(limb.parent() + 1),
                limb.first(),
                limb.second(),
                cm(limb.at()),
                degrees(limb.bearing()) % 360,
                degrees(limb.angle()),
                degrees(limb.tipAngle()),
                cm(limb.length()),
                new Survey.MeasureError(
                        cm(limb.errors().at()),
                        degrees(limb.errors().bearing()),
                        degrees(limb.errors().angle()),
                        cm(limb.errors().length()),
                        null),
                cm(limb.residual()),
                limb.sure());
    }

    private static double cm(double metres) {
        return Units.round(Units.toCm(metres), 1);
    }

    private static double degrees(double radians) {
        return Units.round(Units.toDegrees(radians), 1);
    }
}
