package umbel.assess;

import static umbel.assess.FormatWords.cm;
import static umbel.assess.FormatWords.round;
import static umbel.assess.FormatWords.word;

import java.util.List;
import java.util.function.Function;
import umbel.cut.BudSide;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.growth.Forecast;
import umbel.knowledge.Knowledge;
import umbel.plan.Plan;
import umbel.plan.Step;
import umbel.plan.Totals;
import umbel.reading.Rule;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.training.Training;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Tells plans in the open format's units and names, and in a language. */
public final class PlanTelling {

    private static final int PURPOSES_TOLD = 4;

    private final Knowledge knowledge;
    private final Speech speech;
    private final StepText text;

    PlanTelling(Knowledge knowledge, Speech speech) {
        this.knowledge = knowledge;
        this.speech = speech;
        this.text = new StepText(speech);
    }

    /** How steps are said. */
    public StepText text() {
        return text;
    }

    /** The four plans in the format's words; the last is doing nothing, which the others' years are told against. */
    public List<Assessment.PlanAnswer> plans(List<Plan> plans) {
        Plan nothing = plans.get(plans.size() - 1);
        return plans.stream()
                .filter(plan -> !plan.name().equals(Plan.IN_ONE_WINTER))
                .map(plan -> plan(plan, nothing))
                .toList();
    }

    /** A plan without the seasons after it, in the format's words. */
    public Assessment.PlanAnswer plan(Plan plan) {
        return plan(plan, plan);
    }

    /** A renovation done in one winter, in the format's words; null where the tree needs none. */
    public Assessment.PlanAnswer inOneWinter(List<Plan> plans) {
        Plan nothing = plans.get(plans.size() - 1);
        return plans.stream()
                .filter(plan -> plan.name().equals(Plan.IN_ONE_WINTER))
                .map(plan -> plan(plan, nothing))
                .findFirst()
                .orElse(null);
    }

    private Assessment.PlanAnswer plan(Plan plan, Plan nothing) {
        Double firstClass = inYear3(plan, nothing, Forecast.Outlook::firstClass);
        Telling telling = new Telling(speech);
        return new Assessment.PlanAnswer(
                plan.name(),
                plan.steps().stream().map(this::step).toList(),
                totals(plan.totals(), inYear3(plan, nothing, Forecast.Outlook::fruits), firstClass),
                firstClass == null || plan.steps().isEmpty()
                        ? null
                        : telling.say("thirdYear", thirdYear(plan, firstClass)),
                outlook(plan.outlook()),
                plan.leftAlone().stream().map(this::left).toList(),
                plan.steps().stream()
                        .filter(step -> step.year() > 0)
                        .map(this::intention)
                        .toList(),
                WinterStages.of(plan, outlook(plan.outlook()), speech),
                telling.statements());
    }

    private Assessment.IntentionAnswer intention(Step step) {
        Telling telling = new Telling(speech);
        return new Assessment.IntentionAnswer(
                step.year(),
                step.operation().onLimb(),
                fate(step.operation().kind()),
                telling.say("why", step.reason()),
                telling.statements());
    }

    private static String fate(OperationKind kind) {
        return switch (kind) {
            case REMOVE -> "out";
            case BEND -> "bent";
            case REDUCE, LOWER_LEADER, SHORTEN -> "back";
            case RENEW_STUB, RENEW_BEVEL -> "renewed";
            case HEAD, TIP -> "shortened";
            default -> kind.word();
        };
    }

    private Assessment.LeftAnswer left(Plan.Left left) {
        Telling telling = new Telling(speech);
        return new Assessment.LeftAnswer(
                left.finding().rule().id(),
                left.finding().paths(),
                telling.say("reason", left.finding().reason()),
                telling.say("why", left.why()),
                telling.statements());
    }

