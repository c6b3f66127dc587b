package umbel.judged;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import umbel.assess.Assessment.StepAnswer;

/**
 * How far decisions hold when the same trees are measured again with the errors of a tape and a protractor; run to print the
 * figures of docs/model/plan.md, with the number of redraws a tree as argument.
 */
final class MeasuredAgain {

    private static final Set<String> WHOLE = Set.of("remove", "renew-bevel", "renew-stub");

    /**
     * One tree measured again.
     *
     * @param now whole limbs that go this winter in one plan and not in the other
     * @param later the same of intentions for later winters
     */
    record Redraw(String tree, Set<String> now, Set<String> later) {}

    private MeasuredAgain() {}

    static List<Redraw> of(JudgedTree tree, int redraws) {
        List<StepAnswer> first = tree.recommended().steps();
        return IntStream.range(0, redraws)
                .mapToObj(seed -> {
                    List<StepAnswer> again =
                            tree.measuredAgain(seed).recommended().steps();
                    return new Redraw(
                            tree.id(),
                            difference(first, again, step -> step.year() == 0 && WHOLE.contains(step.operation())),
                            difference(first, again, step -> step.year() > 0));
                })
                .toList();
    }

    private static Set<String> difference(List<StepAnswer> one, List<StepAnswer> other, Predicate<StepAnswer> counted) {
        Set<String> either = limbs(one, counted);
        Set<String> both = limbs(other, counted);
        Set<String> apart = new TreeSet<>(either);
        apart.removeAll(both);
        both.removeAll(either);
        apart.addAll(both);
        return apart;
    }

    /** Limbs surveyed one by one; shoots of a limb are detail. */
    private static Set<String> limbs(List<StepAnswer> steps, Predicate<StepAnswer> counted) {
        return steps.stream()
                .filter(counted)
                .map(StepAnswer::limb)
                .filter(limb -> !limb.contains("/"))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    static double share(List<Redraw> redraws, Predicate<Redraw> unchanged) {
        return (double) redraws.stream().filter(unchanged).count() / redraws.size();
    }

    public static void main(String[] args) {
        int count = args.length == 0 ? 5 : Integer.parseInt(args[0]);
        List<Redraw> redraws = JudgedTree.all().parallelStream()
                .flatMap(tree -> of(tree, count).stream())
                .toList();
        System.out.printf(
                "%d redraws: whole limbs of this winter the same in %.3f, intentions in %.3f%n",
                redraws.size(),
                share(redraws, one -> one.now().isEmpty()),
                share(redraws, one -> one.later().isEmpty()));
        redraws.stream()
                .filter(one -> !one.now().isEmpty() || !one.later().isEmpty())
                .forEach(one -> System.out.println(one.tree() + ": now " + one.now() + ", later " + one.later()));
    }
}
