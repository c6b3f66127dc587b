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
import umbel.wood.Units;

/** Growth from the rootstock: it starts below the graft union, or was noted a sucker. It only takes from the top. */
final class RootSucker extends Rule {

    RootSucker() {
        super("root-sucker", Subject.LIMB, Stage.SUCKERS, Trait.UNDISPUTED, Trait.OUTWEIGHS_THE_FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double union = context.tree().setting().unionAt();
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            boolean onTrunk = context.parent(limb).kind() == AxisKind.TRUNK;
            boolean below = onTrunk && limb.at() < union;
            if (!below && limb.role() != Role.SUCKER || context.tree().isTreeOfItsOwn(limb)) {
                continue;
            }
            double confidence = limb.role() == Role.SUCKER
                    ? 0.98
                    : ThresholdConfidence.below(
                            limb.at(), union, Units.fromCm(context.errors().heightCm()));
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of("measure.origin-and-union"),
                    Units.toCm(limb.at()),
                    Units.toCm(union),
                    "cm",
                    Severity.ACT,
                    confidence,
                    Statement.of("finding.root-sucker")
                            .with("noted", Value.choice(below ? "no" : "yes"))
                            .with("name", new Value.Name(limb.id()))
                            .with("start", Value.length(limb.at()))
                            .with("union", Value.length(union))));
        }
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "survey.trunk.unionAt_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(context.wholeOf(context.limb(finding, 0)));
    }
}
