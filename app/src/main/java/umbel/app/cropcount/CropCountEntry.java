package umbel.app.cropcount;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.Block;

/** A count of flowers or fruits on marked limbs of a block, as it was kept. */
@Entity
@Table(name = "crop_count")
class CropCountEntry extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Block block;

    private LocalDate countedOn;
    private String stage;

    @Lob
    private String limbs;

    private double factor;
    private String who;
    private String note;
    private String clientId;
    private Instant savedAt;

    protected CropCountEntry() {}

    CropCountEntry(
            Block block,
            LocalDate countedOn,
            String stage,
            String limbs,
            double factor,
            String who,
            String note,
            String clientId,
            Instant savedAt) {
        this.block = block;
        this.countedOn = countedOn;
        this.stage = stage;
        this.limbs = limbs;
        this.factor = factor;
        this.who = who;
        this.note = note;
        this.clientId = clientId;
        this.savedAt = savedAt;
    }

    Long id() {
        return id;
    }

    Block block() {
        return block;
    }

    LocalDate countedOn() {
        return countedOn;
    }

    String stage() {
        return stage;
    }

    /** The limbs as JSON. */
    String limbs() {
        return limbs;
    }

    double factor() {
        return factor;
    }

    String who() {
        return who;
    }

    String note() {
        return note;
    }
}
