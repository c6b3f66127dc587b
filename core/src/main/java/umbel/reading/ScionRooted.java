package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.wood.Setting;
import umbel.wood.Units;

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
                "trunk section against the row's median",
                ratio,
                most,
                "",
                Severity.CONSIDER,
                ThresholdConfidence.above(
                        ratio, most, 2 * ratio * context.errors().diameterShare()),
                String.format(
                        Locale.ROOT,
                        "Its trunk has %.1f times the section of the row's median (%.0f cm² against %.0f) on a dwarfing stock: inspect the union for roots of its own.",
                        ratio,
                        Units.toCm2(setting.trunkSection()),
                        Units.toCm2(median))));
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
