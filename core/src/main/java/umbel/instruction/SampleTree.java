package umbel.instruction;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.cut.LimbFates;
import umbel.cut.Operation;
import umbel.plan.VisitWorth;

/**
 * A surveyed tree of the block, with what its own plan would do.
 *
 * @param name what the grower calls it
 * @param worth of visits to it
 * @param planned operations of its recommended plan for this visit
 */
public record SampleTree(String name, VisitWorth worth, List<Operation> planned) {

    public SampleTree {
        planned = planned.stream()
                .filter(operation -> operation.kind().changesTheTree())
                .toList();
    }

    /** What its own plan gains and takes. */
    VisitWorth.Visit plan() {
        return worth.of(planned);
    }

    /** How many limbs a visit decides otherwise than the tree's own plan: taken, shortened, bent or left. */
    int limbsOtherwise(List<Operation> visit) {
        Map<String, LimbFates.Fate> own = LimbFates.of(planned);
        Map<String, LimbFates.Fate> other = LimbFates.of(visit);
        Set<String> limbs = new HashSet<>(own.keySet());
        limbs.addAll(other.keySet());
        return (int) limbs.stream()
                .filter(limb ->
                        own.getOrDefault(limb, LimbFates.Fate.LEFT) != other.getOrDefault(limb, LimbFates.Fate.LEFT))
                .count();
    }
}
