package umbel.cut;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What can be done to a limb; the words are those of the open format. */
public enum OperationKind {
    /** The whole limb, or group of shoots, at its origin, collar kept. */
    REMOVE,
    /** The whole limb by a sloped cut that leaves the underside long, for a new flat shoot from beneath. */
    RENEW_BEVEL,
    /** A limb back to a side branch. */
    REDUCE,
    /** The leader back to a weak side branch. */
    LOWER_LEADER,
    /** A limb cut into two-year or older wood. */
    SHORTEN,
    /** A one-year shoot cut by more than a quarter. */
    HEAD,
    /** A one-year shoot cut by up to a quarter. */
    TIP,
    /** A limb brought to another angle. */
    BEND,
    /** A soft or small shoot taken by hand. */
    RUB,
    /** A limb cut to a stub with dormant buds, for new shoots to choose one of. */
    RENEW_STUB,
    /** Each shoot of a group cut to a few buds, for spurs at its foot. */
    SHORT_SPUR,
    /** Part of a limb's spurs out, the young and well lit ones left. */
    THIN_SPURS,
    /** Flowers off a limb and all that grows from it; off the trunk: off the whole tree. */
    DEFLOWER,
    /** Left as it is, on purpose. */
    KEEP,
    /** Left for now, to be looked at again. */
    WATCH;

    /** The kind the open format writes as {@code word}, if there is one. */
    public static Optional<OperationKind> of(String word) {
        for (OperationKind kind : values()) {
            if (kind.word().equals(word)) {
                return Optional.of(kind);
            }
        }
        return Optional.empty();
    }

    /** The word of the open format. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether the whole target goes. */
    public boolean takesAll() {
        return this == REMOVE || this == RENEW_BEVEL || this == RUB || this == THIN_SPURS;
    }

    /**
     * Whether both may be done to one limb in one visit: a bend of what a cut partway leaves, or flowers taken off beside
     * anything else.
     */
    public boolean goesWith(OperationKind other) {
        if (this == DEFLOWER || other == DEFLOWER) {
            return this != other;
        }
        return (this == BEND) != (other == BEND) && !takesAll() && !other.takesAll();
    }

    /** By the word of each kind, the words of those that may be done to the same limb in the same visit. */
    public static Map<String, List<String>> together() {
        Map<String, List<String>> together = new TreeMap<>();
        for (OperationKind kind : values()) {
            together.put(
                    kind.word(),
                    Arrays.stream(values())
                            .filter(kind::goesWith)
                            .map(OperationKind::word)
                            .toList());
        }
        return together;
    }

    /** Whether wood is cut at all. */
    public boolean cuts() {
        return changesTheTree() && this != BEND && this != DEFLOWER;
    }

    /** Whether anything is done; keeping and watching only say what is not. */
    public boolean changesTheTree() {
        return this != KEEP && this != WATCH;
    }

    /** Whether the cut breaks the tip's control and wakes the buds below it. */
    public boolean isHeading() {
        return this == HEAD || this == TIP || this == SHORTEN || this == SHORT_SPUR;
    }
}
