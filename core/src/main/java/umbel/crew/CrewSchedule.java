package umbel.crew;

import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import java.util.List;

/** All work of a season and the shifts there are for it. */
@PlanningSolution
public class CrewSchedule {

    @ValueRangeProvider
    private List<Shift> shifts;

    @PlanningEntityCollectionProperty
    private List<WorkPackage> workPackages;

    @PlanningScore
    private HardMediumSoftLongScore score;

    /** For the solver's own copies. */
    public CrewSchedule() {}

    CrewSchedule(List<Shift> shifts, List<WorkPackage> workPackages) {
        this.shifts = shifts;
        this.workPackages = workPackages;
    }

    public List<Shift> shifts() {
        return shifts;
    }

    public List<WorkPackage> workPackages() {
        return workPackages;
    }

    /** How well it keeps the rules: broken ones, work without a place, and wishes; null before it was solved. */
    public HardMediumSoftLongScore score() {
        return score;
    }
}
