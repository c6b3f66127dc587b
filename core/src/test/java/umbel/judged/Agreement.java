package umbel.judged;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * How far the program agrees with practised decisions; run to print the table of docs/model/plan.md, with the misses named of
 * the parts given as arguments.
 */
final class Agreement {

    /** One decision and whether the program makes it. */
    record Made(JudgedTree tree, PractisedDecision decision, boolean agrees) {}

    /**
     * A step on a limb that a decision speaks of.
     *
     * @param confidence how sure the program says it is, 0…1
     * @param right whether every decision about that limb is made
     */
    record Sure(double confidence, boolean right) {}

    private static final double[] BINS = {0.4, 0.6, 0.7, 0.86, 1.01};

    private final List<Made> made = new ArrayList<>();
    private final List<Sure> sure = new ArrayList<>();

    Agreement(List<JudgedTree> trees) {
        for (JudgedTree tree : trees) {
            PractisedDecision.Answer answer = new PractisedDecision.Answer(tree.recommended(), tree);
            tree.decisions().forEach(one -> made.add(new Made(tree, one, one.holds(answer))));
            answer.steps().stream()
                    .filter(step -> step.year() == 0 && !step.limb().contains("/"))
                    .filter(step -> tree.decisions().stream().anyMatch(one -> one.speaksOf(step.limb())))
                    .forEach(step -> sure.add(new Sure(
                            step.confidence(),
                            tree.decisions().stream()
                                    .filter(one -> one.speaksOf(step.limb()))
                                    .allMatch(one -> one.holds(answer)))));
        }
    }

    private Agreement(Agreement other, Predicate<Made> counted) {
        other.made.stream().filter(counted).forEach(made::add);
    }

    Agreement only(Predicate<Made> counted) {
        return new Agreement(this, counted);
    }

    Agreement of(String part) {
        return only(one -> one.tree().part().equals(part));
    }

    /** All steps of this visit on limbs that decisions speak of. */
    List<Sure> steps() {
        return List.copyOf(sure);
    }

    List<Made> missed() {
        return made.stream().filter(one -> !one.agrees()).toList();
    }

    int decisions() {
        return made.size();
    }

    /** Share of the decisions that the program makes too, 0…1. */
    double share() {
        return (double) (made.size() - missed().size()) / made.size();
    }

    /** Share of the trees on which it makes all of them, 0…1. */
    double treesWhollyRight() {
        List<JudgedTree> trees = made.stream().map(Made::tree).distinct().toList();
        List<JudgedTree> wrong = missed().stream().map(Made::tree).distinct().toList();
        return (double) (trees.size() - wrong.size()) / trees.size();
    }

    public static void main(String[] args) {
        Agreement all = new Agreement(JudgedTree.all());
        System.out.println("| part | decisions | agree | whole limbs | demand action | trees wholly right |");
        System.out.println("|---|---|---|---|---|---|");
        for (String part : List.of("tuning", "held-out")) {
            Agreement one = all.of(part);
            System.out.printf(
                    "| %s | %d | %.2f | %.2f | %.2f | %.2f |%n",
                    part,
                    one.decisions(),
                    one.share(),
                    one.only(made -> made.decision().wholeLimb()).share(),
                    one.only(made -> made.decision().demandsAction()).share(),
                    one.treesWhollyRight());
        }
        System.out.println("| said to be sure | steps | right |");
        System.out.println("|---|---|---|");
        for (int i = 1; i < BINS.length; i++) {
            double from = BINS[i - 1];
            double to = BINS[i];
            List<Sure> bin = all.sure.stream()
                    .filter(one -> one.confidence() >= from && one.confidence() < to)
                    .toList();
            if (!bin.isEmpty()) {
                System.out.printf(
                        "| %.2f | %d | %.2f |%n",
                        bin.stream().mapToDouble(Sure::confidence).average().orElseThrow(),
                        bin.size(),
                        (double) bin.stream().filter(Sure::right).count() / bin.size());
            }
        }
        for (String part : args) {
            all.of(part)
                    .missed()
                    .forEach(one -> System.out.println(
                            part + " " + one.tree().id() + ": " + one.decision().text()));
        }
    }
}
