package umbel.planting;

import umbel.field.FieldOutline;
import umbel.field.FieldRows;
import umbel.wood.Units;

/** The land of a checked request as a field to be filled with the rows of its options. */
public final class PlantingField {

    private final FieldOutline outline;
    private final double bearing;
    private final double headland;

    private PlantingField(FieldOutline outline, double bearing, double headland) {
        this.outline = outline;
        this.bearing = bearing;
        this.headland = headland;
    }

    /** The field of some land: by its outline where one was sent, else a square of its area with rows along a side. */
    public static PlantingField of(PlantingRequest.Land site) {
        return site.outline() == null
                ? new PlantingField(FieldOutline.square(site.areaHa()), 0, site.headlandM())
                : new PlantingField(
                        FieldOutline.of(site.outline()), Units.fromDegrees(site.rowBearingDeg()), site.headlandM());
    }

    /** Its rows, planted as an option says. */
    public FieldRows rows(PlantingRequest.Planting option) {
        return FieldRows.of(
                outline,
                bearing,
                headland,
                option.spacing().inRow(),
                option.spacing().betweenRows());
    }

    /** Its edge and what is left out of it. */
    public FieldOutline outline() {
        return outline;
    }
}
