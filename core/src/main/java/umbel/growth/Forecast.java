package umbel.growth;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import umbel.compute.Cancellation;
import umbel.knowledge.GrowthParameters;
import umbel.knowledge.Parameters;
import umbel.light.FruitingSite;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;

/**
 * The next years of a tree under what is done to it, as ranges: the middle season after season, and what seasons kinder
 * and harder than usual, or setting better and worse, would make of it.
 *
 * @param years from the first season on
 */
public record Forecast(List<Outlook> years) {

    private static final double[][] SEASONS = {{0, 0}, {1, 1}, {-1, -1}};

    /**
     * The years of a tree with the middle course worked out and the ranges taken, in proportion, from another forecast of the
     * same tree: quicker by two courses of three.
     */
    public static Forecast like(Forecast other, Seasons seasons, List<Season.Work> works) {
        List<Figures> course = middle(seasons, works);
        List<Outlook> years = new ArrayList<>();
        for (int y = 0; y < course.size(); y++) {
            Figures now = course.get(y);
            Outlook as = other.years().get(y);
            years.add(new Outlook(
                    y + 1,
                    now.tree(),
                    as.fruits().about(now.fruits()),
                    as.firstClass().about(now.firstClass()),
                    as.flowerBuds().about(now.flowerBuds()),
                    as.newLength().about(now.newLength()),
                    as.extension().about(now.extension()),
                    as.sprouts().about(now.sprouts()),
                    as.height().about(now.height()),
                    as.underFruitLight().about(now.underFruitLight()),
                    as.interception().about(now.interception()),
                    as.wood().about(now.wood())));
        }
        return new Forecast(years);
    }

    /** A figure with the least and the most that the seasons tried gave. */
    public record Range(double low, double middle, double high) {

        static Range of(double[] values) {
            double low = values[0];
            double high = values[0];
            for (double value : values) {
                low = Math.min(low, value);
                high = Math.max(high, value);
            }
            return new Range(low, values[0], high);
        }

        /** The range, no narrower than a share of its middle to either side. */
        Range atLeast(double share) {
            return new Range(Math.min(low, middle * (1 - share)), middle, Math.max(high, middle * (1 + share)));
        }

        /** The range about another middle, as wide in proportion. */
        Range about(double other) {
            return middle <= 0
                    ? new Range(Math.min(other, low), other, Math.max(other, high))
                    : new Range(other * low / middle, other, other * high / middle);
        }
    }

    /**
     * One year of a forecast.
     *
     * @param year seasons from now; 1 is the coming one
     * @param tree in the winter after that season, in the middle course of things
     * @param fruits finished
     * @param firstClass of them, those that size and colour
     * @param flowerBuds for the spring after
     * @param newLength of all new growth, metres
     * @param extension mean length of new shoots and of ends that grew long, metres
     * @param sprouts shoots from dormant buds about wounds, and upright ones stronger than the kind's fruiting shoots
     * @param height of the tree, metres
     * @param underFruitLight share of fruiting sites with less light than fruit needs, on the scale of a full reading
     * @param interception share of the ground's light caught
     * @param wood dry mass above ground, kilograms
     */
    public record Outlook(
            int year,
            Tree tree,
            Range fruits,
            Range firstClass,
            Range flowerBuds,
            Range newLength,
            Range extension,
            Range sprouts,
            Range height,
            Range underFruitLight,
            Range interception,
            Range wood) {}

