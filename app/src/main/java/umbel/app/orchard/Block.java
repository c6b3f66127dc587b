package umbel.app.orchard;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.springframework.http.HttpStatus;
import umbel.app.farm.OfOneFarm;
import umbel.app.http.Refused;
import umbel.text.Statement;
import umbel.text.Value;

/** Trees of one kind planted together. */
@Entity
public class Block extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Holding holding;

    private String name;
    private String species;
    private String system;
    private String cultivar;
    private String stock;
    private int plantedYear;
    private int treeCount;

    @Column(name = "in_row_m")
    private double inRowM;

    @Column(name = "between_rows_m")
    private double betweenRowsM;

    private double rowBearingDeg;
    private String note;

    @Column(name = "east_m")
    private double eastM;

    @Column(name = "north_m")
    private double northM;

    private boolean nearPowerLines;
    private LocalDate learningSince;

    private int rowCount;
    private int rowPlaces;
    private boolean archived;

    @Version
    private long version;

    protected Block() {}

    /** Distances in metres, the row's bearing in degrees from north. */
    public Block(
            Holding holding,
            String name,
            String species,
            String system,
            String cultivar,
            String stock,
            int plantedYear,
            int treeCount,
            double inRowM,
            double betweenRowsM,
            double rowBearingDeg,
            String note) {
        this.holding = holding;
        this.name = name;
        this.species = species;
        this.system = system;
        this.cultivar = cultivar;
        this.stock = stock;
        this.plantedYear = plantedYear;
        this.treeCount = treeCount;
        this.inRowM = inRowM;
        this.betweenRowsM = betweenRowsM;
        this.rowBearingDeg = rowBearingDeg;
        this.note = note;
        RowLayout usual = RowLayout.estimated(treeCount, inRowM, betweenRowsM);
        this.rowCount = usual.rows();
        this.rowPlaces = usual.places();
    }

    public Long id() {
        return id;
    }

    public Holding holding() {
        return holding;
    }

    public String name() {
        return name;
    }

    public String species() {
        return species;
    }

    public String system() {
        return system;
    }

    public String cultivar() {
        return cultivar;
    }

    public String stock() {
        return stock;
    }

    public int plantedYear() {
        return plantedYear;
    }

    public int treeCount() {
        return treeCount;
    }

    public double inRowM() {
        return inRowM;
    }

    public double betweenRowsM() {
        return betweenRowsM;
    }

    public double rowBearingDeg() {
        return rowBearingDeg;
    }

    public String note() {
        return note;
    }

    /** Where its first tree stands, metres east of the holding's own zero. */
    public double eastM() {
        return eastM;
    }

    /** Where its first tree stands, metres north of the holding's own zero. */
    public double northM() {
        return northM;
    }

    /** Whether lines run near its trees: then work on a ladder or with a saw is for qualified people. */
    public boolean nearPowerLines() {
        return nearPowerLines;
    }

    /** Its rows, and the places in the longest of them. */
    public RowLayout rows() {
        return new RowLayout(rowCount, rowPlaces);
    }

    /**
     * Holds a place against its rows.
     *
     * @throws Refused where it has no such place
     */
    public void requirePlace(int row, int place) {
        if (!rows().has(row, place)) {
            throw new Refused(
                    HttpStatus.BAD_REQUEST,
                    Statement.of("problem.no-such-place")
                            .with("block", Value.name(name))
                            .with("rows", Value.count(rowCount))
                            .with("places", Value.count(rowPlaces))
                            .with("place", Value.name(row + "-" + place)));
        }
    }

    /** Says how many rows it has, and how many places the longest has. */
    public Block rows(RowLayout layout) {
        rowCount = layout.rows();
        rowPlaces = layout.places();
        return this;
    }

    /** Whether it is no longer worked: grubbed or sold. Its records stay. */
    public boolean archived() {
        return archived;
    }

    /** Archives it, or takes it up again. */
    public void archive(boolean away) {
        archived = away;
    }

    public long version() {
        return version;
    }

    /** Corrects what is known of it. */
    public void correct(
            String newName, String newSpecies, String newSystem, String newCultivar, String newStock, String newNote) {
        name = newName;
        species = newSpecies;
        system = newSystem;
        cultivar = newCultivar;
        stock = newStock;
        note = newNote;
    }

    /** Corrects when and how it was planted; distances in metres. */
    public void correctPlanting(int year, int trees, double inRow, double betweenRows) {
        plantedYear = year;
        treeCount = trees;
        inRowM = inRow;
        betweenRowsM = betweenRows;
    }

    /** Puts its first tree at a place on the holding's own map. */
    public Block at(double east, double north) {
        eastM = east;
        northM = north;
        return this;
    }

    /** Says which way its rows run, degrees from north, and how far apart, metres. */
    public Block laidOut(double bearingDeg, double betweenM) {
        rowBearingDeg = bearingDeg;
        betweenRowsM = betweenM;
        return this;
    }

    /** Says whether power lines run near its trees. */
    public void nearPowerLines(boolean near) {
        nearPowerLines = near;
    }

    /** The day from which on its trees teach; null from the beginning. */
    public LocalDate learningSince() {
        return learningSince;
    }

    /** Forgets what its trees taught before a day; null takes everything into account again. */
    public void learnSince(LocalDate day) {
        learningSince = day;
    }
}
