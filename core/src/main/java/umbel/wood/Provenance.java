package umbel.wood;

/** How much of an axis somebody saw. */
public enum Provenance {
    /** Measured as drawn. */
    MEASURED,
    /** Counted on the tree; where each one stands is a seeded arrangement. */
    COUNTED,
    /** Neither measured nor counted: expected for the species. */
    ESTIMATED,
    /** Not there yet, or changed since: what the growth model expects. */
    FORECAST
}
