package umbel.app.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.OneToOne;
import jakarta.persistence.Version;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.OrchardTree;

/** What the grower has decided for one tree and not yet cut. */
@Entity
public class SavedDecisions extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @OneToOne(optional = false)
    private OrchardTree tree;

    private Long surveyId;

    @Lob
    private String document;

    @Version
    private long version;

    protected SavedDecisions() {}

    public SavedDecisions(OrchardTree tree) {
        this.tree = tree;
    }

    public OrchardTree tree() {
        return tree;
    }

    /** The number of the survey it goes by. */
    public Long surveyId() {
        return surveyId;
    }

    public String document() {
        return document;
    }

    public long version() {
        return version;
    }

    /** Replaces what was decided. */
    public void decide(long onSurvey, String decisions) {
        this.surveyId = onSurvey;
        this.document = decisions;
    }
}
