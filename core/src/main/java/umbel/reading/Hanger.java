package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Role;

/** Wood that hangs below level or grows from an underside: shaded, with small fruit, in the way of everything. */
final class Hanger extends Rule {

    Hanger() {
        super("hanger", Subject.LIMB, Stage.UPRIGHTS, Trait.STRAY);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double most = context.tree().setting().system().limbs().hangAngleDeg();
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            double lean = RuleContext.lean(limb);
            boolean hangs = lean > most;
            if (limb.role() == Role.SUCKER || !hangs && limb.role() != Role.HANGER) {
                continue;
            }
            double confidence = limb.role() == Role.HANGER
                    ? 0.95
                    : ThresholdConfidence.above(lean, most, context.errors().angleDeg());
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of("measure.angle-from-upright"),
                    lean,
                    most,
                    "°",
                    hangs ? context.severity(lean, most) : Severity.CONSIDER,
                    confidence,
                    Statement.of("finding.hanger.limb")
                            .with("limb", Value.limb(limb.id()))
                            .with("angle", Value.degrees(lean))));
        }
        for (Axis limb : context.limbs()) {
            readShoots(context, limb, found);
        }
        return found;
    }

    private void readShoots(RuleContext context, Axis limb, List<Finding> found) {
        List<Axis> shoots = context.noticed(limb, Attitude.DOWN);
        double metres = shoots.stream().mapToDouble(Axis::length).sum();
        double least = context.parameters().smallWood().hangingFromM();
        if (metres < least) {
            return;
        }
        found.add(new Finding(
                this,
                List.of(Target.shoots(limb.id(), Attitude.DOWN)),
                Statement.of("measure.hanging-shoots"),
                metres,
                least,
                "m",
                Severity.CONSIDER,
                ThresholdConfidence.above(
                        metres, least, metres * context.errors().countShare()),
                Statement.of("finding.hanger.shoots")
                        .with("count", Value.count(shoots.size()))
                        .with("limb", Value.limb(limb.id()))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "system.limbs.hangAngle_deg";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.strayOff(finding);
    }
}
