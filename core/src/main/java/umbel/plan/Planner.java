package umbel.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.growth.Moment;
import umbel.growth.Season;
import umbel.growth.Seasons;
import umbel.knowledge.PlanParameters;
import umbel.light.LightReading;
import umbel.light.LightResolution;
import umbel.reading.Finding;
import umbel.reading.Rule;
import umbel.reading.Severity;
import umbel.reading.TreeReader;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;

/**
 * Plans for a grower's goals under limits: what a {@link PlanSearch} chose and the coming seasons agree to, in the order of
 * work, each step with its reason, numbers and alternative; and what later winters will do to the tree as it is expected then.
 * The same for equal input. {@link Planning} asks for several of them.
 */
public final class Planner {

    /** Seasons a plan is grown on for. */
    static final int YEARS_AHEAD = 3;

    private final Tree found;
    private final TreeReader.Reading reading;
    private final PlanRequest request;
    private final Seasons seasons;
    private final PlanSearch search;
    private final CutSetEvaluator evaluator;
    private volatile List<Candidate> chosen = List.of();

    /**
     * A planner for one wish.
     *
     * @param seasons after the tree as found; null where nothing is grown on
     * @param shared another planner, whose appraisals are used again where they fit; null for none
     */
    Planner(Tree found, TreeReader.Reading reading, PlanRequest request, Seasons seasons, Planner shared) {
        this.found = found;
        this.reading = reading;
        this.seasons = seasons;
        this.request = request;
        this.search = new PlanSearch(
                found, reading.findings(), request, LightResolution.CLOSE, shared == null ? null : shared.search);
        this.evaluator = search.evaluator();
    }

    /** A planner for a later winter, on the tree as it is expected then. */
    Planner(Tree grown, TreeReader.Reading expected, PlanRequest then) {
        this.found = grown;
        this.reading = expected;
        this.seasons = null;
        this.request = then;
        this.search = new PlanSearch(grown, expected.findings(), then, LightResolution.QUICK, null);
        this.evaluator = search.evaluator();
    }

    /** All plans with the seasons after them; see {@link Planning#all()}. */
    public static List<Plan> plans(Tree found, TreeReader.Reading reading, PlanRequest request, long seed) {
        return new Planning(found, reading, request, seed).all();
    }

    /** The recommended plan alone and without the seasons after it; see {@link Planning#recommended()}. */
    public static Plan recommended(Tree found, TreeReader.Reading reading, PlanRequest request, long seed) {
        return new Planning(found, reading, request, seed).recommended();
    }

    /** What the grower marked and nothing else, put into the order of work with each step's reason and numbers. */
    public static Plan marked(Tree found, TreeReader.Reading reading, PlanRequest request) {
        Planner planner = new Planner(found, reading, request, null, null);
        List<Candidate> chosen = request.taken().stream()
                .map(planner.search.answers()::asCandidate)
                .toList();
        return planner.described("marked", planner.ordered(chosen, 0), LaterWinters.NONE, false);
    }

    /** The recommended plan, without the seasons after it: searched with care, close choices left to the coming seasons. */
    Plan recommended() {
        List<Candidate> best =
                search.withoutRedundant(new ForecastDecision(search, seasons).of(search.choose(1, true)));
        Plan plan = draft("recommended", best, 1);
        Set<Operation> now = new HashSet<>(operations(plan.workOf(0)));
        chosen = best.stream().filter(one -> now.contains(one.operation())).toList();
        return plan;
    }

    /** Everything at once, without the seasons after it. */
    Plan inOneWinter() {
        return draft(Plan.IN_ONE_WINTER, search.choose(1, false), 1);
    }

    /** Less than the recommended plan of another planner of the same tree: some of its steps. */
    Plan gentler(Planner recommended, double leastGainFactor) {
        return draft("gentler", search.within(recommended.chosen, leastGainFactor), leastGainFactor);
    }

    /** More than the recommended plan of another planner of the same tree: all of its steps and others. */
    Plan firmer(Planner recommended, double leastGainFactor) {
        return draft("firmer", search.beyond(recommended.chosen, leastGainFactor), leastGainFactor);
    }

    private Plan draft(String name, List<Candidate> chosen, double leastGainFactor) {
        List<Candidate> asked = search.withoutRedundant(chosen);
        List<Step> steps = ordered(asked, 0);
        LaterWinters.Work ahead = LaterWinters.NONE;
        if (!request.summer() && !name.equals(Plan.IN_ONE_WINTER)) {
            LaterWinters later = new LaterWinters(request, reading, seasons);
            ahead = later.after(steps, leastGainFactor);
            List<Candidate> worthwhile = withoutWorkOn(ahead.goes(), asked);
            if (worthwhile.size() < asked.size()) {
                asked = worthwhile;
                steps = ordered(asked, 0);
                ahead = later.after(steps, leastGainFactor);
            }
        }
        List<Step> told = new ArrayList<>(steps);
        search.kept(asked).forEach(one -> told.add(unweighed(one)));
        return described(name, told, ahead, true);
    }

