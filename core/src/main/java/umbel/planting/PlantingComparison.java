package umbel.planting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.DoubleFunction;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.planting.OptionYears.Scenario;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Options for a planting side by side. What each bears is grown and not looked up; money is a hectare; simulated futures repeat for a
 * seed. See docs/model/planting.md.
 */
public final class PlantingComparison {

    private static final int MONTHS = 12;
    /** A block bears no more than so many times what the model takes for sound. */
    private static final double MOST_OF_SOUND = 2;

    private static final int HALF_A_YEAR = 6;

    /** How well a full tree fits its place: fills, gaps or outgrows. */
    public record BoxFit(boolean fills, String verdict, Statement why) {}

    /** Present value of simulated futures: a tenth lies under {@code low}, a tenth over {@code high}. */
    public record Ranges(double low, double middle, double high) {}

    /** What one thing moved at a time does to the present value. */
    public record Moved(String what, double low, double high, double npvLow, double npvHigh) {}

    /** What one thing would have to be for the option to overtake the best. */
    public record ToWin(String what, double value, String unit) {}

    /**
     * An option with its years calculated.
     *
     * @param rates all rates at which the present value is nothing
     * @param rateOfReturn empty where there is none that can be called it
     * @param breakEven price a kilogram at which the present value is nothing; empty where it bears nothing
     * @param hoursByMonth of a year in full crop, January first
     * @param times when it blooms and is picked, at a place of middling climate; empty for evergreens
     * @param pollination what it needs to set; null where it is not grown for fruit
     */
    public record Result(
            PlantingRequest.Planting option,
            double treesPerHa,
            BoxFit boxFit,
            OptionYears.Capital capital,
            List<OptionYears.Year> years,
            double[] cumulative,
            double npv,
            List<Double> rates,
            OptionalDouble rateOfReturn,
            Integer paybackYear,
            OptionalDouble breakEven,
            double[] hoursByMonth,
            Optional<PickingCalendar.Times> times,
            Statement pollination,
            List<Statement> risks,
            Ranges ranges,
            List<Moved> sensitivity,
            List<ToWin> toWin,
            List<Assumptions.Assumed> assumed) {}

    private final PlantingRequest request;
    private final Knowledge knowledge;
    private final PlantingParameters numbers;
    private final TreeGrower grower;
    private final PickingCalendar calendar;

    /** Where grown trees come from; a program keeps those it has grown. */
    @FunctionalInterface
    public interface TreeGrower {

        /** The typical tree of an option in its place. */
        GrownTrees of(
                PlantingRequest.Planting option, PlantingRequest.Distances spacing, double latitudeDeg, long seed);
    }

    /** A comparison of options that were checked by {@link PlantingCheck}. */
    public PlantingComparison(PlantingRequest request, Knowledge knowledge, TreeGrower grower) {
        this.request = request;
        this.knowledge = knowledge;
        this.numbers = knowledge.planting();
        this.grower = grower;
        this.calendar = new PickingCalendar(numbers.year(), request.site().latitudeDeg());
    }

    /** All options, in the order they were sent. */
    public List<Result> results() {
        Map<PlantingRequest.Planting, OptionYears> sums = new HashMap<>();
        List<PlantingRequest.Planting> options = request.options();
        options.forEach(option -> sums.put(option, yearsOf(option)));
        double best = options.stream()
                .mapToDouble(option -> npv(sums.get(option), OptionYears.AS_ASSUMED))
                .max()
                .orElse(0);
        return options.stream()
                .map(option -> result(option, sums.get(option), best))
                .toList();
    }

    private OptionYears yearsOf(PlantingRequest.Planting option) {
        if (option.act() != Act.REPLANT) {
            return stand(option);
        }
        Assumptions figures = assumptions(option);
        PlantingRequest.Planting before = PlantingCheck.keeping(request.standing(), option);
        return new ReplantedYears(
                stand(before),
                stand(option),
                figures.get("clearing"),
                option.onStanding().overY(),
                option.onStanding().fallowY());
    }

