package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.ReadingParameters;
import umbel.knowledge.TrainingSystem;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Units;

/**
 * A crotch so narrow that it encloses bark, splits under load and lets canker in. On young wood at the trunk it is judged by its
 * angle; one that has held for years only where it is narrower still, and a fork out on a limb only where it splits.
 */
final class TightCrotch extends Rule {

    TightCrotch() {
        super("tight-crotch", Subject.LIMB, Stage.FRAME, Trait.GRAVE, Trait.OUTWEIGHS_A_SPARE_LIMB);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.frame()) {
            Axis parent = context.parent(limb);
            boolean fromStock =
                    parent.parent() < 0 && limb.at() < context.tree().setting().unionAt();
            if (limb.baseDiameter() < Units.fromMm(context.parameters().frame().crotchFromMm())
                    || fromStock
                    || context.tree().isTreeOfItsOwn(limb)) {
                continue;
            }
            double angle = Units.toDegrees(
                    limb.course().directionAt(0).angleTo(parent.course().directionAt(limb.at())));
            boolean splitting = limb.is(Condition.SPLITTING);
            double least = least(context, limb, parent);
            if (angle >= least || !splitting && parent.parent() >= 0) {
                continue;
            }
            double confidence = splitting
                    ? 0.98
                    : ThresholdConfidence.below(angle, least, context.errors().angleDeg());
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of("measure.crotch"),
                    angle,
                    least,
                    "°",
                    splitting ? Severity.ACT : context.severity(angle, least),
                    confidence,
                    Statement.of("finding.tight-crotch")
                            .with("limb", Value.limb(limb.id()))
                            .with("angle", Value.degrees(angle))
                            .with("splitting", Value.choice(splitting ? "yes" : "no"))));
        }
        found.sort((a, b) -> Double.compare(a.value(), b.value()));
        return found;
    }

    /**
     * The school's line on young wood, but on the trunk of a system of steep limbs no more than the system itself asks for; on a
     * union that has held, the school's line for those.
     */
    private static double least(RuleContext context, Axis limb, Axis parent) {
        double young = young(context, parent);
        return hasHeld(context, limb) ? Math.min(young, context.school().heldCrotchAngleDeg()) : young;
    }

    private static double young(RuleContext context, Axis parent) {
        double bySystem =
                context.tree().setting().system().scaffolds().angleDeg().get(0);
        double bySchool = context.school().crotchAngleDeg();
        return parent.parent() < 0 ? Math.min(bySchool, bySystem) : bySchool;
    }

    private static boolean hasHeld(RuleContext context, Axis limb) {
        ReadingParameters.Frame lines = context.parameters().frame();
        boolean old = context.tree().setting().leaf() > lines.crotchYoungLeaf()
                || limb.baseDiameter() > Units.fromMm(lines.crotchYoungMm());
        return old && !limb.is(Condition.SPLITTING);
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        Axis limb = context.limb(finding);
        if (finding.threshold() < young(context, context.parent(limb))) {
            return "school.heldCrotchAngle_deg";
        }
        return finding.threshold() < context.school().crotchAngleDeg()
                ? "system.scaffolds.angle_deg"
                : "school.crotchAngle_deg";
    }

    /** Whether a limb stands up in a vase that has its scaffolds without it, all of them wider. */
    private static boolean isBesideAFullVase(RemedyContext context, Axis limb) {
        double narrow = Math.toRadians(context.school().thresholds().heldCrotchAngleDeg());
        TrainingSystem system = context.tree().setting().system();
        long wide = context.tree().limbs().stream()
                .filter(other -> other != limb && other.parent() == 0)
                .filter(other -> other.baseInclination() > narrow && other.role() != Role.SUCKER)
                .filter(other ->
                        other.baseDiameter() >= context.parameters().frame().likeScaffold() * limb.baseDiameter())
                .count();
        return system.topped()
                && limb.parent() == 0
                && limb.baseInclination() < narrow
                && wide >= system.scaffolds().count().get(0);
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Axis limb = context.limb(finding, 0);
        List<Operation> operations = new ArrayList<>();
        if (isBesideAFullVase(context, limb)) {
            return List.of(context.wholeOf(limb));
        }
        if (context.school().preferences().bendBeforeCut()) {
            context.bend(limb).ifPresent(operations::add);
        }
        operations.add(context.wholeOf(limb));
        operations.addAll(context.reductions(limb));
        return operations;
    }
}
