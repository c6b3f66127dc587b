package umbel.app.harvest;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.Block;
import umbel.app.orchard.OrchardTree;

/** What was picked or thinned in a block on a day. */
@Entity
public class Picking extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Block block;

    @ManyToOne
    private OrchardTree tree;

    private String kind;
    private LocalDate pickedOn;
    private Double kg;
    private Integer fruits;
    private boolean lastOne;
    private String note;
    private Instant savedAt;

    protected Picking() {}

    /** A picking (kg, fruits) or thinning (fruits) of a block, or of one tree of it; the last one of a year ends its harvest. */
    public Picking(
            Block block,
            OrchardTree tree,
            String kind,
            LocalDate pickedOn,
            Double kg,
            Integer fruits,
            boolean lastOne,
            String note,
            Instant savedAt) {
        this.block = block;
        this.tree = tree;
        this.kind = kind;
        this.pickedOn = pickedOn;
        this.kg = kg;
        this.fruits = fruits;
        this.lastOne = lastOne;
        this.note = note;
        this.savedAt = savedAt;
    }

    Long id() {
        return id;
    }

    Block block() {
        return block;
    }

    /** The tree it was of; null for the block's. */
    OrchardTree tree() {
        return tree;
    }

    String kind() {
        return kind;
    }

    /** The day it was done. */
    public LocalDate pickedOn() {
        return pickedOn;
    }

    /** Kilograms; null where only fruits were counted. */
    public Double kg() {
        return kg;
    }

    /** Fruits; null where only the mass is known. */
    public Integer fruits() {
        return fruits;
    }

    boolean lastOne() {
        return lastOne;
    }

    String note() {
        return note;
    }
}
