package umbel.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import umbel.drawing.RowSvg;
import umbel.knowledge.Knowledge;
import umbel.knowledge.TrainingSystem;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** A tree of a training system in the years in which it is formed, all drawn at one scale. */
public final class FirstYears {

    private static final int MOST = 5;
    private static final long SEED = 7;
    private static final double BESIDE = 0.15;
    private static final double HEADROOM = 1.06;

    private FirstYears() {}

    /**
     * The tree in one leaf.
     *
     * @param top metres
     * @param drawing as SVG, seen across the row
     */
    public record InLeaf(int leaf, double top, String drawing) {}

    /** The leaves in which the system asks for something, and the one in which its tree is full; no more than five. */
    public static List<InLeaf> of(TrainingSystem system, Knowledge knowledge) {
        List<Integer> leaves = leaves(system);
        List<Tree> trees = leaves.stream()
                .map(leaf -> TreeBuilder.build(PracticeTree.survey(system.id(), leaf, SEED), knowledge, 1))
                .toList();
        double reach = knowledge.parameters().reach();
        double top = trees.stream().mapToDouble(Tree::top).max().orElse(reach);
        double half = trees.stream()
                .flatMap(tree -> tree.axes().stream())
                .mapToDouble(axis -> {
                    var tip = axis.course().at(axis.length());
                    return Math.hypot(tip.x(), tip.y());
                })
                .max()
                .orElse(1);
        List<InLeaf> drawn = new ArrayList<>();
        for (int i = 0; i < trees.size(); i++) {
            drawn.add(new InLeaf(
                    leaves.get(i),
                    trees.get(i).top(),
                    RowSvg.drawAlone(trees.get(i), reach, half * (1 + BESIDE), Math.max(top, reach) * HEADROOM)));
        }
        return drawn;
    }

    static List<Integer> leaves(TrainingSystem system) {
        TreeSet<Integer> asked = new TreeSet<>();
        system.steps().stream()
                .map(step -> step.leaf())
                .filter(leaf -> leaf > 0)
                .forEach(asked::add);
        asked.add(Math.max(1, system.shape().fullAtLeaf()));
        List<Integer> leaves = new ArrayList<>(asked);
        while (leaves.size() > MOST) {
            leaves.remove(leaves.size() - 2);
        }
        return leaves;
    }
}
