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
import umbel.wood.ShootClass;
import umbel.wood.Units;

/** Vigorous uprights from the upper side of a limb or near an old cut. */
final class WaterSprout extends Rule {

    WaterSprout() {
        super("water-sprout", Subject.LIMB, Stage.UPRIGHTS, Trait.YEARLY, Trait.STRAY);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double least = context.school().sproutLengthCm();
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            if (limb.role() == Role.SUCKER) {
                continue;
            }
            double yearly = Units.toCm(limb.length()) / Math.max(1, limb.age());
            boolean upright = RuleContext.lean(limb) < context.school().sproutInclinationDeg();
            boolean looksIt = upright
                    && limb.age() <= context.parameters().smallWood().sproutYears()
                    && yearly > least
                    && context.parent(limb).kind() == AxisKind.LIMB
                    && !isUprightOfTheSystem(context, limb)
                    && limb.role() != Role.LEADER;
            if (looksIt || limb.role() == Role.WATER_SPROUT) {
                double confidence = limb.role() == Role.WATER_SPROUT
                        ? 0.95
                        : ThresholdConfidence.above(
                                yearly, least, yearly * context.errors().lengthShare());
                found.add(new Finding(
                        this,
                        List.of(Target.of(limb)),
                        Statement.of("measure.yearly-growth"),
                        yearly,
                        least,
                        "cm",
                        yearly > least ? Severity.ACT : Severity.CONSIDER,
                        confidence,
                        Statement.of("finding.water-sprout.limb")
                                .with("limb", Value.limb(limb.id()))
                                .with("yearly", Value.centimetres(yearly))
                                .with("parent", Value.limb(context.parent(limb).id()))));
            }
        }
        for (Axis limb : context.limbs()) {
            readShoots(context, limb, least, found);
        }
        return found;
    }

    /** Whether uprights on arms are what the system is made of. */
    private static boolean isUprightOfTheSystem(RuleContext context, Axis limb) {
        return context.tree().setting().system().limbs().siblingRatioMost() != null
                && context.parent(limb).parent() == 0;
    }

    private void readShoots(RuleContext context, Axis limb, double least, List<Finding> found) {
        List<Axis> uprights = context.noticed(limb, Attitude.UP).stream()
                .filter(shoot -> shoot.shootClass() == umbel.wood.ShootClass.STRONG)
                .toList();
        double longest = uprights.stream()
                .mapToDouble(shoot -> Units.toCm(shoot.length()))
                .max()
                .orElse(0);
        if (longest <= least) {
            return;
        }
        found.add(new Finding(
                this,
                List.of(Target.shoots(limb.id(), Attitude.UP, ShootClass.STRONG)),
                Statement.of("measure.longest-upright"),
                longest,
                least,
                "cm",
                Severity.ACT,
                ThresholdConfidence.above(
                        longest, least, longest * context.errors().lengthShare()),
                Statement.of("finding.water-sprout.shoots")
                        .with("count", Value.count(uprights.size()))
                        .with("limb", Value.limb(limb.id()))
                        .with("longest", Value.centimetres(longest))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.sproutLength_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.strayOff(finding);
    }
}
