package umbel.counted;

import java.util.List;
import java.util.Objects;
import java.util.function.Function;

/**
 * What was counted on a stretch of row, all samples taken together.
 *
 * @param length of row that was counted, metres
 * @param spread standard deviation of new canes a metre between samples; NaN where there was one
 */
record RowCount(
        double length,
        int samples,
        double spread,
        Group fruited,
        Group fresh,
        Group current,
        double widthCm,
        int plants) {

    /**
     * Canes of one class.
     *
     * @param height mean, cm; 0 where it was not measured
     * @param diameter mean, mm; 0 where it was not measured
     */
    record Group(
            int count,
            int weak,
            int outside,
            int diseased,
            int rooting,
            double height,
            double diameter,
            double laterals,
            double lateralLength,
            double lowLaterals) {

        /** Sound canes inside the row that are not weak. */
        int strong() {
            return Math.max(0, count - weak - outside - diseased);
        }
    }

    static RowCount of(CountSurvey.Row row, double plantSpacing) {
        List<CountSurvey.Sample> samples = row.counts();
        double length = row.countedM();
        double[] perMetre = samples.stream()
                .mapToDouble(sample -> group(List.of(sample), "new").count() / sample.metres())
                .toArray();
        int plants = row.plants() != null
                ? row.plants()
                : plantSpacing > 0 ? (int) Math.max(1, Math.round(length / plantSpacing)) : 0;
        return new RowCount(
                length,
                samples.size(),
                deviation(perMetre),
                group(samples, "fruited"),
                group(samples, "new"),
                group(samples, "current"),
                row.widthCm() == null ? 0 : row.widthCm(),
                plants);
    }

    private static Group group(List<CountSurvey.Sample> samples, String word) {
        List<CountSurvey.RowCanes> of = samples.stream()
                .flatMap(sample -> sample.canes().stream())
                .filter(canes -> canes.cane().equals(word))
                .toList();
        return new Group(
                of.stream().mapToInt(CountSurvey.RowCanes::count).sum(),
                sum(of, CountSurvey.RowCanes::weak),
                sum(of, CountSurvey.RowCanes::outside),
                sum(of, CountSurvey.RowCanes::diseased),
                sum(of, CountSurvey.RowCanes::rooting),
                mean(of, CountSurvey.RowCanes::heightCm),
                mean(of, CountSurvey.RowCanes::diameterMm),
                mean(
                        of,
                        canes -> canes.laterals() == null
                                ? null
                                : canes.laterals().count()),
                mean(
                        of,
                        canes -> canes.laterals() == null
                                ? null
                                : canes.laterals().lengthCm()),
                mean(
                        of,
                        canes -> canes.laterals() == null
                                ? null
                                : canes.laterals().low()));
    }

    private static int sum(List<CountSurvey.RowCanes> of, Function<CountSurvey.RowCanes, Integer> what) {
        return of.stream()
                .map(what)
                .filter(Objects::nonNull)
                .mapToInt(Integer::intValue)
                .sum();
    }

    /** Mean over canes, of the entries that tell it; 0 where none does. */
    private static double mean(List<CountSurvey.RowCanes> of, Function<CountSurvey.RowCanes, Double> what) {
        double sum = 0;
        double weight = 0;
        for (CountSurvey.RowCanes canes : of) {
            Double value = what.apply(canes);
            if (value != null) {
                double here = Math.max(1, canes.count());
                sum += here * value;
                weight += here;
            }
        }
        return weight == 0 ? 0 : sum / weight;
    }

    private static double deviation(double[] values) {
        if (values.length < 2) {
            return Double.NaN;
        }
        double mean = java.util.Arrays.stream(values).average().orElse(0);
        double squares = java.util.Arrays.stream(values)
                .map(value -> (value - mean) * (value - mean))
                .sum();
        return Math.sqrt(squares / (values.length - 1));
    }
}
