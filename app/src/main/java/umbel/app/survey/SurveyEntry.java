package umbel.app.survey;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.OrchardTree;
import umbel.counted.CountSurvey;
import umbel.survey.Survey;

/** A survey as it was saved. It is never changed afterwards; one that was wrong is withdrawn and no longer counts. */
@Entity
@Table(name = "survey")
public class SurveyEntry extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private OrchardTree tree;

    private LocalDate surveyedOn;
    private String format = Survey.FORMAT;

    @Lob
    private String document;

    private Instant savedAt;
    private Instant withdrawnAt;
    private String withdrawnBy;

    protected SurveyEntry() {}

    public SurveyEntry(OrchardTree tree, LocalDate surveyedOn, String document, Instant savedAt) {
        this.tree = tree;
        this.surveyedOn = surveyedOn;
        this.document = document;
        this.savedAt = savedAt;
    }

    /** A survey of a counted plant. */
    public static SurveyEntry counted(OrchardTree tree, LocalDate surveyedOn, String document, Instant savedAt) {
        SurveyEntry entry = new SurveyEntry(tree, surveyedOn, document, savedAt);
        entry.format = CountSurvey.FORMAT;
        return entry;
    }

    public Long id() {
        return id;
    }

    public OrchardTree tree() {
        return tree;
    }

    public LocalDate surveyedOn() {
        return surveyedOn;
    }

    public String document() {
        return document;
    }

    public Instant savedAt() {
        return savedAt;
    }

    /** Without what was measured. */
    public SurveyLine line() {
        return new SurveyLine(
                id, surveyedOn, format, tree.id(), tree.block().id(), tree.label(), tree.rowNo(), tree.placeNo());
    }

    /** Whether canes were counted instead of limbs measured. */
    public boolean isCounted() {
        return format.equals(CountSurvey.FORMAT);
    }

    /** Whether it was found wrong and no longer counts. */
    public boolean withdrawn() {
        return withdrawnAt != null;
    }

    /** Who withdrew it; null while it counts. */
    public String withdrawnBy() {
        return withdrawnBy;
    }

    /** Withdraws it. */
    public void withdraw(String who, Instant now) {
        withdrawnAt = now;
        withdrawnBy = who;
    }

    /** Lets it count again. */
    public void restore() {
        withdrawnAt = null;
        withdrawnBy = null;
    }
}
