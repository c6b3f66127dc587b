package umbel.wood;

/** Kinds of axis, by what they are in the tree's frame. */
public enum AxisKind {
    TRUNK,
    LIMB,
    LATERAL,
    /**
     * A side branch that nobody measured, with the spurs and shoots on it kept as sums: what a bearing limb carries between the
     * wood that was measured and counted. It is never the object of a finding or of a cut of its own.
     */
    FRUITING_LATERAL,
    SHOOT,
    SPUR;

    /** One-year shoots and spurs: the wood that bears leaves and is counted, not measured. */
    public boolean isSmallWood() {
        return this == SHOOT || this == SPUR;
    }
}
