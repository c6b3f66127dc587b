package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.growth.Comparison;
import umbel.growth.Comparison.Measure;
import umbel.growth.Comparison.Measured;
import umbel.growth.Forecast;

/** What was foretold of a counted plant's season against what was counted and weighed after it. */
public final class CountComparison {

    private CountComparison() {}

    /**
     * New canes or the weight of the prunings, and the crop where it was weighed.
     *
     * @param done what was done before that season
     * @param spread share to either side within which a season's figures usually lie
     * @param cropKg picked in that season; 0 where nobody wrote it down
     */
    public static Comparison of(
            Counted plant,
            CountSurvey before,
            List<CountOperation> done,
            CountSurvey later,
            double spread,
            double cropKg) {
        CountPlan.Season foretold = plant.after(done).seasons().get(0);
        List<Measured> measures = new ArrayList<>();
        if (before.canes() != null && later.canes() != null) {
            double found = later.canes().stream()
                    .filter(cane -> cane.ageY() != null && cane.ageY() <= 1)
                    .mapToInt(CountSurvey.BushCane::many)
                    .sum();
            measures.add(measured(Measure.NEW_CANES, foretold.renewal(), found, spread));
        }
        if (before.row() != null && later.row() != null) {
            String name = plant.kind().row().isMown() ? "fruited" : "new";
            double found = later.row()
                    .allCanes()
                    .filter(canes -> canes.cane().equals(name))
                    .mapToInt(CountSurvey.RowCanes::count)
                    .sum();
            double perMetre = foretold.renewal() / before.row().countedM();
            measures.add(measured(Measure.NEW_CANES, perMetre * later.row().countedM(), found, spread));
        }
        if (later.vine() != null && later.vine().pruningWeightKg() != null) {
            measures.add(measured(
                    Measure.PRUNING_WEIGHT, foretold.renewal(), later.vine().pruningWeightKg(), spread));
        }
        Double told = later.cropLast();
        double crop = cropKg > 0 ? cropKg : told == null ? 0 : told;
        if (crop > 0) {
            measures.add(measured(Measure.CROP, foretold.crop(), crop, spread));
        }
        return new Comparison(measures);
    }

    private static Measured measured(Measure measure, double foretold, double found, double spread) {
        return new Measured(
                measure, new Forecast.Range(foretold * (1 - spread), foretold, foretold * (1 + spread)), found);
    }
}
