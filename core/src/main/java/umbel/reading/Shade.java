package umbel.reading;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import umbel.wood.Axis;

/** Too many fruiting sites with too little light. */
final class Shade implements Rule {

    private static final int MOST_LIMBS = 6;

    @Override
    public List<Finding> read(RuleContext context) {
        double limit = context.school().lightForFruit();
        double most = context.school().shadedShareMost();
        double share = context.light().shareUnder(limit);
        if (share <= most) {
            return List.of();
        }
        List<String> dark = context.limbs().stream()
                .filter(context::hasSites)
                .filter(limb -> context.lightOn(limb) < limit)
                .sorted(Comparator.comparingDouble(context::lightOn))
                .limit(MOST_LIMBS)
                .map(Axis::id)
                .toList();
        String where = dark.isEmpty() ? "" : " Darkest: limb " + String.join(", ", dark) + ".";
        return List.of(new Finding(
                "shade",
                Stage.FRAME,
                dark,
                "share of fruiting sites under " + Math.round(limit * 100) + " % of open light",
                share,
                most,
                "",
                ThresholdConfidence.severity(share, most),
                ThresholdConfidence.above(share, most, context.errors().lightShare()),
                String.format(
                        Locale.ROOT,
                        "%.0f %% of the fruiting wood gets under %.0f %% of open light; fruit there stays small and its buds die.%s",
                        100 * share,
                        100 * limit,
                        where)));
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.shadedShareMost";
    }
}
