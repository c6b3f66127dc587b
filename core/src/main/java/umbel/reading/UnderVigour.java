package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;

/** Less extension growth than the tree's kind, stock and age ask for. */
final class UnderVigour extends Rule {

    UnderVigour() {
        super("under-vigour", Subject.TREE, Stage.TRAIN);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        Extension extension = Extension.of(context);
        double least = extension.from();
        if (extension.limbs() == 0 || extension.measured() >= least) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(),
                "last extension growth",
                extension.measured(),
                least,
                "cm",
                context.severity(extension.measured(), least),
                ThresholdConfidence.below(extension.measured(), least, extension.error(context)),
                String.format(
                        Locale.ROOT,
                        "It grew only %.0f cm last season; %.0f to %.0f is wanted at its age. Cut in winter, thin old spurs, carry less crop.",
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
