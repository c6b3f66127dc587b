package umbel.assess;

import static umbel.assess.FormatWords.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.counted.CountFinding;
import umbel.counted.CountLearned;
import umbel.counted.CountOperation;
import umbel.counted.CountPlan;
import umbel.counted.CountReading;
import umbel.counted.CountRule;
import umbel.counted.CountStep;
import umbel.counted.Counted;
import umbel.growth.Moment;
import umbel.knowledge.Caution;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;
import umbel.knowledge.SeasonParameters;
import umbel.knowledge.Species;
import umbel.season.Phenology;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;
import umbel.work.Tool;

/** Reads a counted plant, plans for it and puts the answer into the open format's names and units. */
public final class CountedAssessor {

    private final Knowledge knowledge;
    private final Speech speech;

    /** An assessor that answers in English and metric units. */
    public CountedAssessor(Knowledge knowledge) {
        this(knowledge, Speech.english());
    }

    private CountedAssessor(Knowledge knowledge, Speech speech) {
        this.knowledge = knowledge;
        this.speech = speech;
    }

    /** The same, answering in another language or other units. */
    public CountedAssessor in(Speech other) {
        return new CountedAssessor(knowledge, other);
    }

    /**
     * The whole answer: reading, four plans, timing, what to measure next.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers the kind
     * @throws InvalidSurvey when the survey counts what the kind does not have
     */
    public CountAssessment assess(CountRequest request) {
        return assess(request, CountLearned.NOTHING);
    }

    /**
     * The same, with crops foretold by what the place has shown.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers the kind
     * @throws InvalidSurvey when the survey counts what the kind does not have
     */
    public CountAssessment assess(CountRequest request, CountLearned learned) {
        Counted plant;
        try {
            plant = Counted.of(request.survey(), knowledge, learned);
        } catch (InvalidSurvey e) {
            throw new InvalidSurvey(
                    e.errors().stream().map(error -> error.under("survey")).toList());
        }
        Moment moment = moment(request);
        List<CountPlan> plans = plant.plans(moment);
        return new CountAssessment(
                reading(plant, plans.get(0)),
                plans.stream()
                        .map(plan -> plan(plan, plans.get(plans.size() - 1), plant))
                        .toList(),
                timing(request, plant.kind(), moment),
                calendar(plant.kind(), request.survey().site()),
                plant.reading().measureNext().stream().map(this::measure).toList());
    }

    /** When in its year the visit finds the plant: by the phase told, but in leaf where the day says so. */
    private Moment moment(CountRequest request) {
        Moment told = Assessor.moment(request.phase());
        return contradicts(request, told) ? Moment.SUMMER : told;
    }

    private boolean contradicts(CountRequest request, Moment told) {
        Survey.Site site = request.survey().site();
        boolean bare = told == Moment.DORMANT || told == Moment.DELAYED_DORMANT;
        SeasonParameters.Calendar calendar = knowledge.parameters().season().calendar();
        return bare
                && request.on() != null
                && site != null
                && site.latitudeDeg() != null
                && Phenology.isInLeaf(calendar, request.on(), site.latitudeDeg());
    }

    private Assessment.Timing timing(CountRequest request, CountedKind kind, Moment moment) {
        Species.PhaseRule rule = kind.phases().get(moment.word());
        List<Statement> reasons = new ArrayList<>();
        if (contradicts(request, Assessor.moment(request.phase()))) {
            LocalDate day = request.on();
            reasons.add(Statement.of("timing.date").with("date", new Value.Day(day)));
        }
        reasons.add(Statement.of("timing.kind")
                .with("phase", Value.choice(moment.word()))
                .with("reason", new Value.Words(rule.reason())));
        reasons.add(Statement.of("timing.phase-only"));
        Telling telling = new Telling(speech);
        return new Assessment.Timing(rule.verdict(), telling.each("reasons", reasons), telling.statements());
    }

    /** The works of a kind's year at a place, the first of the year first; where no place is told, as its file has them. */
    public List<CountAssessment.WorkDays> calendar(CountedKind kind, Survey.Site site) {
        List<CountAssessment.WorkDays> works = new ArrayList<>();
        kind.calendar().forEach((work, window) -> {
            if (window != null) {
                boolean known = site != null && site.latitudeDeg() != null;
                CountedKind.Days days = window.at(
                        known ? site.latitudeDeg() : window.atDeg(),
                        known && site.elevationM() != null ? site.elevationM() : 0);
                works.add(new CountAssessment.WorkDays(
                        work,
                        days.from().toString().substring(2),
                        days.to().toString().substring(2),
                        speech.say(Statement.of("count.work")
                                .with("work", Value.choice(work))
                                .with("from", new Value.DayOfYear(days.from()))
                                .with("to", new Value.DayOfYear(days.to())))));
            }
        });
        works.sort(Comparator.comparing(CountAssessment.WorkDays::from));
        return works;
    }

