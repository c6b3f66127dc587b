package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import umbel.wood.Axis;
import umbel.wood.Condition;

/** More one-year shoots a metre of limb than the kind of tree can light. */
final class Crowding implements Rule {

    private static final double LEAST_LENGTH = 0.4;

    @Override
    public List<Finding> read(RuleContext context) {
        double most = context.tree().setting().species().smallWood().shootsPerMetreMost()
                * context.school().crowdingFactor();
        List<Finding> found = new ArrayList<>();
        for (Axis limb : context.frame()) {
            double old = Math.max(LEAST_LENGTH, limb.length() - limb.lastGrowth());
            int count = context.shoots(limb).size();
            double perMetre = count / old;
            if (perMetre <= most || limb.length() < LEAST_LENGTH || limb.is(Condition.DEAD)) {
                continue;
            }
            found.add(new Finding(
                    "crowding",
                    Stage.RENEWAL,
                    List.of(limb.id() + "/shoots"),
                    "shoots a metre",
                    perMetre,
                    most,
                    "a metre",
                    ThresholdConfidence.severity(perMetre, most),
                    ThresholdConfidence.above(
                            perMetre, most, perMetre * context.errors().countShare()),
                    String.format(
                            Locale.ROOT,
                            "Limb %s carries %d one-year shoots, %.0f a metre; %.0f can be kept in light.",
                            limb.id(),
                            count,
                            perMetre,
                            most)));
        }
        found.sort(Comparator.comparingDouble(Finding::value).reversed());
        return found;
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return "species.smallWood.shootsPerMetreMost";
    }
}
