package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * Grid, directions and season of the light model.
 *
 * @param photograph how the sky is photographed from under a tree
 */
public record LightParameters(
        @JsonProperty("cell_cm") double cellCm,
        Directions directions,
        @JsonProperty("largeBox_cells") int largeBoxCells,
        double extinction,
        double clearShare,
        Season season,
        Photograph photograph) {

    /** The same settings over other days of the year. */
    public LightParameters over(int fromDay, int toDay) {
        return new LightParameters(
                cellCm,
                directions,
                largeBoxCells,
                extinction,
                clearShare,
                new Season(fromDay, toDay, season.stepDays(), season.stepHourAngleDeg()),
                photograph);
    }

    /**
     * How the sky is photographed from under a tree, straight up, about half way between trunk and edge of the crown.
     *
     * @param halfAngle of the picture's cone about the zenith, degrees
     * @param height of the camera, cm
     * @param out distance from the trunk, times the mean distance of the leaf from it
     * @param places about the trunk that are averaged
     * @param directions within the cone
     */
    public record Photograph(
            @JsonProperty("halfAngle_deg") double halfAngle,
            @JsonProperty("height_cm") double height,
            double out,
            int places,
            int directions) {}

    /** Sky directions by size of box, and for the plan's search. */
    public record Directions(
            int small,
            int large,
            int search,
            @JsonProperty("searchCell_cm") double searchCellCm) {}

    /** Days of the year (northern) over which light counts, and the steps of the sun's path. */
    public record Season(
            int fromDay,
            int toDay,
            int stepDays,
            @JsonProperty("stepHourAngle_deg") double stepHourAngleDeg) {}
}
