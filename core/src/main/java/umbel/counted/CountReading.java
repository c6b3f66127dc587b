package umbel.counted;

import java.util.List;
import umbel.text.Statement;

/**
 * What is seen on a counted plant as found.
 *
 * @param light mean light of its leaf and light at its base, shares of open sky; null for rows and vines
 * @param cropKg what it would bear left alone, kg
 * @param marketableKg of it, kg
 * @param flowerBuds counted; 0 where nobody did
 * @param canes by age (bush), or by class (row); null for vines
 * @param nodes null for anything but vines
 * @param estimated fields of the survey that were estimated
 * @param measureNext what would make the answer surer
 */
public record CountReading(
        List<CountFinding> findings,
        Light light,
        double cropKg,
        double marketableKg,
        int flowerBuds,
        Canes canes,
        Nodes nodes,
        List<String> estimated,
        List<Measure> measureNext) {

    public CountReading {
        findings = List.copyOf(findings);
        estimated = List.copyOf(estimated);
        measureNext = List.copyOf(measureNext);
    }

    /** Light in a bush, shares of open sky. */
    public record Light(double mean, double base) {}

    /**
     * Canes there are.
     *
     * @param groups how many by age in years, or by class
     * @param perMetre canes a metre of row; 0 for a bush
     * @param widthCm of the row; 0 where it was not measured
     * @param wantedLeast canes wanted, on a bush or a metre
     * @param wantedMost canes wanted at most
     */
    public record Canes(
            List<Group> groups, double count, double perMetre, double widthCm, double wantedLeast, double wantedMost) {

        public Canes {
            groups = List.copyOf(groups);
        }
    }

    /** How many canes of an age or a class. */
    public record Group(String name, double count) {}

    /**
     * Nodes of a vine.
     *
     * @param base nodes for the first 450 g of prunings; 0 where they go by the kilogram or by canopy
     * @param perWeight nodes for each 450 g more, or a kilogram where {@code base} is 0
     * @param weightKg of the prunings
     * @param weighed whether it was weighed
     * @param wanted nodes to leave
     * @param most nodes there is room for
     * @param now nodes on last season's canes
     */
    public record Nodes(
            double base, double perWeight, double weightKg, boolean weighed, int wanted, int most, int now) {}

    /** A measurement that would make the answer surer. */
    public record Measure(String of, String what, Statement why) {}
}
