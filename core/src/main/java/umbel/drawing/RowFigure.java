package umbel.drawing;

import java.util.ArrayList;
import java.util.List;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;

/** Two metres of a row from the side: so many canes of each class as were counted there, evenly, with wires. */
final class RowFigure {

    private static final double SHOWN_M = 2;
    private static final double USUAL_HEIGHT_CM = 150;
    private static final String FRESH = "canes/new";
    private static final String CURRENT = "canes/current";

    private RowFigure() {}

    private record Part(
            String target, String fallback, double count, double width, int age, double height, double far) {}

    static CountedSvg.Figure of(CountSurvey.Row row, List<CountOperation> operations) {
        List<CountSurvey.RowCanes> classes = new ArrayList<>();
        double length = 0;
        if (row.samples() != null && !row.samples().isEmpty()) {
            for (CountSurvey.Sample sample : row.samples()) {
                classes.addAll(sample.canes());
                length += sample.lengthM() == null ? 1 : sample.lengthM();
            }
        } else {
            classes.addAll(row.canes());
            length = row.lengthM();
        }
        double share = Math.min(1, SHOWN_M / length);
        double half = 50 * Math.min(SHOWN_M, length);
        List<CountedSvg.Cane> canes = new ArrayList<>();
        double top = row.topWireCm() == null ? 0 : row.topWireCm() + 20;
        for (CountSurvey.RowCanes one : classes) {
            double height = one.heightCm() == null ? USUAL_HEIGHT_CM : one.heightCm();
            top = Math.max(top, height * 1.08);
            for (Part part : parts(one, height)) {
                canes.addAll(canes(part, share, half, one, operations));
            }
        }
        List<double[]> wires = row.topWireCm() == null
                ? List.of()
                : List.of(new double[] {-half, half, row.topWireCm()}, new double[] {-half, half, 0.55 * row.topWireCm()
                });
        return new CountedSvg.Figure(half + 8, top, canes, wires);
    }

    private static List<Part> parts(CountSurvey.RowCanes one, double height) {
        int weak = or0(one.weak());
        int outside = or0(one.outside());
        int sick = or0(one.diseased());
        double width = one.diameterMm() == null ? 0.9 : one.diameterMm() / 10;
        if (one.cane().equals("fruited")) {
            return List.of(new Part("canes/fruited", "canes", one.count(), width, 4, height, 0));
        }
        String target = one.cane().equals("new") ? FRESH : CURRENT;
        return List.of(
                new Part(target + "/outside", "canes", outside, width, 1, 0.9 * height, 1),
                new Part(target + "/diseased", "canes", sick, width, 2, height, 0),
                new Part(target + "/weak", "canes", weak, 0.5 * width, 1, 0.7 * height, 0),
                new Part(target, "canes", Math.max(0, one.count() - weak - outside - sick), width, 1, height, 0));
    }

    private static List<CountedSvg.Cane> canes(
            Part part, double share, double half, CountSurvey.RowCanes one, List<CountOperation> operations) {
        List<CountedSvg.Cane> canes = new ArrayList<>();
        int shown = (int) Math.round(part.count() * share);
        double goingShare = 0;
        int step = 0;
        double tipAt = Double.POSITIVE_INFINITY;
        int tipStep = 0;
        for (int i = 0; i < operations.size(); i++) {
            CountOperation operation = operations.get(i);
            boolean mine = operation.target().equals(part.target());
            boolean all = operation.kind() == CountOperation.Kind.MOW;
            if (all
                    || mine && operation.kind() == CountOperation.Kind.REMOVE
                    || mine && operation.kind() == CountOperation.Kind.THIN) {
                goingShare = all ? 1 : Math.min(1, operation.count() / Math.max(1, part.count()));
                step = i + 1;
            }
            boolean sameClass = part.target().startsWith(operation.target());
            if (operation.kind() == CountOperation.Kind.TIP && sameClass) {
                tipAt = operation.atCm();
                tipStep = i + 1;
            }
        }
        int going = (int) Math.round(goingShare * shown);
        for (int i = 0; i < shown; i++) {
            String name = part.target() + i;
            double x = -half + 2 * half * (i + 0.2 + 0.6 * CountedSvg.noise(name, 5)) / shown;
            double height = part.height() * (0.9 + 0.18 * CountedSvg.noise(name, 6));
            double lean = (CountedSvg.noise(name, 7) - 0.5) * 26 + part.far() * 24 * (i % 2 == 0 ? 1 : -1);
            double[][] course = new double[7][];
            for (int j = 0; j < course.length; j++) {
                double s = j / 6.0;
                course[j] = new double[] {x + lean * s * s, height * s};
            }
            boolean goes = spread(i, shown, going);
            double from = goes ? 0 : Math.min(1, tipAt / height);
            CountedSvg.Cane cane = new CountedSvg.Cane(
                    part.target(),
                    course,
                    part.width(),
                    part.age(),
                    from,
                    goes ? step : from < 1 ? tipStep : 0,
                    // canes that have borne are dead
                    one.cane().equals("fruited") ? CountedSvg.Carries.NOTHING : CountedSvg.Carries.FRUIT);
            canes.add(cane);
            canes.addAll(laterals(cane, one, operations));
        }
        return canes;
    }

    private static List<CountedSvg.Cane> laterals(
            CountedSvg.Cane cane, CountSurvey.RowCanes one, List<CountOperation> operations) {
        List<CountedSvg.Cane> all = new ArrayList<>();
        CountSurvey.Laterals laterals = one.laterals();
        if (laterals == null || laterals.count() == null || laterals.lengthCm() == null || laterals.count() < 1) {
            return all;
        }
        int low = laterals.low() == null ? 0 : (int) Math.round(laterals.low());
        double keep = laterals.lengthCm();
        int shortenStep = 0;
        int lowStep = 0;
        for (int i = 0; i < operations.size(); i++) {
            CountOperation operation = operations.get(i);
            if (operation.target().equals(cane.id() + "/laterals")) {
                keep = Math.min(keep, operation.atCm());
                shortenStep = i + 1;
            }
            lowStep = operation.target().equals(cane.id() + "/laterals/low") ? i + 1 : lowStep;
        }
        double[][] points = cane.points();
        double height = points[points.length - 1][1];
        for (int i = 0; i < Math.round(laterals.count()); i++) {
            boolean isLow = i < low;
            double up =
                    isLow ? 15 + 12 * i : 50 + (height - 60) * (i - low + 0.5) / Math.max(1, laterals.count() - low);
            double[] foot = points[(int) Math.max(0, Math.min(6, Math.round(6 * up / height)))];
            double side = i % 2 == 0 ? 1 : -1;
            double reach = laterals.lengthCm() * 0.55;
            double[][] course = {
                {foot[0], up},
                {foot[0] + side * 0.6 * reach, up + 0.18 * reach},
                {foot[0] + side * reach, up + 0.1 * reach}
            };
            boolean gone = cane.goesFrom() < 0.01 || isLow && lowStep > 0;
            double from = gone ? 0 : keep / laterals.lengthCm();
            int step = cane.goesFrom() < 0.01 ? 0 : isLow ? lowStep : from < 1 ? shortenStep : 0;
            all.add(new CountedSvg.Cane(cane.id(), course, 0.4, 1, from, step, cane.carries()));
        }
        return all;
    }

    /** Whether the one at an index goes where {@code going} of {@code count} do, spread evenly. */
    private static boolean spread(int index, int count, int going) {
        return going > 0 && (long) (index + 1) * going / count > (long) index * going / count;
    }

    private static int or0(Integer count) {
        return count == null ? 0 : count;
    }
}