    private CountAssessment.CountedReading reading(Counted plant, CountPlan recommended) {
        CountReading reading = plant.reading();
        CountReading.Canes canes = reading.canes();
        CountReading.Nodes nodes = reading.nodes();
        return new CountAssessment.CountedReading(
                plant.kind().form().word(),
                speech.knowledge(plant.kind().name()),
                reading.light() == null
                        ? null
                        : new CountAssessment.BushLight(
                                round(reading.light().mean()),
                                round(reading.light().base())),
                new CountAssessment.CountedCrop(
                        Units.round(reading.cropKg(), 2), Units.round(reading.marketableKg(), 2), reading.flowerBuds()),
                canes == null ? null : canes(canes, recommended),
                nodes == null
                        ? null
                        : new CountAssessment.NodeCounts(
                                nodes.base(),
                                nodes.perWeight(),
                                Units.round(nodes.weightKg(), 2),
                                nodes.weighed() ? "weighed" : "estimated",
                                nodes.wanted(),
                                nodes.most(),
                                nodes.now()),
                reading.findings().stream()
                        .map(finding -> finding(finding, plant.kind()))
                        .toList(),
                reading.estimated());
    }

    private static CountAssessment.CaneCounts canes(CountReading.Canes canes, CountPlan recommended) {
        double length = canes.perMetre() == 0 ? 0 : canes.count() / canes.perMetre();
        return new CountAssessment.CaneCounts(
                groups(canes.groups()),
                groups(recommended.after()),
                canes.count(),
                Units.round(canes.perMetre(), 1),
                length == 0 ? 0 : Units.round(recommended.canesAfter() / length, 1),
                canes.widthCm(),
                canes.wantedLeast(),
                canes.wantedMost());
    }

    private static List<CountAssessment.CaneGroup> groups(List<CountReading.Group> groups) {
        return groups.stream()
                .map(group -> new CountAssessment.CaneGroup(group.name(), group.count()))
                .toList();
    }

    private Assessment.FindingAnswer finding(CountFinding finding, CountedKind kind) {
        Telling telling = new Telling(speech);
        return new Assessment.FindingAnswer(
                finding.rule().id(),
                finding.rule().stage(),
                finding.of(),
                telling.say("measure", finding.measure()),
                round(finding.value()),
                round(finding.threshold()),
                finding.unit(),
                finding.severity().word(),
                round(finding.confidence()),
                telling.say("reason", finding.reason()),
                judgedBy(finding, kind),
                telling.statements());
    }

    private Assessment.JudgedBy judgedBy(CountFinding finding, CountedKind kind) {
        String source = finding.line().substring(0, finding.line().indexOf('.'));
        String line = finding.line().substring(source.length() + 1);
        Telling telling = new Telling(speech);
        boolean noted = source.equals("survey");
        return new Assessment.JudgedBy(
                source,
                noted ? "" : speech.knowledge(kind.name()),
                line,
                telling.say(
                        "text",
                        noted
                                ? Statement.of("judged.noted")
                                : Statement.of("judged.species").with("name", new Value.Words(kind.name()))),
                telling.statements());
    }

    private Assessment.Measure measure(CountReading.Measure one) {
        Telling telling = new Telling(speech);
        return new Assessment.Measure(one.of(), one.what(), telling.say("why", one.why()), telling.statements());
    }

    private CountAssessment.CountedPlan plan(CountPlan plan, CountPlan nothing, Counted plant) {
        List<CountAssessment.CountedStep> steps = new ArrayList<>();
        for (CountStep step : plan.steps()) {
            steps.add(step(step, steps.size() + 1, plant.reading()));
        }
        return new CountAssessment.CountedPlan(
                plan.name(),
                steps,
                totals(plan, nothing),
                years(plan),
                plan.left().stream().map(this::left).toList());
    }

    private Assessment.LeftAnswer left(CountPlan.Left left) {
        Telling telling = new Telling(speech);
        return new Assessment.LeftAnswer(
                left.finding().rule().id(),
                left.finding().of(),
                telling.say("reason", left.finding().reason()),
                telling.say("why", left.why()),
                telling.statements());
    }

    private CountAssessment.CountedTotals totals(CountPlan plan, CountPlan nothing) {
        List<CountPlan.Season> seasons = plan.seasons();
        List<CountPlan.Season> alone = nothing.seasons();
        return new CountAssessment.CountedTotals(
                round(plan.steps().stream().mapToDouble(CountStep::share).sum()),
                plan.steps().stream().mapToInt(step -> step.operation().count()).sum(),
                Units.round(minutes(plan), 1),
                plan.canesAfter(),
                plan.nodesAfter(),
                against(seasons.get(0).crop(), alone.get(0).crop()),
                against(
                        seasons.get(seasons.size() - 1).marketable(),
                        alone.get(alone.size() - 1).marketable()),
                seasons.stream().map(season -> range(season.marketable())).toList());
    }

    private double minutes(CountPlan plan) {
        double work = plan.steps().stream().mapToDouble(CountStep::minutes).sum();
        return work == 0 ? 0 : work + knowledge.counting().work().look();
    }

