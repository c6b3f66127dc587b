package umbel.drawing;

import java.util.ArrayList;
import java.util.List;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;

/** A vine on its wires from the front: trunk, arms along the lower wire, canes up from them; kept nodes stay, the rest goes. */
final class VineFigure {

    private static final double ARM_CM = 90;
    private static final double USUAL_CANE_CM = 130;
    private static final int OLD = 9;

    private VineFigure() {}

    static CountedSvg.Figure of(CountSurvey.Vine vine, List<CountOperation> operations) {
        List<CountedSvg.Cane> drawn = new ArrayList<>();
        List<CountSurvey.Arm> arms = vine.arms() == null ? List.of() : vine.arms();
        List<CountSurvey.VineCane> canes = vine.canes() == null ? List.of() : vine.canes();
        drawn.add(stem("trunk", new double[][] {{0, 0}, {1.5, 0.5 * ARM_CM}, {0, ARM_CM}}, 6, 1, 0));
        double reach = 60;
        for (int i = 0; i < arms.size(); i++) {
            CountSurvey.Arm arm = arms.get(i);
            double length = arm.lengthCm() == null ? 90 : arm.lengthCm();
            double side = side(arm, i);
            int step = CountedSvg.stepOn(operations, arm.id());
            reach = Math.max(reach, length);
            drawn.add(stem(
                    arm.id(),
                    new double[][] {{0, ARM_CM}, {side * 0.5 * length, ARM_CM + 3}, {side * length, ARM_CM}},
                    3,
                    step > 0 ? 0.15 : 1,
                    step));
        }
        boolean chosen = operations.stream().anyMatch(operation -> operation.kind() == CountOperation.Kind.KEEP_NODES);
        int rest = CountedSvg.stepOn(operations, "canes/rest");
        double top = ARM_CM + 40;
        for (int i = 0; i < canes.size(); i++) {
            CountSurvey.VineCane cane = canes.get(i);
            double length = cane.lengthCm() == null ? USUAL_CANE_CM : cane.lengthCm();
            double[][] course = course(cane, i, arms, length);
            int step = CountedSvg.stepOn(operations, cane.id());
            double stays = !chosen
                    ? 1
                    : step == 0 ? 0 : (double) operations.get(step - 1).nodes() / cane.nodes();
            double width = cane.diameterMm() == null ? 0.9 : cane.diameterMm() / 10;
            top = Math.max(top, course[course.length - 1][1]);
            drawn.add(new CountedSvg.Cane(
                    cane.id(), course, width, 1, Math.min(1, stays), step > 0 ? step : chosen ? rest : 0));
            drawn.addAll(nodes(cane, course, stays));
        }
        double half = reach + 40;
        List<double[]> wires =
                List.of(new double[] {-half, half, ARM_CM}, new double[] {-half, half, ARM_CM + 45}, new double[] {
                    -half, half, ARM_CM + 90
                });
        return new CountedSvg.Figure(half, top + 12, drawn, wires);
    }

    private static CountedSvg.Cane stem(String id, double[][] course, double width, double stays, int step) {
        return new CountedSvg.Cane(id, course, width, OLD, stays, step);
    }

    /** To the left or to the right of the trunk: by its bearing where it was told, else in turn. */
    private static double side(CountSurvey.Arm arm, int index) {
        if (arm.bearingDeg() != null) {
            return Math.sin(Math.toRadians(arm.bearingDeg())) < 0 ? -1 : 1;
        }
        return index % 2 == 0 ? -1 : 1;
    }

    private static double[][] course(CountSurvey.VineCane cane, int index, List<CountSurvey.Arm> arms, double length) {
        int arm = -1;
        for (int i = 0; i < arms.size(); i++) {
            arm = arms.get(i).id().equals(cane.arm()) ? i : arm;
        }
        double side = arm < 0 ? (index % 2 == 0 ? -1 : 1) : side(arms.get(arm), arm);
        double at = cane.atCm() == null ? 4 + 3 * index : cane.atCm();
        double lean = (CountedSvg.noise(cane.id(), 8) - 0.35) * 50 * side;
        double foot = side * Math.min(at, 140);
        return new double[][] {
            {foot, ARM_CM + 2},
            {foot + 0.2 * lean, ARM_CM + 0.35 * length},
            {foot + 0.6 * lean, ARM_CM + 0.66 * length},
            {foot + lean, ARM_CM + 0.9 * length}
        };
    }

    /** Nodes as short strokes across a cane. */
    private static List<CountedSvg.Cane> nodes(CountSurvey.VineCane cane, double[][] course, double stays) {
        List<CountedSvg.Cane> nodes = new ArrayList<>();
        for (int i = 0; i < cane.nodes(); i++) {
            double share = (i + 0.7) / cane.nodes();
            double at = share * (course.length - 1);
            int before = (int) Math.min(course.length - 2, Math.floor(at));
            double rest = at - before;
            double x = course[before][0] + rest * (course[before + 1][0] - course[before][0]);
            double y = course[before][1] + rest * (course[before + 1][1] - course[before][1]);
            double side = i % 2 == 0 ? 1 : -1;
            double[][] bud = {{x, y}, {x + side * 2.2, y + 1.6}};
            nodes.add(new CountedSvg.Cane(cane.id(), bud, 1.1, 2, share <= stays + 1e-9 ? 1 : 0, 0));
        }
        return nodes;
    }
}
