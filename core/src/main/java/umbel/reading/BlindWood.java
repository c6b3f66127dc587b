package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Units;

/**
 * Older wood on which hardly anything stands, behind an end that still runs. Cut back into it in late spring, when buds are opening,
 * and those behind the cut break; cut in winter, the end only runs again.
 */
final class BlindWood extends Rule {

    BlindWood() {
        super("blind-wood", Subject.LIMB, Stage.DETAIL);
    }

    @Override
    List<Finding> read(RuleContext context) {
        Double least = context.tree().setting().species().smallWood().blindUnderPerM();
        if (least == null) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.frame()) {
            double older = limb.length() - limb.lastGrowth();
            if (!mayBeBlind(context, limb, older)) {
                continue;
            }
            double perMetre = placesOn(context, limb) / older;
            if (perMetre < least) {
                found.add(new Finding(
                        this,
                        List.of(Target.of(limb)),
                        Statement.of("measure.places-a-metre"),
                        perMetre,
                        least,
                        "",
                        perMetre < least / 2 ? Severity.ACT : Severity.CONSIDER,
                        ThresholdConfidence.below(
                                perMetre, least, least * context.errors().countShare()),
                        Statement.of("finding.blind-wood")
                                .with("limb", Value.limb(limb.id()))
                                .with("older", Value.length(older))
                                .with("places", Value.number(perMetre, 1))
                                .with("least", Value.number(least, 0))));
            }
        }
        found.sort((a, b) -> Double.compare(a.value(), b.value()));
        return found;
    }

    private static boolean mayBeBlind(RuleContext context, Axis limb, double older) {
        return limb.age() >= context.parameters().smallWood().blindFromY()
                && limb.role() != Role.LEADER
                && limb.conditions().isEmpty()
                && limb.lastGrowth() > 0
                && older >= context.parameters().smallWood().blindFromM()
                && limb.baseDiameter()
                        <= Units.fromMm(context.parameters().smallWood().blindMostMm());
    }

    /** Spurs, shoots, branches and laterals on a limb. */
    private static long placesOn(RuleContext context, Axis limb) {
        return context.tree().axes().stream()
                .filter(axis -> axis.parent() == limb.index())
                .count();
    }

    @Override
    String judgedBy(RuleContext context, Finding finding) {
        return "species.smallWood.blindUnder_perM";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        if (!context.isInLeaf()) {
            return List.of();
        }
        Axis limb = context.limb(finding, 0);
        double at = context.parameters().smallWood().blindCutAt() * (limb.length() - limb.lastGrowth());
        return List.of(Operation.cutAt(OperationKind.SHORTEN, limb, at));
    }

    @Override
    Optional<Statement> reasonToWait(RemedyContext context, Finding finding) {
        return context.isInLeaf() ? Optional.empty() : Optional.of(Statement.of("wait.blind-wood"));
    }
}
