package umbel.judged;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import umbel.assess.Assessment;

/**
 * Eight trees on which experienced people would differ, planned under two schools each; run to print the table of
 * docs/model/plan.md.
 */
final class TwoSchools {

    private static final List<String> TREES = List.of(
            "apple-central-25-neglected",
            "pear-old-40",
            "apple-vase-14-sprouted",
            "apple-spindle-7-top-heavy",
            "peach-12-old",
            "plum-european-20-hanging",
            "cherry-6-whorl",
            "citrus-15-skirt");
    private static final Set<String> OTHERS = Set.of("apple-spindle-7-top-heavy");

    private TwoSchools() {}

    public static void main(String[] args) {
        System.out.println(
                "| tree | school | small wood | cuts | minutes | under fruit light | crop this year | sprouts"
                        + " | whole limbs this winter |");
        System.out.println("|---|---|---|---|---|---|---|---|---|");
        for (JudgedTree tree : JudgedTree.all()) {
            if (TREES.contains(tree.id())) {
                String other = OTHERS.contains(tree.id()) ? "intensive-wall" : "gentle";
                row(tree, "classic");
                row(tree, other);
            }
        }
    }

    private static void row(JudgedTree tree, String school) {
        Assessment.PlanAnswer plan = tree.under(school).recommended();
        Assessment.TotalsAnswer totals = plan.totals();
        String whole = plan.steps().stream()
                .filter(step -> step.year() == 0 && !step.limb().contains("/"))
                .filter(step -> !Set.of("keep", "watch", "bend", "deflower").contains(step.operation()))
                .map(step -> step.limb() + " " + step.operation())
                .collect(Collectors.joining(", "));
        System.out.printf(
                "| %s | %s | %.0f%% | %d | %.0f | %.0f%% | %.0f%% | %.0f | %s |%n",
                tree.id(),
                school,
                100 * totals.woodShare(),
                totals.cuts(),
                totals.minutes(),
                100 * totals.lightAfter().underFruitLight(),
                100 * totals.cropThisYear(),
                totals.newSprouts(),
                whole);
    }
}
