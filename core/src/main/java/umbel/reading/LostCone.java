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

/** An upper tier that reaches as far as the one below, and shades it. */
final class LostCone extends Rule {

    LostCone() {
        super("lost-cone", Subject.TREE, Stage.FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Axis> mains = context.mains();
        if (!context.tree().setting().system().isCone()
                || context.tree().setting().leaf()
                        < context.parameters().shape().tierFromLeaf()
                || mains.size() < 4) {
            return List.of();
        }
        double low = mains.get(0).at();
        double span = mains.get(mains.size() - 1).at() - low;
        if (span < Units.fromCm(context.parameters().shape().tierSpanCm())) {
            return List.of();
        }
        int tiers = (int) Math.max(
                2, Math.min(4, Math.round(span / context.parameters().shape().tierM())));
        List<List<Axis>> byTier = new ArrayList<>();
        for (int t = 0; t < tiers; t++) {
            byTier.add(new ArrayList<>());
        }
        for (Axis limb : mains) {
            int t = (int) Math.min(tiers - 1.0, (limb.at() - low) / Math.max(1e-6, span) * tiers);
            byTier.get(t).add(limb);
        }
        byTier.removeIf(List::isEmpty);
        List<Finding> found = new ArrayList<>();
        double most = context.school().coneShare();
        for (int t = 1; t < byTier.size(); t++) {
            double below = reachOf(byTier.get(t - 1));
            double above = reachOf(byTier.get(t));
            double ratio = above / Math.max(1e-6, below);
            if (above < Units.fromCm(context.parameters().shape().tierReachCm()) || ratio < most) {
                continue;
            }
            List<Axis> tooLong = byTier.get(t).stream()
                    .filter(limb -> RuleContext.reachOf(limb) >= below * most)
                    .sorted(Comparator.comparingDouble((Axis limb) -> RuleContext.reachOf(limb))
                            .reversed())
                    .toList();
            found.add(new Finding(
                    this,
                    Target.all(tooLong.isEmpty() ? byTier.get(t) : tooLong),
                    Statement.of("measure.tier-reach"),
                    ratio,
                    most,
                    "",
                    context.severity(ratio, most),
                    ThresholdConfidence.above(
                            ratio, most, ratio * context.errors().lengthShare() * Math.sqrt(2)),
                    Statement.of("finding.lost-cone")
                            .with("height", Value.reach(byTier.get(t).get(0).at()))
                            .with("above", Value.reach(above))
                            .with("below", Value.reach(below))));
        }
        return found;
    }

    /** Mean of the two furthest. */
    private static double reachOf(List<Axis> tier) {
        return tier.stream()
                .mapToDouble(RuleContext::reachOf)
                .map(reach -> -reach)
                .sorted()
                .limit(2)
                .map(reach -> -reach)
                .average()
                .orElse(0);
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.coneShare";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.backInside(finding);
    }
}
