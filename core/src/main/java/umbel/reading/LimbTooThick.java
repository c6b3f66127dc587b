package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Target;
import umbel.knowledge.TrainingSystem;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Units;

/** A limb too thick for the stem that carries it, by ratio or, in slender systems, by thickness alone. */
final class LimbTooThick extends Rule {

    LimbTooThick() {
        super("limb-too-thick", Subject.LIMB, Stage.FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        TrainingSystem.LimbRule limits = context.tree().setting().system().limbs();
        double onTrunk = limits.ratioMost() == null ? context.school().limbRatio() : limits.ratioMost();
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.frame()) {
            boolean trunkLimb = context.parent(limb).kind() == AxisKind.TRUNK;
            if (limb.age() < 2 || limb.at() < context.tree().setting().unionAt() && trunkLimb) {
                continue;
            }
            double most = trunkLimb ? onTrunk : limits.forkRatioMost();
            double ratio = limb.baseDiameter() / context.parentBelow(limb);
            double diameter = Units.toMm(limb.baseDiameter());
            if (ratio > most) {
                found.add(new Finding(
                        this,
                        List.of(Target.of(limb)),
                        "diameter ratio",
                        ratio,
                        most,
                        "",
                        context.severity(ratio, most),
                        ThresholdConfidence.above(ratio, most, context.ratioError(ratio)),
                        String.format(
                                Locale.ROOT,
                                "Limb %s is %.2f as thick as the %s it grows from; over %.2f it takes over.",
                                limb.id(),
                                ratio,
                                trunkLimb ? "trunk" : "limb",
                                most)));
            } else if (trunkLimb && limits.diameterMostMm() != null && diameter > limits.diameterMostMm()) {
                double error = diameter * context.errors().diameterShare();
                found.add(new Finding(
                        this,
                        List.of(Target.of(limb)),
                        "diameter",
                        diameter,
                        limits.diameterMostMm(),
                        "mm",
                        context.severity(diameter, limits.diameterMostMm()),
                        ThresholdConfidence.above(diameter, limits.diameterMostMm(), error),
                        String.format(
                                Locale.ROOT,
                                "Limb %s is %.0f mm thick; a limb of this system is renewed at %.0f mm.",
                                limb.id(),
                                diameter,
                                limits.diameterMostMm())));
            }
        }
        found.sort((a, b) -> Double.compare(b.value() / b.threshold(), a.value() / a.threshold()));
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        if (!context.parent(context.limb(finding)).kind().equals(AxisKind.TRUNK)) {
            return "system.limbs.forkRatioMost";
        }
        if (finding.unit().equals("mm")) {
            return "system.limbs.diameterMost_mm";
        }
        return context.tree().setting().system().limbs().ratioMost() == null
                ? "school.limbRatio"
                : "system.limbs.ratioMost";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Axis limb = context.limb(finding, 0);
        List<Operation> operations = new ArrayList<>();
        operations.add(context.renewal(limb));
        if (operations.get(0).kind() != OperationKind.REMOVE) {
            operations.add(Operation.remove(limb));
        }
        operations.addAll(context.reductions(limb));
        Options.shortening(context.tree(), limb).ifPresent(operations::add);
        return operations;
    }
}
