package umbel.counted;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import umbel.text.Statement;
import umbel.text.Value;

/** What plans for all forms of counted plants have in common. */
final class CountSteps {

    private CountSteps() {}

    /** A rule as what a step answers: alone where the plant shows it, else none. */
    static List<CountRule> answering(CountReading reading, CountRule rule) {
        boolean found = reading.findings().stream().anyMatch(finding -> finding.rule() == rule);
        return found ? List.of(rule) : List.of();
    }

    /**
     * The findings that steps leave.
     *
     * @param why the ground on which each is left; null where nothing is left of it
     */
    static List<CountPlan.Left> left(
            CountReading reading, List<CountStep> steps, Function<CountFinding, Statement> why) {
        Set<CountRule> answered = new HashSet<>();
        steps.forEach(step -> answered.addAll(step.rules()));
        return reading.findings().stream()
                .filter(finding -> !answered.contains(finding.rule()))
                .filter(finding -> why.apply(finding) != null)
                .map(finding -> new CountPlan.Left(finding, why.apply(finding)))
                .toList();
    }

    /** A ground for leaving a finding: nothing, season, unsure, gentler, none or later. */
    static Statement because(String why) {
        return Statement.of("count.left").with("why", Value.choice(why));
    }

    /** The operations of steps. */
    static List<CountOperation> operations(List<CountStep> steps) {
        return steps.stream().map(CountStep::operation).toList();
    }
}
