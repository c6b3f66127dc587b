package umbel.app.orchard;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;

/** One tree at its place in a block. */
@Entity
@Table(name = "tree")
public class OrchardTree {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Block block;

    private String label;
    private int rowNo;
    private int placeNo;

    protected OrchardTree() {}

    public OrchardTree(Block block, int rowNo, int placeNo) {
        this.block = block;
        this.rowNo = rowNo;
        this.placeNo = placeNo;
        this.label = block.name() + " " + rowNo + "-" + placeNo;
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
