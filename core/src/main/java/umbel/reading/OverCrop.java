package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.crop.CropReading;

/** More fruit in the buds than the tree can finish. */
final class OverCrop implements Rule {

    @Override
    public List<Finding> read(RuleContext context) {
        CropReading crop = context.crop();
        double most = context.school().overCropRatio();
        if (crop.canFinish() <= 0 || crop.ratio() <= most) {
            return List.of();
        }
        return List.of(new Finding(
                "over-crop",
                Stage.DETAIL,
                List.of(),
                "fruits the buds would set against what trunk and leaf can finish",
                crop.ratio(),
                most,
                "",
                ThresholdConfidence.severity(crop.ratio(), most),
                ThresholdConfidence.above(
                        crop.ratio(), most, crop.ratio() * context.errors().countShare()),
                String.format(
                        Locale.ROOT,
                        "The buds would set about %.0f fruits; the tree can finish about %.0f. Prune for crop first, then thin %s.",
                        crop.expectedFruits(),
                        crop.canFinish(),
                        spacing(context))));
    }

    private static String spacing(RuleContext context) {
        double cm = context.tree().setting().species().thinning().spacingCm();
        return cm > 0 ? String.format(Locale.ROOT, "to a fruit every %.0f cm", cm) : "poor wood, not fruits";
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.overCropRatio";
    }
}