    private Statement thirdYear(Plan plan, double firstClass) {
        double same = knowledge.plan().ahead().sameCrop();
        String change = firstClass > 1 + same ? "more" : firstClass < 1 - same ? "less" : "same";
        List<Statement> purposes = plan.steps().stream()
                .flatMap(step -> step.rules().stream())
                .distinct()
                .limit(PURPOSES_TOLD)
                .map(rule -> Statement.of("rule." + rule.id()))
                .toList();
        return Statement.of("plan.third-year")
                .with("change", Value.choice(change))
                .with("by", Value.share(Math.abs(firstClass - 1)))
                .with("known", Value.choice(purposes.isEmpty() ? "no" : "yes"))
                .with("purposes", new Value.Several(purposes));
    }

    /** A step in the format's words. */
    public Assessment.StepAnswer step(Step step) {
        Tree tree = step.on();
        Operation operation = step.operation();
        Effect effect = step.effect();
        Telling telling = new Telling(speech);
        String title = telling.say("title", StepText.titleOf(tree, operation));
        String place = telling.say("place", StepText.placeOf(tree, operation)).strip();
        String numbers = telling.say("numbers", StepText.numbersOf(effect));
        String answer = telling.say("answer", StepText.answerOf(operation, effect));
        String reason = telling.say("reason", step.reason());
        String all = title + ". " + reason + " " + place + " " + capital(numbers) + "."
                + (answer.isEmpty() ? "" : " " + answer);
        List<String> rules = step.rules().stream().map(Rule::id).toList();
        return new Assessment.StepAnswer(
                step.order(),
                step.year(),
                word(step.stage()),
                operation.target().path(),
                operation.kind().word(),
                cm(operation.at()),
                blankToNull(operation.toLimb()),
                bud(tree, operation),
                angle(operation),
                keep(operation),
                Units.round(Units.toMm(effect.diameter()), 1),
                effect.cuts(),
                effect.tool().word(),
                effect.threeStep(),
                effect.big(),
                effect.ladder(),
                Units.round(effect.mass(), 2),
                cm(effect.height()),
                round(effect.woodShare()),
                round(effect.flowerShare()),
                Units.round(effect.sprouts(), 1),
                Units.round(effect.minutes(), 2),
                rules,
                round(step.confidence()),
                step.closeCall(),
                step.settled(),
                Units.round(step.gain(), 4),
                alternative(tree, step),
                trainingOf(tree, operation),
                title,
                place,
                numbers,
                answer,
                reason,
                leaving(rules, operation, telling),
                all,
                telling.each("cautions", StepText.cautionsOf(tree, operation, effect, knowledge.cautions())),
                telling.statements());
    }

    private String leaving(List<String> rules, Operation operation, Telling telling) {
        String text = knowledge.plan().leaving(rules, operation.kind().word());
        return text == null
                ? null
                : telling.say(
                        "skipped",
                        Statement.of("step.skipped")
                                .with("rule", Value.choice(rules.isEmpty() ? "" : rules.get(0)))
                                .with("text", new Value.Words(text)));
    }

    /** How an operation's limb is held at its new angle; null where it bends nothing. */
    public Assessment.TrainingAnswer trainingOf(Tree tree, Operation operation) {
        return operation.kind() == OperationKind.BEND
                ? training(tree, Training.of(tree, tree.find(operation.onLimb()).orElseThrow(), operation.toAngle()))
                : null;
    }

    /** How a limb is bent, in the format's words. */
    public Assessment.TrainingAnswer training(Tree tree, Training training) {
        Telling telling = new Telling(speech);
        return new Assessment.TrainingAnswer(
                training.limb(),
                training.possible(),
                telling.say("why", training.why()),
                training.device().word(),
                Units.round(Units.toDegrees(training.toAngle()), 0),
                cm(training.alongLimb()),
                cm(training.length()),
                Units.round(training.pull(), 0),
                Units.round(training.mass(), 2),
                training.anchors(),
                training.steps(),
                training.weeks(),
                place(training.from()),
                place(training.to()),
                training.instead() == null ? null : telling.say("instead", StepText.titleOf(tree, training.instead())),
                telling.say("text", StepText.trainingOf(training)),
                telling.statements());
    }

    private static double[] place(Vec at) {
        return new double[] {Units.round(at.x(), 3), Units.round(at.y(), 3), Units.round(at.z(), 3)};
    }

