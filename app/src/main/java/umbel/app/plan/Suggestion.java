package umbel.app.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.OrchardTree;
import umbel.app.survey.SurveyEntry;

/** What an adviser would do to a tree. */
@Entity
class Suggestion extends OfOneFarm {

    /** Waiting to be accepted or refused. */
    static final String OPEN = "open";

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private OrchardTree tree;

    @ManyToOne(optional = false)
    private SurveyEntry survey;

    private String suggestedBy;
    private Instant suggestedAt;

    @Lob
    private String document;

    private String state = OPEN;

    @Version
    private long version;

    protected Suggestion() {}

    Suggestion(OrchardTree tree, SurveyEntry survey, String suggestedBy) {
        this.tree = tree;
        this.survey = survey;
        this.suggestedBy = suggestedBy;
    }

    Long id() {
        return id;
    }

    OrchardTree tree() {
        return tree;
    }

    String suggestedBy() {
        return suggestedBy;
    }

    Instant suggestedAt() {
        return suggestedAt;
    }

    String document() {
        return document;
    }

    long version() {
        return version;
    }

    /** Says what is suggested. */
    void suggest(String decisions, Instant now) {
        document = decisions;
        suggestedAt = now;
    }

    /** Closes it: accepted or refused. */
    void close(String how) {
        state = how;
    }
}
