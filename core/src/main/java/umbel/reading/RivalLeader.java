package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;

/** An upright nearly as thick and as tall as the leader, in a system that wants one leader. */
final class RivalLeader extends Rule {

    RivalLeader() {
        super("rival-leader", Subject.LIMB, Stage.FRAME, Trait.GRAVE, Trait.OUTWEIGHS_THE_FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Finding> found = new ArrayList<>();
        if (context.tree().setting().system().leaders().get(1) != 1) {
            return found;
        }
        double leaderTop = context.tree().trunk().course().top();
        for (Axis limb : context.limbs()) {
            Axis parent = context.parent(limb);
            boolean onLeader = parent.kind() == AxisKind.TRUNK || parent.role() == Role.LEADER;
            if (!onLeader
                    || context.tree().isTreeOfItsOwn(limb)
                    || limb.role() == Role.SUCKER
                    || limb.at() < context.tree().setting().unionAt()) {
                continue;
            }
            double ratio = limb.baseDiameter() / context.parentAbove(limb);
            double lean = RuleContext.lean(limb);
            double heightShare = limb.course().top() / leaderTop;
            if (ratio < context.school().rivalDiameterRatio()
                    || lean >= context.school().rivalInclinationDeg()
                    || heightShare < context.school().rivalHeightShare()) {
                continue;
            }
            double confidence =
                    ThresholdConfidence.above(ratio, context.school().rivalDiameterRatio(), context.ratioError(ratio))
                            * ThresholdConfidence.below(
                                    lean,
                                    context.school().rivalInclinationDeg(),
                                    context.errors().angleDeg());
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of("measure.rival-ratio"),
                    ratio,
                    context.school().rivalDiameterRatio(),
                    "",
                    Severity.ACT,
                    confidence,
                    Statement.of("finding.rival-leader")
                            .with("limb", Value.limb(limb.id()))
                            .with("lean", Value.degrees(lean))
                            .with("ratio", Value.number(ratio, 2))
                            .with("top", Value.reach(limb.course().top()))
                            .with("leaderTop", Value.reach(leaderTop))));
        }
        found.sort((a, b) -> Double.compare(b.value(), a.value()));
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.rivalDiameterRatio";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Axis limb = context.limb(finding, 0);
        List<Operation> operations = new ArrayList<>();
        operations.add(Operation.remove(limb));
        operations.addAll(context.reductions(limb));
        context.bend(limb).ifPresent(operations::add);
        return operations;
    }
}
