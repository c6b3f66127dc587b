package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Units;

/** Two main limbs leaving the trunk too close above one another to both have sound wood at the union. */
final class CrowdedOrigin extends Rule {

    CrowdedOrigin() {
        super("crowded-origin", Subject.PAIR, Stage.FRAME, Trait.OUTWEIGHS_A_SPARE_LIMB_ABOUT_A_LEADER);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        Double gapCm = context.tree().setting().system().scaffolds().gapCm();
        List<Finding> found = new ArrayList<>();
        if (gapCm == null) {
            return found;
        }
        List<Axis> mains = context.limbsOn(context.tree().trunk()).stream()
                .filter(limb -> RuleContext.isFrame(limb)
                        && limb.age() >= 2
                        && !context.tree().isTreeOfItsOwn(limb)
                        && limb.at() >= context.tree().setting().unionAt())
                .filter(limb -> limb.role() == Role.SCAFFOLD
                        || limb.baseDiameter() >= context.parameters().frame().mainShare() * context.parentBelow(limb))
                .sorted(Comparator.comparingDouble(Axis::at))
                .toList();
        for (int i = 1; i < mains.size(); i++) {
            Axis lower = mains.get(i - 1);
            Axis upper = mains.get(i);
            double gap = Units.toCm(upper.at() - lower.at());
            if (gap >= gapCm || isApart(context, lower, upper)) {
                continue;
            }
            Axis worse = worse(context, lower, upper);
            Axis better = worse == lower ? upper : lower;
            double error = context.errors().heightCm();
            found.add(new Finding(
                    this,
                    List.of(Target.of(worse), Target.of(better)),
                    Statement.of("measure.gap-on-trunk"),
                    gap,
                    gapCm,
                    "cm",
                    gap < gapCm * 0.6 ? Severity.ACT : Severity.CONSIDER,
                    ThresholdConfidence.below(gap, gapCm, error),
                    Statement.of("finding.crowded-origin")
                            .with("limbs", Value.limbs(List.of(lower.id(), upper.id())))
                            .with("gap", Value.centimetres(gap))
                            .with("least", Value.centimetres(gapCm))
                            .with("better", Value.limb(better.id()))));
        }
        found.sort(Comparator.comparingDouble(Finding::value));
        return found;
    }

    /** Whether two limbs leave far enough round the trunk from one another to stand at one height. */
    private static boolean isApart(RuleContext context, Axis a, Axis b) {
        double between = a.course()
                .directionAt(0)
                .level()
                .angleTo(b.course().directionAt(0).level());
        return Units.toDegrees(between) >= context.parameters().frame().apartDeg();
    }

    /** The limb further from the wanted angle, counting ten degrees for each tenth of light it lacks. */
    private static Axis worse(RuleContext context, Axis a, Axis b) {
        return badness(context, a) >= badness(context, b) ? a : b;
    }

    private static double badness(RuleContext context, Axis limb) {
        double wanted = context.tree().setting().system().scaffolds().idealAngleDeg();
        double off = Math.abs(Units.toDegrees(limb.baseInclination()) - wanted);
        return off + 100 * (1 - context.lightOn(limb)) + (limb.conditions().isEmpty() ? 0 : 200);
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "system.scaffolds.gap_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(context.wholeOf(context.limb(finding, 0)), context.wholeOf(context.limb(finding, 1)));
    }
}
