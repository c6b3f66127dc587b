package umbel.reading;

/** The order of work at one tree; findings and steps are taken in this order. */
public enum Stage {
    SUCKERS,
    UNSOUND,
    FRAME,
    UPRIGHTS,
    RENEWAL,
    DETAIL,
    TRAIN,
    CROP
}
