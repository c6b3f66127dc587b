package umbel.app.planting;

import java.util.List;
import org.springframework.stereotype.Service;
import umbel.app.plan.PlanWorth;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.wood.Units;

/**
 * How long pruning takes by the program's own plans, on the holding's surveyed trees of a kind and system: typical trees are shaped
 * as their system asks and leave a plan next to nothing to do.
 */
@Service
class PruningByPlans {

    /** Trees that are planned for it: one takes up to a second. */
    private static final int MOST_TREES = 3;

    private final SurveyRepository surveys;
    private final PlanWorth plans;

    PruningByPlans(SurveyRepository surveys, PlanWorth plans) {
        this.surveys = surveys;
        this.plans = plans;
    }

    /**
     * Minutes a tree by the recommended plans of surveyed trees.
     *
     * @param trees that were planned; 0 where none of the kind and system is surveyed
     * @param minutes the mean of them; null where there is none
     */
    record PlannedPruning(int trees, Double minutes) {}

    PlannedPruning of(String species, String system) {
        List<SurveyEntry> trees = surveys.findNewestOfKind(species, system, MOST_TREES).stream()
                .filter(survey -> !survey.isCounted())
                .toList();
        return new PlannedPruning(
                trees.size(),
                trees.isEmpty()
                        ? null
                        : Double.valueOf(Units.round(
                                trees.stream()
                                        .mapToDouble(survey -> plans.of(survey).minutes())
                                        .average()
                                        .orElse(0),
                                1)));
    }
}
