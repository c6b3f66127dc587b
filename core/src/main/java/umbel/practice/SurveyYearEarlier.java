package umbel.practice;

import java.util.ArrayList;
import java.util.List;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;

/** The same invented tree as it would have been surveyed a year earlier: thinner, shorter by its last growth, its spurs younger. */
public final class SurveyYearEarlier {

    private static final double THINNER = 0.93;
    private static final double USUAL_GROWTH = 0.1;

    private SurveyYearEarlier() {}

    /** A survey of the tree a year before; limbs that had not yet grown are missing. */
    public static Survey of(Survey survey) {
        List<LimbMeasure> limbs = new ArrayList<>();
        for (LimbMeasure limb : survey.limbs()) {
            int age = limb.ageY() == null ? 2 : limb.ageY();
            double grew = limb.lastGrowthCm() == null ? limb.lengthCm() * USUAL_GROWTH : limb.lastGrowthCm();
            boolean there = limb.parent().equals(Survey.TRUNK)
                    || limbs.stream().anyMatch(one -> one.id().equals(limb.parent()) && one.lengthCm() > limb.atCm());
            if (age > 1 && limb.lengthCm() - grew > 12 && there) {
                limbs.add(younger(limb, age - 1, limb.lengthCm() - grew));
            }
        }
        Survey.TreeFacts tree = survey.tree();
        Survey.TrunkMeasure trunk = survey.trunk();
        return new Survey(
                survey.format(),
                new Survey.TreeFacts(
                        tree.label(),
                        tree.species(),
                        tree.leaf() == null ? null : Math.max(0, tree.leaf() - 1),
                        tree.system(),
                        tree.cultivar(),
                        tree.rootstock(),
                        tree.spacing(),
                        tree.rowBearingDeg()),
                survey.site(),
                survey.surveyedOn() == null ? null : survey.surveyedOn().minusYears(1),
                new Survey.TrunkMeasure(
                        Math.round(trunk.diameterMm() * THINNER),
                        trunk.diameterAtCm(),
                        trunk.heightCm(),
                        trunk.unionAtCm()),
                limbs);
    }

    private static LimbMeasure younger(LimbMeasure limb, int age, double length) {
        Survey.SmallWood wood = limb.wood();
        Survey.SpurCount spurs =
                wood == null || wood.spurs() == null || wood.spurs().ageY() == null
                        ? wood == null ? null : wood.spurs()
                        : new Survey.SpurCount(
                                wood.spurs().count(), Math.max(1, wood.spurs().ageY() - 1));
        return limb.sized(Math.max(4, Math.round(limb.diameterMm() * THINNER)), Math.round(length), age, null)
                .bearing(wood == null ? null : new Survey.SmallWood(wood.shoots(), spurs, null));
    }
}
