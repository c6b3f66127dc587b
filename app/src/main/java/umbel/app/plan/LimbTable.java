package umbel.app.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.plant.SurveyedTree;
import umbel.survey.Survey;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.Units;

/** The limbs of a tree as a table tells them: measured, counted, and what light they get. */
final class LimbTable {

    private LimbTable() {}

    /** The measured limbs of a tree in the order of its survey. */
    static List<TreeAnswers.LimbLine> of(SurveyedTree read) {
        Map<String, Double> light = read.reading().light().meanByLimb();
        List<TreeAnswers.LimbLine> lines = new ArrayList<>();
        for (Survey.LimbMeasure measured : read.request().survey().limbs()) {
            Axis limb = read.tree().find(measured.id()).orElseThrow();
            lines.add(limb(read, measured, limb, light.get(limb.id())));
        }
        return lines;
    }

    private static TreeAnswers.LimbLine limb(SurveyedTree read, Survey.LimbMeasure measured, Axis limb, Double light) {
        int shoots = 0;
        int spurs = 0;
        double flowers = 0;
        for (Axis axis : read.tree().axes()) {
            if (axis.limb().equals(limb.id())) {
                shoots += axis.kind() == AxisKind.SHOOT ? 1 : 0;
                spurs += axis.kind() == AxisKind.SPUR ? 1 : 0;
                flowers += axis.flowerBuds();
            }
        }
        Axis parent = read.tree().axis(limb.parent());
        return new TreeAnswers.LimbLine(
                limb.id(),
                parent.id(),
                measured.role() == null ? "unknown" : measured.role(),
                measured.atCm(),
                measured.bearingDeg(),
                measured.angleDeg(),
                measured.diameterMm(),
                measured.lengthCm(),
                limb.age(),
                Units.round(Units.toCm(limb.lastGrowth()), 0),
                Units.round(limb.baseDiameter() / parent.diameterAt(limb.at()), 2),
                shoots,
                spurs,
                Units.round(flowers, 0),
                light == null ? null : Units.round(light, 3),
                Units.round(
                        CutTree.of(read.tree(), List.of(Operation.remove(limb))).woodShare(), 3),
                limb.conditions().stream().map(Condition::word).toList(),
                limb.disease(),
                measured.note() == null ? "" : measured.note());
    }
}