    private Assessment.Alternative alternative(Tree tree, Step step) {
        Operation other = step.alternative();
        Telling telling = new Telling(speech);
        return other == null
                ? new Assessment.Alternative(
                        "keep",
                        step.operation().target().path(),
                        0,
                        null,
                        null,
                        null,
                        telling.say("title", Statement.of("step.leave-it")),
                        0,
                        telling.statements())
                : new Assessment.Alternative(
                        other.kind().word(),
                        other.target().path(),
                        cm(other.at()),
                        blankToNull(other.toLimb()),
                        angle(other),
                        keep(other),
                        telling.say("title", StepText.titleOf(tree, other)),
                        Units.round(step.alternativeGain(), 4),
                        telling.statements());
    }

    /** A crop of the third season against the same tree left alone; null where there is nothing to compare. */
    private static Double inYear3(Plan plan, Plan nothing, Function<Forecast.Outlook, Forecast.Range> crop) {
        if (plan.outlook().size() < 3) {
            return null;
        }
        double uncut = crop.apply(nothing.outlook().get(2)).middle();
        return uncut < 1 ? null : round(crop.apply(plan.outlook().get(2)).middle() / uncut);
    }

    /** Years to come in the format's words. */
    public static List<Assessment.YearAnswer> outlook(List<Forecast.Outlook> years) {
        return years.stream()
                .map(year -> new Assessment.YearAnswer(
                        year.year(),
                        range(year.fruits(), 0),
                        range(year.firstClass(), 0),
                        range(year.newLength(), 1),
                        range(year.extension(), 0, 100),
                        range(year.sprouts(), 0),
                        range(year.underFruitLight(), 3),
                        range(year.interception(), 3),
                        range(year.height(), 2),
                        range(year.flowerBuds(), 0)))
                .toList();
    }

    private static Assessment.RangeAnswer range(Forecast.Range range, int digits) {
        return range(range, digits, 1);
    }

    private static Assessment.RangeAnswer range(Forecast.Range range, int digits, double factor) {
        return new Assessment.RangeAnswer(
                Units.round(range.low() * factor, digits),
                Units.round(range.middle() * factor, digits),
                Units.round(range.high() * factor, digits));
    }

    /** Totals in the format's words, of this visit alone. */
    public static Assessment.TotalsAnswer totals(Totals totals) {
        return totals(totals, null, null);
    }

    private static Assessment.TotalsAnswer totals(Totals totals, Double cropYear3, Double firstClassYear3) {
        Assessment.LightAnswer light = Assessment.LightAnswer.of(totals.light());
        return new Assessment.TotalsAnswer(
                round(totals.woodShare()),
                totals.bigCuts(),
                totals.cuts(),
                Units.round(totals.minutes(), 1),
                Units.round(totals.ladderMinutes(), 1),
                light,
                light.under30(),
                light.under50(),
                round(totals.cropShare()),
                cropYear3,
                firstClassYear3,
                Math.round(totals.sprouts()),
                Math.round(totals.crop().flowerBuds()),
                Math.round(totals.crop().expectedFruits()),
                Math.round(totals.crop().targetFruits()),
                Assessment.CropAnswer.of(totals.crop()),
                Units.round(totals.mass(), 1));
    }

    private static String bud(Tree tree, Operation operation) {
        boolean headed = operation.kind() == OperationKind.HEAD || operation.kind() == OperationKind.TIP;
        return headed
                ? BudSide.of(tree, tree.find(operation.onLimb()).orElseThrow()).word()
                : operation.kind() == OperationKind.SHORTEN ? "outward" : null;
    }

    private static Double angle(Operation operation) {
        return operation.kind() == OperationKind.BEND ? Units.round(Units.toDegrees(operation.toAngle()), 0) : null;
    }

    private static Integer keep(Operation operation) {
        return operation.keep() > 0 ? operation.keep() : null;
    }

    private static String blankToNull(String text) {
        return text.isEmpty() ? null : text;
    }

    private static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
