package umbel.cut;

import umbel.knowledge.Species;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Setting;
import umbel.wood.Units;

/** Whether a limb will take a bend: strain in its outer wood, thickness, and the step it is brought down by. */
public final class Bending {

    private Bending() {}

    /**
     * Whether it can be done.
     *
     * @param possible whether the limb will take the whole bend
     * @param strain outer-fibre strain of the whole bend, share
     * @param steps visits to bring it down in
     */
    public record Verdict(boolean possible, double strain, int steps) {}

    /**
     * Judges a bend by the strain of an even curve over the base stretch: half the diameter times the turn over the
     * stretch's length (Euler–Bernoulli).
     *
     * @param toAngle inclination wanted at the base, radians
     */
    public static Verdict judge(Axis limb, double toAngle, Setting setting) {
        Species.Bending limits = setting.species().bending();
        double turn = Math.abs(toAngle - limb.baseInclination());
        double over = Math.min(
                limb.length(),
                Units.fromCm(setting.parameters().training().bending().overLengthCm()));
        double strain = limb.baseDiameter() / 2 * turn / over;
        int steps = (int) Math.max(
                1,
                Math.ceil(
                        turn / Units.fromDegrees(setting.parameters().training().bendStepDeg()) - 1e-6));
        boolean limber = Units.toMm(limb.baseDiameter()) <= limits.limberDiameterMm();
        boolean sound =
                !limb.is(Condition.SPLITTING, Condition.BROKEN, Condition.DEAD, Condition.DECAYED, Condition.DISEASED);
        return new Verdict(limber && sound && strain / steps <= limits.strainMost(), strain, steps);
    }
}
