package umbel.plant;

/** A plant of which canes, nodes or buds are counted instead of limbs measured: a bush, a stretch of a cane row, a vine. */
public non-sealed interface CountedPlant extends Plant {}
