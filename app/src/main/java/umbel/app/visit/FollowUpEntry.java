package umbel.app.visit;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.hibernate.annotations.Formula;
import umbel.app.farm.OfOneFarm;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.season.FollowUp;
import umbel.text.Statement;

/** Something to come back for. */
@Entity
@Table(name = "follow_up")
class FollowUpEntry extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private OrchardTree tree;

    @ManyToOne(optional = false, fetch = FetchType.LAZY)
    private WorkRecord record;

    private String kind;
    private LocalDate dueFrom;
    private LocalDate dueTo;
    private Double amount;
    private LocalDate doneOn;

    @Formula("(select r.done_on from work_record r where r.id = record_id)")
    private LocalDate madeOn;

    protected FollowUpEntry() {}

    FollowUpEntry(WorkRecord record, FollowUp followUp) {
        this.tree = record.tree();
        this.record = record;
        this.madeOn = record.doneOn();
        this.kind = followUp.kind();
        this.dueFrom = followUp.from();
        this.dueTo = followUp.to();
        this.amount = followUp.amount();
    }

    Long id() {
        return id;
    }

    OrchardTree tree() {
        return tree;
    }

    /** The day of the visit it follows from. */
    LocalDate madeOn() {
        return madeOn;
    }

    String kind() {
        return kind;
    }

    LocalDate dueFrom() {
        return dueFrom;
    }

    LocalDate dueTo() {
        return dueTo;
    }

    /** What is to be done. */
    Statement text() {
        return FollowUp.text(kind, amount);
    }

    LocalDate doneOn() {
        return doneOn;
    }

    /** Says it was seen to on a day; null opens it again. */
    void done(LocalDate day) {
        doneOn = day;
    }
}
