package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.crop.CropReading;
import umbel.cut.Operation;
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
                "fruits the buds would set against what trunk and leaf can finish",
                crop.ratio(),
                least,
                "",
                context.severity(crop.ratio(), least),
                ThresholdConfidence.below(
                        crop.ratio(),
                        least,
                        Math.max(0.05, crop.ratio() * context.errors().countShare())),
                String.format(
                        Locale.ROOT,
                        "The buds would set about %.0f fruits where the tree could finish about %.0f. Spare what bears, let light in, bend.",
                        crop.expectedFruits(),
                        crop.canFinish())));
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
