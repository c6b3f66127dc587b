package umbel.app.orchard;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A farm or garden: where its trees stand. */
@Entity
public class Holding {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private double latitudeDeg;

    @Column(name = "elevation_m")
    private double elevationM;

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
}
