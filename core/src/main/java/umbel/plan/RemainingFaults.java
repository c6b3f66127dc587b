package umbel.plan;

import java.util.BitSet;
import java.util.List;
import umbel.reading.Finding;
import umbel.reading.Rules;

/**
 * Which of the faults a tree was found with still stand once some wood is off: a stacked limb is not stacked any more when
 * the one under it has gone, and is not to be cut for it.
 */
final class RemainingFaults {

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
            if (one == finding || one.rule() == finding.rule() && one.targets().equals(finding.targets())) {
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
            standing.set(i, later.stream().anyMatch(other -> Rules.isSame(one, other)));
        }
        return standing;
    }
}
