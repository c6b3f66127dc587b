package umbel.training;

import java.util.Locale;

/** What holds a limb at its new angle. */
public enum Device {
    /** A spring clip on a soft shoot. */
    CLIP,
    /** A notched stick between trunk and limb. */
    SPREADER,
    /** String down to a peg or anchor in the ground. */
    TIE_DOWN,
    /** String to the foot of the trunk, where the ground is too far. */
    TIE_TO_TRUNK,
    /** A tie to a wire of the trellis. */
    WIRE_TIE,
    /** A hanging weight. */
    WEIGHT,
    /** String up to the leader, for a limb that hangs. */
    TIE_UP;

    /** The word that travels. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether it is made of string. */
    public boolean isTie() {
        return this == TIE_DOWN || this == TIE_TO_TRUNK || this == WIRE_TIE || this == TIE_UP;
    }
}
