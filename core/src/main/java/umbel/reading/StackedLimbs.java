package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Units;

/** One limb straight above another, so close that the lower stands in its shade. */
final class StackedLimbs extends Rule {

    StackedLimbs() {
        super("stacked-limbs", Subject.PAIR, Stage.FRAME, Trait.OUTWEIGHS_A_SPARE_LIMB_ABOUT_A_LEADER);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double stackGap = context.tree().setting().system().scaffolds().stackGapCm();
        List<Axis> mains = context.limbsOn(context.tree().trunk()).stream()
                .filter(limb -> RuleContext.isFrame(limb)
                        && limb.age() >= 2
                        && limb.at() >= context.tree().setting().unionAt())
                .sorted(Comparator.comparingDouble(Axis::at))
                .toList();
        List<Finding> found = new ArrayList<>();
        for (int i = 0; i < mains.size(); i++) {
            for (int j = i + 1; j < mains.size(); j++) {
                Axis lower = mains.get(i);
                Axis upper = mains.get(j);
                double gap = upper.at() - lower.at();
                double turn = RuleContext.turn(lower.bearing(), upper.bearing());
                double light = context.lightOn(lower);
                if (gap < Units.fromCm(context.parameters().frame().stackedGapCm())
                        || Units.toCm(gap) >= stackGap
                        || turn > context.school().stackBearingDeg()
                        || RuleContext.lean(upper) < 20
                        || light >= context.school().stackLight()) {
                    continue;
                }
                double confidence = ThresholdConfidence.below(
                                Units.toCm(gap), stackGap, context.errors().heightCm())
                        * ThresholdConfidence.below(
                                light,
                                context.school().stackLight(),
                                context.errors().lightShare())
                        * ThresholdConfidence.below(
                                turn,
                                context.school().stackBearingDeg(),
                                context.errors().bearingDeg());
                found.add(new Finding(
                        this,
                        List.of(Target.of(upper), Target.of(lower)),
                        Statement.of("measure.gap-above"),
                        Units.toCm(gap),
                        stackGap,
                        "cm",
                        context.severity(Units.toCm(gap), stackGap),
                        confidence,
                        Statement.of("finding.stacked-limbs")
                                .with("upper", Value.limb(upper.id()))
                                .with("gap", Value.length(gap))
                                .with("lower", Value.limb(lower.id()))
                                .with("turn", Value.degrees(turn))
                                .with("light", Value.share(light))));
            }
        }
        found.sort(Comparator.comparingDouble(Finding::value));
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "system.scaffolds.stackGap_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.oneOfTwo(finding);
    }
}
