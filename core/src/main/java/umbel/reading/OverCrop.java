package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import umbel.crop.CropReading;
import umbel.cut.Operation;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;

/** More fruit in the buds than the tree can finish. */
final class OverCrop extends Rule {

    OverCrop() {
        super("over-crop", Subject.TREE, Stage.DETAIL);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        CropReading crop = context.crop();
        double most = context.school().overCropRatio();
        if (crop.canFinish() <= 0 || crop.ratio() <= most) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(),
                "fruits the buds would set against what trunk and leaf can finish",
                crop.ratio(),
                most,
                "",
                context.severity(crop.ratio(), most),
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

    /** Pruning as the first thinning: the limbs with most flower buds lose a third of their spurs, the old ones. */
    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        List<Operation> operations = new ArrayList<>();
        context.tree().limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER)
                .sorted(Comparator.comparingDouble((Axis limb) -> -buds(context.tree(), limb)))
                .limit(context.parameters().overCrop().limbs())
                .forEach(limb -> {
                    int spurs = (int) context.tree().smallWoodOn(limb.id()).stream()
                            .filter(axis -> axis.kind() == AxisKind.SPUR)
                            .count();
                    int keep = (int)
                            Math.ceil(spurs * context.parameters().overCrop().spursLeft());
                    if (keep < spurs && spurs >= context.parameters().overCrop().spursFrom()) {
                        operations.add(Operation.thinSpurs(limb.id(), keep));
                    }
                });
        return operations;
    }

    private static double buds(Tree tree, Axis limb) {
        return tree.smallWoodOn(limb.id()).stream()
                .mapToDouble(Axis::flowerBuds)
                .sum();
    }
}
