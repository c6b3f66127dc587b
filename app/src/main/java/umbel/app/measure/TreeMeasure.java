package umbel.app.measure;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.OrchardTree;
import umbel.growth.Comparison;
import umbel.growth.Forecast;

/** A measurement on a tree, with what was expected when it was kept. */
@Entity
@Table(name = "tree_measure")
class TreeMeasure extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private OrchardTree tree;

    private LocalDate measuredOn;
    private String kind;
    private double amount;
    private Double expectedLow;
    private Double expected;
    private Double expectedHigh;
    private String note;
    private Instant savedAt;

    protected TreeMeasure() {}

    /** A measurement; {@code against} is null where nothing could be expected. */
    TreeMeasure(
            OrchardTree tree,
            LocalDate measuredOn,
            MeasureKind kind,
            double amount,
            Comparison.Measured against,
            String note,
            Instant savedAt) {
        this.tree = tree;
        this.measuredOn = measuredOn;
        this.kind = kind.word();
        this.amount = amount;
        if (against != null) {
            this.expectedLow = against.foretold().low();
            this.expected = against.foretold().middle();
            this.expectedHigh = against.foretold().high();
        }
        this.note = note;
        this.savedAt = savedAt;
    }

    Long id() {
        return id;
    }

    OrchardTree tree() {
        return tree;
    }

    LocalDate measuredOn() {
        return measuredOn;
    }

    String kind() {
        return kind;
    }

    double amount() {
        return amount;
    }

    String note() {
        return note;
    }

    /** The amount against what was expected; null where nothing could be. */
    Comparison.Measured against() {
        if (expected == null) {
            return null;
        }
        Comparison.Measure measure = kind.equals(MeasureKind.SKY.word())
                ? Comparison.Measure.GAP_FRACTION
                : Comparison.Measure.PRUNING_WEIGHT;
        return new Comparison.Measured(measure, new Forecast.Range(expectedLow, expected, expectedHigh), amount);
    }
}
