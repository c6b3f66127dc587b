package umbel.app.job;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;

/** Something that takes long and is done in the background for many trees, one by one, by whichever node has time. */
@Entity
class Job extends OfOneFarm {

    static final String RUNNING = "running";
    static final String DONE = "done";
    static final String CANCELLED = "cancelled";
    static final String ENDING = "ending";
    static final String FAILED = "failed";

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String kind;
    private Long blockId;
    private String startedBy;
    private Instant startedAt;
    private Instant endedAt;
    private int total;
    private boolean whole;
    private int done;
    private String state;

    @Lob
    private String given;

    @Lob
    private String outcome;

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

    /**
     * A job that is done in one piece.
     *
     * @param given what it works on; null where that follows from its kind and block
     */
    static Job inOnePiece(String kind, Long blockId, String startedBy, Instant startedAt, int total, String given) {
        Job job = new Job(kind, blockId, startedBy, startedAt, total);
        job.whole = true;
        job.state = RUNNING;
        job.endedAt = null;
        job.given = given;
        return job;
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

    String startedBy() {
        return startedBy;
    }

    /** Whether it is done in one piece. */
    boolean whole() {
        return whole;
    }

    /** How far it has come, where it is done in one piece. */
    int done() {
        return done;
    }

    int total() {
        return total;
    }

    /** What it was given to work on; null where nothing was, or it was cleared away. */
    String given() {
        return given;
    }

    /** What came of it; null where nothing is kept of it, or nothing came of it yet. */
    String outcome() {
        return outcome;
    }

    /** running, ending, done, cancelled or failed. */
    String state() {
        return state;
    }
}
