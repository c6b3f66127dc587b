package umbel.training;

import java.util.Comparator;
import java.util.Optional;
import umbel.cut.Bending;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.knowledge.TrainingParameters;
import umbel.knowledge.TrainingSystem;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/**
 * How one limb is brought to its angle.
 *
 * @param limb id
 * @param toAngle inclination wanted at the base, radians from vertical
 * @param possible whether limb and crotch take the bend
 * @param why what decides
 * @param device what holds it
 * @param alongLimb from the union out to where it sits, metres
 * @param from where the other end sits on trunk, wire or ground, metres in the tree's axes
 * @param to where it sits on the bent limb
 * @param length of spreader or string (loops and knots not counted), metres; 0 for a clip or weight
 * @param pull newtons in calm air; 0 for a clip
 * @param mass of a hanging weight, kilograms; else 0
 * @param anchors in the ground; 0 where none
 * @param steps visits to bring it down in
 * @param weeks until it stays by itself
 * @param instead what to cut where it cannot be bent; null where it can or nothing offers itself
 */
public record Training(
        String limb,
        double toAngle,
        boolean possible,
        Statement why,
        Device device,
        double alongLimb,
        Vec from,
        Vec to,
        double length,
        double pull,
        double mass,
        int anchors,
        int steps,
        int weeks,
        Operation instead) {

    private static final int MOST_ANCHORS = 2;
    private static final double GIGA = 1e9;

    /** Works out how a limb is brought to an inclination (radians from vertical). */
    public static Training of(Tree tree, Axis limb, double toAngle) {
        Setting setting = tree.setting();
        TrainingParameters rules = setting.parameters().training();
        Bending.Verdict verdict = Bending.judge(limb, toAngle, setting);
        Axis parent = tree.axis(limb.parent());
        double ratio = limb.baseDiameter() / parent.diameterAt(limb.at());
        boolean crotchHolds = ratio <= setting.parameters().training().bending().crotchRatioMost();
        Shape shape = new Shape(tree, limb, parent, toAngle);
        double moment = Statics.moment(
                limb.baseDiameter(),
                setting.species().load().modulusGPa() * GIGA,
                toAngle - limb.baseInclination(),
                Math.min(
                        limb.length(),
                        Units.fromCm(setting.parameters().training().bending().overLengthCm())));
        Held held = shape.held(moment / verdict.steps(), rules);
        boolean anchored = held.anchors() <= MOST_ANCHORS;
        boolean possible = verdict.possible() && crotchHolds && anchored;
        return new Training(
                limb.id(),
                toAngle,
                possible,
                why(verdict, crotchHolds, anchored, ratio, limb, setting),
                held.device(),
                held.along(),
                held.from(),
                held.to(),
                held.length(),
                held.pull(),
                held.mass(),
                held.anchors(),
                verdict.steps(),
                rules.weeksToSet(),
                possible ? null : instead(tree, limb).orElse(null));
    }

    private static Statement why(
            Bending.Verdict verdict, boolean crotchHolds, boolean anchored, double ratio, Axis limb, Setting setting) {
        if (!crotchHolds) {
            return Statement.of("training.tears").with("ratio", Value.number(ratio, 2));
        }
        if (!verdict.possible()) {
            boolean thick = Units.toMm(limb.baseDiameter())
                    > setting.species().bending().limberDiameterMm();
            return Statement.of(thick ? "training.too-thick" : "training.strained");
        }
        if (!anchored) {
            return Statement.of("training.pulls");
        }
        return verdict.steps() > 1
                ? Statement.of("training.steps").with("steps", Value.number(verdict.steps(), 0))
                : Statement.of("training.limber");
    }

    /** An outward, thinner side branch to fall back to. */
    private static Optional<Operation> instead(Tree tree, Axis limb) {
        return Options.sideBranches(tree, limb).stream()
                .filter(branch -> branch.baseInclination() > limb.baseInclination())
                .max(Comparator.comparingDouble(Axis::baseInclination))
                .map(branch -> Operation.reduce(OperationKind.REDUCE, limb, branch, Options.pastUnion(limb, branch)));
    }

    private record Held(
            Device device, double along, Vec from, Vec to, double length, double pull, double mass, int anchors) {}

    /** Where things are once the limb is bent. */
    private record Shape(Tree tree, Axis limb, Axis parent, double toAngle) {

        private Vec union() {
            return limb.course().point(0);
        }

        /** A place on the bent limb, a straight line for what is needed here. */
        private Vec on(double along) {
            Vec heading = limb.course().directionAt(0);
            double bearing = Math.abs(heading.z()) > 0.999 ? limb.bearing() : heading.bearing();
            return union().plus(Vec.heading(bearing, toAngle).times(along));
        }

        Held held(double moment, TrainingParameters rules) {
            double mm = Units.toMm(limb.baseDiameter());
            boolean up = toAngle < limb.baseInclination();
            boolean soft = limb.age() <= 1
                    && mm <= rules.clip().diameterMostMm()
                    && Units.toCm(limb.length()) <= rules.clip().lengthMostCm();
            if (soft) {
                Vec at = on(Math.min(0.05, limb.length() / 2));
                return new Held(Device.CLIP, 0.05, union(), at, 0, 0, 0, 0);
            }
            double along = Math.max(0.2, rules.tie().alongShare() * limb.length());
            Optional<Held> wire = toWire(moment, along, rules);
            if (wire.isPresent()) {
                return wire.get();
            }
            if (up) {
                return upToLeader(moment, along, rules);
            }
            Optional<Held> spreader = spreader(moment, rules);
            if (spreader.isPresent()) {
                return spreader.get();
            }
            double mass = Statics.weight(moment, along, toAngle);
            if (mm <= rules.weight().diameterMostMm() && mass <= rules.weight().massMost()) {
                return new Held(Device.WEIGHT, along, on(along), on(along), 0, mass * 9.81, mass, 0);
            }
            return down(moment, along, rules);
        }

        private Optional<Held> toWire(double moment, double along, TrainingParameters rules) {
            TrainingSystem system = tree.setting().system();
            if (!system.tied()) {
                return Optional.empty();
            }
            Vec at = on(along);
            return system.tiers().stream()
                    .map(TrainingSystem.Tier::height)
                    .filter(height -> Math.abs(height - at.z()) <= Units.fromCm(rules.wireReachCm()))
                    .min(Comparator.comparingDouble(height -> Math.abs(height - at.z())))
                    .map(height -> {
                        Vec end = new Vec(at.x(), at.y(), height);
                        double pull = Statics.pull(moment, along, Math.PI - toAngle);
                        return new Held(Device.WIRE_TIE, along, end, at, Math.abs(height - at.z()), pull, 0, 0);
                    });
        }

        private Optional<Held> spreader(double moment, TrainingParameters rules) {
            TrainingParameters.Spreader usual = rules.spreader();
            double along = Units.fromCm(usual.alongLimbCm());
            double trunk = Units.fromCm(usual.alongTrunkCm());
            boolean room = limb.length() > along + 0.05
                    && parent.length() > limb.at() + trunk
                    && Units.toDegrees(toAngle) <= usual.angleMostDeg();
            if (!room) {
                return Optional.empty();
            }
            Vec end = parent.course().at(limb.at() + trunk);
            Vec at = on(along);
            double length = Statics.spreader(trunk, along, end.minus(union()).angleTo(at.minus(union())));
            double between = union().minus(at).angleTo(end.minus(at));
            double pull = Statics.pull(moment, along, between);
            return length <= Units.fromCm(usual.longestCm()) && pull <= usual.pullMost()
                    ? Optional.of(new Held(Device.SPREADER, along, end, at, length, pull, 0, 0))
                    : Optional.empty();
        }

        private Held down(double moment, double along, TrainingParameters rules) {
            Vec at = on(along);
            boolean low = at.z() <= Units.fromCm(rules.tie().heightMostCm());
            Vec end = low
                    ? new Vec(at.x(), at.y(), Units.fromCm(rules.tie().pegHeightCm()))
                    : tree.trunk().course().at(Math.max(0.3, tree.setting().unionAt() + 0.15));
            double between = union().minus(at).angleTo(end.minus(at));
            double pull = Statics.pull(moment, along, between);
            int anchors = low ? Statics.anchors(pull, rules.windFactor(), rules.anchorHolds()) : 0;
            return new Held(
                    low ? Device.TIE_DOWN : Device.TIE_TO_TRUNK,
                    along,
                    end,
                    at,
                    end.minus(at).length(),
                    pull,
                    0,
                    anchors);
        }

        private Held upToLeader(double moment, double along, TrainingParameters rules) {
            Vec at = on(along);
            Axis trunk = tree.trunk();
            Vec end = trunk.course().at(Math.min(trunk.length(), at.z() + along));
            double pull = Statics.pull(moment, along, union().minus(at).angleTo(end.minus(at)));
            return new Held(Device.TIE_UP, along, end, at, end.minus(at).length(), pull, 0, 0);
        }
    }
}
