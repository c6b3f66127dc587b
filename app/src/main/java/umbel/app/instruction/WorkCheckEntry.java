package umbel.app.instruction;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.instruction.WorkCheck;

/** Finished trees of one person as the foreman found them. */
@Entity
@Table(name = "work_check")
class WorkCheckEntry extends OfOneFarm {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private InstructionEntry instruction;

    private LocalDate checkedOn;
    private String who;
    private Integer rowNo;
    private int trees;
    private String faults;
    private Instant savedAt;

    protected WorkCheckEntry() {}

    WorkCheckEntry(
            InstructionEntry instruction,
            LocalDate checkedOn,
            String who,
            Integer rowNo,
            int trees,
            Map<String, Integer> faults,
            Instant savedAt) {
        this.instruction = instruction;
        this.checkedOn = checkedOn;
        this.who = who;
        this.rowNo = rowNo;
        this.trees = trees;
        this.faults = JSON.writeValueAsString(faults);
        this.savedAt = savedAt;
    }

    Long id() {
        return id;
    }

    LocalDate checkedOn() {
        return checkedOn;
    }

    Integer rowNo() {
        return rowNo;
    }

    /** Who did the trees, how many were looked at, and their faults by sentence. */
    WorkCheck.Seen seen() {
        return new WorkCheck.Seen(who, trees, JSON.readValue(faults, new TypeReference<Map<String, Integer>>() {}));
    }
}
