package umbel.reading;

import java.util.List;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Setting;

/** A tree on dwarfing stock far stronger than its row: the scion may have rooted by itself. */
final class ScionRooted extends Rule {

    ScionRooted() {
        super("scion-rooted", Subject.TREE, Stage.SUCKERS);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        Setting setting = context.tree().setting();
        Double median = context.neighbours().rowMedianSection();
        if (median == null || median <= 0 || !setting.isDwarfed()) {
            return List.of();
        }
        double ratio = setting.trunkSection() / median;
        double most = context.school().scionRootedRatio();
        if (ratio <= most) {
            return List.of();
        }
        return List.of(new Finding(
                this,
                List.of(Target.TRUNK),
                Statement.of("measure.trunk-and-median"),
                ratio,
                most,
                "",
                Severity.CONSIDER,
                ThresholdConfidence.above(
                        ratio, most, 2 * ratio * context.errors().diameterShare()),
                Statement.of("finding.scion-rooted")
                        .with("ratio", Value.number(ratio, 1))
                        .with("own", new Value.Section(setting.trunkSection()))
                        .with("median", new Value.Section(median))));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.scionRootedRatio";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(); // the union is looked at; no cut answers it
    }
}
