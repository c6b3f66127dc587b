package umbel.plan;

import java.util.List;
import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.knowledge.PlanRules;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.light.Site;
import umbel.reading.Finding;
import umbel.reading.TreeReader;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Role;
import umbel.wood.Tree;

/**
 * What a tree is worth to the grower after a set of operations: light, crop, structure, height and young wood, less work
 * and what the tree will answer to the loss. See docs/model/plan.md.
 *
 * @param worth the weighted sum; only differences between appraisals of one tree mean anything
 * @param woodShare share of small wood taken in all
 */
record Appraisal(double worth, double woodShare, CutTree cut) {

    /** What does not change between appraisals of one tree. */
    record Ground(Tree found, double cropTarget, double litFound) {

        static Ground of(Tree found, PlanRules rules) {
            LightReading light = LightModel.glance(found);
            double lit = 0;
            for (int s = 0; s < light.light().length; s++) {
                lit += light.sites().get(s).weight() * rules.lightRamp().at(light.light()[s]);
            }
            return new Ground(found, CropReading.target(found), lit);
        }
    }

    static Appraisal of(Ground ground, CutTree cut, Wish wish) {
        PlanRules.Worth worth = wish.rules().worth();
        Goals goals = wish.goals();
        Tree left = cut.left();
        LightReading light = LightModel.glance(left);
        double total = 0;
        double lit = 0;
        double fresh = 0;
        for (int s = 0; s < light.light().length; s++) {
            Site site = light.sites().get(s);
            double ramp = wish.rules().lightRamp().at(light.light()[s]);
            total += site.weight();
            lit += site.weight() * ramp;
            fresh += site.weight() * freshness(site.axis(), left.setting().species());
        }
        double evenness = total == 0 ? 0 : lit / total;
        double young = total == 0 ? 0 : fresh / total;
        double capacity = ground.litFound() == 0 ? 1 : Math.min(1.3, lit / ground.litFound());
        double fruits = CropReading.of(left, light, ground.cropTarget()).expectedFruits();
        double crop = ground.cropTarget() == 0 ? 1 : Math.min(1, fruits / (ground.cropTarget() * worth.spareCrop()));
        double woodShare = cut.woodShare();
        double sum = goals.light() * worth.light() * evenness
                + goals.crop() * (worth.crop() * crop + worth.capacity() * capacity)
                + goals.renewal() * worth.renewal() * young
                - goals.structure() * (worth.structure() * faults(left, light, wish) + worth.frame() * missing(left))
                - goals.height() * worth.height() * tooHigh(left, wish)
                - goals.labour() * minutes(cut, wish) / worth.labourMinutes()
                - worth.cutting() * square(woodShare / Math.max(0.05, wish.limits().woodShare()));
        return new Appraisal(sum, woodShare, cut);
    }

    /** How young a site's wood is for its species, by what such wood bears at its best. */
    private static double freshness(Axis axis, Species species) {
        if (axis.kind() == AxisKind.SPUR) {
            double best = species.bearing().flowerPerSpurByAge().stream()
                    .mapToDouble(Double::doubleValue)
                    .max()
                    .orElse(1);
            return species.bearing().perSpur(axis.age()) / best;
        }
        return axis.kind() == AxisKind.SHOOT && !CropReading.isGood(axis, species.smallWood().ideal()) ? 0.4 : 1;
    }

    private static double faults(Tree left, LightReading light, Wish wish) {
        double sum = 0;
        for (Finding finding : TreeReader.findings(left, wish.school(), light, wish.limits().reach())) {
            double weight = wish.rules().structure().getOrDefault(finding.rule(), 0.0);
            double past = Math.min(1, Math.abs(finding.value() - finding.threshold())
                    / Math.max(1e-9, Math.abs(finding.threshold())));
            sum += weight * finding.confidence() * (0.5 + 0.5 * past);
        }
        return sum;
    }

    /** Main limbs short of the least number of the system, for permanent frames. */
    private static double missing(Tree left) {
        TrainingSystem.Scaffolds wanted = left.setting().system().scaffolds();
        long mains = left.limbs().stream()
                .filter(limb -> limb.parent() == 0 && limb.age() >= 2 && limb.role() != Role.SUCKER)
                .count();
        return Math.max(0, wanted.count().get(0) - mains) / (double) wanted.count().get(0);
    }

    private static double tooHigh(Tree left, Wish wish) {
        double limit = wish.limits().reach() * left.setting().system().reachFactor();
        double above = 0;
        for (Axis axis : left.axes()) {
            if (axis.isFrame() && axis.role() != Role.SUCKER) {
                above = Math.max(above, axis.course().top() - limit);
            }
        }
        return above / limit;
    }

    private static double minutes(CutTree cut, Wish wish) {
        double minutes = 0;
        for (int i = 0; i < cut.operations().size(); i++) {
            minutes += Effect.of(cut, i, wish.limits().reach()).minutes();
        }
        return minutes;
    }

    private static double square(double value) {
        return value * value;
    }

    /** Findings left on the tree under the full reading of light. */
    static List<Finding> findingsLeft(CutTree cut, Wish wish) {
        return TreeReader.findings(
                cut.left(), wish.school(), LightModel.read(cut.left()), wish.limits().reach());
    }
}
