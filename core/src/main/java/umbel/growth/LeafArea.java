package umbel.growth;

import java.util.Arrays;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Tree;

/**
 * The leaf that each place of a tree carries beyond it, m²: the pipes that lead there (pipe model of Shinozaki and others,
 * 1964). Dead wood and rootstock shoots carry nothing that counts for the tree.
 */
final class LeafArea {

    private final Tree tree;
    private final double[] total;
    private final int[] firstChild;
    private final int[] children;
    private final double[] beyondChild;

    LeafArea(Tree tree) {
        this.tree = tree;
        int count = tree.axes().size();
        total = new double[count];
        firstChild = new int[count + 1];
        children = new int[Math.max(0, count - 1)];
        beyondChild = new double[children.length];
        sortChildren(count);
        for (int a = count - 1; a >= 0; a--) {
            Axis axis = tree.axis(a);
            if (!grows(axis)) {
                continue;
            }
            double sum = 0;
            for (int c = firstChild[a + 1] - 1; c >= firstChild[a]; c--) {
                sum += total[children[c]];
                beyondChild[c] = sum;
            }
            total[a] = sum + axis.leafArea();
        }
    }

    private void sortChildren(int count) {
        for (int a = 1; a < count; a++) {
            firstChild[tree.axis(a).parent() + 1]++;
        }
        for (int a = 0; a < count; a++) {
            firstChild[a + 1] += firstChild[a];
        }
        int[] next = Arrays.copyOf(firstChild, count);
        for (int a = 1; a < count; a++) {
            Axis axis = tree.axis(a);
            int first = firstChild[axis.parent()];
            int place = next[axis.parent()]++;
            while (place > first && tree.axis(children[place - 1]).at() > axis.at()) {
                children[place] = children[place - 1];
                place--;
            }
            children[place] = a;
        }
    }

    /** Whether an axis takes part in the tree's growth. */
    static boolean grows(Axis axis) {
        return axis.role() != Role.SUCKER && !axis.is(Condition.DEAD);
    }

    /** Leaf an axis carries in all, m². */
    double of(int axis) {
        return total[axis];
    }

    /** Leaf of the whole tree, m². */
    double all() {
        return total[0];
    }

    /** Leaf carried beyond a place on an axis, m². */
    double beyond(int a, double from) {
        Axis axis = tree.axis(a);
        double own = axis.leafArea() <= 0 ? 0 : axis.leafArea() * axis.shareBeyond(from);
        if (axis.kind() == AxisKind.SPUR) {
            return axis.leafArea();
        }
        int low = firstChild[a];
        int high = firstChild[a + 1];
        int end = high;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (tree.axis(children[middle]).at() >= from) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low < end ? own + beyondChild[low] : own;
    }

    /** Number of axes that leave an axis. */
    int childCount(int a) {
        return firstChild[a + 1] - firstChild[a];
    }

    /** An axis that leaves axis {@code a}, by its place from the origin outward. */
    int child(int a, int n) {
        return children[firstChild[a] + n];
    }
}
