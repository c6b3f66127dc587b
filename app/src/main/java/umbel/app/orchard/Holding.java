package umbel.app.orchard;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.ZoneId;
import umbel.app.farm.OfOneFarm;
import umbel.cut.SafetyLimits;

/** A farm or garden: where its trees stand. */
@Entity
public class Holding extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private double latitudeDeg;

    @Column(name = "elevation_m")
    private double elevationM;

    @Column(name = "limit_diameter_mm")
    private Double limitDiameterMm;

    @Column(name = "limit_mass_kg")
    private Double limitMassKg;

    @Column(name = "limit_height_m")
    private Double limitHeightM;

    private String timeZone;

    @Version
    private long version;

    protected Holding() {}

    public Holding(String name, double latitudeDeg, double elevationM) {
        this.name = name;
        this.latitudeDeg = latitudeDeg;
        this.elevationM = elevationM;
    }

    public Long id() {
        return id;
    }

    public String name() {
        return name;
    }

    public double latitudeDeg() {
        return latitudeDeg;
    }

    public double elevationM() {
        return elevationM;
    }

    /** The time zone its days are counted in; the machine's own where none was set. */
    public ZoneId timeZone() {
        return timeZone == null ? ZoneId.systemDefault() : ZoneId.of(timeZone);
    }

    /** Counts its days in a time zone; null takes the machine's own. */
    public Holding in(ZoneId zone) {
        timeZone = zone == null ? null : zone.getId();
        return this;
    }

    public long version() {
        return version;
    }

    /** Corrects its name and place. */
    public void correct(String newName, double latitude, double elevation) {
        name = newName;
        latitudeDeg = latitude;
        elevationM = elevation;
    }

    /** What its own people may not do; null sets no limit. */
    public SafetyLimits limits(boolean nearPowerLines) {
        return new SafetyLimits(limitDiameterMm, limitMassKg, limitHeightM, nearPowerLines);
    }

    /** Sets what its own people may not do. */
    public void limit(Double diameterMm, Double massKg, Double heightM) {
        limitDiameterMm = diameterMm;
        limitMassKg = massKg;
        limitHeightM = heightM;
    }
}
