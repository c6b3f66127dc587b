package umbel.assess;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import umbel.cut.OperationKind;
import umbel.knowledge.SeasonParameters;
import umbel.plan.Plan;
import umbel.plan.Step;
import umbel.reading.Stage;
import umbel.wood.Units;

/** Tells a plan that spreads over winters by its winters: what each is for, and what comes of it. */
final class WinterStages {

    private static final Map<Stage, String> PURPOSES = purposes();

    private WinterStages() {}

    private static Map<Stage, String> purposes() {
        Map<Stage, String> purposes = new LinkedHashMap<>();
        purposes.put(Stage.UNSOUND, "dead, broken and diseased wood out");
        purposes.put(Stage.FRAME, "the frame: %s");
        purposes.put(Stage.UPRIGHTS, "uprights out");
        purposes.put(Stage.RENEWAL, "old fruiting wood renewed");
        purposes.put(Stage.DETAIL, "room for light between what stays");
        purposes.put(Stage.TRAIN, "limbs brought to their angle");
        purposes.put(Stage.SUCKERS, "suckers off");
        purposes.put(Stage.CROP, "the crop lightened");
        return purposes;
    }

    /**
     * The winters of a plan.
     *
     * @param years the seasons after it
     */
    static List<Assessment.StageAnswer> of(Plan plan, List<Assessment.YearAnswer> years) {
        List<Assessment.StageAnswer> stages = new ArrayList<>();
        int last = plan.steps().stream().mapToInt(Step::year).max().orElse(-1);
        for (int year = 0; year <= last; year++) {
            int winter = year;
            List<Step> steps = plan.steps().stream()
                    .filter(step -> step.year() == winter && does(step))
                    .toList();
            Assessment.YearAnswer season = year < years.size() ? years.get(year) : null;
            stages.add(new Assessment.StageAnswer(
                    year,
                    purpose(steps),
                    steps.size(),
                    steps.stream()
                            .mapToInt(
                                    step -> step.effect().big() ? step.effect().cuts() : 0)
                            .sum(),
                    Units.round(
                            steps.stream()
                                    .mapToDouble(step -> step.effect().minutes())
                                    .sum(),
                            1),
                    Units.round(
                            steps.stream()
                                    .mapToDouble(step -> step.effect().woodShare())
                                    .sum(),
                            3),
                    season == null ? null : season.fruits(),
                    season == null ? null : season.sprouts(),
                    season == null || steps.isEmpty() ? null : summer(season, steps)));
        }
        return stages;
    }

    private static String purpose(List<Step> steps) {
        List<String> parts = new ArrayList<>();
        PURPOSES.forEach((stage, words) -> {
            List<String> limbs = steps.stream()
                    .filter(step -> step.stage() == stage)
                    .map(step -> step.operation().onLimb())
                    .distinct()
                    .sorted()
                    .toList();
            if (!limbs.isEmpty()) {
                parts.add(String.format(Locale.ROOT, words, limbWords(limbs)));
            }
        });
        if (parts.isEmpty()) {
            return "Nothing that must be done.";
        }
        String all = String.join("; ", parts);
        return all.substring(0, 1).toUpperCase(Locale.ROOT) + all.substring(1) + ".";
    }

    private static String limbWords(List<String> limbs) {
        List<String> named = new ArrayList<>(
                limbs.stream().filter(limb -> !limb.equals("trunk")).toList());
        String words = named.isEmpty() ? "" : (named.size() == 1 ? "limb " : "limbs ") + String.join(", ", named);
        boolean leader = named.size() < limbs.size();
        return leader ? "the leader" + (named.isEmpty() ? "" : ", " + words) : words;
    }

    private static boolean does(Step step) {
        OperationKind kind = step.operation().kind();
        return kind != OperationKind.KEEP && kind != OperationKind.WATCH;
    }

    private static String summer(Assessment.YearAnswer season, List<Step> steps) {
        SeasonParameters.FollowUp rules =
                steps.get(0).on().setting().parameters().season().followUp();
        double sprouts = season.sprouts().middle();
        return sprouts < rules.sproutsWorthAVisit()
                ? null
                : String.format(
                        Locale.ROOT,
                        "In early summer rub or pull most of about %.0f sprouts; leave those that fill a gap or renew a stub.",
                        sprouts);
    }
}
