package umbel.app.plan;

import org.springframework.stereotype.Component;
import umbel.app.survey.SurveyEntry;
import umbel.crop.CropReading;
import umbel.light.LightSummary;
import umbel.plan.Plan;
import umbel.plan.Step;

/** What the recommended plan of a surveyed tree is worth, and so what leaving it undone would cost. */
@Component
public class PlanWorth {

    private final PlanService plans;

    PlanWorth(PlanService plans) {
        this.plans = plans;
    }

    /**
     * The worth of a visit.
     *
     * @param gain of all its steps together, as the planner weighs light, crop, structure and health; 0 where there is nothing to do
     * @param minutes the visit takes
     * @param shadeUndone share of fruiting wood in shade as it stands, and after the visit
     * @param firstClassUndoneKg first-class fruit of the coming harvest as it stands, and after the visit
     */
    public record Worth(
            double gain,
            double minutes,
            double shadeUndone,
            double shadeDone,
            double firstClassUndoneKg,
            double firstClassDoneKg) {}

    /** Weighs the plan of a survey; up to a second. */
    public Worth of(SurveyEntry survey) {
        PlanService.Recommended recommended = plans.recommended(survey);
        Plan plan = recommended.plan();
        LightSummary before = recommended.light();
        CropReading crop = recommended.crop();
        return new Worth(
                plan.steps().stream()
                        .filter(step -> step.year() == 0)
                        .mapToDouble(Step::gain)
                        .sum(),
                plan.totals().minutes(),
                before.underFruitLight(),
                plan.totals().light().underFruitLight(),
                crop.firstClassFruits() * crop.fruitMass(),
                plan.totals().crop().firstClassFruits() * crop.fruitMass());
    }
}
