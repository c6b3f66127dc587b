package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.crop.CropReading;

/** More fruit in the buds than the tree can finish. */
final class OverCrop implements Rule {

    @Override
    public List<Finding> read(RuleContext scene) {
        CropReading crop = scene.crop();
        double most = scene.school().overCropRatio();
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
                        crop.ratio(), most, crop.ratio() * scene.errors().countShare()),
                String.format(
                        Locale.ROOT,
                        "The buds would set about %.0f fruits; the tree can finish about %.0f. Prune for crop first, then thin %s.",
                        crop.expectedFruits(),
                        crop.canFinish(),
                        spacing(scene))));
    }

    private static String spacing(RuleContext scene) {
        double cm = scene.tree().setting().species().thinning().spacingCm();
        return cm > 0 ? String.format(Locale.ROOT, "to a fruit every %.0f cm", cm) : "poor wood, not fruits";
    }

    @Override
    public String judgedBy(RuleContext scene, Finding finding) {
        return "school.overCropRatio";
    }
}
