package umbel.counted;

import java.util.List;
import umbel.text.Statement;

/**
 * One step of a plan for a counted plant.
 *
 * @param stage where it comes in the order of the work, as {@code unsound}
 * @param diameterMm of the wood that is cut; 0 where it is not known or nothing is cut
 * @param share of the plant's leaf (bush), canes (row) or nodes (vine) that goes, 0…1
 * @param rules findings it answers
 * @param closeCall whether another choice is nearly as good
 * @param instead the next best thing; null for leaving it
 */
public record CountStep(
        CountOperation operation,
        String stage,
        double diameterMm,
        double minutes,
        double share,
        List<CountRule> rules,
        double confidence,
        boolean closeCall,
        CountOperation instead,
        Statement reason) {

    public CountStep {
        rules = List.copyOf(rules);
    }
}
