package umbel.planting;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import umbel.compute.Cancellation;
import umbel.crop.CropReading;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/**
 * A typical tree of an option in its row, grown leaf by leaf: what light it catches, what it bears and how good that is, how high it
 * is. Read by the same light and crop as surveyed trees are.
 */
public final class GrownTrees {

    /**
     * A tree in one leaf.
     *
     * @param interception share of the ground's light that the row catches, 0…1
     * @param set fruits that set
     * @param fruits of them, those the tree can finish
     * @param firstClass share of these that are well lit
     * @param height its top, metres
     * @param fruitMass of one, kg
     */
    public record InLeaf(
            double interception, double set, double fruits, double firstClass, double height, double fruitMass) {

        private static final InLeaf NOTHING = new InLeaf(0, 0, 0, 0, 0, 0);

        private InLeaf towards(InLeaf later, double share) {
            return new InLeaf(
                    between(interception, later.interception, share),
                    between(set, later.set, share),
                    between(fruits, later.fruits, share),
                    between(firstClass, later.firstClass, share),
                    between(height, later.height, share),
                    later.fruitMass);
        }

        private static double between(double from, double to, double share) {
            return from + share * (to - from);
        }
    }

    private final TreeMap<Integer, InLeaf> grown = new TreeMap<>();

    private GrownTrees() {}

    /** Grows the typical tree of an option; a second or two the first time. */
    public static GrownTrees of(
            PlantingRequest.Planting option,
            PlantingRequest.Distances spacing,
            double latitudeDeg,
            long seed,
            Knowledge knowledge) {
        GrownTrees trees = new GrownTrees();
        Species species = knowledge.species(option.species());
        Integer bears = species.growing().bearingLeaf().get(option.rootstockClass());
        for (int leaf : knowledge.planting().grownAtLeaf()) {
            Cancellation.check();
            InLeaf full = grow(option, spacing, latitudeDeg, leaf, seed, knowledge);
            boolean bearing = bears == null || leaf >= bears;
            trees.grown.put(
                    leaf, bearing ? full : new InLeaf(full.interception(), 0, 0, 0, full.height(), full.fruitMass()));
        }
        return trees;
    }

    /** The typical tree of an option in one leaf; a tenth of a second. */
    static InLeaf grow(
            PlantingRequest.Planting option,
            PlantingRequest.Distances spacing,
            double latitudeDeg,
            int leaf,
            long seed,
            Knowledge knowledge) {
        Tree tree = typical(option, spacing, latitudeDeg, leaf, seed, knowledge);
        LightReading light = LightModel.readCoarse(tree, 1);
        double target = CropReading.target(tree);
        CropReading crop = CropReading.of(tree, light, target);
        return new InLeaf(
                light.interception(),
                crop.expectedFruits(),
                Math.min(crop.expectedFruits(), target),
                crop.firstClassShare(),
                tree.top(),
                tree.setting().cultivar().fruitMass());
    }

    /**
     * The typical tree of an option in a leaf, as it stands in winter.
     *
     * @param leaf years since planting, from 1
     */
    public static Tree typical(
            PlantingRequest.Planting option,
            PlantingRequest.Distances spacing,
            double latitudeDeg,
            int leaf,
            long seed,
            Knowledge knowledge) {
        Survey typical = PracticeTree.survey(option.species(), option.system(), leaf, seed);
        Survey.TreeFacts facts = typical.tree();
        Survey placed = new Survey(
                typical.format(),
                new Survey.TreeFacts(
                        facts.label(),
                        facts.species(),
                        leaf,
                        facts.system(),
                        new Survey.Cultivar("", "standard", "moderate", option.vigour()),
                        new Survey.Rootstock("", option.rootstockClass()),
                        new Survey.Spacing(spacing.inRow(), spacing.betweenRows()),
                        facts.rowBearingDeg()),
                Survey.Site.level(latitudeDeg, 0.0),
                typical.surveyedOn(),
                typical.trunk(),
                typical.limbs());
        return TreeBuilder.build(placed, knowledge, 1);
    }

    /** The tree in a leaf; before the first it is nothing, after the last it stays. */
    public InLeaf in(int leaf) {
        if (leaf < 1) {
            return InLeaf.NOTHING;
        }
        Map.Entry<Integer, InLeaf> before = grown.floorEntry(leaf);
        Map.Entry<Integer, InLeaf> after = grown.ceilingEntry(leaf);
        if (after == null) {
            return before.getValue();
        }
        if (before == null || before.getKey().equals(after.getKey())) {
            return after.getValue();
        }
        double share = (double) (leaf - before.getKey()) / (after.getKey() - before.getKey());
        return before.getValue().towards(after.getValue(), share);
    }

    /** Leaves it was grown at. */
    List<Integer> leaves() {
        return List.copyOf(grown.keySet());
    }
}
