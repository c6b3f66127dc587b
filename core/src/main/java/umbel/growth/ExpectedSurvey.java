package umbel.growth;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import umbel.survey.Survey;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What the next survey is expected to find, for whoever measures to confirm or correct: the frame of the last one, less what
 * was cut since, with the growth that is foretold. Small wood is left to be counted anew once a season has passed.
 */
public final class ExpectedSurvey {

    private ExpectedSurvey() {}

    /**
     * The survey to start from.
     *
     * @param expected the tree as it is expected now: after what was done, and after the season where one has passed
     * @param seasonPassed whether a season of growth lies between
     * @param day of the new survey
     */
    public static Survey of(Survey last, Tree expected, boolean seasonPassed, LocalDate day) {
        List<Survey.LimbMeasure> limbs = new ArrayList<>();
        Set<String> there = new HashSet<>(Set.of(Survey.TRUNK));
        for (Survey.LimbMeasure limb : last.limbs()) {
            Axis now = expected.find(limb.id()).orElse(null);
            if (now != null && there.contains(limb.parent())) {
                there.add(limb.id());
                limbs.add(seasonPassed ? grown(limb, now) : shortened(limb, now));
            }
        }
        Survey.TreeFacts facts = last.tree();
        Integer leaf = facts.leaf() == null || !seasonPassed ? facts.leaf() : Integer.valueOf(facts.leaf() + 1);
        return new Survey(
                last.format(),
                new Survey.TreeFacts(
                        facts.label(),
                        facts.species(),
                        leaf,
                        facts.system(),
                        facts.cultivar(),
                        facts.rootstock(),
                        facts.spacing(),
                        facts.rowBearingDeg()),
                last.site(),
                day,
                seasonPassed ? trunk(last.trunk(), expected) : last.trunk(),
                limbs);
    }

    private static Survey.TrunkMeasure trunk(Survey.TrunkMeasure last, Tree expected) {
        Axis trunk = expected.trunk();
        double at = last.diameterAtCm() == null ? 30 : last.diameterAtCm();
        return new Survey.TrunkMeasure(
                Units.round(Units.toMm(trunk.diameterAt(Math.min(trunk.length(), at / 100))), 0),
                last.diameterAtCm(),
                Units.round(Units.toCm(trunk.course().at(trunk.length()).z()), 0),
                last.unionAtCm(),
                Units.round(Units.toCm(trunk.lastGrowth()), 0));
    }

    private static Survey.LimbMeasure grown(Survey.LimbMeasure limb, Axis now) {
        return limb.placed(limb.atCm(), limb.bearingDeg(), Units.round(Units.toDegrees(now.baseInclination()), 0), null)
                .sized(
                        Units.round(Units.toMm(now.baseDiameter()), 0),
                        Units.round(Units.toCm(now.length()), 0),
                        limb.ageY() == null ? null : Integer.valueOf(limb.ageY() + 1),
                        Units.round(Units.toCm(now.lastGrowth()), 0))
                .bearing(null);
    }

    private static Survey.LimbMeasure shortened(Survey.LimbMeasure limb, Axis now) {
        double length = Math.min(limb.lengthCm(), Units.round(Units.toCm(now.length()), 0));
        boolean cut = length < limb.lengthCm() - 1;
        return cut
                ? limb.placed(limb.atCm(), limb.bearingDeg(), limb.angleDeg(), null)
                        .sized(limb.diameterMm(), length, limb.ageY(), null)
                        .bearing(null)
                : limb;
    }
}
