package umbel.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import umbel.compute.Cancellation;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.knowledge.PracticeParameters;
import umbel.plan.PlanRequest;
import umbel.plan.Step;
import umbel.plan.VisitWorth;
import umbel.reading.Finding;
import umbel.reading.Severity;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * Marks what somebody decided on a tree by what it does to the tree, on the scale from doing nothing to the program's own plan,
 * and not by its likeness to that plan. See docs/model/practice.md.
 */
public final class Examination {

    private final List<Finding> before;
    private final VisitWorth worth;
    private final List<Operation> planned;
    private final SettledSteps settled;
    private final PracticeParameters numbers;
    private final FindingsAfter findingsAfter;
    private final double weighedGain;
    private final double settledWeight;

    /** What a practised eye still sees after cuts. */
    @FunctionalInterface
    public interface FindingsAfter {

        /** The findings of the tree after cuts. */
        List<Finding> of(CutTree cut);
    }

    /**
     * What one step brings to the visit it is part of.
     *
     * @param gain what the mark would lack without it; negative where it harms
     * @param does whether that helps, matters hardly, or harms
     */
    public record Brought(Operation operation, double gain, Does does) {}

    /** What a step does. */
    public enum Does {
        HELPS,
        HARDLY_MATTERS,
        HARMS
    }

    /**
     * A marked answer.
     *
     * @param mark 1 for what the plan reaches, 0 for doing nothing; over 1 where it does better, negative where the tree is worse
     *     than before
     * @param withinLimits whether it takes no more than a visit may
     * @param steps what each step brings
     * @param cleared what was wrong and no longer is
     * @param left what was wrong and still is
     * @param brought what was not wrong before
     * @param missed steps of the program's plan that would bring most beside it, the best first
     * @param minutes of its work
     */
    public record Marked(
            double mark,
            boolean withinLimits,
            boolean passed,
            List<Brought> steps,
            List<Finding> cleared,
            List<Finding> left,
            List<Finding> brought,
            List<Brought> missed,
            double minutes) {

        /** The one thing to do better next time: the step that harms most, else the one most missed; null where neither is. */
        public Brought next() {
            return steps.stream()
                    .filter(one -> one.does() == Does.HARMS)
                    .min(Comparator.comparingDouble(Brought::gain))
                    .orElse(missed.isEmpty() ? null : missed.get(0));
        }
    }

    /**
     * An examination on one tree.
     *
     * @param plan the program's steps for this visit
     */
    public Examination(
            Tree found,
            TreeReader.Reading reading,
            PlanRequest request,
            List<Step> plan,
            FindingsAfter findingsAfter,
            PracticeParameters numbers) {
        this.before = counting(findingsAfter.of(CutTree.of(found, List.of())));
        this.planned = plan.stream()
                .map(Step::operation)
                .filter(one -> one.kind().changesTheTree())
                .toList();
        this.settled = SettledSteps.of(plan, numbers);
        this.worth = new VisitWorth(found, reading, request, settled.counts().keySet());
        this.numbers = numbers;
        this.findingsAfter = findingsAfter;
        this.weighedGain = worth.of(planned).gain() - settledGain();
        this.settledWeight = settled.isEmpty() ? 0 : isWeighed() ? Math.min(numbers.settledMost(), settled.total()) : 1;
    }

    /** What the settled steps alone gain. */
    private double settledGain() {
        return worth.of(settled.operations()).gain();
    }

    /** Whether the weighed steps of the plan gain enough to be a measure. */
    private boolean isWeighed() {
        return weighedGain >= numbers.leastGain();
    }

    /** Minutes that the plan takes. */
    public double plannedMinutes() {
        return worth.of(planned).minutes();
    }

    /** Whether there is anything to do. */
    public boolean needsAVisit() {
        return !settled.isEmpty() || isWeighed();
    }

    /** Marks an answer; some tenths of a second, on a full tree a second. */
    public Marked mark(List<Operation> answer) {
        List<Operation> done =
                answer.stream().filter(one -> one.kind().changesTheTree()).toList();
        weighTogether(done);
        double mark = markOf(done);
        boolean within = keepsToLimits(done);
        List<Finding> after = counting(findingsAfter.of(CutTree.of(worth.found(), done)));
        return new Marked(
                within ? mark : Math.min(mark, numbers.overLimit()),
                within,
                mark >= numbers.pass() && within,
                done.stream().map(step -> brought(done, step, mark)).toList(),
                without(before, after),
                without(before, without(before, after)),
                without(after, before),
                missed(done, mark),
                worth.of(done).minutes());
    }

