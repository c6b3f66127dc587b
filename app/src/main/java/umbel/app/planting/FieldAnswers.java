package umbel.app.planting;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/** What is told of a field and the rows in it; lengths in metres. */
final class FieldAnswers {

    private FieldAnswers() {}

    /**
     * An outline that was read from a file.
     *
     * @param outline rings of corners, east and north
     * @param latitudeDeg null where the file does not tell it
     */
    public record FieldOutlineRead(
            @JsonProperty("outline_m") List<List<List<Double>>> outline,
            @JsonProperty("area_ha") double areaHa,
            @JsonProperty("latitude_deg") Double latitudeDeg,
            @JsonProperty("longestSide_deg") double longestSideDeg) {}

    /**
     * The field filled with an option's rows.
     *
     * @param rows lines of trees, interrupted or not
     * @param drawing the field from above
     */
    public record PlantedField(
            String name,
            int trees,
            int rows,
            @JsonProperty("rowLength_m") double rowLengthM,
            @JsonProperty("area_ha") double areaHa,
            @JsonProperty("rowBearing_deg") double rowBearingDeg,
            String drawing,
            List<PlantingMaterial> materials) {}

    /** One thing to buy for the whole field: {@code unit} is {@code each} or {@code m}. */
    public record PlantingMaterial(String code, long amount, String unit, String text) {}
}
