package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;

/** Dead, broken, diseased, girdled, splitting, damaged or decayed limbs, as noted by the surveyor. Nobody argues about these. */
final class UnsoundWood extends Rule {

    private static final Condition[] ACT = {
        Condition.DEAD, Condition.BROKEN, Condition.DISEASED, Condition.GIRDLED, Condition.SPLITTING, Condition.DECAYED
    };

    UnsoundWood() {
        super("unsound-wood", Subject.LIMB, Stage.UNSOUND, Trait.OUTWEIGHS_THE_FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            if (limb.conditions().isEmpty()) {
                continue;
            }
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of("measure.condition"),
                    1,
                    0,
                    "",
                    limb.is(ACT) ? Severity.ACT : Severity.CONSIDER,
                    0.98,
                    Statement.of("finding.unsound-wood")
                            .with("limb", Value.limb(limb.id()))
                            .with(
                                    "conditions",
                                    new Value.Several(limb.conditions().stream()
                                            .map(one -> Statement.of("condition." + one.word()))
                                            .toList()))
                            .with("known", Value.choice(limb.disease().isEmpty() ? "no" : "yes"))
                            .with("disease", new Value.Words(limb.disease()))));
        }
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "survey.limbs.condition";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        Axis limb = context.limb(finding, 0);
        List<Operation> operations = new ArrayList<>();
        operations.add(Operation.remove(limb));
        if (limb.is(Condition.BROKEN, Condition.DAMAGED)) {
            context.reductions(limb).stream().limit(1).forEach(operations::add);
        }
        return operations;
    }

    @Override
    boolean isUndisputed(Finding finding) {
        return finding.severity() == Severity.ACT;
    }
}
