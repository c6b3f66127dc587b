package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Role;

/** Wood that hangs below level or grows from an underside: shaded, with small fruit, in the way of everything. */
final class Hanger extends Rule {

    Hanger() {
        super("hanger", Subject.LIMB, Stage.UPRIGHTS);
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
                    "inclination",
                    lean,
                    most,
                    "°",
                    hangs ? context.severity(lean, most) : Severity.CONSIDER,
                    confidence,
                    String.format(
                            Locale.ROOT,
                            "Limb %s hangs at %.0f° from upright: shaded, and its fruit stays small.",
                            limb.id(),
                            lean)));
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
                "metres of hanging shoots",
                metres,
                least,
                "m",
                Severity.CONSIDER,
                ThresholdConfidence.above(
                        metres, least, metres * context.errors().countShare()),
                String.format(
                        Locale.ROOT,
                        "%s from the underside of limb %s.",
                        shoots.size() == 1 ? "One shoot hangs" : shoots.size() + " shoots hang",
                        limb.id())));
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
