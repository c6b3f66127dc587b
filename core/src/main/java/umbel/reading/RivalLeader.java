package umbel.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;

/** An upright nearly as thick and as tall as the leader, in a system that wants one leader. */
final class RivalLeader implements Rule {

    @Override
    public List<Finding> read(RuleContext scene) {
        List<Finding> found = new ArrayList<>();
        if (scene.tree().setting().system().leaders().get(1) != 1) {
            return found;
        }
        double leaderTop = scene.tree().trunk().course().top();
        for (Axis limb : scene.limbs()) {
            Axis parent = scene.parent(limb);
            boolean onLeader = parent.kind() == AxisKind.TRUNK || parent.role() == Role.LEADER;
            if (!onLeader
                    || limb.role() == Role.SUCKER
                    || limb.at() < scene.tree().setting().unionAt()) {
                continue;
            }
            double ratio = limb.baseDiameter() / scene.parentAbove(limb);
            double lean = RuleContext.lean(limb);
            double heightShare = limb.course().top() / leaderTop;
            if (ratio < scene.school().rivalDiameterRatio()
                    || lean >= scene.school().rivalInclinationDeg()
                    || heightShare < scene.school().rivalHeightShare()) {
                continue;
            }
            double confidence =
                    ThresholdConfidence.above(ratio, scene.school().rivalDiameterRatio(), scene.ratioError(ratio))
                            * ThresholdConfidence.below(
                                    lean,
                                    scene.school().rivalInclinationDeg(),
                                    scene.errors().angleDeg());
            found.add(new Finding(
                    "rival-leader",
                    Stage.FRAME,
                    List.of(limb.id()),
                    "diameter against the leader at the fork",
                    ratio,
                    scene.school().rivalDiameterRatio(),
                    "",
                    Severity.ACT,
                    confidence,
                    String.format(
                            Locale.ROOT,
                            "Limb %s stands %.0f° off upright, %.2f as thick as the leader where they part, and reaches %.1f m of its %.1f m: two tops.",
                            limb.id(),
                            lean,
                            ratio,
                            limb.course().top(),
                            leaderTop)));
        }
        found.sort((a, b) -> Double.compare(b.value(), a.value()));
        return found;
    }

    @Override
    public String judgedBy(RuleContext scene, Finding finding) {
        return "school.rivalDiameterRatio";
    }
}
