package umbel.reading;

import java.util.List;
import java.util.Locale;
import umbel.cut.Operation;
import umbel.wood.Units;

/** Fruiting wood that has followed the light upward and outward, or does so year on year. */
final class WoodMovedOut extends Rule {

    WoodMovedOut() {
        super("wood-moved-out", Subject.TREE, Stage.RENEWAL);
    }

    @Override
    public List<Finding> read(RuleContext context) {
        FruitingCentre now = FruitingCentre.of(context.tree(), context.light());
        FruitingCentre earlier = context.neighbours().earlier();
        if (earlier != null && context.neighbours().yearsSince() > 0) {
            return sinceEarlier(context, now, earlier);
        }
        double most = context.school().movedOutShare();
        if (context.tree().setting().leaf() < context.parameters().shape().movedOutFromLeaf()
                || now.alongLimbs() <= most) {
            return List.of();
        }
        return List.of(finding(
                context,
                "place of lit fruiting wood, from trunk (0) to limbs' ends (1)",
                now.alongLimbs(),
                most,
                "",
                ThresholdConfidence.above(
                        now.alongLimbs(), most, context.parameters().shape().movedOutError()),
                String.format(
                        Locale.ROOT,
                        "What fruits in light stands %.0f %% of the way out along the limbs; the inside is bare. Renew low and close to the frame.",
                        100 * now.alongLimbs())));
    }

    private List<Finding> sinceEarlier(RuleContext context, FruitingCentre now, FruitingCentre earlier) {
        double years = context.neighbours().yearsSince();
        double up = Units.toCm(now.height() - earlier.height()) / years;
        double out = Units.toCm(now.out() - earlier.out()) / years;
        double move = Math.max(up, out);
        double most = context.school().movedOutAYearCm();
        if (context.tree().setting().isFilling() || move <= most) {
            return List.of();
        }
        return List.of(finding(
                context,
                up >= out ? "rise of the fruiting wood" : "outward move of the fruiting wood",
                move,
                most,
                "cm a year",
                ThresholdConfidence.above(move, most, most / 2),
                String.format(
                        Locale.ROOT,
                        "The centre of the lit fruiting wood moved %.0f cm up and %.0f cm out a year since the last survey. Renew low.",
                        up,
                        out)));
    }

    private Finding finding(
            RuleContext context, String measure, double value, double most, String unit, double sure, String reason) {
        return new Finding(this, List.of(), measure, value, most, unit, context.severity(value, most), sure, reason);
    }

    @Override
    public String judgedBy(RuleContext context, Finding finding) {
        return finding.unit().isEmpty() ? "school.movedOutShare" : "school.movedOutAYear_cm";
    }

    @Override
    List<Operation> remedies(RemedyContext context, Finding finding) {
        return List.of(); // the limbs concerned are renewed by age and shade
    }
}
