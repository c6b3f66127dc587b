package umbel.wood;

/** Kinds of axis, by what they are in the tree's frame. */
public enum AxisKind {
    TRUNK,
    LIMB,
    LATERAL,
    SHOOT,
    SPUR;

    /** One-year shoots and spurs: the wood that bears leaves and is counted, not measured. */
    public boolean isSmallWood() {
        return this == SHOOT || this == SPUR;
    }
}
