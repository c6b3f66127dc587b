package umbel.planting;

import java.util.ArrayList;
import java.util.List;

/**
 * An option a hectare, year by year: what it bears and what it takes in hours and money. A scenario moves price, yield, wages, capital
 * and the year it comes into crop; the plain one moves nothing.
 */
public final class OptionYears {

    private static final double MINUTES = 60;

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

        /** All together. */
        public double all() {
            return ground + ladder + platform;
        }
    }

    /** Costs a hectare; {@code other} holds replanting in its year. */
    public record Costs(double training, double pruning, double thinning, double picking, double other) {

        /** All together. */
        public double all() {
            return training + pruning + thinning + picking + other;
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
            double net) {}

    /** What is laid out at planting, a hectare. */
    public record Capital(double trees, double support, double irrigation, double land, double planting) {

        /** All together. */
        public double all() {
            return trees + support + irrigation + land + planting;
        }
    }

    private final PlantingRequest.Planting option;
    private final GrownTrees trees;
    private final Assumptions figures;
    private final double treesPerHa;
    private final double wage;
    private final int horizon;
    private final int fullAtLeaf;
    private final double reach;

    OptionYears(
            PlantingRequest.Planting option,
            GrownTrees trees,
            Assumptions figures,
            double treesPerHa,
            double wage,
            int horizon,
            int fullAtLeaf,
            double reach) {
        this.option = option;
        this.trees = trees;
        this.figures = figures;
        this.treesPerHa = treesPerHa;
        this.wage = wage;
        this.horizon = horizon;
        this.fullAtLeaf = fullAtLeaf;
        this.reach = reach;
    }

    Capital capital() {
        return new Capital(
                figures.get("tree") * treesPerHa,
                figures.get("support"),
                figures.get("irrigation"),
                figures.get("land"),
                figures.get("plantingMinutes") / MINUTES * treesPerHa * wage);
    }

    /** Years 0 to the horizon. */
    List<Year> of(Scenario scenario) {
        List<Year> years = new ArrayList<>();
        double capital = capital().all() * scenario.capital();
        years.add(new Year(0, 0, 0, 0, 0, new Costs(0, 0, 0, 0, 0), new Hours(0, 0, 0), -capital));
        for (int year = 1; year <= horizon; year++) {
            years.add(year(year, scenario));
        }
        return years;
    }

    private Year year(int year, Scenario scenario) {
        Integer life = option.cultivarLifeY();
        int leaf = life == null ? year : (year - 1) % life + 1;
        boolean replanted = life != null && year > life && leaf == 1;
        GrownTrees.InLeaf tree = trees.in(leaf);
        GrownTrees.InLeaf bears = trees.in(leaf - scenario.delay());
        double kg = bears.fruits()
                * bears.fruitMass()
                * treesPerHa
                * figures.get("fieldShare")
                * scenario.yield()
                * scenario.in(year);
        double price = option.pricePerKg()
                * scenario.price()
                * Math.pow(1 + (option.priceTrend() == null ? 0 : option.priceTrend()), year);
        double revenue = kg * price * (bears.firstClass() + (1 - bears.firstClass()) * figures.get("secondClassPrice"));
        double grown = Math.min(1, (double) leaf / Math.max(1, fullAtLeaf));
        double pay = wage * scenario.wage();
        Hours pruning = hours(figures.get("pruningMinutes") / MINUTES * grown * treesPerHa, tree, false);
        Hours training = leaf > fullAtLeaf
                ? new Hours(0, 0, 0)
                : hours(figures.get("trainingMinutes") / MINUTES * treesPerHa, tree, false);
        double rate = figures.get("thinFruitsPerHour");
        double surplus = Math.max(0, bears.set() - bears.fruits()) * treesPerHa;
        Hours thinning = hours(rate <= 0 ? 0 : surplus / rate, tree, false);
        Hours picking = hours(kg / figures.get("pickKgPerHour"), tree, true);
        double other = figures.get("other")
                + (replanted ? (capital().trees() + capital().planting()) * scenario.capital() : 0);
        Costs costs =
                new Costs(training.all() * pay, pruning.all() * pay, thinning.all() * pay, picking.all() * pay, other);
        Hours all = sum(sum(pruning, training), sum(thinning, picking));
        return new Year(year, tree.interception(), kg, bears.firstClass(), revenue, costs, all, revenue - costs.all());
    }

    private static Hours sum(Hours one, Hours other) {
        return new Hours(
                one.ground() + other.ground(), one.ladder() + other.ladder(), one.platform() + other.platform());
    }

    /** Hours of work parted by what is in reach from the ground; what is not takes longer where it is picked. */
    private Hours hours(double fromTheGround, GrownTrees.InLeaf tree, boolean picking) {
        double above = tree.height() <= reach ? 0 : (tree.height() - reach) / tree.height();
        boolean platform = figures.get("platform") > 0;
        double factor = !picking ? 1 : platform ? figures.get("platformFactor") : figures.get("ladderFactor");
        double high = fromTheGround * above / Math.max(0.01, factor);
        return new Hours(fromTheGround * (1 - above), platform ? 0 : high, platform ? high : 0);
    }

    /** Its money under a scenario. */
    CashFlow cash(Scenario scenario) {
        return new CashFlow(of(scenario).stream().mapToDouble(Year::net).toArray());
    }
}
