package umbel.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.cut.LimbFates;
import umbel.cut.Operation;
import umbel.knowledge.PracticeParameters;
import umbel.plan.Step;

/**
 * The steps of a plan that stand outside its weighing, with what each counts: dead and sick wood and suckers, which nobody disputes,
 * and with less the system's own yearly work.
 */
record SettledSteps(Map<Operation, Double> counts) {

    static SettledSteps of(List<Step> plan, PracticeParameters numbers) {
        Map<Operation, Double> counts = new LinkedHashMap<>();
        plan.stream()
                .filter(step -> step.settled() && step.operation().kind().changesTheTree())
                .forEach(step ->
                        counts.put(step.operation(), step.rules().isEmpty() ? numbers.routine() : numbers.settled()));
        return new SettledSteps(counts);
    }

    boolean isEmpty() {
        return counts.isEmpty();
    }

    /** All of them as a visit. */
    List<Operation> operations() {
        return List.copyOf(counts.keySet());
    }

    /** What they count together. */
    double total() {
        return counts.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** Share of them that an answer does; 0 where there are none. */
    double doneIn(List<Operation> answer) {
        if (isEmpty()) {
            return 0;
        }
        double done = counts.entrySet().stream()
                .filter(one -> isDone(one.getKey(), answer))
                .mapToDouble(Map.Entry::getValue)
                .sum();
        return done / total();
    }

    /** As planned, or by taking the limb whole. */
    private static boolean isDone(Operation step, List<Operation> answer) {
        return answer.contains(step)
                || step.target().isLimb() && LimbFates.of(answer).get(step.onLimb()) == LimbFates.Fate.OFF;
    }

    /** An answer with all of them done, in place of what it does to the same wood. */
    List<Operation> with(List<Operation> answer) {
        List<Operation> visit = new ArrayList<>(counts.keySet());
        answer.stream()
                .filter(one -> counts.keySet().stream().noneMatch(other -> Examination.excludes(other, one)))
                .forEach(visit::add);
        return visit;
    }
}