    /** A visit without what would be lost on limbs that a later winter takes off. */
    private List<Candidate> withoutWorkOn(Set<String> goes, List<Candidate> chosen) {
        return chosen.stream()
                .filter(one -> !goes.contains(one.operation().onLimb())
                        || one.settled() && one.finding() != null
                        || request.taken().contains(one.operation()))
                .toList();
    }

    CutSetEvaluator evaluator() {
        return evaluator;
    }

    /**
     * What this winter, still to come, will do.
     *
     * @param known whether a candidate's fault stands today already
     */
    List<Step> ahead(int year, double leastGainFactor, Predicate<Candidate> known) {
        return ordered(search.withoutRedundant(search.chooseAhead(leastGainFactor, known)), year);
    }

    /** Doing nothing, without the seasons after it. */
    Plan nothing() {
        CutTree uncut = evaluator.cut(List.of());
        Totals.Sum sum = Totals.read(
                uncut,
                reading.crop(),
                reading.light(),
                reading.lines(),
                request.limits().reach());
        return new Plan("nothing", List.of(), List.of(), sum.totals(), List.of(), List.of());
    }

    private Plan described(String name, List<Step> now, LaterWinters.Work ahead, boolean watching) {
        List<Step> later = ahead.intended();
        CutTree cut = evaluator.cut(operations(now));
        Totals.Sum sum = Totals.read(
                cut, reading.crop(), reading.lines(), request.limits().reach());
        List<Step> worked = Stream.concat(now.stream(), later.stream()).toList();
        List<Plan.Left> left = leftAlone(cut, sum.light(), worked);
        List<Step> watched = watching ? toWatch(left, worked) : List.of();
        List<Step> told = new ArrayList<>();
        Stream.of(now, watched, later)
                .flatMap(List::stream)
                .forEach(step -> told.add(step.at(told.size() + 1, step.effect())));
        return new Plan(name, told, ahead.small(), sum.totals(), List.of(), left);
    }