    /** Its trees on the whole of the land from year 0 on. */
    private OptionYears stand(PlantingRequest.Planting option) {
        Species species = knowledge.species(option.species());
        int fullAtLeaf = knowledge.system(option.system()).shape().fullAtLeaf();
        Assumptions figures = assumptions(option);
        StandYears.Land land = new StandYears.Land(
                treesPerHa(option),
                request.wagePerHour(),
                request.horizonY(),
                knowledge.parameters().reach());
        OptionYears.Capital capital = switch (option.act()) {
            case PLANT, REPLANT -> StandYears.planting(figures, land);
            case KEEP, RENOVATE -> new OptionYears.Capital(0, 0, 0, 0, 0);
            case TOPWORK -> StandYears.grafting(figures, land);
        };
        Course course = switch (option.act()) {
            case PLANT -> Course.planted(option.cultivarLifeY(), 1, fullAtLeaf);
            case REPLANT -> Course.planted(option.cultivarLifeY(), figures.get("replantCrop"), fullAtLeaf);
            case KEEP -> Course.kept(request.standing().leaf(), figures);
            case RENOVATE -> Course.renovated(request.standing().leaf(), figures);
            case TOPWORK -> Course.topworked(request.standing().leaf(), species.topwork());
        };
        return new StandYears(option, grown(option), figures, capital, course, land);
    }

    /**
     * The leaf whose typical tree shows an option's row in a year.
     *
     * @return none where no typical tree does: a head grafted on an old trunk is none
     */
    public static Optional<Integer> drawnLeaf(PlantingRequest request, PlantingRequest.Planting option, int year) {
        return switch (option.act()) {
            case PLANT, REPLANT -> Optional.of(year);
            case KEEP, RENOVATE -> Optional.of(request.standing().leaf() + year);
            case TOPWORK -> Optional.empty();
        };
    }

    private GrownTrees grown(PlantingRequest.Planting option) {
        return grower.of(option, option.spacing(), request.site().latitudeDeg(), request.seed());
    }

    private Assumptions assumptions(PlantingRequest.Planting option) {
        return Assumptions.of(
                option,
                knowledge.species(option.species()),
                knowledge.system(option.system()),
                grown(option).in(1).fruitMass(),
                weighed(option),
                numbers);
    }

