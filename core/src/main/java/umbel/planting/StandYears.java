package umbel.planting;

import java.util.ArrayList;
import java.util.List;

/** The years of one stand of trees, planted or standing. */
final class StandYears extends OptionYears {

    private static final double MINUTES = 60;

    private final PlantingRequest.Planting option;
    private final GrownTrees trees;
    private final Assumptions figures;
    private final Capital capital;
    private final Course course;
    private final Land land;

    /**
     * What the option and its land come to together.
     *
     * @param reach of a person from the ground, metres
     */
    record Land(double treesPerHa, double wage, int horizon, double reach) {}

    StandYears(
            PlantingRequest.Planting option,
            GrownTrees trees,
            Assumptions figures,
            Capital capital,
            Course course,
            Land land) {
        this.option = option;
        this.trees = trees;
        this.figures = figures;
        this.capital = capital;
        this.course = course;
        this.land = land;
    }

    /** What planting trees takes on land that is bare. */
    static Capital planting(Assumptions figures, Land land) {
        return new Capital(
                figures.get("tree") * land.treesPerHa(),
                figures.get("support"),
                figures.get("irrigation"),
                figures.get("land"),
                figures.get("plantingMinutes") / MINUTES * land.treesPerHa() * land.wage());
    }

    /** What cutting standing trees low and grafting them takes. */
    static Capital grafting(Assumptions figures, Land land) {
        return new Capital(
                figures.get("grafts") * land.treesPerHa(),
                0,
                0,
                0,
                figures.get("graftMinutes") / MINUTES * land.treesPerHa() * land.wage());
    }

    @Override
    Capital capital() {
        return capital;
    }

    @Override
    List<Year> of(Scenario scenario) {
        List<Year> years = new ArrayList<>();
        years.add(new Year(0, 0, 0, 0, 0, Costs.NONE, Hours.NONE, -capital.all() * scenario.capital()));
        for (int year = 1; year <= land.horizon(); year++) {
            years.add(year(year, scenario));
        }
        return years;
    }

    private Year year(int year, Scenario scenario) {
        double treesPerHa = land.treesPerHa();
        Course.InYear stand = course.in(year, scenario.delay());
        GrownTrees.InLeaf tree = trees.in(stand.leaf());
        GrownTrees.InLeaf bears = trees.in(stand.bearing());
        double kg = bears.fruits()
                * bears.fruitMass()
                * stand.crop()
                * treesPerHa
                * figures.get("fieldShare")
                * scenario.yield()
                * scenario.in(year);
        double price = option.pricePerKg()
                * scenario.price()
                * Math.pow(1 + (option.priceTrend() == null ? 0 : option.priceTrend()), year);
        double firstClass = bears.firstClass() * stand.firstClass();
        double revenue = kg * price * (firstClass + (1 - firstClass) * figures.get("secondClassPrice"));
        double pay = land.wage() * scenario.wage();
        Hours pruning = hours(figures.get("pruningMinutes") / MINUTES * stand.pruning() * treesPerHa, tree, false);
        Hours training = stand.trained()
                ? hours(figures.get("trainingMinutes") / MINUTES * treesPerHa, tree, false)
                : Hours.NONE;
        double rate = figures.get("thinFruitsPerHour");
        double surplus = Math.max(0, bears.set() - bears.fruits()) * stand.crop() * treesPerHa;
        Hours thinning = hours(rate <= 0 ? 0 : surplus / rate, tree, false);
        Hours picking = hours(kg / figures.get("pickKgPerHour"), tree, true);
        double other = figures.get("other")
                + (stand.planted() ? (capital.trees() + capital.planting()) * scenario.capital() : 0);
        Costs costs =
                new Costs(training.all() * pay, pruning.all() * pay, thinning.all() * pay, picking.all() * pay, other);
        Hours all = pruning.plus(training).plus(thinning).plus(picking);
        return new Year(
                year, tree.interception() * stand.light(), kg, firstClass, revenue, costs, all, revenue - costs.all());
    }

    /** Hours of work parted by what is in reach from the ground; what is not takes longer where it is picked. */
    private Hours hours(double fromTheGround, GrownTrees.InLeaf tree, boolean picking) {
        double above = tree.height() <= land.reach() ? 0 : (tree.height() - land.reach()) / tree.height();
        boolean platform = figures.get("platform") > 0;
        double factor = !picking ? 1 : platform ? figures.get("platformFactor") : figures.get("ladderFactor");
        double high = fromTheGround * above / Math.max(0.01, factor);
        return new Hours(fromTheGround * (1 - above), platform ? 0 : high, platform ? high : 0);
    }
}
