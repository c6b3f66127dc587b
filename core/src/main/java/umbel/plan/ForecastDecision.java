package umbel.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import umbel.compute.Cancellation;
import umbel.cut.Operation;
import umbel.growth.Forecast;
import umbel.growth.Season;
import umbel.growth.Seasons;
import umbel.knowledge.PlanParameters;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Lets the coming seasons decide what the tree of this winter leaves close. Each close choice is made the other way, both
 * trees are grown on for three seasons that share all chance, and the same sum that chose the cuts is taken on the trees of
 * the first and the third winter after. What comes out ahead over now and then is planned.
 */
final class ForecastDecision {

    private static final int SEASONS = 3;

    private final PlanSearch search;
    private final CutSetEvaluator evaluator;
    private final PlanParameters parameters;
    private final Seasons seasons;

    ForecastDecision(PlanSearch search, Seasons seasons) {
        this.search = search;
        this.evaluator = search.evaluator();
        this.parameters = evaluator.request().parameters();
        this.seasons = seasons;
    }

    /** A close step, and what could be done in its place; null for leaving it. */
    private record Close(Candidate step, Candidate other, double lead) {}

    /** A visit with the seasons after it and what both are worth. */
    private record Grown(List<Candidate> visit, List<Forecast.Figures> years, double value) {}

    /** The same visit, or the one that turns out better; a step whose choice was grown says so in its reason. */
    List<Candidate> of(List<Candidate> chosen) {
        List<Close> close = closest(chosen);
        if (close.isEmpty()) {
            return chosen;
        }
        List<List<Candidate>> visits = new ArrayList<>();
        visits.add(chosen);
        close.forEach(one -> visits.add(without(chosen, one)));
        List<Grown> grown =
                visits.parallelStream().map(Cancellation.carried(this::grown)).toList();
        Grown asChosen = grown.get(0);
        Grown best = asChosen;
        Close turned = null;
        List<Candidate> told = new ArrayList<>(chosen);
        for (int i = 0; i < close.size(); i++) {
            Grown other = grown.get(i + 1);
            double behind = asChosen.value() - other.value();
            if (other.value() > best.value() && behind < -parameters.ahead().lead()) {
                best = other;
                turned = close.get(i);
            } else if (behind > -parameters.ahead().lead()) {
                told.replaceAll(tell(
                        close.get(i),
                        asChosen,
                        other,
                        behind > parameters.ahead().lead()));
            }
        }
        if (turned == null) {
            return told;
        }
        List<Candidate> better = without(told, turned);
        if (turned.other() != null) {
            better.replaceAll(tell(new Close(turned.other(), turned.step(), 0), best, asChosen, true));
        }
        return better;
    }

    private List<Candidate> without(List<Candidate> chosen, Close close) {
        List<Candidate> visit = new ArrayList<>(chosen);
        visit.removeIf(one -> one.operation().equals(close.step().operation()));
        if (close.other() != null) {
            visit.add(close.other());
        }
        search.addEnds(visit);
        return visit;
    }

    /** The weighed steps that lead least over their alternative, closest first. */
    private List<Close> closest(List<Candidate> chosen) {
        List<Close> close = new ArrayList<>();
        double worth = evaluator.worth(PlanSearch.operations(chosen));
        for (Candidate step : chosen) {
            if (!search.isWeighed(step)) {
                continue;
            }
            List<Candidate> rest = new ArrayList<>(chosen);
            rest.remove(step);
            List<Operation> others = PlanSearch.operations(rest);
            double left = evaluator.worth(others);
            Candidate swap = search.bestOther(rest, step);
            double swapped = swap == null ? left : evaluator.worth(CutSetEvaluator.with(others, swap.operation()));
            double lead = worth - Math.max(left, swapped);
            if (lead < parameters.confidence().closeCall()) {
                close.add(new Close(step, swapped > left ? swap : null, lead));
            }
        }
        close.sort(Comparator.comparingDouble(Close::lead));
        return close.subList(0, Math.min(close.size(), parameters.ahead().choices()));
    }

    private Grown grown(List<Candidate> visit) {
        List<Operation> operations = PlanSearch.operations(visit);
        List<Season.Work> works = new ArrayList<>(Collections.nCopies(SEASONS, Season.Work.NONE));
        works.set(0, Planner.work(evaluator.request().moment(), operations));
        List<Forecast.Figures> years = Forecast.middle(seasons, works);
        PlanParameters.Ahead ahead = parameters.ahead();
        double value = ahead.now() * evaluator.worth(operations)
                + ahead.one() * evaluator.worthOf(years.get(0).tree())
                + ahead.three() * evaluator.worthOf(years.get(SEASONS - 1).tree());
        return new Grown(visit, years, value);
    }

    /**
     * Puts what the seasons said into a step's reason.
     *
     * @param ahead whether the step comes out ahead of its alternative; else they stay as close as they are
     */
    private static UnaryOperator<Candidate> tell(Close close, Grown kept, Grown other, boolean ahead) {
        Statement said = ahead ? aheadBy(close, kept, other) : Statement.of("seasons.close");
        return one -> {
            if (!one.operation().equals(close.step().operation())) {
                return one;
            }
            List<Statement> reason = new ArrayList<>(one.reason());
            reason.add(said);
            return one.because(reason);
        };
    }

    private static Statement aheadBy(Close close, Grown kept, Grown other) {
        Forecast.Figures then = kept.years().get(SEASONS - 1);
        Forecast.Figures instead = other.years().get(SEASONS - 1);
        List<Statement> differs = new ArrayList<>();
        if (Math.round(then.fruits()) != Math.round(instead.fruits())) {
            differs.add(Statement.of("seasons.fruits")
                    .with("here", Value.number(then.fruits(), 0))
                    .with("there", Value.number(instead.fruits(), 0)));
        }
        if (Math.round(100 * then.underFruitLight()) != Math.round(100 * instead.underFruitLight())) {
            differs.add(Statement.of("seasons.shade")
                    .with("here", Value.share(then.underFruitLight()))
                    .with("there", Value.share(instead.underFruitLight())));
        }
        return Statement.of("seasons.ahead")
                .with("other", Value.choice(close.other() == null ? "leave" : "next"))
                .with("known", Value.choice(differs.isEmpty() ? "no" : "yes"))
                .with("differs", new Value.Several(differs));
    }
}
