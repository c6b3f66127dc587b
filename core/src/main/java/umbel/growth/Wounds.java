package umbel.growth;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import umbel.cut.CutTree;
import umbel.wood.Axis;
import umbel.wood.AxisKind;

/** Where cuts left pipes without leaf, on the axes that stay. */
final class Wounds {

    private final Map<Integer, List<Wound>> byHost = new HashMap<>();

    /**
     * One wound.
     *
     * @param at distance from the host's origin, metres
     * @param diameter metres
     * @param orphaned leaf its pipes were made for, m²
     * @param whole whether a whole axis went, collar kept; else the host itself was cut through
     */
    record Wound(double at, double diameter, double orphaned, boolean whole, int key) {}

    Wounds(CutTree cut, LeafArea carried) {
        for (Axis axis : cut.found().axes()) {
            double kept = cut.kept(axis);
            boolean counts = cut.takenBy(axis) >= 0 && axis.kind() != AxisKind.SPUR && LeafArea.grows(axis);
            if (!counts) {
                continue;
            }
            int key = axis.id().hashCode();
            if (kept > 0) {
                put(
                        axis.index(),
                        new Wound(kept, axis.diameterAt(kept), carried.beyond(axis.index(), kept), false, key));
            } else if (cut.kept(cut.found().axis(axis.parent())) > axis.at()) {
                put(axis.parent(), new Wound(axis.at(), axis.baseDiameter(), carried.of(axis.index()), true, key));
            }
        }
    }

    private void put(int host, Wound wound) {
        byHost.computeIfAbsent(host, key -> new ArrayList<>()).add(wound);
    }

    /** Wounds on an axis of the tree as found. */
    List<Wound> on(int found) {
        return byHost.getOrDefault(found, List.of());
    }
}
