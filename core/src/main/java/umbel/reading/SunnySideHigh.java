package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Of several trees in one hole, the one on the sunny side stands above the others and shades them. */
final class SunnySideHigh extends Rule {

    SunnySideHigh() {
        super("sunny-side-high", Subject.LIMB, Stage.FRAME);
    }

    @Override
    List<Finding> read(RuleContext context) {
        Double most = context.tree().setting().system().sunnySideAboveCm();
        double latitude = Units.toDegrees(context.tree().setting().place().latitude());
        List<Axis> trees = context.treesInTheHole();
        if (most == null
                || trees.size() < 2
                || Math.abs(latitude) < context.parameters().group().latitude()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        for (Axis one : trees) {
            List<Axis> others = trees.stream().filter(other -> other != one).toList();
            double meanOfOthers = others.stream()
                    .mapToDouble(other -> towardsSun(other, latitude))
                    .average()
                    .orElseThrow();
            double lowest =
                    others.stream().mapToDouble(SunnySideHigh::top).min().orElseThrow();
            double above = Units.toCm(top(one) - lowest);
            boolean sunny = towardsSun(one, latitude) - meanOfOthers
                    > Units.fromCm(context.parameters().group().sunny());
            if (sunny && above > most) {
                found.add(finding(context, one, lowest, above, most));
            }
        }
        found.sort((a, b) -> Double.compare(b.value(), a.value()));
        return found;
    }

    private Finding finding(RuleContext context, Axis one, double lowest, double above, double most) {
        double error = Units.toCm(top(one) * context.errors().lengthShare());
        return new Finding(
                this,
                List.of(Target.of(one)),
                Statement.of("measure.above-the-shaded"),
                above,
                most,
                "cm",
                above > 2 * most ? Severity.ACT : Severity.CONSIDER,
                ThresholdConfidence.above(above, most, error),
                Statement.of("finding.sunny-side-high")
                        .with("limb", Value.limb(one.id()))
                        .with("above", Value.centimetres(above))
                        .with("lowest", Value.reach(lowest)));
    }

    /** Top of a tree's own stem; what branches from it is kept lower with it. */
    private static double top(Axis stem) {
        return stem.course().top();
    }

    /** How far towards the noon sun a stem's wood stands, metres. */
    private static double towardsSun(Axis stem, double latitude) {
        double north = 0;
        int points = stem.course().size();
        for (int i = 0; i < points; i++) {
            Vec point = stem.course().point(i);
            north += point.y() / points;
        }
        return latitude > 0 ? -north : north;
    }

    @Override
    String judgedBy(RuleContext context, Finding finding) {
        return "system.sunnySideAbove_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Axis stem = context.limb(finding, 0);
        double lowest = stem.course().top() - Units.fromCm(finding.value());
        return OverHeight.lowered(context, stem, lowest).stream()
                .filter(operation -> !operation.kind().takesAll())
                .toList();
    }
}
