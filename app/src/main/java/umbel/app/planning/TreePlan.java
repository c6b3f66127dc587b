package umbel.app.planning;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.app.plan.PlanWorth;

/** The plan of a tree on which nothing is decided yet, as it was last worked out: what it comes to, and what it depends on. */
@Entity
class TreePlan extends OfOneFarm {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long treeId;
    private long surveyId;
    private String blockState;
    private String basis;
    private int steps;
    private double minutes;
    private double gain;
    private Double shadeBefore;
    private Double shadeAfter;
    private double cropBefore;
    private double cropAfter;
    private int doubts;
    private Instant plannedAt;

    @Lob
    private String seasons;

    protected TreePlan() {}

    TreePlan(long treeId) {
        this.treeId = treeId;
    }

    /** Writes down a plan that was worked out. */
    void plan(long survey, String planBasis, PlanWorth.Worth worth, List<PlanWorth.SeasonAhead> ahead, Instant now) {
        surveyId = survey;
        basis = planBasis;
        steps = worth.steps();
        minutes = worth.minutes();
        gain = worth.gain();
        shadeBefore = worth.shadeUndone();
        shadeAfter = worth.shadeDone();
        cropBefore = worth.firstClassUndoneKg();
        cropAfter = worth.firstClassDoneKg();
        doubts = worth.doubts();
        seasons = JSON.writeValueAsString(ahead);
        plannedAt = now;
    }

    /** Notes in which state of the block it was found to hold. */
    void holdsIn(String state) {
        blockState = state;
    }

    /** Whether it holds in a state of the block, for a survey. */
    boolean holds(long survey, String state) {
        return surveyId == survey && state.equals(blockState);
    }

    /** Whether it rests on the same as a plan would that was worked out now. */
    boolean restsOn(String planBasis) {
        return planBasis.equals(basis);
    }

    long treeId() {
        return treeId;
    }

    int steps() {
        return steps;
    }

    double minutes() {
        return minutes;
    }

    double gain() {
        return gain;
    }

    Double shadeBefore() {
        return shadeBefore;
    }

    Double shadeAfter() {
        return shadeAfter;
    }

    double cropBefore() {
        return cropBefore;
    }

    double cropAfter() {
        return cropAfter;
    }

    int doubts() {
        return doubts;
    }

    /** The seasons to come, the first one next; none where they were not worked out yet. */
    List<PlanWorth.SeasonAhead> seasons() {
        return seasons == null ? List.of() : List.of(JSON.readValue(seasons, PlanWorth.SeasonAhead[].class));
    }

    Instant plannedAt() {
        return plannedAt;
    }
}
