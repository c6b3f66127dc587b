package umbel.planting;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * Options for a planting on one piece of land, as they are sent to {@code POST /api/plantings/compare}. Everything but the options
 * has a default.
 *
 * @param horizonY years to look ahead
 * @param interest a year, as a share
 * @param currency only told back
 * @param standing the block that stands on the land today; null for bare land
 */
public record PlantingRequest(
        Land site,
        @JsonProperty("horizon_y") Integer horizonY,
        Double interest,
        @JsonProperty("wage_perHour") Double wagePerHour,
        String currency,
        Standing standing,
        List<Planting> options,
        Long seed) {

    /**
     * The land.
     *
     * @param latitudeDeg degrees, south negative
     * @param areaHa of a square field; where an outline is sent its own
     * @param headlandM left free at both ends of the rows, metres
     * @param outline the field's edge and what is left out of it, corners in metres east and north of any zero; null for a square
     * @param rowBearingDeg of the rows, degrees from north; along the longest side where nobody says
     */
    public record Land(
            @JsonProperty("latitude_deg") Double latitudeDeg,
            @JsonProperty("area_ha") Double areaHa,
            @JsonProperty("headland_m") Double headlandM,
            @JsonProperty("outline_m") List<List<List<Double>>> outline,
            @JsonProperty("rowBearing_deg") Double rowBearingDeg) {}

    /** Distances between trees and rows, metres. */
    public record Distances(Double inRow, Double betweenRows) {}

    /**
     * One way to plant it.
     *
     * @param priceTrend change of the price a year, as a share
     * @param cultivarLifeY years until it is replanted; null for longer than is looked ahead
     * @param onStanding what it does with the trees that stand on the land; null where it is planted on bare land
     * @param costs assumptions set otherwise, by the names that the answer lists under {@code assumed}
     */
    public record Planting(
            String name,
            String species,
            String system,
            String rootstockClass,
            String vigour,
            @JsonProperty("spacing_m") Distances spacing,
            @JsonProperty("price_perKg") Double pricePerKg,
            Double priceTrend,
            @JsonProperty("cultivarLife_y") Integer cultivarLifeY,
            OnStanding onStanding,
            Map<String, Double> costs) {

        /** What is done with the land: planted as bare where nothing stands on it. */
        Act act() {
            return onStanding == null ? Act.PLANT : Act.of(onStanding.act());
        }
    }

    /**
     * Trees that stand on the land today.
     *
     * @param leaf the year of growth they are in, from 1
     * @param trees what they are, how far apart, and what their fruit brings
     * @param kgPerHa what they have borne a hectare in the last years; null where nobody weighed it
     */
    public record Standing(
            Integer leaf,
            Planting trees,
            @JsonProperty("kg_perHa") Double kgPerHa) {}

    /**
     * What an option does with the trees that stand on the land.
     *
     * @param act {@code keep}, {@code renovate}, {@code topwork} or {@code replant}
     * @param overY winters that replanting is spread over, an equal part of the land each
     * @param fallowY years that a cleared part rests before it is planted
     */
    public record OnStanding(
            String act,
            @JsonProperty("over_y") Integer overY,
            @JsonProperty("fallow_y") Integer fallowY) {}
}
