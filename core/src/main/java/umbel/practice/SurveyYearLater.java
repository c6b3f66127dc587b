package umbel.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import umbel.growth.Comparison;
import umbel.growth.ExpectedSurvey;
import umbel.knowledge.SurveyParameters;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * An invented tree as somebody in a hurry would survey it a year later: the frame and small wood that grew, each measure off
 * by the usual error of a quick survey.
 */
public final class SurveyYearLater {

    private static final double UPRIGHT = 0.82;
    private static final double HANGING = -0.25;

    private final Tree grown;
    private final SurveyParameters.Errors errors;
    private final SplittableRandom random;

    private SurveyYearLater(Tree grown, long seed) {
        this.grown = grown;
        this.errors = grown.setting().parameters().survey().errors();
        this.random = new SplittableRandom(seed);
    }

    /**
     * The later survey.
     *
     * @param before the survey of the year before
     * @param grown the tree it became
     * @param seed of the errors of measuring
     */
    public static Survey of(Survey before, Tree grown, long seed) {
        SurveyYearLater after = new SurveyYearLater(grown, seed);
        Survey expected =
                ExpectedSurvey.of(before, grown, true, before.surveyedOn().plusYears(1));
        List<LimbMeasure> limbs = expected.limbs().stream().map(after::measured).toList();
        return new Survey(
                expected.format(), expected.tree(), expected.site(), expected.surveyedOn(), expected.trunk(), limbs);
    }

    private LimbMeasure measured(LimbMeasure limb) {
        Double lastGrowth = limb.lastGrowthCm() == null
                ? null
                : Double.valueOf(Math.min(limb.lengthCm(), off(limb.lastGrowthCm(), errors.lengthShare())));
        return limb.sized(limb.diameterMm(), limb.lengthCm(), limb.ageY(), lastGrowth)
                .bearing(wood(limb.id()));
    }

    private Survey.SmallWood wood(String limb) {
        Map<List<String>, List<Axis>> shoots = new LinkedHashMap<>();
        List<Axis> spurs = new ArrayList<>();
        double flowers = grown.find(limb).map(Axis::flowerBuds).orElse(0.0);
        for (Axis axis : grown.axes()) {
            if (!axis.limb().equals(limb) || axis.isFrame() || axis.isUnmeasured()) {
                continue;
            }
            if (Comparison.isOneYearShoot(axis)) {
                shoots.computeIfAbsent(
                                List.of(classOf(axis).word(), attitudeOf(axis).word()), key -> new ArrayList<>())
                        .add(axis);
            } else if (axis.kind() == AxisKind.SPUR) {
                spurs.add(axis);
            }
            flowers += axis.flowerBuds();
        }
        List<Survey.ShootCount> counts = new ArrayList<>();
        shoots.forEach((kind, same) -> counts.add(new Survey.ShootCount(
                kind.get(0),
                kind.get(1),
                (int) Math.max(1, off(same.size(), errors.countShare())),
                Math.max(1.0, Units.round(Units.toCm(mean(same, Axis::lastGrowth)), 0)))));
        Survey.SpurCount spurCount = spurs.isEmpty()
                ? new Survey.SpurCount(0, null)
                : new Survey.SpurCount(
                        (int) off(spurs.size(), errors.countShare()),
                        Math.max(1.0, Units.round(mean(spurs, Axis::age), 0)));
        return new Survey.SmallWood(counts, spurCount, (int) off(flowers, errors.countShare()));
    }

    private ShootClass classOf(Axis axis) {
        return axis.shootClass() != null
                ? axis.shootClass()
                : ShootClass.ofLength(
                        Units.toCm(axis.lastGrowth()), grown.setting().species().wood());
    }

    private static Attitude attitudeOf(Axis axis) {
        if (axis.attitude() != null) {
            return axis.attitude();
        }
        double up = axis.course().directionAt(axis.length()).z();
        return up > UPRIGHT ? Attitude.UP : up < HANGING ? Attitude.DOWN : Attitude.SIDE;
    }

    private static double mean(List<Axis> axes, ToDoubleFunction<Axis> of) {
        return axes.stream().mapToDouble(of).average().orElse(0);
    }

    private double off(double value, double share) {
        return Math.max(0, Math.round(value * (1 + share * random.nextGaussian())));
    }
}
