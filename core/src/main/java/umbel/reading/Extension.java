package umbel.reading;

import java.util.List;
import umbel.survey.Survey;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.Units;

/**
 * Last season's extension growth as measured, and what the tree's kind, stock and age ask for: its own report on its vigour.
 *
 * @param measured the leader's where it was measured, else the median of the measured main limbs, cm; NaN without either
 * @param limbs how many were measured
 * @param from least wanted, cm
 * @param to most wanted, cm
 * @param line the knowledge line the wanted range comes from
 */
record Extension(double measured, int limbs, double from, double to, String line) {

    static Extension of(RuleContext context) {
        Setting setting = context.tree().setting();
        boolean byLeader = !setting.system().topped() && setting.grownMeasured().contains(Survey.TRUNK);
        List<Double> wanted = setting.wantedExtensionCm(byLeader);
        String line =
                setting.isStillBuilding(byLeader) ? "young_cm" : setting.isDwarfed() ? "dwarfing_cm" : "bearing_cm";
        double share = context.school().vigourShare();
        if (byLeader) {
            double leader = Units.toCm(context.tree().trunk().lastGrowth());
            return new Extension(leader, 1, wanted.get(0) * share, wanted.get(1) * share, "species.vigour." + line);
        }
        double[] grown = context.frame().stream()
                .filter(limb -> setting.grownMeasured().contains(limb.id()))
                .filter(limb -> limb.age() >= 2 && limb.conditions().isEmpty())
                .filter(limb -> context.parent(limb).kind() == AxisKind.TRUNK || limb.role() == Role.LEADER)
                .mapToDouble(Axis::lastGrowth)
                .map(Units::toCm)
                .sorted()
                .toArray();
        double median = grown.length == 0 ? Double.NaN : (grown[(grown.length - 1) / 2] + grown[grown.length / 2]) / 2;
        return new Extension(
                median, grown.length, wanted.get(0) * share, wanted.get(1) * share, "species.vigour." + line);
    }

    /** One sigma of the median, cm. */
    double error(RuleContext context) {
        return Math.max(1, measured * (context.errors().lengthShare() + 0.15 / Math.sqrt(Math.max(1, limbs))));
    }
}
