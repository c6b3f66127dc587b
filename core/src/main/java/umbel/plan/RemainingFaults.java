package umbel.plan;

import java.util.BitSet;
import java.util.List;
import java.util.Set;
import umbel.reading.Finding;

/**
 * Which of the faults a tree was found with still stand once some wood is off: a stacked limb is not stacked any more when
 * the one under it has gone, and is not to be cut for it.
 */
final class RemainingFaults {

    private static final Set<String> OF_TWO = Set.of("stacked-limbs", "crossing", "crowded-origin");
    private static final Set<String> OF_ONE =
            Set.of("tight-crotch", "limb-too-thick", "rival-leader", "inward", "hanger", "water-sprout", "will-drop");

    private final List<Finding> asked;

    /**
     * The faults that are asked about.
     *
     * @param asked as found on the untouched tree
     */
    RemainingFaults(List<Finding> asked) {
        this.asked = List.copyOf(asked);
    }

    /** Place of a finding among those asked about, whoever made it; -1 when it is none of them. */
    int indexOf(Finding finding) {
        for (int i = 0; i < asked.size(); i++) {
            Finding one = asked.get(i);
            if (one == finding
                    || one.rule().equals(finding.rule()) && one.limbs().equals(finding.limbs())) {
                return i;
            }
        }
        return -1;
    }

    /** The finding of a later look, as sure as it was found to be when it was asked about; else as it is. */
    Finding assured(Finding later) {
        int index = indexOf(later);
        return index < 0 ? later : later.withConfidence(asked.get(index).confidence());
    }

    /** Those that a later look at the tree still finds. */
    BitSet among(List<Finding> later) {
        BitSet standing = new BitSet(asked.size());
        for (int i = 0; i < asked.size(); i++) {
            Finding one = asked.get(i);
            standing.set(i, later.stream().anyMatch(other -> isSame(one, other)));
        }
        return standing;
    }

    private static boolean isSame(Finding one, Finding other) {
        if (!one.rule().equals(other.rule())) {
            return false;
        }
        if (OF_TWO.contains(one.rule())) {
            return other.limbs().containsAll(one.limbs());
        }
        // the rest are of the whole tree, and may name other limbs by then
        return !OF_ONE.contains(one.rule())
                || one.limbs().get(0).equals(other.limbs().get(0));
    }
}
