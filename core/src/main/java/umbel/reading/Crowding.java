package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Units;

/** More one-year shoots a metre of limb than the kind of tree can light. */
final class Crowding extends Rule {

    Crowding() {
        super("crowding", Subject.GROUP, Stage.RENEWAL, Trait.WEIGHED_LAST);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double most = context.tree().setting().species().smallWood().shootsPerMetreMost()
                * context.school().crowdingFactor();
        double least = Units.fromCm(context.parameters().smallWood().crowdingFromCm());
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.frame()) {
            double old = Math.max(least, limb.length() - limb.lastGrowth());
            int count = context.shoots(limb).size();
            double perMetre = count / old;
            if (perMetre <= most || limb.length() < least || limb.is(Condition.DEAD)) {
                continue;
            }
            found.add(new Finding(
                    this,
                    List.of(Target.shoots(limb.id())),
                    Statement.of("measure.shoots-along"),
                    perMetre,
                    most,
                    "a metre",
                    context.severity(perMetre, most),
                    ThresholdConfidence.above(
                            perMetre, most, perMetre * context.errors().countShare()),
                    Statement.of("finding.crowding")
                            .with("limb", Value.limb(limb.id()))
                            .with("count", Value.count(count))
                            .with("density", new Value.PerLength(perMetre))
                            .with("most", new Value.PerLength(most))));
        }
        found.sort(Comparator.comparingDouble(Finding::value).reversed());
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "species.smallWood.shootsPerMetreMost";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Target group = finding.first();
        Axis limb = context.limb(finding, 0);
        int count = TargetAxes.of(context.tree(), group).size();
        int keep = (int) Math.floor(count * finding.threshold() / finding.value());
        List<Operation> operations = new ArrayList<>();
        operations.add(Operation.thin(group, keep));
        int more = (count + keep) / 2;
        if (more > keep
                && limb.baseDiameter()
                        > Units.fromMm(context.parameters().smallWood().strongLimbMm())) {
            operations.add(Operation.thin(group, more));
        }
        return operations;
    }
}