    /**
     * What the standing trees bear by what was picked, as a share of what sound trees of their age would bear there; empty where
     * nobody weighed it, and for options that do nothing with them.
     */
    private OptionalDouble weighed(PlantingRequest.Planting option) {
        PlantingRequest.Standing standing = request.standing();
        if (standing == null || standing.kgPerHa() == null || option.onStanding() == null) {
            return OptionalDouble.empty();
        }
        PlantingRequest.Planting trees = PlantingCheck.keeping(standing, option);
        GrownTrees.InLeaf sound = grown(trees).in(standing.leaf());
        double kgPerHa = sound.fruits()
                * sound.fruitMass()
                * treesPerHa(trees)
                * numbers.defaults().fieldShare();
        return kgPerHa <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.min(MOST_OF_SOUND, standing.kgPerHa() / kgPerHa));
    }

    /** Trees a hectare of the field filled with rows, its headlands left free. */
    double treesPerHa(PlantingRequest.Planting option) {
        return PlantingField.of(request.site()).rows(option).trees()
                / request.site().areaHa();
    }

    private double npv(OptionYears years, Scenario scenario) {
        return years.cash(scenario).presentValue(request.interest());
    }

    private Result result(PlantingRequest.Planting option, OptionYears sums, double best) {
        List<OptionYears.Year> years = sums.of(OptionYears.AS_ASSUMED);
        CashFlow cash = sums.cash(OptionYears.AS_ASSUMED);
        double npv = cash.presentValue(request.interest());
        BoxFit fit = fit(option);
        Integer payback = cash.paybackYear().isPresent()
                ? Integer.valueOf(cash.paybackYear().getAsInt())
                : null;
        return new Result(
                option,
                treesPerHa(option),
                fit,
                sums.capital(),
                years,
                cash.cumulative(),
                npv,
                cash.ratesOfReturn(),
                cash.rateOfReturn(),
                payback,
                priceFor(option, sums, 0),
                hoursByMonth(option, years),
                calendar.of(knowledge.species(option.species())),
                pollination(knowledge.species(option.species())),
                risks(option, fit, years, payback),
                ranges(sums),
                sensitivity(option, sums),
                npv >= best ? List.of() : toWin(option, sums, best),
                assumptions(option).list());
    }

    /** Width of a full tree by kind, stock and vigour against its place in the row, more where its limbs are renewed and so never grow wide. */
    private BoxFit fit(PlantingRequest.Planting option) {
        Species species = knowledge.species(option.species());
        double height = species.growing().seedlingHeight()
                * numbers.defaults().stockSize().get(option.rootstockClass())
                * numbers.defaults().vigour().get(option.vigour());
        double width = height * numbers.fit().spreadOfHeight();
        double share = width / option.spacing().inRow();
        boolean renewed = !knowledge.system(option.system()).scaffolds().permanent();
        double most = numbers.fit().outgrows() * (renewed ? numbers.fit().renewed() : 1);
        String verdict = share < numbers.fit().gaps() ? "gaps" : share > most ? "outgrows" : "fills";
        return new BoxFit(
                verdict.equals("fills"),
                verdict,
                Statement.of("planting.fit")
                        .with("verdict", Value.choice(verdict))
                        .with("width", Value.reach(width))
                        .with("place", Value.reach(option.spacing().inRow())));
    }

    /** The price at which the present value comes to something; money is straight in it. */
    private OptionalDouble priceFor(PlantingRequest.Planting option, OptionYears sums, double wanted) {
        double plain = npv(sums, OptionYears.AS_ASSUMED);
        double doubled = npv(sums, new Scenario(2, 1, 1, 1, 0, new double[0]));
        double each = (doubled - plain) / option.pricePerKg();
        return each <= 0 ? OptionalDouble.empty() : OptionalDouble.of(option.pricePerKg() + (wanted - plain) / each);
    }

    private List<ToWin> toWin(PlantingRequest.Planting option, OptionYears sums, double best) {
        List<ToWin> needs = new ArrayList<>();
        priceFor(option, sums, best).ifPresent(price -> needs.add(new ToWin("price", price, "perKg")));
        double plain = npv(sums, OptionYears.AS_ASSUMED);
        double more = npv(sums, new Scenario(1, 2, 1, 1, 0, new double[0])) - plain;
        if (more > 0) {
            needs.add(new ToWin("yield", 1 + (best - plain) / more, "factor"));
        }
        double capital = sums.capital().all();
        if (best - plain < capital) {
            needs.add(new ToWin("capital", capital - (best - plain), "perHa"));
        }
        return needs;
    }

    private List<Moved> sensitivity(PlantingRequest.Planting option, OptionYears sums) {
        double by = numbers.sensitivity().share();
        double[] none = new double[0];
        List<Moved> all = new ArrayList<>();
        all.add(moved("price", option.pricePerKg(), by, sums, one -> new Scenario(one, 1, 1, 1, 0, none)));
        all.add(moved("yield", 1, by, sums, one -> new Scenario(1, one, 1, 1, 0, none)));
        all.add(moved("wage", request.wagePerHour(), by, sums, one -> new Scenario(1, 1, one, 1, 0, none)));
        all.add(moved("capital", sums.capital().all(), by, sums, one -> new Scenario(1, 1, 1, one, 0, none)));
        double interest = numbers.sensitivity().interest();
        CashFlow cash = sums.cash(OptionYears.AS_ASSUMED);
        all.add(new Moved(
                "interest",
                request.interest() - interest,
                request.interest() + interest,
                cash.presentValue(request.interest() - interest),
                cash.presentValue(request.interest() + interest)));
        all.add(new Moved(
                "delay", 0, 1, npv(sums, OptionYears.AS_ASSUMED), npv(sums, new Scenario(1, 1, 1, 1, 1, none))));
        all.removeIf(one -> one.npvLow() == one.npvHigh()); // where nothing is laid out, capital moves nothing
        all.sort(Comparator.comparingDouble((Moved one) -> -Math.abs(one.npvHigh() - one.npvLow())));
        return all;
    }

    private Moved moved(String what, double value, double by, OptionYears sums, DoubleFunction<Scenario> scenario) {
        return new Moved(
                what,
                value * (1 - by),
                value * (1 + by),
                npv(sums, scenario.apply(1 - by)),
                npv(sums, scenario.apply(1 + by)));
    }

    /** Present values of futures in which price, yield, wage and the years differ by chance, the same for a seed. */
    private Ranges ranges(OptionYears sums) {
        PlantingParameters.Draws draws = numbers.draws();
        SplittableRandom random = new SplittableRandom(request.seed());
        double[] values = new double[draws.count()];
        for (int i = 0; i < values.length; i++) {
            double[] yearly = new double[request.horizonY() + 1];
            for (int year = 0; year < yearly.length; year++) {
                yearly[year] = factor(draws.yearly(), random);
            }
            values[i] = npv(
                    sums,
                    new Scenario(
                            factor(draws.price(), random),
                            factor(draws.yield(), random),
                            factor(draws.wage(), random),
                            1,
                            random.nextDouble() < draws.delayedShare() ? 1 : 0,
                            yearly));
        }
        Arrays.sort(values);
        return new Ranges(
                values[values.length / 10], values[values.length / 2], values[values.length - 1 - values.length / 10]);
    }

    /** A factor about one that is never negative: the logarithm is normal, its mean is one. */
    private static double factor(double deviation, SplittableRandom random) {
        double normal = Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
        return Math.exp(deviation * normal - deviation * deviation / 2);
    }

    /** Hours of a year in full crop by month, each work in the months it falls in. */
    private double[] hoursByMonth(PlantingRequest.Planting option, List<OptionYears.Year> years) {
        PlantingParameters.Year months = numbers.year();
        OptionYears.Year full = years.get(Math.min(
                years.size() - 1, knowledge.system(option.system()).shape().fullAtLeaf() + 1));
        double wage = request.wagePerHour();
        double[] hours = new double[MONTHS];
        spread(full.costs().pruning() / wage, months.pruningMonths(), hours);
        spread(full.costs().training() / wage, months.trainingMonths(), hours);
        spread(full.costs().thinning() / wage, months.thinningMonths(), hours);
        double picking = full.costs().picking() / wage;
        int harvest = calendar.harvestMonth(knowledge.species(option.species()));
        spread((1 - months.harvestMonthBefore()) * picking, List.of(harvest), hours);
        spread(months.harvestMonthBefore() * picking, List.of(harvest - 1), hours);
        return hours;
    }

    /** Spreads hours evenly over months of the north, which fall half a year later in the south. */
    private void spread(double sum, List<Integer> months, double[] hours) {
        int later = request.site().latitudeDeg() < 0 ? HALF_A_YEAR : 0;
        for (int month : months) {
            hours[Math.floorMod(month - 1 + later, MONTHS)] += sum / months.size();
        }
    }

    private Statement pollination(Species species) {
        return species.pollination() == null
                ? null
                : Statement.of("planting.pollination")
                        .with("need", Value.choice(species.pollination()))
                        .with("near", Value.reach(numbers.pollination().beesFly()));
    }

    /** The days between the first and the last picking of all options on which nothing is picked. */
    public List<PickingCalendar.Gap> gaps() {
        return calendar.gaps(request.options().stream()
                .map(option -> knowledge.species(option.species()))
                .toList());
    }

    private List<Statement> risks(
            PlantingRequest.Planting option, BoxFit fit, List<OptionYears.Year> years, Integer payback) {
        TrainingSystem system = knowledge.system(option.system());
        List<Statement> risks = new ArrayList<>();
        if (option.act() != Act.PLANT) {
            risks.add(Statement.of("planting.risk." + option.act().code())
                    .with("leaf", Value.count(request.standing().leaf() + request.horizonY())));
        }
        boolean thin = option.rootstockClass().contains("dwarfing")
                && !option.rootstockClass().startsWith("semi");
        if (thin) {
            risks.add(Statement.of("planting.risk.thin-trunks"));
            risks.add(Statement.of("planting.risk.water"));
        }
        if (system.cost().equals("high")) {
            risks.add(Statement.of("planting.risk.missed-year"));
        }
        if (years.stream().anyMatch(year -> year.hours().ladder() > 0)) {
            risks.add(Statement.of("planting.risk.ladders"));
        }
        if (!fit.fills()) {
            risks.add(Statement.of("planting.risk.fit").with("verdict", Value.choice(fit.verdict())));
        }
        int first = years.stream()
                .filter(year -> year.yieldKg() > 0)
                .mapToInt(OptionYears.Year::year)
                .findFirst()
                .orElse(0);
        if (first >= numbers.risks().lateFromYear()) {
            risks.add(Statement.of("planting.risk.late").with("year", Value.count(first)));
        }
        Integer life = option.cultivarLifeY();
        if (payback == null) {
            risks.add(Statement.of("planting.risk.never-pays").with("years", Value.count(request.horizonY())));
        } else if (life != null && payback > numbers.risks().lifeShare() * life) {
            risks.add(Statement.of("planting.risk.life")
                    .with("payback", Value.count(payback))
                    .with("life", Value.count(life)));
        }
        return risks;
    }
}
