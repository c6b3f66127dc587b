package umbel.app.job;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;

/** Something that takes long and is done in the background for many trees, one by one, by whichever node has time. */
@Entity
class Job extends OfOneFarm {

    static final String RUNNING = "running";
    static final String DONE = "done";
    static final String CANCELLED = "cancelled";

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String kind;
    private Long blockId;
    private String startedBy;
    private Instant startedAt;
    private Instant endedAt;
    private int total;
    private String state;

    protected Job() {}

    Job(String kind, Long blockId, String startedBy, Instant startedAt, int total) {
        this.kind = kind;
        this.blockId = blockId;
        this.startedBy = startedBy;
        this.startedAt = startedAt;
        this.total = total;
        this.state = total == 0 ? DONE : RUNNING;
        this.endedAt = total == 0 ? startedAt : null;
    }

    Long id() {
        return id;
    }

    String kind() {
        return kind;
    }

    /** The block it is about; null for every block of the farm. */
    Long blockId() {
        return blockId;
    }

    Instant startedAt() {
        return startedAt;
    }

    /** When it was done or cancelled; null while it runs. */
    Instant endedAt() {
        return endedAt;
    }

    int total() {
        return total;
    }

    /** running, done or cancelled. */
    String state() {
        return state;
    }
}
