package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Units;

/** Growth from the rootstock: it starts below the graft union, or was noted a sucker. It only takes from the top. */
final class RootSucker extends Rule {

    RootSucker() {
        super("root-sucker", Subject.LIMB, Stage.SUCKERS, Trait.UNDISPUTED);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        double union = context.tree().setting().unionAt();
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            boolean onTrunk = context.parent(limb).kind() == AxisKind.TRUNK;
            boolean below = onTrunk && limb.at() < union;
            if (!below && limb.role() != Role.SUCKER) {
                continue;
            }
            double confidence = limb.role() == Role.SUCKER
                    ? 0.98
                    : ThresholdConfidence.below(
                            limb.at(), union, Units.fromCm(context.errors().heightCm()));
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    "origin above ground against the graft union",
                    Units.toCm(limb.at()),
                    Units.toCm(union),
                    "cm",
                    Severity.ACT,
                    confidence,
                    String.format(
                            Locale.ROOT,
                            below
                                    ? "Shoot %s starts at %.0f cm, below the graft union at %.0f cm: it is rootstock, not the tree you planted."
                                    : "Shoot %s was noted as a sucker; it starts at %.0f cm, the union is at %.0f cm.",
                            limb.id(),
                            Units.toCm(limb.at()),
                            Units.toCm(union))));
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
