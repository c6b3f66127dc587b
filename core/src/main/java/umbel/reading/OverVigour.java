package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;

/** More extension growth than the tree's kind, stock and age ask for. */
final class OverVigour extends Rule {

    OverVigour() {
        super("over-vigour", Subject.TREE, Stage.TRAIN);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        Extension extension = Extension.of(context);
        double most = extension.to();
        if (extension.limbs() == 0 || extension.measured() <= most) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(),
                "last extension growth",
                extension.measured(),
                most,
                "cm",
                context.severity(extension.measured(), most),
                ThresholdConfidence.above(extension.measured(), most, extension.error(context)),
                String.format(
                        Locale.ROOT,
                        "It grew %.0f cm last season; %.0f to %.0f is enough at its age. Cut late or in summer and less, bend, let it crop.",
                        extension.measured(),
                        extension.from(),
                        extension.to())));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return Extension.of(context).line();
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(); // vigour chooses season and severity, not single cuts
    }
}
