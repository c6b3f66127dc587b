package umbel.app.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import umbel.app.learning.LearningService;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.TreeReadings;
import umbel.counted.CountPlan;
import umbel.counted.CountStep;
import umbel.counted.Counted;
import umbel.crop.CropReading;
import umbel.growth.Forecast;
import umbel.growth.Moment;
import umbel.light.LightSummary;
import umbel.plan.Plan;
import umbel.plan.Planning;
import umbel.plan.Step;

/** What the recommended plan of a surveyed tree is worth, and so what leaving it undone would cost. */
@Component
public class PlanWorth {

    /** What was learned, counted and decided since changes a plan: it is weighed again after a while. */
    private static final Duration FRESH = Duration.ofHours(12);

    private static final int MOST_KEPT = 5_000;

    private final PlanService plans;
    private final TreeReadings readings;
    private final LearningService learning;
    private final Cache<Long, Worth> weighed =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(FRESH).build();

    PlanWorth(PlanService plans, TreeReadings readings, LearningService learning) {
        this.plans = plans;
        this.readings = readings;
        this.learning = learning;
    }

    /**
     * The worth of a visit.
     *
     * @param gain of all its steps together, as the planner weighs light, crop, structure and health; of a counted plant the share
     *     of its marketable crop of the next seasons, which weighs as much as the whole crop of a tree; 0 where there is nothing to do
     * @param minutes the visit takes
     * @param shadeUndone share of fruiting wood in shade as it stands, and after the visit; null on a counted plant
     * @param firstClassUndoneKg first-class fruit of the coming harvest as it stands, and after the visit; of a counted plant the
     *     marketable crop of a season, the mean of the next ones
     * @param steps of the visit
     * @param doubts measurements that would settle what the reading is not sure of
     */
    public record Worth(
            int steps,
            int doubts,
            double gain,
            double minutes,
            Double shadeUndone,
            Double shadeDone,
            double firstClassUndoneKg,
            double firstClassDoneKg) {}

    /**
     * A season after a visit.
     *
     * @param minutes of work before it, by the plan; null on a counted plant for all but the first
     * @param firstClassKg first-class fruit under the plan; of a counted plant marketable fruit
     * @param firstClassAloneKg the same, of the plant left alone
     * @param shade share of fruiting wood in shade after it, under the plan; null on a counted plant
     * @param shadeAlone the same, of the plant left alone
     */
    public record SeasonAhead(
            Double minutes, double firstClassKg, double firstClassAloneKg, Double shade, Double shadeAlone) {}

    /** Weighs the plan of a survey; up to a second, the first time. */
    public Worth of(SurveyEntry survey) {
        Worth before = weighed.getIfPresent(survey.id());
        if (before != null) {
            return before;
        }
        Worth worth = survey.isCounted() ? worth(countedPlans(survey)) : worth(plans.recommended(survey));
        weighed.put(survey.id(), worth);
        return worth;
    }

    /**
     * A plan weighed, with the plant grown on.
     *
     * @param ahead the seasons to come under the plan and left alone, the first one next
     */
    public record Planned(Worth worth, List<SeasonAhead> ahead) {}

    /** Weighs the plan of a survey by what is known of its block at this moment, and grows the plant on. */
    public Planned planned(SurveyEntry survey) {
        Planned planned;
        if (survey.isCounted()) {
            CountedPlans plans = countedPlans(survey);
            planned = new Planned(worth(plans), ahead(plans));
        } else {
            PlanService.GrownOn grown = plans.grownOn(survey);
            planned = new Planned(worth(grown.recommended()), ahead(grown));
        }
        weighed.put(survey.id(), planned.worth());
        return planned;
    }

    /** All that the plan of a survey depends on besides the program and its knowledge; the same text as long as the plan is the same. */
    public String basis(SurveyEntry survey) {
        return survey.isCounted()
                ? survey.id() + " "
                        + learning.counted(
                                survey.tree().block(),
                                readings.counted(survey).counted().kind().id())
                : plans.basis(survey);
    }

    /** What was weighed already. */
    public Optional<Worth> known(SurveyEntry survey) {
        return Optional.ofNullable(weighed.getIfPresent(survey.id()));
    }

    /** A counted plant with what to do about it, and nothing done. */
    private record CountedPlans(Counted plant, CountPlan plan, CountPlan nothing) {}

    private CountedPlans countedPlans(SurveyEntry survey) {
        Counted plant = learning.learning(survey).counted();
        return new CountedPlans(
                plant, plant.plan("recommended", Moment.DORMANT), plant.plan("nothing", Moment.DORMANT));
    }

    private static Worth worth(CountedPlans of) {
        return new Worth(
                of.plan().steps().size(),
                of.plant().reading().measureNext().size(),
                of.plan().shareAbove(of.nothing()),
                minutes(of.plan()),
                null,
                null,
                aSeason(of.nothing()),
                aSeason(of.plan()));
    }

    private static List<SeasonAhead> ahead(CountedPlans of) {
        List<SeasonAhead> ahead = new ArrayList<>();
        for (int i = 0; i < of.plan().seasons().size(); i++) {
            ahead.add(new SeasonAhead(
                    i == 0 ? minutes(of.plan()) : null,
                    of.plan().seasons().get(i).marketable(),
                    of.nothing().seasons().get(i).marketable(),
                    null,
                    null));
        }
        return ahead;
    }

    private static double minutes(CountPlan plan) {
        return plan.steps().stream().mapToDouble(CountStep::minutes).sum();
    }

    private static double aSeason(CountPlan plan) {
        return plan.seasons().stream()
                .mapToDouble(CountPlan.Season::marketable)
                .average()
                .orElse(0);
    }

    private static Worth worth(PlanService.Recommended recommended) {
        Plan plan = recommended.plan();
        LightSummary before = recommended.light();
        CropReading crop = recommended.crop();
        List<Step> steps =
                plan.steps().stream().filter(step -> step.year() == 0).toList();
        return new Worth(
                steps.size(),
                recommended.doubts(),
                steps.stream().mapToDouble(Step::gain).sum(),
                plan.totals().minutes(),
                before.underFruitLight(),
                plan.totals().light().underFruitLight(),
                crop.firstClassFruits() * crop.fruitMass(),
                plan.totals().crop().firstClassFruits() * crop.fruitMass());
    }

    private static List<SeasonAhead> ahead(PlanService.GrownOn grown) {
        double fruit = grown.recommended().crop().fruitMass();
        Planning.Course course = grown.course();
        List<SeasonAhead> ahead = new ArrayList<>();
        for (int i = 0; i < course.planned().size(); i++) {
            Forecast.Figures planned = course.planned().get(i);
            Forecast.Figures alone = course.alone().get(i);
            ahead.add(new SeasonAhead(
                    course.minutes().get(i),
                    planned.firstClass() * fruit,
                    alone.firstClass() * fruit,
                    planned.underFruitLight(),
                    alone.underFruitLight()));
        }
        return ahead;
    }
}
