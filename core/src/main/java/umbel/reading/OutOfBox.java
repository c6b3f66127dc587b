package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.TrainingSystem;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.Units;

/** A limb beyond the room its row, its aisle or its wall gives the tree. */
final class OutOfBox extends Rule {

    OutOfBox() {
        super("out-of-box", Subject.LIMB, Stage.FRAME);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        Setting setting = context.tree().setting();
        TrainingSystem system = setting.system();
        double allowance = Units.fromCm(context.school().boxAllowanceCm());
        double alongMost = Math.max(setting.place().inRow(), system.shape().spread()) / 2 + allowance;
        double aisleMost = Math.max(system.shape().depth() / 2, (setting.place().betweenRows() - system.aisle()) / 2);
        double acrossMost = (system.isPlane() ? system.shape().depth() / 2 : aisleMost) + allowance;
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.limbs()) {
            if (limb.role() == Role.SUCKER) {
                continue;
            }
            double along = 0;
            double across = 0;
            for (int i = 0; i < limb.course().size(); i++) {
                double[] at = context.inRowAxes(limb.course().point(i));
                along = Math.max(along, Math.abs(at[0]));
                across = Math.max(across, Math.abs(at[1]));
            }
            boolean intoAisle = across / acrossMost >= along / alongMost;
            double value = intoAisle ? across : along;
            double most = intoAisle ? acrossMost : alongMost;
            if (value <= most + Units.fromCm(context.parameters().frame().overRoomCm())) {
                continue;
            }
            String into = !intoAisle ? "neighbour" : system.isPlane() ? "plane" : "aisle";
            found.add(new Finding(
                    this,
                    List.of(Target.of(limb)),
                    Statement.of(intoAisle ? "measure.reach-across" : "measure.reach-along"),
                    value,
                    most,
                    "m",
                    context.severity(value, most),
                    ThresholdConfidence.above(
                            value, most, value * context.errors().lengthShare()),
                    Statement.of("finding.out-of-box")
                            .with("limb", Value.limb(limb.id()))
                            .with("reach", Value.reach(value))
                            .with("over", Value.length(value - most))
                            .with("into", Value.choice(into))));
        }
        found.sort(Comparator.comparingDouble((Finding one) -> one.value() / one.threshold())
                .reversed());
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.boxAllowance_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return context.backInside(finding);
    }
}
