package umbel.reading;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import umbel.wood.Axis;

/** Too many fruiting sites with too little light. */
final class Shade implements Rule {

    private static final int MOST_LIMBS = 6;

    @Override
    public List<Finding> read(RuleContext scene) {
        double limit = scene.school().lightForFruit();
        double most = scene.school().shadedShareMost();
        double share = scene.light().shareUnder(limit);
        if (share <= most) {
            return List.of();
        }
        List<String> dark = scene.limbs().stream()
                .filter(scene::hasSites)
                .filter(limb -> scene.lightOn(limb) < limit)
                .sorted(Comparator.comparingDouble(scene::lightOn))
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
                ThresholdConfidence.above(share, most, scene.errors().lightShare()),
                String.format(
                        Locale.ROOT,
                        "%.0f %% of the fruiting wood gets under %.0f %% of open light; fruit there stays small and its buds die.%s",
                        100 * share,
                        100 * limit,
                        where)));
    }

    @Override
    public String judgedBy(RuleContext scene, Finding finding) {
        return "school.shadedShareMost";
    }
}
