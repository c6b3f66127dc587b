package umbel.app.planning;

import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.farm.Farms;
import umbel.app.job.JobProgress;
import umbel.app.people.SignedIn;
import umbel.wood.Units;

/** The plans of all trees of a block or of the farm, worked out in the background. */
@RestController
@RequestMapping("/api")
class TreePlansController {

    private final TreePlanning planning;
    private final Farms farms;

    TreePlansController(TreePlanning planning, Farms farms) {
        this.planning = planning;
        this.farms = farms;
    }

    /**
     * A surveyed tree and what its plan comes to.
     *
     * @param counted whether it is a bush, a cane row or a vine
     * @param steps null while it was not planned, as all that follows
     * @param minutes of the visit
     * @param gain of the visit in an hour, as the planner weighs light, crop, structure and health
     * @param shadeBefore share of fruiting wood in shade as it stands, and after the visit; null on a counted plant
     * @param cropBefore kilograms of first class as it stands, and after the visit
     * @param doubts measurements that would settle what its reading is not sure of
     * @param stale whether something is known by now that was not when it was planned
     */
    public record PlannedLine(
            long tree,
            String label,
            boolean counted,
            Integer steps,
            Double minutes,
            Double gain,
            Double shadeBefore,
            Double shadeAfter,
            Double cropBefore,
            Double cropAfter,
            Integer doubts,
            Instant plannedAt,
            boolean stale) {}

    /**
     * The plans of a block.
     *
     * @param job how far the last planning has come; null where there was none
     * @param treeCount trees of the block, surveyed or not
     * @param seasons the seasons to come of a tree of the block, by those planned; none while none is
     */
    public record BlockPlans(JobProgress job, int treeCount, List<PlannedLine> trees, List<SeasonsAhead> seasons) {}

    /**
     * The plans of the farm.
     *
     * @param job how far the last planning of the whole farm has come; null where there was none
     * @param surveyed trees surveyed
     * @param planned those of them with a plan
     * @param stale those whose plan may be out of date
     * @param doubtful those whose plan leaves doubts
     * @param atNight whether what has changed is planned anew every night
     */
    public record PlansOfFarm(JobProgress job, int surveyed, int planned, int stale, int doubtful, boolean atNight) {}

    /** Whether to plan at night. */
    public record AtNight(boolean on) {}

    /** The plans of a block's trees. */
    @GetMapping("/blocks/{id}/plans")
    BlockPlans ofBlock(@PathVariable long id) {
        // first how far it has come: whoever reads that it is done then reads what it has done
        JobProgress job = planning.last(id).orElse(null);
        TreePlanning.PlannedBlock block = planning.ofBlock(id);
        return new BlockPlans(
                job,
                block.treeCount(),
                block.trees().stream().map(TreePlansController::line).toList(),
                block.seasons());
    }

    /** Begins to plan every surveyed tree of a block. */
    @PostMapping("/blocks/{id}/plans")
    @ResponseStatus(HttpStatus.ACCEPTED)
    BlockPlans plan(@PathVariable long id) {
        planning.begin(id, SignedIn.name());
        return ofBlock(id);
    }

    /** Stops that. */
    @DeleteMapping("/blocks/{id}/plans")
    BlockPlans stop(@PathVariable long id) {
        planning.ofBlock(id);
        planning.cancel(id);
        return ofBlock(id);
    }

    /** The plans of the farm's trees in figures. */
    @GetMapping("/plans")
    PlansOfFarm ofFarm() {
        JobProgress job = planning.last(null).orElse(null);
        TreePlanning.FarmPlans plans = planning.ofFarm();
        return new PlansOfFarm(
                job,
                plans.surveyed(),
                plans.planned(),
                plans.stale(),
                plans.doubtful(),
                farms.current().plansAtNight());
    }

    /** Begins to plan every surveyed tree of the farm. */
    @PostMapping("/plans")
    @ResponseStatus(HttpStatus.ACCEPTED)
    PlansOfFarm planAll() {
        planning.begin(null, SignedIn.name());
        return ofFarm();
    }

    /** Stops that. */
    @DeleteMapping("/plans")
    PlansOfFarm stopAll() {
        planning.cancel(null);
        return ofFarm();
    }

    /** Says whether to plan anew every night what has changed. */
    @PutMapping("/plans/night")
    PlansOfFarm atNight(@RequestBody AtNight entry) {
        farms.planAtNight(entry.on());
        return ofFarm();
    }

    private static PlannedLine line(TreePlanning.PlannedTree one) {
        TreePlan plan = one.plan();
        long tree = one.survey().treeId();
        String label = one.survey().label();
        boolean counted = one.survey().counted();
        if (plan == null) {
            return new PlannedLine(tree, label, counted, null, null, null, null, null, null, null, null, null, false);
        }
        return new PlannedLine(
                tree,
                label,
                counted,
                plan.steps(),
                Units.round(plan.minutes(), 1),
                plan.minutes() <= 0 ? 0.0 : Units.round(60 * plan.gain() / plan.minutes(), 3),
                rounded(plan.shadeBefore(), 3),
                rounded(plan.shadeAfter(), 3),
                Units.round(plan.cropBefore(), 1),
                Units.round(plan.cropAfter(), 1),
                plan.doubts(),
                plan.plannedAt(),
                one.stale());
    }

    private static Double rounded(Double value, int digits) {
        return value == null ? null : Double.valueOf(Units.round(value, digits));
    }
}
