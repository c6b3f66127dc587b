package umbel.light;

/** How closely the light in a tree is read. */
public enum LightResolution {
    /** The fine grid and many directions: for what is told of a tree that stands. */
    CLOSE,
    /** The coarse grid and few directions of the search: for trees that are only expected. */
    QUICK
}
