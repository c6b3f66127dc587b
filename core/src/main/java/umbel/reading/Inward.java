package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Wood that heads back toward the trunk, into the middle of the tree. */
final class Inward extends Rule {

    Inward() {
        super("inward", Subject.LIMB, Stage.FRAME, Trait.GRAVE, Trait.STRAY, Trait.OUTWEIGHS_THE_FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            boolean inPlane = context.tree().setting().system().isPlane();
            if (!inPlane && context.parent(limb).kind() != AxisKind.TRUNK && limb.role() != Role.SUCKER) {
                readLimb(context, limb, found);
            }
        }
        for (Axis limb : context.limbs()) {
            readShoots(context, limb, found);
        }
        return found;
    }

    private void readLimb(RuleContext context, Axis limb, List<Finding> found) {
        Vec origin = limb.course().point(0);
        Vec tip = limb.course().point(limb.course().size() - 1);
        Vec toTrunk = origin.level().times(-1);
        Vec heading = tip.minus(origin).level();
        boolean comesNearer = tip.level().length() < origin.level().length();
        if (toTrunk.length() < Units.fromCm(context.parameters().frame().inwardFromCm())
                || heading.length() < 0.1
                || !comesNearer) {
            return;
        }
        double angle = Units.toDegrees(toTrunk.angleTo(heading));
        double most = context.school().inwardAngleDeg();
        if (angle >= most) {
            return;
        }
        found.add(new Finding(
                this,
                List.of(Target.of(limb)),
                Statement.of("measure.inward-heading"),
                angle,
                most,
                "°",
                context.severity(angle, most),
                ThresholdConfidence.below(angle, most, context.errors().bearingDeg()),
                Statement.of("finding.inward.limb")
                        .with("limb", Value.limb(limb.id()))
                        .with("angle", Value.degrees(angle))));
    }

    private void readShoots(RuleContext context, Axis limb, List<Finding> found) {
        List<Axis> shoots = context.noticed(limb, Attitude.IN);
        double metres = shoots.stream().mapToDouble(Axis::length).sum();
        double least = context.parameters().smallWood().inwardFromM();
        if (metres < least) {
            return;
        }
        found.add(new Finding(
                this,
                Stage.UPRIGHTS,
                List.of(Target.shoots(limb.id(), Attitude.IN)),
                Statement.of("measure.inward-shoots"),
                metres,
                least,
                "m",
                Severity.CONSIDER,
                ThresholdConfidence.above(
                        metres, least, metres * context.errors().countShare()),
                Statement.of("finding.inward.shoots")
                        .with("count", Value.count(shoots.size()))
                        .with("limb", Value.limb(limb.id()))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.inwardAngle_deg";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.strayOff(finding);
    }
}
