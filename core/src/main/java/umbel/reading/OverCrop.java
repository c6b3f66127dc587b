package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.crop.CropReading;
import umbel.cut.Operation;
import umbel.text.Statement;
import umbel.text.Value;
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
        double most = context.school().overCropMost(context.tree().setting().species());
        if (crop.canFinish() <= 0 || crop.ratio() <= most) {
            return List.of();
        }
        double spacing = context.tree().setting().species().thinning().spacingCm();
        return List.of(new Finding(
                this,
                List.of(),
                Statement.of("measure.fruits-set"),
                crop.ratio(),
                most,
                "",
                context.severity(crop.ratio(), most),
                ThresholdConfidence.above(
                        crop.ratio(), most, crop.ratio() * context.errors().countShare()),
                Statement.of("finding.over-crop")
                        .with("set", Value.number(crop.expectedFruits(), 0))
                        .with("finish", Value.number(crop.canFinish(), 0))
                        .with("thinning", Value.choice(spacing > 0 ? "spaced" : "wood"))
                        .with("spacing", Value.centimetres(spacing))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return context.tree().setting().species().smallWood().renewsOneYearWood()
                ? "species.hardness.woodShare"
                : "school.overCropRatio";
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
