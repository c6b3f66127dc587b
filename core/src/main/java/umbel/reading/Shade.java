package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.Tree;

/** Too many fruiting sites with too little light. */
final class Shade extends Rule {

    Shade() {
        super("shade", Subject.TREE, Stage.FRAME, Trait.ANSWERED_IN_PARTS, Trait.WEIGHED_LAST);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double limit = context.school().lightForFruit();
        double most = context.school()
                .shadedMost(
                        context.tree().setting().species(),
                        context.tree().setting().system());
        double share = context.light().shareUnder(limit);
        if (share <= most) {
            return List.of();
        }
        List<String> dark = context.limbs().stream()
                .filter(context::hasSites)
                .filter(limb -> context.lightOn(limb) < limit)
                .sorted(Comparator.comparingDouble(context::lightOn))
                .limit(context.parameters().shade().limbsNamed())
                .map(Axis::id)
                .toList();
        return List.of(new Finding(
                this,
                dark.stream().map(Target::limb).toList(),
                Statement.of("measure.shaded-share").with("light", Value.share(limit)),
                share,
                most,
                "",
                context.severity(share, most),
                ThresholdConfidence.above(share, most, context.errors().lightShare()),
                Statement.of("finding.shade")
                        .with("share", Value.share(share))
                        .with("light", Value.share(limit))
                        .with("known", Value.choice(dark.isEmpty() ? "no" : "yes"))
                        .with("limbs", Value.limbs(dark))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        Setting setting = context.tree().setting();
        double byKind = setting.species().canopy().shadeFactor();
        double byForm = setting.system().shadeFactor();
        if (Math.max(byKind, byForm) == 1) {
            return "school.shadedShareMost";
        }
        return byKind > byForm ? "species.canopy.shadeFactor" : "system.shadeFactor";
    }

    /** Windows from above: upper and inner limbs out or back, uprights off. */
    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Tree tree = context.tree();
        double middle = tree.top() / 2;
        List<Operation> operations = new ArrayList<>();
        tree.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER && limb.age() >= 2)
                .filter(limb -> limb.course().top() > middle)
                .sorted(Comparator.comparingDouble(Axis::baseDiameter).reversed())
                .limit(context.parameters().shade().limbsWeighed())
                .forEach(limb -> {
                    if (limb.role() != Role.LEADER && limb.role() != Role.SCAFFOLD) {
                        operations.add(Operation.remove(limb));
                    }
                    operations.addAll(context.reductions(limb));
                });
        tree.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER)
                .map(limb -> Operation.remove(Target.shoots(limb.id(), Attitude.UP)))
                .filter(operation -> TargetAxes.of(tree, operation).size()
                        >= context.parameters().shade().uprightsFrom())
                .limit(context.parameters().shade().limbsWeighed())
                .forEach(operations::add);
        return operations;
    }
}
