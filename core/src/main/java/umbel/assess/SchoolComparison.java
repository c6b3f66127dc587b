package umbel.assess;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import umbel.cut.OperationKind;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.plan.Limits;
import umbel.plan.Plan;
import umbel.plan.Step;
import umbel.reading.Finding;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;

/** The recommended plans of two schools for one tree: which cuts differ, and because of which setting. */
public final class SchoolComparison {

    private SchoolComparison() {}

    /**
     * One school's view of the tree.
     *
     * @param findings as this school judges it
     * @param plan its recommended plan
     */
    public record View(School school, Limits limits, List<Finding> findings, Plan plan) {}

    /**
     * What two schools do otherwise to one limb.
     *
     * @param mine what the first does; null when it leaves the limb
     * @param other what the second does; null when it leaves it
     * @param line the school's line that makes the difference; null where it comes of other cuts
     * @param because in words
     */
    public record Difference(String limb, String mine, String other, String line, String because) {}

    /** Where two schools' plans for this visit differ, in the order of the first one's work. */
    public static List<Difference> of(Tree tree, View mine, View other, Speech speech) {
        Set<String> limbs = new LinkedHashSet<>();
        steps(mine).forEach(step -> limbs.add(step.operation().target().path()));
        steps(other).forEach(step -> limbs.add(step.operation().target().path()));
        List<Difference> differences = new ArrayList<>();
        for (String limb : limbs) {
            Optional<Step> here = on(mine, limb);
            Optional<Step> there = on(other, limb);
            boolean same = here.isPresent()
                    && there.isPresent()
                    && here.get().operation().kind() == there.get().operation().kind();
            if (!same) {
                differences.add(difference(tree, limb, mine, here, other, there, speech));
            }
        }
        return differences;
    }

    private static List<Step> steps(View view) {
        return view.plan().steps().stream().filter(step -> step.year() == 0).toList();
    }

    private static Optional<Step> on(View view, String limb) {
        return steps(view).stream()
                .filter(step -> step.operation().target().path().equals(limb))
                .findFirst();
    }

    private static Difference difference(
            Tree tree, String limb, View mine, Optional<Step> here, View other, Optional<Step> there, Speech speech) {
        String line = byFinding(limb, mine, here, other)
                .or(() -> byFinding(limb, other, there, mine))
                .or(() -> byKind(here, there))
                .or(() -> byLimits(mine, other))
                .orElse(null);
        return new Difference(
                limb,
                here.map(step -> speech.say(StepText.titleOf(tree, step.operation())))
                        .orElse(null),
                there.map(step -> speech.say(StepText.titleOf(tree, step.operation())))
                        .orElse(null),
                line,
                speech.say(because(line, mine, other)));
    }

    /** A finding one school makes on the limb and the other does not: the line it was judged by. */
    private static Optional<String> byFinding(String limb, View has, Optional<Step> step, View lacks) {
        if (step.isEmpty()) {
            return Optional.empty();
        }
        return has.findings().stream()
                .filter(finding -> step.get().rules().contains(finding.rule()))
                .filter(finding -> finding.judgedBy().startsWith("school."))
                .filter(finding -> lacks.findings().stream()
                        .noneMatch(one -> one.rule().equals(finding.rule())
                                && (one.targets().isEmpty() || one.paths().contains(limb))))
                .map(finding -> finding.judgedBy().substring("school.".length()))
                .findFirst();
    }

    private static Optional<String> byKind(Optional<Step> here, Optional<Step> there) {
        boolean bends = here.filter(SchoolComparison::bends).isPresent()
                != there.filter(SchoolComparison::bends).isPresent();
        return bends && here.isPresent() && there.isPresent() ? Optional.of("bendBeforeCut") : Optional.empty();
    }

    private static boolean bends(Step step) {
        return step.operation().kind() == OperationKind.BEND;
    }

    private static Optional<String> byLimits(View mine, View other) {
        if (Math.abs(mine.limits().woodShare() - other.limits().woodShare()) > 1e-9) {
            return Optional.of("woodShareFactor");
        }
        return mine.limits().bigCuts() != other.limits().bigCuts() ? Optional.of("bigCutsFactor") : Optional.empty();
    }

    private static Statement because(String line, View mine, View other) {
        if (line == null) {
            return Statement.of("schools.by-others");
        }
        if (line.equals("woodShareFactor")) {
            return Statement.of("schools.wood")
                    .with("here", Value.share(mine.limits().woodShare()))
                    .with("there", Value.share(other.limits().woodShare()));
        }
        if (line.equals("bigCutsFactor")) {
            return Statement.of("schools.big")
                    .with("here", Value.number(mine.limits().bigCuts(), 0))
                    .with("there", Value.number(other.limits().bigCuts(), 0));
        }
        return Statement.of("schools.line")
                .with("line", new Value.Words(line))
                .with(
                        "here",
                        ThresholdSources.plain(SchoolLines.of(mine.school()).get(line)))
                .with(
                        "there",
                        ThresholdSources.plain(SchoolLines.of(other.school()).get(line)));
    }
}
