package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Setting;

/** Spurs or limbs past the age at which they bear well. */
final class OldWood implements Rule {

    private static final int LEAST_SPURS = 8;
    private static final int MOST_LIMBS = 5;

    @Override
    public List<Finding> read(RuleContext context) {
        List<Finding> found = new ArrayList<>();
        readSpurs(context, found);
        readLimbs(context, found);
        return found;
    }

    private static void readSpurs(RuleContext context, List<Finding> found) {
        double most = context.tree().setting().species().renewal().spurAgeMost();
        int all = 0;
        int old = 0;
        Map<String, Integer> oldOn = new HashMap<>();
        for (Axis axis : context.tree().axes()) {
            if (axis.kind() == AxisKind.SPUR) {
                all++;
                if (axis.age() > most) {
                    old++;
                    oldOn.merge(axis.limb(), 1, Integer::sum);
                }
            }
        }
        double limit = context.school().oldShareMost();
        double share = all == 0 ? 0 : old / (double) all;
        if (all < LEAST_SPURS || share <= limit) {
            return;
        }
        List<String> limbs = oldOn.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(MOST_LIMBS)
                .map(Map.Entry::getKey)
                .toList();
        found.add(finding(
                context,
                limbs,
                "share of spurs past " + Math.round(most) + " years",
                share,
                String.format(
                        Locale.ROOT,
                        "%.0f %% of the spurs are older than %.0f years and bear less; most on limb %s. Renew about %.0f %% a year.",
                        100 * share,
                        most,
                        String.join(", ", limbs),
                        100 * context.tree().setting().species().renewal().shareAYear())));
    }

    private static void readLimbs(RuleContext context, List<Finding> found) {
        Setting setting = context.tree().setting();
        Integer bySystem = setting.system().scaffolds().renewedAfter();
        Double bySpecies = setting.species().renewal().limbAgeMost();
        if (bySystem == null && bySpecies == null) {
            return;
        }
        double most = bySystem == null ? bySpecies : bySystem;
        List<Axis> mains = context.mains();
        List<Axis> old = mains.stream()
                .filter(limb -> limb.age() > most)
                .sorted(Comparator.comparingInt(Axis::age).reversed())
                .toList();
        double share = mains.isEmpty() ? 0 : old.size() / (double) mains.size();
        if (share <= context.school().oldShareMost()) {
            return;
        }
        found.add(finding(
                context,
                old.stream().limit(MOST_LIMBS).map(Axis::id).toList(),
                "share of limbs past " + Math.round(most) + " years",
                share,
                String.format(
                        Locale.ROOT,
                        "%d of %d limbs are older than the %.0f years a limb is kept in this system; the oldest is %s.",
                        old.size(),
                        mains.size(),
                        most,
                        old.get(0).id())));
    }

    private static Finding finding(
            RuleContext context, List<String> limbs, String measure, double share, String reason) {
        double limit = context.school().oldShareMost();
        return new Finding(
                "old-wood",
                Stage.RENEWAL,
                limbs,
                measure,
                share,
                limit,
                "",
                ThresholdConfidence.severity(share, limit),
                ThresholdConfidence.above(share, limit, context.errors().countShare()),
                reason);
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "school.oldShareMost";
    }
}
