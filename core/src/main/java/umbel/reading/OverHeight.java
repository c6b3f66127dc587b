package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import umbel.wood.Axis;
import umbel.wood.Role;

/** Wood above what the grower's reach and the system allow. */
final class OverHeight implements Rule {

    @Override
    public List<Finding> read(RuleContext context) {
        double most = context.reach() * context.tree().setting().system().reachFactor();
        List<Axis> tall = new ArrayList<>();
        if (context.tree().trunk().course().top() > most) {
            tall.add(context.tree().trunk());
        }
        context.limbs().stream()
                .filter(limb -> limb.role() != Role.SUCKER && limb.course().top() > most)
                .forEach(tall::add);
        if (tall.isEmpty()) {
            return List.of();
        }
        tall.sort(Comparator.comparingDouble((Axis axis) -> axis.course().top()).reversed());
        double top = tall.get(0).course().top();
        double error = top * context.errors().lengthShare();
        return List.of(new Finding(
                "over-height",
                Stage.FRAME,
                tall.stream().map(Axis::id).toList(),
                "height of the top",
                top,
                most,
                "m",
                ThresholdConfidence.severity(top, most),
                ThresholdConfidence.above(top, most, error),
                String.format(
                        Locale.ROOT,
                        "The top stands at %.1f m; with a reach of %.1f m this system is workable to %.1f m.",
                        top,
                        context.reach(),
                        most)));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "system.reachFactor";
    }
}