    private static Double against(double crop, double alone) {
        return alone < 0.01 ? null : round(crop / alone);
    }

    private List<CountAssessment.CountedSeason> years(CountPlan plan) {
        List<CountAssessment.CountedSeason> years = new ArrayList<>();
        for (CountPlan.Season season : plan.seasons()) {
            years.add(new CountAssessment.CountedSeason(
                    years.size() + 1,
                    range(season.crop()),
                    range(season.marketable()),
                    Units.round(season.renewal(), 2),
                    Units.round(season.delayDays(), 1)));
        }
        return years;
    }

    /** What is counted on a kind, as a statement: a bush, a cane row, a vine. */
    public static Statement formOf(CountedKind kind) {
        return Statement.of("count.form").with("form", Value.choice(kind.form().word()));
    }

    /** What a rule is called. */
    public String name(CountRule rule) {
        return speech.say(Statement.of("count.rule." + rule.id()));
    }

    /** What a finding leads to. */
    public String why(CountRule rule) {
        return speech.say(Statement.of("count.why." + rule.id())
                .with("age", Value.count(2))
                .with("young", Value.choice("no")));
    }

    /** How a kind is kept, a sentence for each thing: canes or nodes that stay, what goes, how it is cut. */
    public List<String> facts(CountedKind kind) {
        return CountText.factsOf(kind).stream().map(speech::say).toList();
    }

    /** What an operation is, in words. */
    public String title(CountOperation operation) {
        return speech.say(CountText.titleOf(operation));
    }

    /** A crop in kg, and between what it lies in eight of ten years. */
    public Assessment.RangeAnswer range(double kg) {
        double spread = knowledge.counting().forecast().spread();
        return new Assessment.RangeAnswer(
                Units.round(kg * (1 - spread), 2), Units.round(kg, 2), Units.round(kg * (1 + spread), 2));
    }

    private CountAssessment.CountedStep step(CountStep step, int order, CountReading reading) {
        CountOperation operation = step.operation();
        Telling telling = new Telling(speech);
        Tool tool = tool(step);
        String title = telling.say("title", CountText.titleOf(operation));
        String place = telling.say("place", CountText.placeOf(operation));
        String numbers = telling.say("numbers", CountText.numbersOf(step, tool));
        String reason = telling.say("reason", step.reason());
        return new CountAssessment.CountedStep(
                order,
                0,
                step.stage(),
                operation.target(),
                operation.kind().word(),
                operation.atCm(),
                operation.kind() == CountOperation.Kind.DEFLOWER || operation.keepCount() > 0
                        ? operation.keepCount()
                        : null,
                operation.perMetre() > 0 ? Units.round(operation.perMetre(), 1) : null,
                operation.nodes() > 0 ? operation.nodes() : null,
                operation.count(),
                Units.round(step.diameterMm(), 1),
                tool.word(),
                false,
                0,
                round(step.share()),
                Units.round(step.minutes(), 2),
                step.rules().stream().map(CountRule::id).toList(),
                round(step.confidence()),
                step.closeCall(),
                alternative(step),
                title,
                place,
                numbers,
                reason,
                skipped(step, reading, telling),
                title + ". " + reason + " " + place,
                telling.each("cautions", cautions(step, tool)),
                telling.statements());
    }

    /** What comes of leaving a step: what its finding leads to; null where it answers none. */
    private static String skipped(CountStep step, CountReading reading, Telling telling) {
        return reading.findings().stream()
                .filter(finding -> step.rules().contains(finding.rule()))
                .findFirst()
                .map(finding -> telling.say("skipped", finding.reason()))
                .orElse(null);
    }

    private CountAssessment.CountedAlternative alternative(CountStep step) {
        Telling telling = new Telling(speech);
        CountOperation other = step.instead();
        return other == null
                ? new CountAssessment.CountedAlternative(
                        "keep",
                        step.operation().target(),
                        0,
                        null,
                        null,
                        null,
                        telling.say("title", Statement.of("count.title.leave")),
                        telling.statements())
                : new CountAssessment.CountedAlternative(
                        other.kind().word(),
                        other.target(),
                        other.atCm(),
                        other.keepCount() > 0 ? other.keepCount() : null,
                        other.perMetre() > 0 ? other.perMetre() : null,
                        other.nodes() > 0 ? other.nodes() : null,
                        telling.say("title", CountText.titleOf(other)),
                        telling.statements());
    }

    private Tool tool(CountStep step) {
        return switch (step.operation().kind()) {
            case TIE, LAY -> Tool.TIE;
            case DEFLOWER -> Tool.HAND;
            default ->
                Tool.forCut(
                        step.diameterMm() / 1000,
                        knowledge.parameters().cutting().tools());
        };
    }

    private List<Statement> cautions(CountStep step, Tool tool) {
        return knowledge.cautions().stream()
                .filter(caution -> caution.when() == Caution.When.SAW && tool == Tool.SAW
                        || caution.when() == Caution.When.DISEASED
                                && step.stage().equals("unsound"))
                .map(CountText::cautionOf)
                .toList();
    }
}
