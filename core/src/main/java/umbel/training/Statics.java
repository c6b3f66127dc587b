package umbel.training;

/** The sums of bending: plain trigonometry and beam bending, each on its own so that it can be checked by hand. */
public final class Statics {

    private static final double GRAVITY = 9.81;

    private Statics() {}

    /**
     * Length of a spreader: the third side of the triangle between trunk and limb.
     *
     * @param alongTrunk from the union up the trunk to where it sits, metres
     * @param alongLimb from the union out along the limb, metres
     * @param angle wanted between trunk and limb, radians
     */
    public static double spreader(double alongTrunk, double alongLimb, double angle) {
        return Math.sqrt(
                alongTrunk * alongTrunk + alongLimb * alongLimb - 2 * alongTrunk * alongLimb * Math.cos(angle));
    }

    /**
     * Moment that bends a round limb by a turn taken up evenly over a stretch (Euler–Bernoulli), newton metres.
     *
     * @param diameter over bark, metres
     * @param modulus stiffness of green wood, pascals
     * @param turn radians
     * @param over stretch of the base that takes it up, metres
     */
    public static double moment(double diameter, double modulus, double turn, double over) {
        return modulus * Math.PI * Math.pow(diameter, 4) / 64 * Math.abs(turn) / over;
    }

    /**
     * Pull in a string that makes a moment about the union, newtons.
     *
     * @param moment newton metres
     * @param along from the union out to the loop, metres
     * @param between angle between the limb and the string, radians
     */
    public static double pull(double moment, double along, double between) {
        return moment / (along * Math.max(0.05, Math.sin(between)));
    }

    /**
     * Weight that makes a moment when it hangs from a limb, kilograms.
     *
     * @param along from the union out to the loop, metres
     * @param inclination of the limb once bent, radians from vertical
     */
    public static double weight(double moment, double along, double inclination) {
        return moment / (GRAVITY * along * Math.max(0.05, Math.sin(inclination)));
    }

    /**
     * Anchors a pull needs.
     *
     * @param pull newtons in calm air
     * @param wind pull in wind against calm
     * @param holds what one anchor holds, newtons
     */
    public static int anchors(double pull, double wind, double holds) {
        return (int) Math.max(1, Math.ceil(pull * wind / holds - 1e-9));
    }
}
