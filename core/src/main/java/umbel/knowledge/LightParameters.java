package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Grid, directions and season of the light model. */
public record LightParameters(
        @JsonProperty("cell_cm") double cellCm,
        Directions directions,
        @JsonProperty("largeBox_cells") int largeBoxCells,
        double extinction,
        double clearShare,
        Season season) {

    /** The same settings over other days of the year. */
    public LightParameters over(int fromDay, int toDay) {
        return new LightParameters(
                cellCm,
                directions,
                largeBoxCells,
                extinction,
                clearShare,
                new Season(fromDay, toDay, season.stepDays(), season.stepHourAngleDeg()));
    }

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
