package umbel.app.job;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;

/** One tree of a job. */
@Entity
class JobPart extends OfOneFarm {

    static final String WAITING = "waiting";
    static final String DONE = "done";
    static final String FAILED = "failed";

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Job job;

    private long treeId;
    private long surveyId;
    private int lane;
    private String state;

    @Lob
    private String result;

    private String doneBy;
    private Instant doneAt;

    protected JobPart() {}

    Long id() {
        return id;
    }

    Job job() {
        return job;
    }

    long surveyId() {
        return surveyId;
    }

    /** What came of it; null where nothing is kept of it, or nothing came of it yet. */
    String result() {
        return result;
    }
}
