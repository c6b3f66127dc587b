package umbel.planting;

import java.util.List;

/**
 * An option a hectare, year by year: what it bears and what it takes in hours and money. A scenario moves price, yield, wages, capital
 * and the year it comes into crop; the plain one moves nothing.
 */
public abstract class OptionYears {

    /** The plain scenario. */
    static final Scenario AS_ASSUMED = new Scenario(1, 1, 1, 1, 0, new double[0]);

    /**
     * What is otherwise than assumed.
     *
     * @param price factor on the price, likewise yield, wage and capital
     * @param delay years later that the trees bear
     * @param yearly factor on the yield of each year beside; none where it is empty
     */
    record Scenario(double price, double yield, double wage, double capital, int delay, double[] yearly) {

        double in(int year) {
            return year < yearly.length ? yearly[year] : 1;
        }
    }

    /** Hours a hectare: from the ground, on ladders, on a platform. */
    public record Hours(double ground, double ladder, double platform) {

        static final Hours NONE = new Hours(0, 0, 0);

        /** All together. */
        public double all() {
            return ground + ladder + platform;
        }

        Hours plus(Hours other) {
            return new Hours(ground + other.ground, ladder + other.ladder, platform + other.platform);
        }

        Hours times(double share) {
            return new Hours(share * ground, share * ladder, share * platform);
        }
    }

    /** Costs a hectare; {@code other} holds replanting in its year. */
    public record Costs(double training, double pruning, double thinning, double picking, double other) {

        /** All together. */
        public double all() {
            return training + pruning + thinning + picking + other;
        }

        static final Costs NONE = new Costs(0, 0, 0, 0, 0);

        Costs plus(Costs more) {
            return new Costs(
                    training + more.training,
                    pruning + more.pruning,
                    thinning + more.thinning,
                    picking + more.picking,
                    other + more.other);
        }

        Costs times(double share) {
            return new Costs(share * training, share * pruning, share * thinning, share * picking, share * other);
        }
    }

    /** One year; {@code firstClass} is a share of the yield. */
    public record Year(
            int year,
            double interception,
            double yieldKg,
            double firstClass,
            double revenue,
            Costs costs,
            Hours hours,
            double net) {

        /** A year in which nothing stands, but for what it costs. */
        static Year bare(int year, double cost) {
            return new Year(year, 0, 0, 0, 0, new Costs(0, 0, 0, 0, cost), Hours.NONE, -cost);
        }

        /** The same with another stand's year on the rest of the land. */
        Year plus(Year other) {
            double kg = yieldKg + other.yieldKg;
            return new Year(
                    year,
                    interception + other.interception,
                    kg,
                    kg == 0 ? 0 : (yieldKg * firstClass + other.yieldKg * other.firstClass) / kg,
                    revenue + other.revenue,
                    costs.plus(other.costs),
                    hours.plus(other.hours),
                    net + other.net);
        }

        /** On a share of the land, told as a year of the whole of it. */
        Year on(double share, int asYear) {
            return new Year(
                    asYear,
                    share * interception,
                    share * yieldKg,
                    firstClass,
                    share * revenue,
                    costs.times(share),
                    hours.times(share),
                    share * net);
        }
    }

    /** What is laid out at planting, or at grafting, a hectare. */
    public record Capital(double trees, double support, double irrigation, double land, double planting) {

        /** All together. */
        public double all() {
            return trees + support + irrigation + land + planting;
        }
    }

    /** What is laid out before the first crop, a hectare. */
    abstract Capital capital();

    /** Years 0 to the horizon. */
    abstract List<Year> of(Scenario scenario);

    /** Its money under a scenario. */
    final CashFlow cash(Scenario scenario) {
        return new CashFlow(of(scenario).stream().mapToDouble(Year::net).toArray());
    }
}
