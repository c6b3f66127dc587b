package umbel.app.log;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.hibernate.annotations.Formula;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.OrchardTree;
import umbel.app.survey.SurveyLine;

/** What was done to a tree on a day; never changed, only corrected by a later entry. */
@Entity
@Table(name = "work_record")
public class WorkRecord extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private OrchardTree tree;

    private Long surveyId;

    @Formula("(select s.surveyed_on from survey s where s.id = survey_id)")
    private LocalDate surveyedOn;

    private Long correctsId;
    private LocalDate doneOn;
    private String who;
    private double minutes;
    private String note;

    @Lob
    private String document;

    @Lob
    private String outcome;

    private String tools = "";

    private String afterwards;
    private String clientId;
    private boolean worked = true;
    private Double shadeBefore;
    private Double shadeAfter;
    private boolean effectsDue;
    private Instant savedAt;

    protected WorkRecord() {}

    public WorkRecord(
            OrchardTree tree,
            SurveyLine survey,
            Long correctsId,
            LocalDate doneOn,
            String who,
            double minutes,
            String note,
            String document,
            Instant savedAt) {
        this.tree = tree;
        this.surveyId = survey.id();
        this.surveyedOn = survey.surveyedOn();
        this.correctsId = correctsId;
        this.doneOn = doneOn;
        this.who = who;
        this.minutes = minutes;
        this.note = note;
        this.document = document;
        this.savedAt = savedAt;
    }

    public Long id() {
        return id;
    }

    public OrchardTree tree() {
        return tree;
    }

    /** The number of the survey it goes by. */
    public Long surveyId() {
        return surveyId;
    }

    /** The day of the survey it goes by. */
    public LocalDate surveyedOn() {
        return surveyedOn;
    }

    public Long correctsId() {
        return correctsId;
    }

    public LocalDate doneOn() {
        return doneOn;
    }

    public String who() {
        return who;
    }

    public double minutes() {
        return minutes;
    }

    public String note() {
        return note;
    }

    public String document() {
        return document;
    }

    /** What the work came to; null while that is worked out, where it cannot be told, and for old records. */
    public String outcome() {
        return outcome;
    }

    /** Whether what it came to is still to be worked out. */
    public boolean effectsDue() {
        return effectsDue;
    }

    public String tools() {
        return tools;
    }

    /** Says with which tools it was done, and the sender's own id for it. */
    public WorkRecord with(String newTools, String newClientId) {
        tools = newTools;
        clientId = newClientId;
        return this;
    }

    /** Says that what it came to is still to be worked out. */
    public WorkRecord dueEffects() {
        effectsDue = true;
        return this;
    }

    /** What was looked after when the last cut was made, as {@code wounds}; null where nobody said. */
    public List<String> afterwards() {
        return afterwards == null ? null : afterwards.isEmpty() ? List.of() : List.of(afterwards.split(","));
    }

    /** Says what was looked after when the last cut was made; null where nobody said. */
    public WorkRecord lookedAfter(List<String> tasks) {
        afterwards = tasks == null ? null : String.join(",", tasks);
        return this;
    }

    /** Whether anything was done; a visit at which every step was left or skipped has no effects. */
    public boolean worked() {
        return worked;
    }

    /** Says whether anything was done. */
    public WorkRecord worked(boolean anything) {
        worked = anything;
        return this;
    }

    public String clientId() {
        return clientId;
    }

    public Instant savedAt() {
        return savedAt;
    }
}