    /** Steps in the order of work; what falls together is told with the step that comes first at the tree. */
    private List<Step> ordered(List<Candidate> chosen, int year) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < chosen.size(); i++) {
            steps.add(step(chosen, i, year));
        }
        // what earlier steps take off can make a later one's cuts smaller, so they are put in order by what is told
        // then
        return told(told(steps));
    }

    /** Stage by stage, thick cuts before thin; each step told with what is left to it in that order. */
    private List<Step> told(List<Step> steps) {
        List<Step> order = new ArrayList<>(steps);
        order.sort(Comparator.comparing(Step::stage)
                .thenComparing(
                        Comparator.comparingDouble((Step step) -> step.effect().diameter())
                                .reversed())
                .thenComparing(step -> step.operation().target().path()));
        List<Effect> effects =
                Effect.ofAll(evaluator.cut(operations(order)), request.limits().reach());
        List<Step> told = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            told.add(order.get(i).at(i + 1, effects.get(i)));
        }
        return told;
    }

    /** What a visit's steps do to the tree before the season after them. */
    static Season.Work work(Moment moment, List<Operation> operations) {
        return Season.Work.at(
                moment,
                CutSetEvaluator.asSet(operations).stream()
                        .filter(operation -> operation.kind().changesTheTree())
                        .toList());
    }

    static List<Operation> operations(List<Step> steps) {
        return steps.stream().map(Step::operation).toList();
    }

    /** The limbs most worth looking at again of those whose findings are left: nothing is done to them this winter. */
    private List<Step> toWatch(List<Plan.Left> left, List<Step> steps) {
        Set<String> touched = new HashSet<>();
        steps.forEach(step -> touched.add(step.operation().onLimb()));
        List<Step> watched = new ArrayList<>();
        left.stream()
                .filter(one -> one.finding().severity() == Severity.ACT)
                .filter(one -> !one.finding().targets().isEmpty())
                .sorted(Comparator.comparingDouble((Plan.Left one) -> -weightOf(one.finding())))
                .forEach(one -> {
                    Target target = one.finding().first();
                    boolean measured =
                            target.isLimb() && found.find(target.limb()).isPresent();
                    Operation watch = Operation.whole(OperationKind.WATCH, target);
                    boolean wanted = measured
                            && watched.size() < request.parameters().search().mostWatched()
                            && weightOf(one.finding()) > 0
                            && !request.refused().contains(PlanRequest.key(watch));
                    if (wanted && touched.add(target.limb())) {
                        List<Statement> reason = List.of(
                                one.finding().reason(),
                                Statement.of("left.for-now").with("why", new Value.Several(List.of(one.why()))));
                        watched.add(unweighed(
                                Candidate.of(watch, one.finding(), true).because(reason)));
                    }
                });
        return watched;
    }

    private double weightOf(Finding finding) {
        return FaultCost.certain(finding, found, request.parameters());
    }

    /** A step that does nothing to the tree and so needs no weighing: keeping, watching. */
    private Step unweighed(Candidate candidate) {
        CutTree alone = evaluator.cut(List.of(candidate.operation()));
        return new Step(
                0,
                0,
                found,
                candidate.operation(),
                candidate.stage(),
                candidate.finding() == null
                        ? List.of()
                        : List.of(candidate.finding().rule()),
                candidate.reason(),
                Effect.of(alone, 0, request.limits().reach()),
                0,
                candidate.finding() == null ? 0.5 : candidate.finding().confidence(),
                false,
                null,
                0,
                true);
    }

    private Step step(List<Candidate> chosen, int index, int year) {
        Candidate candidate = chosen.get(index);
        List<Candidate> rest = new ArrayList<>(chosen);
        rest.remove(index);
        List<Operation> all = PlanSearch.operations(chosen);
        List<Operation> without = PlanSearch.operations(rest);
        double gain = evaluator.worth(all) - evaluator.worth(without);
        Candidate other = candidate.settled() || year > 0 ? null : search.bestSwap(rest, candidate);
        double otherGain = other == null
                ? 0
                : evaluator.worth(CutSetEvaluator.with(without, other.operation())) - evaluator.worth(without);
        boolean leave = other == null || otherGain <= 0;
        double lead = candidate.settled() || year > 0 ? gain : leadOver(rest, candidate, gain, without);
        boolean close =
                !candidate.settled() && lead < request.parameters().confidence().closeCall();
        return new Step(
                0,
                year,
                found,
                candidate.operation(),
                candidate.stage(),
                rulesFor(candidate),
                candidate.reason(),
                Effect.of(evaluator.cut(all), index, request.limits().reach()),
                gain,
                confidence(candidate, lead)
                        * Math.pow(request.parameters().ahead().sureness(), year),
                close,
                leave ? null : other.operation(),
                leave ? 0 : otherGain,
                candidate.settled());
    }

    /** How far a step is ahead of leaving it and of whatever else could be decided. */
    private double leadOver(List<Candidate> rest, Candidate candidate, double gain, List<Operation> without) {
        Candidate rival = search.bestOther(rest, candidate);
        double rivalGain = rival == null
                ? 0
                : evaluator.worth(CutSetEvaluator.with(without, rival.operation())) - evaluator.worth(without);
        return gain - Math.max(0, rivalGain);
    }

    /** The finding answered, and every other whose limb this operation takes. */
    private List<Rule> rulesFor(Candidate candidate) {
        Set<Rule> rules = new HashSet<>();
        List<Rule> ordered = new ArrayList<>();
        if (candidate.finding() != null) {
            ordered.add(candidate.finding().rule());
            rules.add(candidate.finding().rule());
        }
        for (Finding finding : reading.findings()) {
            boolean answers = candidate.operation().kind().takesAll()
                    && !finding.targets().isEmpty()
                    && finding.first().equals(candidate.operation().target())
                    && rules.add(finding.rule());
            if (answers) {
                ordered.add(finding.rule());
            }
        }
        return ordered;
    }

    /**
     * How sure it is that a practised hand would do the same, 0…1: as sure as the finding, a little less where the lead over
     * the next best choice is small. Fitted to judged trees, see docs/model/plan.md.
     */
    private double confidence(Candidate candidate, double lead) {
        PlanParameters.Confidence rule = request.parameters().confidence();
        if (candidate.finding() == null) {
            return rule.sureOfSystem();
        }
        double finding = rule.most() * candidate.finding().confidence();
        if (candidate.settled()) {
            return finding;
        }
        double sure = Math.max(0, Math.min(1, lead / rule.sureGain()));
        return finding * (rule.closest() + (1 - rule.closest()) * sure);
    }

    private List<Plan.Left> leftAlone(CutTree cut, LightReading light, List<Step> steps) {
        List<Operation> now =
                operations(steps.stream().filter(step -> step.year() == 0).toList());
        return TreeReader.findings(
                        cut.left(), request.school(), light, request.limits().reach())
                .stream()
                .map(finding -> new Plan.Left(finding, whyLeft(finding, now, steps)))
                .toList();
    }

    private Statement whyLeft(Finding finding, List<Operation> now, List<Step> steps) {
        List<Candidate> answers = search.answers().usual().stream()
                .filter(candidate -> sameAs(candidate.finding(), finding))
                .toList();
        boolean later = steps.stream()
                .anyMatch(step -> step.year() > 0
                        && step.rules().contains(finding.rule())
                        && finding.targets().contains(step.operation().target()));
        if (later) {
            List<Operation> could = PlanSearch.operations(answers).stream()
                    .filter(one -> evaluator.fits(now, one))
                    .toList();
            boolean full = !could.isEmpty() && could.stream().noneMatch(one -> evaluator.withinLimits(now, one));
            return Statement.of(full ? "left.limit" : "left.cost");
        }
        Optional<Statement> notYet = search.answers().whyNotYet(finding);
        if (notYet.isPresent()) {
            return notYet.get();
        }
        if (answers.isEmpty()) {
            return search.answers().whyUnanswered(finding);
        }
        boolean begun =
                steps.stream().anyMatch(step -> step.year() == 0 && step.rules().contains(finding.rule()));
        return Statement.of(begun ? "left.begun" : "left.goals");
    }

    private static boolean sameAs(Finding finding, Finding other) {
        boolean wholeTree = finding.rule().isAnsweredInParts();
        return finding.rule() == other.rule() && (wholeTree || finding.targets().equals(other.targets()));
    }
}
