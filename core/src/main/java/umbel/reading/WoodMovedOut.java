package umbel.reading;

import java.util.List;
import umbel.cut.Operation;
import umbel.text.Statement;
import umbel.text.Value;
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
                Statement.of("measure.fruiting-place"),
                now.alongLimbs(),
                most,
                "",
                ThresholdConfidence.above(
                        now.alongLimbs(), most, context.parameters().shape().movedOutError()),
                Statement.of("finding.wood-moved-out.place").with("share", Value.share(now.alongLimbs()))));
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
                Statement.of(up >= out ? "measure.fruiting-rise" : "measure.fruiting-outward"),
                move,
                most,
                "cm a year",
                ThresholdConfidence.above(move, most, most / 2),
                Statement.of("finding.wood-moved-out.moved")
                        .with("up", Value.centimetres(up))
                        .with("out", Value.centimetres(out))));
    }

    private Finding finding(
            RuleContext context,
            Statement measure,
            double value,
            double most,
            String unit,
            double sure,
            Statement reason) {
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
