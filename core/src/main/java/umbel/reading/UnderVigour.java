package umbel.reading;

import java.util.List;
import umbel.cut.Operation;
import umbel.text.Statement;
import umbel.text.Value;

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
                Statement.of("measure.extension"),
                extension.measured(),
                least,
                "cm",
                context.severity(extension.measured(), least),
                ThresholdConfidence.below(extension.measured(), least, extension.error(context)),
                Statement.of("finding.under-vigour")
                        .with("grown", Value.centimetres(extension.measured()))
                        .with("from", Value.centimetres(extension.from()))
                        .with("to", Value.centimetres(extension.to()))));
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