    /**
     * Of what nobody disputes the share that was done, and of what is weighed the gain against that of the plan; the latter with
     * everything settled done, so that the two do not count twice. Harm counts in full, however little of the mark is weighed.
     */
    private double markOf(List<Operation> done) {
        double gain = worth.of(settled.with(done)).gain() - settledGain();
        double weighed =
                isWeighed() ? gain / weighedGain : Math.min(0, (gain - Math.min(0, weighedGain)) / numbers.leastGain());
        double share = weighed < 0 ? 1 : 1 - settledWeight;
        double nothingToDo = needsAVisit() ? 0 : 1;
        return nothingToDo + settledWeight * settled.doneIn(done) + share * weighed;
    }

    /** Whether an answer takes no more than a visit may, or than the plan itself where a grave fault lets that go further. */
    private boolean keepsToLimits(List<Operation> done) {
        if (worth.of(done).withinLimits()) {
            return true;
        }
        CutTree plan = CutTree.of(worth.found(), planned);
        CutTree own = CutTree.of(worth.found(), done);
        return !worth.of(planned).withinLimits()
                && own.woodShare() <= plan.woodShare() + 1e-9
                && worth.of(done).bigCuts() <= worth.of(planned).bigCuts();
    }

    /** Weighs what marking an answer asks for, on all processors. */
    private void weighTogether(List<Operation> done) {
        Stream<List<Operation>> without = done.stream().map(step -> without(done, step));
        Stream<List<Operation>> with =
                planned.stream().filter(step -> !done.contains(step)).map(step -> with(done, step));
        Stream.concat(without, with).map(settled::with).toList().parallelStream()
                .forEach(Cancellation.carriedAction(worth::of));
    }

    private static List<Operation> without(List<Operation> done, Operation step) {
        return done.stream().filter(other -> !other.equals(step)).toList();
    }

    /** Whether two operations cannot both be done. */
    static boolean excludes(Operation one, Operation other) {
        return one.target().equals(other.target()) && !one.kind().goesWith(other.kind());
    }

    /** With a step in place of what was done on the same wood. */
    private static List<Operation> with(List<Operation> done, Operation step) {
        List<Operation> with = new ArrayList<>();
        done.stream().filter(other -> !excludes(step, other)).forEach(with::add);
        with.add(step);
        return with;
    }

    private Brought brought(List<Operation> done, Operation step, double mark) {
        double gain = mark - markOf(without(done, step));
        return new Brought(step, gain, does(gain));
    }

    private Does does(double gain) {
        return gain > numbers.matters() ? Does.HELPS : gain < -numbers.matters() ? Does.HARMS : Does.HARDLY_MATTERS;
    }

    /** Steps of the plan that would add most to what was done. */
    private List<Brought> missed(List<Operation> done, double mark) {
        List<Brought> missed = new ArrayList<>();
        for (Operation step : planned) {
            double more = done.contains(step) ? 0 : markOf(with(done, step)) - mark;
            if (more > numbers.matters()) {
                missed.add(new Brought(step, more, Does.HELPS));
            }
        }
        return missed.stream()
                .sorted(Comparator.comparingDouble(Brought::gain).reversed())
                .limit(numbers.missedMost())
                .toList();
    }

    /** Findings that somebody would act on. */
    private static List<Finding> counting(List<Finding> findings) {
        return findings.stream().filter(one -> one.severity() != Severity.WATCH).toList();
    }

    /** Of some findings those that others do not repeat, by rule and wood. */
    private static List<Finding> without(List<Finding> some, List<Finding> others) {
        Set<String> known = new HashSet<>();
        others.forEach(one -> known.add(key(one)));
        return some.stream().filter(one -> !known.contains(key(one))).toList();
    }

    private static String key(Finding finding) {
        return finding.rule().id() + finding.paths().stream().sorted().toList();
    }
}
