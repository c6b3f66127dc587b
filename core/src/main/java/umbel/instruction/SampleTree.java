package umbel.instruction;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
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
        Map<String, String> own = fates(planned);
        Map<String, String> other = fates(visit);
        Set<String> limbs = new HashSet<>(own.keySet());
        limbs.addAll(other.keySet());
        return (int) limbs.stream()
                .filter(limb -> !own.getOrDefault(limb, "").equals(other.getOrDefault(limb, "")))
                .count();
    }

    /** What becomes of each limb, in words that a crew would use. */
    private static Map<String, String> fates(List<Operation> visit) {
        Map<String, String> fates = new HashMap<>();
        for (Operation one : visit) {
            if (one.target().isLimb()) {
                OperationKind kind = one.kind();
                boolean off = kind.takesAll() || kind == OperationKind.RENEW_STUB || kind == OperationKind.RENEW_BEVEL;
                fates.put(one.onLimb(), off ? "off" : kind == OperationKind.BEND ? "bent" : "shorter");
            }
        }
        return fates;
    }
}
