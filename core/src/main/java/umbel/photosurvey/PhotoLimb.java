package umbel.photosurvey;

/**
 * A limb as measured in photographs, in SI units, with one sigma of each measure.
 *
 * @param first its name in the first picture; empty where only the second shows it
 * @param second its name in the second picture; empty where only the first shows it
 * @param parent number of the limb that bears it in the list of limbs; -1 for the trunk
 * @param at where it leaves what bears it: height above the ground on the trunk, else distance along the bearing limb, metres
 * @param bearing direction it heads to, radians from north
 * @param angle inclination at its base, radians from vertical up
 * @param tipAngle inclination at its tip
 * @param length along it, metres
 * @param residual how far its touches lie from where it is seen by the measures found, metres; 0 where one picture was enough
 * @param sure whether it is certain that both pictures mean the same limb
 */
public record PhotoLimb(
        String first,
        String second,
        int parent,
        double at,
        double bearing,
        double angle,
        double tipAngle,
        double length,
        Errors errors,
        double residual,
        boolean sure) {

    /** One sigma of each measure; the common error of the directions told for the pictures is not in it. */
    public record Errors(double at, double bearing, double angle, double length) {}
}
