package umbel.cut;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What a visit makes of each limb, as coarsely as a crew would say it. */
public final class LimbFates {

    private LimbFates() {}

    /** What becomes of a limb. */
    public enum Fate {
        OFF,
        SHORTER,
        BENT,
        LEFT
    }

    /** The fate of every limb that operations touch; limbs they do not touch are left. */
    public static Map<String, Fate> of(List<Operation> visit) {
        Map<String, Fate> fates = new HashMap<>();
        for (Operation one : visit) {
            if (one.target().isLimb()) {
                OperationKind kind = one.kind();
                boolean off = kind.takesAll() || kind == OperationKind.RENEW_STUB || kind == OperationKind.RENEW_BEVEL;
                fates.put(one.onLimb(), off ? Fate.OFF : kind == OperationKind.BEND ? Fate.BENT : Fate.SHORTER);
            }
        }
        return fates;
    }

    /** How many of several visits to one tree give a limb each fate. */
    public static Map<Fate, Integer> count(String limb, List<Map<String, Fate>> visits) {
        Map<Fate, Integer> count = new EnumMap<>(Fate.class);
        visits.forEach(visit -> count.merge(visit.getOrDefault(limb, Fate.LEFT), 1, Integer::sum));
        return count;
    }
}
