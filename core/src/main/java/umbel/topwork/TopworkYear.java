package umbel.topwork;

import java.util.List;
import umbel.text.Statement;

/**
 * One season of a stump grafted anew.
 *
 * @param year seasons since the cut, 0 for the one after it
 * @param work what is done in it, in order
 * @param topworkedKg crop of the grafted tree, kg
 * @param keptKg crop if the tree stays as it is, kg
 * @param replantedKg crop of a tree planted in its place instead, kg
 */
public record TopworkYear(int year, List<Statement> work, double topworkedKg, double keptKg, double replantedKg) {

    public TopworkYear {
        work = List.copyOf(work);
    }
}
