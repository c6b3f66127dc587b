package umbel.plant;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import umbel.assess.Mark;
import umbel.crew.WorkKind;
import umbel.cut.Effect;
import umbel.work.Tool;

/**
 * A visit to a plant: what is done, one step after another, and what each takes and costs.
 *
 * @param lookMinutes minutes of standing back to look before anything is cut; 0 where nothing is done
 */
public record Visit(List<Step> steps, double lookMinutes) {

    public Visit {
        steps = List.copyOf(steps);
    }

    /** One step, with its effect after the steps before it. */
    public record Step(Mark mark, Effect effect) {}

    /** All minutes, looking among them. */
    public double minutes() {
        return lookMinutes
                + steps.stream().mapToDouble(step -> step.effect().minutes()).sum();
    }

    /** Minutes on a ladder. */
    public double ladderMinutes() {
        return steps.stream()
                .filter(step -> step.effect().ladder())
                .mapToDouble(step -> step.effect().minutes())
                .sum();
    }

    /** Minutes with a saw. */
    public double sawMinutes() {
        return steps.stream()
                .filter(step -> step.effect().tool() == Tool.SAW)
                .mapToDouble(step -> step.effect().minutes())
                .sum();
    }

    /** Minutes by who may do the work; looking counts as detail. Empty where nothing is done. */
    public Map<WorkKind, Double> minutesByKind() {
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        for (Step step : steps) {
            WorkKind kind = step.effect().tool() == Tool.SAW
                    ? WorkKind.SAW
                    : step.effect().ladder() ? WorkKind.LADDER : WorkKind.DETAIL;
            minutes.merge(kind, step.effect().minutes(), Double::sum);
        }
        if (!steps.isEmpty()) {
            minutes.merge(WorkKind.DETAIL, lookMinutes, Double::sum);
        }
        return minutes;
    }
}
