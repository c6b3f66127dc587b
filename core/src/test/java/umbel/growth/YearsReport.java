package umbel.growth;

import java.util.Collections;
import java.util.List;
import java.util.Locale;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Prints what becomes of well-made trees that are left alone, as docs/model/growth.md shows it. */
final class YearsReport {

    private YearsReport() {}

    record Case(String species, String system, int leaf) {
        Tree tree() {
            return TreeBuilder.build(PracticeTree.survey(species, system, leaf, 3), Knowledge.shipped(), 3);
        }
    }

    static final List<Case> CASES = List.of(
            new Case("apple", "tall-spindle", 4),
            new Case("apple", "tall-spindle", 6),
            new Case("apple", "vertical-axis", 7),
            new Case("apple", "central-leader", 15),
            new Case("apple", "central-leader", 22),
            new Case("pear", "central-leader", 12),
            new Case("plum-european", "open-centre", 10),
            new Case("peach", "open-centre", 6),
            new Case("cherry-sweet", "slender-axe", 8),
            new Case("citrus", "open-centre", 8),
            new Case("walnut", "central-leader", 15));

    public static void main(String[] args) {
        System.out.println(
                "tree                          leaf m2            | growth m | trunk mm | height m  | leader cm  | fruits | buds | under30 | catch");
        for (Case one : CASES) {
            Tree tree = one.tree();
            long t0 = System.nanoTime();
            TreeState start = InitialState.of(tree, 3);
            long t1 = System.nanoTime();
            List<Forecast.Figures> years = Forecast.middle(start, Collections.nCopies(3, Season.Work.NONE), 0.3);
            long t2 = System.nanoTime();
            StringBuilder line = new StringBuilder(
                    String.format(Locale.ROOT, "%-28s", one.species() + " " + one.system() + " " + one.leaf()));
            line.append(String.format(Locale.ROOT, " %5.1f:", tree.leafArea()));
            years.forEach(y ->
                    line.append(String.format(Locale.ROOT, " %5.1f", y.tree().leafArea())));
            line.append(String.format(Locale.ROOT, " | %4.0f:", growth(tree)));
            years.forEach(y -> line.append(String.format(Locale.ROOT, " %4.0f", growth(y.tree()))));
            line.append(
                    String.format(Locale.ROOT, " | %3.0f:", 1000 * tree.trunk().baseDiameter()));
            years.forEach(y -> line.append(
                    String.format(Locale.ROOT, " %3.0f", 1000 * y.tree().trunk().baseDiameter())));
            line.append(String.format(Locale.ROOT, " | %.1f:", tree.top()));
            years.forEach(y -> line.append(String.format(Locale.ROOT, " %.1f", y.height())));
            line.append(
                    String.format(Locale.ROOT, " | %2.0f:", 100 * tree.trunk().lastGrowth()));
            years.forEach(y -> line.append(
                    String.format(Locale.ROOT, " %2.0f", 100 * y.tree().trunk().lastGrowth())));
            line.append(" |");
            years.forEach(y -> line.append(String.format(Locale.ROOT, " %4.0f", y.fruits())));
            line.append(String.format(
                    Locale.ROOT,
                    " | %5.0f:",
                    tree.axes().stream().mapToDouble(Axis::flowerBuds).sum()));
            years.forEach(y -> line.append(String.format(Locale.ROOT, " %5.0f", y.flowerBuds())));
            line.append(" |");
            years.forEach(y -> line.append(String.format(Locale.ROOT, " %2.0f", 100 * y.underFruitLight())));
            line.append(" |");
            years.forEach(y -> line.append(String.format(Locale.ROOT, " .%02.0f", 100 * y.interception())));
            GrowthTraits traits = start.traits();
            line.append(String.format(
                    Locale.ROOT,
                    " | vig %.2f flow %.2f spur %.2f cl %.2f th %.2f | %d + %d ms",
                    traits.vigour(),
                    traits.flowering(),
                    traits.spurring(),
                    traits.clothing(),
                    traits.thickening(),
                    (t1 - t0) / 1_000_000,
                    (t2 - t1) / 1_000_000));
            System.out.println(line);
        }
    }

    private static double growth(Tree tree) {
        return tree.axes().stream()
                .filter(axis -> axis.lastGrowth() > 0)
                .mapToDouble(Axis::lastGrowth)
                .sum();
    }
}
