package umbel.app.orchard;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import umbel.app.farm.OfOneFarm;
import umbel.cut.SafetyLimits;

/** One tree at its place in a block. */
@Entity
@Table(name = "tree")
public class OrchardTree extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Block block;

    private String label;
    private int rowNo;
    private int placeNo;

    private boolean archived;

    protected OrchardTree() {}

    public OrchardTree(Block block, int rowNo, int placeNo) {
        move(block, rowNo, placeNo);
    }

    /** Puts it at another place, and names it by that. */
    public final void move(Block to, int row, int place) {
        block = to;
        rowNo = row;
        placeNo = place;
        nameByPlace();
    }

    /** Names it by its place: its block was renamed, or it was moved. */
    public final void nameByPlace() {
        label = block.name() + " " + rowNo + "-" + placeNo;
    }

    /** Whether it no longer stands: grubbed or replanted. Its records stay. */
    public boolean archived() {
        return archived;
    }

    /** Archives it, or takes it up again. */
    public void archive(boolean away) {
        archived = away;
    }

    /** What its holding does not let its own people do here. */
    public SafetyLimits safetyLimits() {
        return block.holding().limits(block.nearPowerLines());
    }

    public Long id() {
        return id;
    }

    public Block block() {
        return block;
    }

    public String label() {
        return label;
    }

    public int rowNo() {
        return rowNo;
    }

    public int placeNo() {
        return placeNo;
    }
}
