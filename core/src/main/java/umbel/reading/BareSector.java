package umbel.reading;

import java.util.List;
import umbel.cut.Operation;
import umbel.knowledge.TrainingSystem;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Units;

/** A side of the tree where no main limb stands. */
final class BareSector extends Rule {

    BareSector() {
        super("bare-sector", Subject.TREE, Stage.FRAME);
    }

    /** The share of five limbs: with more, the line no longer narrows. */
    @Override
    public List<Finding> read(RuleContext context) {
        TrainingSystem system = context.tree().setting().system();
        List<Axis> mains = mains(context);
        int n = mains.size();
        if (system.isPlane() || n < 2) {
            return List.of();
        }
        double[] bearings = mains.stream()
                .mapToDouble(limb -> Units.toDegrees(limb.bearing()))
                .sorted()
                .toArray();
        double widest = 0;
        double middle = 0;
        for (int i = 0; i < n; i++) {
            double gap = i + 1 < n ? bearings[i + 1] - bearings[i] : bearings[0] + 360 - bearings[i];
            if (gap > widest) {
                widest = gap;
                middle = (bearings[i] + gap / 2) % 360;
            }
        }
        double error = context.errors().bearingDeg() * Math.sqrt(2);
        boolean few = n <= context.parameters().shape().few();
        double most = few
                ? Math.max(context.school().bareSectorOfThreeDeg(), 360.0 / n)
                : Math.max(
                        context.parameters().shape().leastGapDeg(),
                        context.school().bareSectorFactor() * 360 / n);
        // two or three limbs spread evenly already stand at the line: only what measuring cannot explain counts
        if (widest <= most + (few ? error : 0)) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(),
                Statement.of("measure.gap-between-mains"),
                widest,
                most,
                "°",
                context.severity(widest, most) == Severity.ACT ? Severity.CONSIDER : Severity.WATCH,
                ThresholdConfidence.above(widest, most, error),
                Statement.of("finding.bare-sector")
                        .with("gap", Value.degrees(widest))
                        .with("side", new Value.Bearing(Units.fromDegrees(middle)))));
    }

    /** What the surveyor called scaffolds, or else every main limb. */
    private static List<Axis> mains(RuleContext context) {
        List<Axis> named = context.mains().stream()
                .filter(limb -> limb.role() == Role.SCAFFOLD)
                .toList();
        return named.size() >= 2 ? named : context.mains();
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return mains(context).size() <= context.parameters().shape().few()
                ? "school.bareSectorOfThree_deg"
                : "school.bareSectorFactor";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(); // a side is filled by what grows, not by a cut
    }
}
