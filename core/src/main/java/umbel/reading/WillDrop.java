package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.crop.HarvestLoad;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Role;
import umbel.wood.Units;

/** A limb whose tip will hang too low once it carries its crop. */
final class WillDrop extends Rule {

    WillDrop() {
        super("will-drop", Subject.LIMB, Stage.FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        if (context.tree().setting().system().tied()) {
            return List.of();
        }
        double least = context.school().dropClearanceCm();
        double spread = context.tree().setting().parameters().crop().load().stiffnessSpread();
        List<Finding> found = new ArrayList<>();
        for (HarvestLoad.LimbLoad load : context.load().limbs()) {
            Axis limb = context.tree().find(load.limb()).orElseThrow();
            double tip = Units.toCm(load.tipAtHarvest());
            if (limb.role() == Role.SUCKER
                    || limb.is(Condition.DEAD)
                    || limb.at() < context.tree().setting().unionAt()
                            && context.parent(limb) == context.tree().trunk()
                    || tip >= least) {
                continue;
            }
            double drop = Units.toCm(load.tipNow()) - tip;
            double error = Math.hypot(
                    spread * drop, Units.toCm(limb.length()) * context.errors().lengthShare());
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of("measure.tip-under-crop"),
                    tip,
                    least,
                    "cm",
                    context.severity(tip, least),
                    ThresholdConfidence.below(tip, least, error),
                    Statement.of("finding.will-drop")
                            .with("limb", Value.limb(limb.id()))
                            .with("crop", new Value.Mass(load.fruitMass()))
                            .with("now", Value.length(load.tipNow()))
                            .with("then", Value.centimetres(Math.max(0, tip)))));
        }
        found.sort(Comparator.comparingDouble(Finding::value));
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.dropClearance_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.backInside(finding);
    }
}
