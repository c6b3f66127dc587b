package umbel.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import umbel.cut.OperationKind;
import umbel.knowledge.SeasonParameters;
import umbel.plan.Plan;
import umbel.plan.Step;
import umbel.reading.Stage;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/** Tells a plan that spreads over winters by its winters: what each is for, and what comes of it. */
final class WinterStages {

    /** What a winter is for, in the order it is told. */
    private static final List<Stage> PURPOSES = List.of(
            Stage.UNSOUND,
            Stage.FRAME,
            Stage.UPRIGHTS,
            Stage.RENEWAL,
            Stage.DETAIL,
            Stage.TRAIN,
            Stage.SUCKERS,
            Stage.CROP);

    private WinterStages() {}

    /**
     * The winters of a plan.
     *
     * @param years the seasons after it
     * @param speech how it is said
     */
    static List<Assessment.StageAnswer> of(Plan plan, List<Assessment.YearAnswer> years, Speech speech) {
        List<Assessment.StageAnswer> stages = new ArrayList<>();
        int last = Stream.concat(plan.steps().stream(), plan.laterSmall().stream())
                .mapToInt(Step::year)
                .max()
                .orElse(-1);
        for (int year = 0; year <= last; year++) {
            int winter = year;
            List<Step> all =
                    plan.workOf(winter).stream().filter(WinterStages::does).toList();
            List<Step> steps = all.stream()
                    .filter(step -> !plan.laterSmall().contains(step))
                    .toList();
            Assessment.YearAnswer season = year < years.size() ? years.get(year) : null;
            Telling telling = new Telling(speech);
            stages.add(new Assessment.StageAnswer(
                    year,
                    telling.say("purpose", purpose(steps)),
                    steps.size(),
                    all.size() - steps.size(),
                    all.stream()
                            .mapToInt(
                                    step -> step.effect().big() ? step.effect().cuts() : 0)
                            .sum(),
                    Units.round(
                            all.stream()
                                    .mapToDouble(step -> step.effect().minutes())
                                    .sum(),
                            1),
                    Units.round(
                            all.stream()
                                    .mapToDouble(step -> step.effect().woodShare())
                                    .sum(),
                            3),
                    season == null ? null : season.fruits(),
                    season == null ? null : season.sprouts(),
                    season == null || all.isEmpty() ? null : summer(season, all, telling),
                    telling.statements()));
        }
        return stages;
    }

    private static Statement purpose(List<Step> steps) {
        List<Statement> parts = new ArrayList<>();
        for (Stage stage : PURPOSES) {
            List<String> limbs = steps.stream()
                    .filter(step -> step.stage() == stage)
                    .map(step -> step.operation().onLimb())
                    .distinct()
                    .sorted()
                    .toList();
            if (!limbs.isEmpty()) {
                parts.add(Statement.of("stage." + stage.name().toLowerCase(Locale.ROOT))
                        .with("limbs", Value.limbs(limbs)));
            }
        }
        return parts.isEmpty()
                ? Statement.of("stage.nothing")
                : Statement.of("stage.purpose").with("parts", new Value.Several(parts));
    }

    private static boolean does(Step step) {
        OperationKind kind = step.operation().kind();
        return kind != OperationKind.KEEP && kind != OperationKind.WATCH;
    }

    private static String summer(Assessment.YearAnswer season, List<Step> steps, Telling telling) {
        SeasonParameters.FollowUp rules =
                steps.get(0).on().setting().parameters().season().followUp();
        double sprouts = season.sprouts().middle();
        return sprouts < rules.sproutsWorthAVisit()
                ? null
                : telling.say("summer", Statement.of("stage.summer").with("count", Value.count(Math.round(sprouts))));
    }
}
