package umbel.app.season;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.Block;
import umbel.app.people.Person;
import umbel.crew.Scheduler;
import umbel.crew.WorkKind;

/** So much work of a kind in a block on somebody's day. */
@Entity
@Table(name = "scheduled_work")
class ScheduledWork extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private Block block;

    private String kind;

    @ManyToOne(optional = false)
    private Person person;

    private LocalDate plannedOn;
    private int minutes;
    private boolean pinned;

    protected ScheduledWork() {}

    ScheduledWork(Block block, WorkKind kind, Person person, LocalDate plannedOn, int minutes, boolean pinned) {
        this.block = block;
        this.kind = kind.name();
        this.person = person;
        this.plannedOn = plannedOn;
        this.minutes = minutes;
        this.pinned = pinned;
    }

    Long id() {
        return id;
    }

    Block block() {
        return block;
    }

    WorkKind kind() {
        return WorkKind.valueOf(kind);
    }

    Person person() {
        return person;
    }

    LocalDate plannedOn() {
        return plannedOn;
    }

    int minutes() {
        return minutes;
    }

    boolean pinned() {
        return pinned;
    }

    /** Puts it onto somebody's day by hand; it stays there until it is let go. */
    void pin(Person who, LocalDate day) {
        person = who;
        plannedOn = day;
        pinned = true;
    }

    /** Gives it back to the schedule. */
    void letGo() {
        pinned = false;
    }

    Scheduler.Placing asPlacing() {
        return new Scheduler.Placing(block.id(), kind(), person.id(), plannedOn, minutes, pinned);
    }
}
