package umbel.crew;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.entity.PlanningPin;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import umbel.season.DayAdvice;

/** Up to two hours' work of one kind in one block, and the shift it is done in; null while it has none. */
@PlanningEntity
public class WorkPackage {

    @PlanningId
    private int id;

    private BlockWork block;
    private WorkKind kind;
    private int minutes;

    /** How much hardier than most its block is: the higher, the earlier it should come. */
    private int hardiness;

    private long firstDay;

    @PlanningPin
    private boolean pinned;

    @PlanningVariable(allowsUnassigned = true)
    private Shift shift;

    /** For the solver's own copies. */
    public WorkPackage() {}

    WorkPackage(int id, BlockWork block, WorkKind kind, int minutes, int hardiness, long firstDay) {
        this.id = id;
        this.block = block;
        this.kind = kind;
        this.minutes = minutes;
        this.hardiness = hardiness;
        this.firstDay = firstDay;
    }

    /** Puts it into a shift by hand: the solver leaves it there. */
    public void pin(Shift where) {
        shift = where;
        pinned = true;
    }

    public int id() {
        return id;
    }

    public BlockWork block() {
        return block;
    }

    public WorkKind kind() {
        return kind;
    }

    public int minutes() {
        return minutes;
    }

    /**
     * How much it should have come earlier: days from the first times hours times how much hardier it is than most. It is
     * light beside the day's own worth: late dormant beats early however hardy the kind.
     */
    long latenessCost() {
        return hardiness * (shift.date().toEpochDay() - firstDay) * minutes / 480;
    }

    public boolean pinned() {
        return pinned;
    }

    public Shift shift() {
        return shift;
    }

    void put(Shift where) {
        shift = where;
    }

    /** Whether its day is closed to it. */
    boolean onClosedDay() {
        return shift != null && !block.open(shift.date());
    }

    /** Whether its person may not do it. */
    boolean beyondSkill() {
        return shift != null && !shift.member().can(kind);
    }

    /** How much its day falls short of the best, per minute: 0 best, 1 better, 4 allowed. */
    int dayCost() {
        return switch (block.days().getOrDefault(shift.date(), DayAdvice.Verdict.NOT)) {
            case BEST -> 0;
            case BETTER -> 1;
            case ALLOWED -> 4;
            case NOT -> 20;
        };
    }
}
