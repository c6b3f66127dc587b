package umbel.drawing;

import java.util.ArrayList;
import java.util.List;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;

/** A bush from one side: canes from its base by place, bearing and attitude, with twigs where they bear. */
final class BushFigure {

    private static final double USUAL_HEIGHT_CM = 150;
    private static final double TWIG_SHARE = 0.2;

    private BushFigure() {}

    static CountedSvg.Figure of(List<CountSurvey.BushCane> entries, List<CountOperation> operations, double turned) {
        List<CountedSvg.Cane> canes = new ArrayList<>();
        double half = 0;
        double top = 0;
        int number = 0;
        for (CountSurvey.BushCane entry : entries) {
            int count = entry.many();
            int step = CountedSvg.stepOn(operations, entry.id());
            int going = step == 0 ? 0 : operations.get(step - 1).count();
            for (int i = 0; i < count; i++) {
                boolean goes = i < going;
                CountedSvg.Cane cane =
                        cane(entry, number++, turned, goes ? step : 0, goes ? operations.get(step - 1) : null);
                canes.add(cane);
                canes.addAll(twigs(cane, entry));
                for (double[] point : cane.points()) {
                    half = Math.max(half, Math.abs(point[0]));
                    top = Math.max(top, point[1]);
                }
            }
        }
        return new CountedSvg.Figure(half + 15, top + 10, canes, List.of());
    }

    private static CountedSvg.Cane cane(
            CountSurvey.BushCane entry, int number, double turned, int step, CountOperation operation) {
        String name = entry.id() + number;
        int age = entry.ageY() == null ? 3 : (int) Math.round(entry.ageY());
        double height = entry.heightCm() == null
                ? USUAL_HEIGHT_CM * Math.min(1, 0.6 + 0.12 * age) * (0.88 + 0.24 * CountedSvg.noise(name, 1))
                : entry.heightCm();
        double bearing = entry.bearingDeg() == null ? 2.399963 * number : Math.toRadians(entry.bearingDeg());
        double across = Math.sin(bearing - turned);
        double out = "centre".equals(entry.place()) ? 5 : "outside".equals(entry.place()) ? 24 : 14;
        double lean = Math.toRadians(leanDeg(entry, name));
        double base = across * out;
        double sign = across < 0 ? -1 : 1;
        double reach = (0.35 + 0.65 * Math.abs(across)) * sign;
        int points = 8;
        double[][] course = new double[points + 1][];
        for (int i = 0; i <= points; i++) {
            double s = (double) i / points;
            double bend = lean * (0.4 + 0.6 * s);
            course[i] = new double[] {
                base + reach * height * s * Math.sin(bend), Math.max(2 * s, height * s * Math.cos(bend))
            };
        }
        double width = entry.diameterMm() == null ? 0.6 + 0.25 * Math.min(8, age) : entry.diameterMm() / 10;
        double goesFrom = operation == null
                ? 1
                : operation.kind() == CountOperation.Kind.HEAD
                        ? Math.min(1, operation.atCm() / height)
                        : operation.kind() == CountOperation.Kind.REMOVE ? 0 : 1;
        return new CountedSvg.Cane(entry.id(), course, width, age, goesFrom, step, CountedSvg.Carries.LEAF);
    }

    private static double leanDeg(CountSurvey.BushCane entry, String name) {
        double usual = 12 + 16 * CountedSvg.noise(name, 2);
        if (entry.attitude() == null) {
            return usual;
        }
        return switch (entry.attitude()) {
            case "upright" -> 6 + 14 * CountedSvg.noise(name, 2);
            case "leaning" -> 38;
            case "low" -> 66;
            case "down" -> 84;
            default -> usual;
        };
    }

    /** Side twigs on canes that have borne, with finer ones on them; more on twiggy canes. */
    private static List<CountedSvg.Cane> twigs(CountedSvg.Cane cane, CountSurvey.BushCane entry) {
        List<CountedSvg.Cane> twigs = new ArrayList<>();
        int count = cane.age() < 2 ? 0 : Boolean.TRUE.equals(entry.twiggy()) ? 16 : Math.min(12, 4 + cane.age());
        double[][] points = cane.points();
        double length =
                Math.hypot(points[points.length - 1][0] - points[0][0], points[points.length - 1][1] - points[0][1]);
        for (int i = 0; i < count; i++) {
            String name = entry.id() + "/" + i;
            double at = 0.4 + 0.58 * (i + 0.5) / count;
            double place = at * (points.length - 1);
            int before = (int) Math.min(points.length - 2, Math.floor(place));
            double[] foot = between(points[before], points[before + 1], place - before);
            double side = i % 2 == 0 ? 1 : -1;
            double turn = side * Math.toRadians(24 + 26 * CountedSvg.noise(name, 3));
            double reach = TWIG_SHARE * length * (0.8 + 0.6 * CountedSvg.noise(name, 4)) * (1.25 - 0.6 * at);
            double stays = cane.goesFrom() >= 0.99 || at <= cane.goesFrom() ? 1 : 0;
            twigs.add(twig(entry.id(), foot, turn, reach, stays));
            double[] fork = {foot[0] + 0.5 * reach * Math.sin(turn), foot[1] + 0.55 * reach * Math.cos(turn)};
            twigs.add(twig(entry.id(), fork, turn - side * 0.6, 0.5 * reach, stays));
            twigs.add(twig(entry.id(), fork, turn + side * 0.5, 0.42 * reach, stays));
        }
        return twigs;
    }

    private static CountedSvg.Cane twig(String id, double[] foot, double turn, double reach, double stays) {
        double[][] course = {
            foot,
            {foot[0] + 0.55 * reach * Math.sin(1.15 * turn), foot[1] + 0.5 * reach * Math.cos(turn)},
            {foot[0] + reach * Math.sin(turn), foot[1] + reach * Math.cos(turn)}
        };
        return new CountedSvg.Cane(id, course, 0.3, 1, stays, 0, CountedSvg.Carries.FRUIT);
    }

    private static double[] between(double[] one, double[] other, double share) {
        return new double[] {one[0] + share * (other[0] - one[0]), one[1] + share * (other[1] - one[1])};
    }
}
