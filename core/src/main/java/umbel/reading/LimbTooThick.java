package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Options;
import umbel.cut.Target;
import umbel.knowledge.TrainingSystem;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Units;

/**
 * A limb too thick for the stem that carries it, by ratio or, in slender systems, by thickness alone. Thin limbs high on a tapering
 * stem are none, whatever their ratio.
 */
final class LimbTooThick extends Rule {

    LimbTooThick() {
        super("limb-too-thick", Subject.LIMB, Stage.FRAME, Trait.GRAVE, Trait.OUTWEIGHS_A_SPARE_LIMB_ABOUT_A_LEADER);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        TrainingSystem.LimbRule limits = context.tree().setting().system().limbs();
        double onTrunk = mostOnTrunk(context);
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.frame()) {
            boolean trunkLimb = context.parent(limb).kind() == AxisKind.TRUNK;
            if (limb.age() < 2
                    || limb.at() < context.tree().setting().unionAt() && trunkLimb
                    || context.carriesOnTheTrunk(limb)
                    || context.tree().isTreeOfItsOwn(limb)) {
                continue;
            }
            boolean amongEquals = !trunkLimb && limits.siblingRatioMost() != null;
            double most = trunkLimb ? onTrunk : amongEquals ? limits.siblingRatioMost() : limits.forkRatioMost();
            double against = amongEquals ? medianOfEquals(context) : context.parentBelow(limb);
            double ratio = limb.baseDiameter() / against;
            double diameter = Units.toMm(limb.baseDiameter());
            if (ratio > most && context.isStout(limb)) {
                found.add(new Finding(
                        this,
                        List.of(Target.of(limb)),
                        Statement.of(amongEquals ? "measure.diameter-siblings" : "measure.diameter-ratio"),
                        ratio,
                        most,
                        "",
                        context.severity(ratio, most),
                        ThresholdConfidence.above(ratio, most, context.ratioError(ratio)),
                        Statement.of(amongEquals ? "finding.limb-too-thick.siblings" : "finding.limb-too-thick.ratio")
                                .with("limb", Value.limb(limb.id()))
                                .with("ratio", Value.number(ratio, 2))
                                .with("parent", Value.choice(trunkLimb ? "trunk" : "limb"))
                                .with("most", Value.number(most, 2))));
            } else if (trunkLimb && limits.diameterMostMm() != null && diameter > limits.diameterMostMm()) {
                double error = diameter * context.errors().diameterShare();
                found.add(new Finding(
                        this,
                        List.of(Target.of(limb)),
                        Statement.of("measure.diameter"),
                        diameter,
                        limits.diameterMostMm(),
                        "mm",
                        context.severity(diameter, limits.diameterMostMm()),
                        ThresholdConfidence.above(diameter, limits.diameterMostMm(), error),
                        Statement.of("finding.limb-too-thick.diameter")
                                .with("limb", Value.limb(limb.id()))
                                .with("diameter", Value.millimetres(diameter))
                                .with("most", Value.millimetres(limits.diameterMostMm()))));
            }
        }
        found.sort((a, b) -> Double.compare(b.value() / b.threshold(), a.value() / a.threshold()));
        return found;
    }

    /** Where the leader was cut back to a limb long ago, no limb has one to outgrow. */
    private static double mostOnTrunk(RuleContext context) {
        Double bySystem = context.tree().setting().system().limbs().ratioMost();
        if (bySystem != null) {
            return bySystem;
        }
        boolean led = context.limbs().stream().noneMatch(context::carriesOnTheTrunk);
        return led ? context.school().limbRatio() : context.parameters().frame().ratioWithoutLeader();
    }

    /** The middle thickness of the limbs that stand on arms. */
    private static double medianOfEquals(RuleContext context) {
        double[] thick = context.frame().stream()
                .filter(limb -> context.parent(limb).kind() != AxisKind.TRUNK)
                .mapToDouble(Axis::baseDiameter)
                .sorted()
                .toArray();
        return thick[thick.length / 2];
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        if (!context.parent(context.limb(finding)).kind().equals(AxisKind.TRUNK)) {
            return context.tree().setting().system().limbs().siblingRatioMost() == null
                    ? "system.limbs.forkRatioMost"
                    : "system.limbs.siblingRatioMost";
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
