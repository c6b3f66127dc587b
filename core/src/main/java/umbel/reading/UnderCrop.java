package umbel.reading;

import java.util.List;
import umbel.crop.CropReading;
import umbel.cut.Operation;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Setting;

/** A bearing tree with too few flower buds for the crop it could carry. */
final class UnderCrop extends Rule {

    UnderCrop() {
        super("under-crop", Subject.TREE, Stage.DETAIL);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        CropReading crop = context.crop();
        Setting setting = context.tree().setting();
        double least = context.school().underCropRatio();
        boolean young = setting.leaf() <= setting.bearingLeaf() + 1;
        if (young || crop.canFinish() <= 0 || crop.ratio() >= least) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(),
                Statement.of("measure.fruits-set"),
                crop.ratio(),
                least,
                "",
                context.severity(crop.ratio(), least),
                ThresholdConfidence.below(
                        crop.ratio(),
                        least,
                        Math.max(0.05, crop.ratio() * context.errors().countShare())),
                Statement.of("finding.under-crop")
                        .with("set", Value.number(crop.expectedFruits(), 0))
                        .with("finish", Value.number(crop.canFinish(), 0))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.underCropRatio";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(); // no cut adds flower buds to this year
    }
}
