package umbel.app.instruction;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.LocalDate;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.Block;

/** What was found to say to a crew for a block; one that is in use is worked and planned by. */
@Entity
@Table(name = "block_instruction")
class InstructionEntry extends OfOneFarm {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Block block;

    private LocalDate madeOn;
    private String madeBy;
    private boolean inUse;

    @Lob
    private String document;

    protected InstructionEntry() {}

    InstructionEntry(Block block, LocalDate madeOn, String madeBy, InstructionDocument document) {
        this.block = block;
        this.madeOn = madeOn;
        this.madeBy = madeBy;
        this.document = JSON.writeValueAsString(document);
    }

    Long id() {
        return id;
    }

    Block block() {
        return block;
    }

    LocalDate madeOn() {
        return madeOn;
    }

    String madeBy() {
        return madeBy;
    }

    boolean inUse() {
        return inUse;
    }

    void use(boolean use) {
        inUse = use;
    }

    InstructionDocument document() {
        return JSON.readValue(document, InstructionDocument.class);
    }
}
