package umbel.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;

/** A vine on its wires from the front: trunk, arms along the lower wire, canes up from them; kept nodes stay, the rest goes. */
final class VineFigure {

    private static final double ARM_CM = 90;
    private static final double USUAL_CANE_CM = 130;
    private static final double SHOOT_CM = 95;
    /** A cane that keeps so many nodes is tied down; one that keeps fewer stays a spur. */
    private static final int TIED_FROM = 5;

    private static final int OLD = 9;

    private VineFigure() {}

    /** A vine; in season with the shoots that its kept nodes make. */
    static CountedSvg.Figure of(CountSurvey.Vine vine, List<CountOperation> operations, boolean inSeason) {
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
            if (inSeason && step > 0 && operations.get(step - 1).nodes() >= TIED_FROM) {
                course = tiedDown(course, length);
            }
            double width = cane.diameterMm() == null ? 0.9 : cane.diameterMm() / 10;
            top = Math.max(top, course[course.length - 1][1]);
            drawn.add(new CountedSvg.Cane(
                    cane.id(), course, width, 1, Math.min(1, stays), step > 0 ? step : chosen ? rest : 0));
            drawn.addAll(nodes(cane, course, stays));
            if (inSeason) {
                drawn.addAll(shoots(cane, course, stays));
                top = Math.max(top, course[course.length - 1][1] + SHOOT_CM);
            }
        }
        double half = Math.max(reach, inSeason ? widest(drawn) : 0) + 40;
        List<double[]> wires =
                List.of(new double[] {-half, half, ARM_CM}, new double[] {-half, half, ARM_CM + 45}, new double[] {
                    -half, half, ARM_CM + 90
                });
        return new CountedSvg.Figure(half, top + 12, drawn, wires);
    }

    private static double widest(List<CountedSvg.Cane> drawn) {
        return drawn.stream()
                .flatMap(cane -> Arrays.stream(cane.points()))
                .mapToDouble(point -> Math.abs(point[0]))
                .max()
                .orElse(0);
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

    /** A kept cane laid down along the wire, outwards from its foot. */
    private static double[][] tiedDown(double[][] course, double length) {
        double foot = course[0][0];
        double side = foot < 0 ? -1 : 1;
        return new double[][] {
            {foot, ARM_CM + 2},
            {foot + side * 0.2 * length, ARM_CM + 14},
            {foot + side * 0.6 * length, ARM_CM + 6},
            {foot + side * 0.95 * length, ARM_CM + 1}
        };
    }

    /** The shoots of the season from the nodes that stay, up between the wires. */
    private static List<CountedSvg.Cane> shoots(CountSurvey.VineCane cane, double[][] course, double stays) {
        List<CountedSvg.Cane> shoots = new ArrayList<>();
        for (int i = 0; i < cane.nodes(); i++) {
            double share = (i + 0.7) / cane.nodes();
            if (share > stays + 1e-9) {
                continue;
            }
            double[] foot = on(course, share);
            double lean = 22 * (CountedSvg.noise(cane.id(), 30 + i) - 0.5);
            double reach = SHOOT_CM * (0.8 + 0.4 * CountedSvg.noise(cane.id(), 60 + i));
            double[][] up = {
                foot,
                {foot[0] + 0.5 * lean, foot[1] + 0.35 * reach},
                {foot[0] + 0.8 * lean, foot[1] + 0.7 * reach},
                {foot[0] + lean, foot[1] + reach}
            };
            shoots.add(new CountedSvg.Cane(cane.id(), up, 0.6, 1, 1, 0, CountedSvg.Carries.BUNCHES));
        }
        return shoots;
    }

    /** A place on a course, by share of its length. */
    private static double[] on(double[][] course, double share) {
        double at = share * (course.length - 1);
        int before = (int) Math.min(course.length - 2, Math.floor(at));
        double rest = at - before;
        return new double[] {
            course[before][0] + rest * (course[before + 1][0] - course[before][0]),
            course[before][1] + rest * (course[before + 1][1] - course[before][1])
        };
    }

    /** Nodes as short strokes across a cane. */
    private static List<CountedSvg.Cane> nodes(CountSurvey.VineCane cane, double[][] course, double stays) {
        List<CountedSvg.Cane> nodes = new ArrayList<>();
        for (int i = 0; i < cane.nodes(); i++) {
            double share = (i + 0.7) / cane.nodes();
            double[] at = on(course, share);
            double side = i % 2 == 0 ? 1 : -1;
            double[][] bud = {at, {at[0] + side * 2.2, at[1] + 1.6}};
            nodes.add(new CountedSvg.Cane(cane.id(), bud, 1.1, 2, share <= stays + 1e-9 ? 1 : 0, 0));
        }
        return nodes;
    }
}
