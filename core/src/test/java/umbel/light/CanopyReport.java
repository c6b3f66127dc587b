package umbel.light;

import java.util.List;
import java.util.Locale;
import umbel.crop.CropReading;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.wood.AxisKind;
import umbel.wood.FruitingWood;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Units;

/** Prints the canopies of well-made trees beside both oracles, as docs/model/canopy.md shows them. */
final class CanopyReport {

    private CanopyReport() {}

    record Case(String species, String system, int leaf) {
        Tree tree() {
            return TreeBuilder.build(PracticeTree.survey(species, system, leaf, 3), Knowledge.shipped(), 3);
        }
    }

    static final List<Case> CASES = List.of(
            new Case("apple", "tall-spindle", 2),
            new Case("apple", "tall-spindle", 3),
            new Case("apple", "tall-spindle", 4),
            new Case("apple", "tall-spindle", 6),
            new Case("apple", "vertical-axis", 4),
            new Case("apple", "vertical-axis", 7),
            new Case("apple", "vertical-axis", 10),
            new Case("apple", "central-leader", 2),
            new Case("apple", "central-leader", 8),
            new Case("apple", "central-leader", 15),
            new Case("apple", "central-leader", 22),
            new Case("pear", "central-leader", 12),
            new Case("plum-european", "open-centre", 10),
            new Case("peach", "open-centre", 3),
            new Case("peach", "open-centre", 6),
            new Case("peach", "open-centre", 10),
            new Case("apricot", "open-centre", 8),
            new Case("cherry-sweet", "slender-axe", 3),
            new Case("cherry-sweet", "slender-axe", 5),
            new Case("cherry-sweet", "slender-axe", 8),
            new Case("apple", "espalier", 4),
            new Case("apple", "espalier", 8),
            new Case("apple", "cordon", 6),
            new Case("citrus", "open-centre", 8),
            new Case("citrus", "hedge", 8),
            new Case("walnut", "central-leader", 15),
            new Case("pecan", "central-leader", 15));

    public static void main(String[] args) {
        System.out.println(
                "canopy                        A cm2  byA  leaf   /A   axes lats | LAI  Tf | catches JP even | leaf<30/50  JP  even | sites<30/50 mean | buds exp target leafFr t/ha");
        for (Case one : CASES) {
            Tree tree;
            try {
                tree = one.tree();
            } catch (RuntimeException e) {
                System.out.println(one + " " + e.getMessage());
                continue;
            }
            System.out.println(line(one.species() + " " + one.system() + " " + one.leaf(), tree));
        }
    }

    static String line(String name, Tree tree) {
        long start = System.nanoTime();
        LightReading light = LightModel.read(tree);
        double ms = (System.nanoTime() - start) / 1e6;
        CanopyOracle oracle = CanopyOracle.of(tree);
        CropReading crop = CropReading.of(tree, light, CropReading.target(tree));
        double section = Units.toCm2(tree.setting().trunkSection());
        double ground = tree.setting().place().ground();
        double fruits = Math.min(crop.expectedFruits(), crop.canFinish());
        return String.format(
                Locale.ROOT,
                "%-29s %5.0f %5.1f %5.1f %5.2f %5d %4d | %4.2f %.2f | %.2f %.2f %.2f | %2.0f/%2.0f %2.0f/%2.0f %2.0f/%2.0f | %2.0f/%2.0f %.2f | %5.0f %5.0f %5.0f %5.0f %4.1f  %.0f ms",
                name,
                section,
                tree.leafArea() < 0 ? 0 : FruitingWood.byTrunk(tree.setting()),
                tree.leafArea(),
                tree.leafArea() / section,
                tree.axes().size(),
                tree.axes().stream()
                        .filter(axis -> axis.kind() == AxisKind.FRUITING_LATERAL)
                        .count(),
                oracle.leaf(),
                oracle.through(),
                light.interception(),
                oracle.interception(),
                oracle.evenInterception(),
                100 * light.leaf().shareUnder(0.3),
                100 * light.leaf().shareUnder(0.5),
                100 * oracle.under(0.3),
                100 * oracle.under(0.5),
                100 * oracle.evenUnder30(),
                100 * oracle.evenUnder50(),
                100 * light.shareUnder(0.3),
                100 * light.shareUnder(0.5),
                light.mean(),
                crop.flowerBuds(),
                crop.expectedFruits(),
                crop.targetFruits(),
                crop.leafFruits(),
                fruits * tree.setting().cultivar().fruitMass() * 10 / ground,
                ms);
    }
}
