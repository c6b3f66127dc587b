package umbel.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import umbel.compute.Cancellation;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Moment;
import umbel.growth.Season;
import umbel.growth.Seasons;
import umbel.knowledge.PlanParameters;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * The plans of one tree for one wish, worked out as they are asked for: the recommended one first and soon, then the others
 * beside it with the seasons after each, built on what the first one weighed.
 */
public final class Planning {

    private final Tree found;
    private final TreeReader.Reading reading;
    private final PlanRequest request;
    private final long seed;
    private final Seasons seasons;
    private final Planner middle;
    private volatile Plan recommended;
    private volatile List<Plan> all;

    /**
     * A planning.
     *
     * @param seed of the draws the seasons share
     */
    public Planning(Tree found, TreeReader.Reading reading, PlanRequest request, long seed) {
        this(found, reading, request, seed, null);
    }

    /**
     * A planning that goes on from another: what was weighed and grown before a step was taken or refused need not be again.
     *
     * @param before of any tree and wish; used as far as it is of the same tree under the same eye; null for none
     */
    public Planning(Tree found, TreeReader.Reading reading, PlanRequest request, long seed, Planning before) {
        this.found = found;
        this.reading = reading;
        this.request = request;
        this.seed = seed;
        boolean sameStand = before != null
                && before.found == found
                && before.seed == seed
                && before.request.learned().equals(request.learned());
        this.seasons = sameStand
                ? before.seasons
                : new Seasons(
                        request.learned().applied(InitialState.of(found, reading.light(), seed)),
                        reading.lines().fruit());
        this.middle = new Planner(found, reading, request, seasons, before == null ? null : before.middle);
    }

    /** Axes of the tree that is planned, and of those grown from it that are kept at this moment: the room it takes. */
    public int axesHeld() {
        Set<Tree> trees = new HashSet<>(List.of(found));
        seasons.trees().forEach(trees::add);
        List<Plan> plans = all;
        Plan first = recommended;
        Stream.concat(Stream.ofNullable(first), plans == null ? Stream.empty() : plans.stream())
                .flatMap(plan -> plan.steps().stream())
                .forEach(step -> trees.add(step.on()));
        return trees.stream().mapToInt(tree -> tree.axes().size()).sum();
    }

    /** The recommended plan with its later winters, without the seasons after it. */
    public Plan recommended() {
        Plan known = recommended;
        if (known == null) {
            known = middle.recommended();
            recommended = known;
            middle.evaluator().forgetTrees();
        }
        return known;
    }

    /**
     * The recommended plan, a gentler and a firmer one, and doing nothing; each with the three seasons after it. Where the
     * recommended plan puts heavy work off to later winters, the same done in one winter stands before doing nothing.
     */
    public List<Plan> all() {
        List<Plan> known = all;
        if (known == null) {
            known = List.copyOf(withSeasons());
            all = known;
            middle.evaluator().forgetTrees();
            seasons.forget();
        }
        return known;
    }

    /**
     * The middle course of the seasons to come.
     *
     * @param planned after the recommended plan, each winter's work before its season
     * @param alone after nothing but hand thinning; as many
     * @param minutes of the work before each, looking included; as many
     */
    public record Course(List<Forecast.Figures> planned, List<Forecast.Figures> alone, List<Double> minutes) {}

    /**
     * How the tree goes on under the recommended plan and left alone, without ranges: in less time than all plans take. No tree
     * grown for the other plans is kept afterwards.
     */
    public Course course() {
        Plan plan = recommended();
        List<Season.Work> nothing = Collections.nCopies(Planner.YEARS_AHEAD, Season.Work.NONE);
        List<Forecast.Figures> alone =
                Forecast.middle(seasons.start(), nothing, reading.lines().fruit());
        List<Forecast.Figures> planned = plan.steps().isEmpty() ? alone : Forecast.middle(seasons, works(plan));
        seasons.forget();
        return new Course(
                planned,
                alone,
                IntStream.range(0, Planner.YEARS_AHEAD)
                        .mapToObj(year -> minutes(plan, year))
                        .toList());
    }

    private double minutes(Plan plan, int year) {
        if (year == 0) {
            return plan.totals().minutes();
        }
        List<Step> work = plan.workOf(year);
        return work.isEmpty()
                ? 0
                : found.setting().system().work().lookMinutes()
                        + work.stream()
                                .mapToDouble(step -> step.effect().minutes())
                                .sum();
    }

    private List<Plan> withSeasons() {
        Forecast alone = seasons.leftAlone(Planner.YEARS_AHEAD);
        List<Supplier<Plan>> drafts = new ArrayList<>();
        Plan first = recommended();
        PlanParameters.Variant less = request.parameters().variants().gentler();
        PlanParameters.Variant more = request.parameters().variants().firmer();
        drafts.add(() -> first);
        drafts.add(() -> beside(request.within(less)).gentler(middle, less.leastGain()));
        drafts.add(() -> beside(request.within(more)).firmer(middle, more.leastGain()));
        // where limbs come and go every year, a heavy winter ahead is no renovation
        boolean lasting = found.setting().system().scaffolds().permanent();
        if (lasting && first.leavesMuchForLater(request.parameters().renovation())) {
            drafts.add(() -> beside(request.unlimited()).inOneWinter());
        }
        List<Plan> plans = new ArrayList<>();
        drafts.parallelStream()
                .map(Cancellation.<Supplier<Plan>, Plan>carried(Supplier::get))
                .filter(plan -> !plan.name().equals(Plan.IN_ONE_WINTER) || takesMore(plan, first))
                .map(Cancellation.carried((Plan plan) -> plan.followedBy(outlook(plan, alone))))
                .forEachOrdered(plans::add);
        plans.add(middle.nothing().followedBy(alone.years()));
        return plans;
    }

    /** Whether heavy work was put off at all: what later winters take of new growth could not be taken now. */
    private boolean takesMore(Plan atOnce, Plan overWinters) {
        return atOnce.totals().woodShare() - overWinters.totals().woodShare()
                >= request.parameters().renovation().laterShare();
    }

    /** A planner for another wish that uses again what the recommended plan weighed. */
    private Planner beside(PlanRequest other) {
        return new Planner(found, reading, other, seasons, middle);
    }

    /**
     * The seasons after a plan: this visit's cuts before the first, each later winter's before its own. How wide the ranges are
     * is worked out once, on the tree left alone.
     */
    private List<Forecast.Outlook> outlook(Plan plan, Forecast alone) {
        return plan.steps().isEmpty()
                ? alone.years()
                : Forecast.like(alone, seasons, works(plan)).years();
    }

    /** What is done before each of the seasons after a plan. */
    private List<Season.Work> works(Plan plan) {
        List<Season.Work> works = new ArrayList<>();
        for (int year = 0; year < Planner.YEARS_AHEAD; year++) {
            int winter = year;
            works.add(Planner.work(
                    winter == 0 ? request.moment() : Moment.DORMANT, Planner.operations(plan.workOf(winter))));
        }
        return works;
    }
}
