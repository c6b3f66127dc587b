package umbel.plan;

import java.util.List;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.reading.Rule;
import umbel.reading.Stage;
import umbel.text.Statement;
import umbel.wood.Tree;

/**
 * One step of a plan.
 *
 * @param order place in the plan, from 1
 * @param year winters from now; 0 is this visit
 * @param on the tree it is made on: as found, or as it is expected in that winter
 * @param rules rules whose findings it answers, the one it was chosen for first
 * @param reason why, as the finding says it
 * @param gain what it adds to the tree's worth, beside all other steps
 * @param confidence how sure the step is, 0…1
 * @param closeCall whether the alternative is nearly as good
 * @param alternative the next best answer to the same finding; leaving it alone when nothing else came near
 * @param alternativeGain what the alternative would add
 * @param settled whether it stands outside the weighing: suckers and unsound wood
 */
public record Step(
        int order,
        int year,
        Tree on,
        Operation operation,
        Stage stage,
        List<Rule> rules,
        List<Statement> reason,
        Effect effect,
        double gain,
        double confidence,
        boolean closeCall,
        Operation alternative,
        double alternativeGain,
        boolean settled) {

    public Step {
        rules = List.copyOf(rules);
    }

    /** The same step at its place in the order, with what it does once the steps before it are done. */
    Step at(int newOrder, Effect inOrder) {
        return new Step(
                newOrder,
                year,
                on,
                operation,
                stage,
                rules,
                reason,
                inOrder,
                gain,
                confidence,
                closeCall,
                alternative,
                alternativeGain,
                settled);
    }
}
