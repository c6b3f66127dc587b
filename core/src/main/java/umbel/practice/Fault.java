package umbel.practice;

/** A fault that can be built into a practice tree; each is what one reading rule looks for. */
public enum Fault {
    DEAD_LIMB,
    BROKEN_LIMB,
    CANKER,
    SUCKERS,
    RIVAL_LEADER,
    THICK_LIMB,
    TIGHT_CROTCH,
    CROWDED_ORIGIN,
    STACKED_LIMBS,
    CROSSING_LIMBS,
    INWARD_LIMB,
    WATER_SPROUTS,
    HANGERS,
    TOO_TALL,
    THICKET,
    BARE_SIDE,
    LOST_CONE,
    OUT_OF_BOX,
    NOT_FILLED,
    LOP_SIDED,
    OLD_SPURS,
    MOVED_OUT,
    RANK_GROWTH,
    WEAK_GROWTH,
    HEAVY_BLOOM,
    FEW_BUDS,
    LOW_LIMB
}