    /**
     * The years of a tree as ranges.
     *
     * @param fruitLight light that fruit needs, share of open sky
     */
    public static Forecast of(TreeState start, List<Season.Work> works, double fruitLight) {
        Parameters parameters = start.tree().setting().parameters();
        GrowthParameters.Spread spread = parameters.growth().spread();
        // no forecast is surer than the counting and measuring it starts from
        double counted = parameters.survey().errors().countShare();
        double measured = parameters.survey().errors().lengthShare();
        List<List<Figures>> courses = IntStream.range(0, SEASONS.length)
                .parallel()
                .boxed()
                .map(Cancellation.carried((Integer n) -> course(
                        start.with(start.traits().inSeason(1 + SEASONS[n][0] * spread.vigour())),
                        works,
                        1 + SEASONS[n][1] * spread.set(),
                        fruitLight)))
                .toList();
        List<Outlook> years = new ArrayList<>();
        for (int y = 0; y < works.size(); y++) {
            int year = y;
            List<Figures> these =
                    courses.stream().map(course -> course.get(year)).toList();
            years.add(new Outlook(
                    y + 1,
                    these.get(0).tree(),
                    range(these, Figures::fruits).atLeast(counted),
                    range(these, Figures::firstClass).atLeast(counted),
                    range(these, Figures::flowerBuds).atLeast(counted),
                    range(these, Figures::newLength).atLeast(counted),
                    range(these, Figures::extension).atLeast(measured),
                    range(these, Figures::sprouts).atLeast(counted),
                    range(these, Figures::height).atLeast(measured),
                    range(these, Figures::underFruitLight),
                    range(these, Figures::interception),
                    range(these, Figures::wood).atLeast(counted)));
        }
        return new Forecast(years);
    }

    /** The middle course alone: quicker, without ranges. */
    public static List<Figures> middle(TreeState start, List<Season.Work> works, double fruitLight) {
        return middle(new Seasons(start, fruitLight), works);
    }

    /** The same, of seasons that others ask for too. */
    public static List<Figures> middle(Seasons seasons, List<Season.Work> works) {
        List<Figures> figures = new ArrayList<>();
        for (int year = 1; year <= works.size(); year++) {
            figures.add(figures(seasons.after(works.subList(0, year)), seasons.fruitLight()));
        }
        return figures;
    }

    /** What one year of one course came to; see {@link Outlook}. */
    public record Figures(
            Tree tree,
            double fruits,
            double firstClass,
            double flowerBuds,
            double newLength,
            double extension,
            double sprouts,
            double height,
            double underFruitLight,
            double interception,
            double wood) {}

    private static List<Figures> course(TreeState start, List<Season.Work> works, double set, double fruitLight) {
        List<Figures> figures = new ArrayList<>();
        TreeState stand = start;
        for (Season.Work work : works) {
            Season.Year year = Season.grow(stand, work, set);
            stand = year.after();
            figures.add(figures(year, fruitLight));
        }
        return figures;
    }

    private static Figures figures(Season.Year year, double fruitLight) {
        Tree tree = year.after().tree();
        double shaded = 0;
        double sites = 0;
        double dark = fruitLight * year.after().brighter();
        for (FruitingSite site : FruitingSite.of(tree)) {
            sites += site.weight();
            shaded += year.after().light().at(site.place()) < dark ? site.weight() : 0;
        }
        double flowers = 0;
        for (Axis axis : tree.axes()) {
            flowers += axis.flowerBuds();
        }
        return new Figures(
                tree,
                year.fruits(),
                year.firstClass(),
                flowers,
                year.newLength(),
                year.extension(),
                year.woken() + rankShoots(tree),
                tree.top(),
                sites <= 0 ? 0 : shaded / sites,
                year.interception(),
                Carbon.wood(tree));
    }

    /** New upright shoots longer than the kind's good fruiting wood. */
    private static long rankShoots(Tree tree) {
        double most = tree.setting().species().smallWood().ideal().lengthCm().get(1) / 100;
        return tree.axes().stream()
                .filter(axis -> axis.kind() == AxisKind.SHOOT
                        && axis.attitude() == umbel.wood.Attitude.UP
                        && axis.length() > most)
                .count();
    }

    private static Range range(List<Figures> courses, java.util.function.ToDoubleFunction<Figures> figure) {
        return Range.of(courses.stream().mapToDouble(figure).toArray());
    }
}
