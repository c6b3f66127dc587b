package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.reading.Severity;
import umbel.text.Statement;
import umbel.text.Value;

/** What a practised eye sees on a vine, in the order of the work. */
final class VineFindings {

    private final CountedKind.Vine kind;
    private final CountingParameters numbers;
    private final VineSeasons model;
    private final CountSurvey.Vine survey;
    private final List<CountSurvey.VineCane> canes;
    private final List<CountSurvey.Arm> arms;
    private final List<CountFinding> found = new ArrayList<>();

    /**
     * What was worked out of the survey.
     *
     * @param weighed whether the prunings were weighed
     * @param dead share of dead buds, 0…1
     * @param wanted nodes to leave
     * @param most nodes there is room for
     */
    record Measures(boolean weighed, double weightKg, double dead, double wanted, double most) {}

    VineFindings(CountedKind.Vine kind, CountingParameters numbers, VineSeasons model, CountSurvey.Vine survey) {
        this.kind = kind;
        this.numbers = numbers;
        this.model = model;
        this.survey = survey;
        this.canes = survey.canes() == null ? List.of() : survey.canes();
        this.arms = survey.arms() == null ? List.of() : survey.arms();
    }

    static boolean isMale(CountSurvey.Vine survey) {
        return "male".equals(survey.sex());
    }

    static boolean isSpurPruned(CountSurvey.Vine survey) {
        return "spur".equals(survey.prunedAs());
    }

    static boolean isSick(CountSurvey.Arm arm) {
        return BushCane.isUnsound(arm.condition(), arm.disease());
    }

    static boolean isWorn(CountSurvey.Arm arm, CountingParameters.Arm worn) {
        return blindShare(arm) >= worn.blind()
                || arm.spurHeightCm() != null && arm.spurHeightCm() > worn.spurHeightCm();
    }

    static double blindShare(CountSurvey.Arm arm) {
        return arm.positions() == null || arm.blind() == null ? 0 : (double) arm.blind() / arm.positions();
    }

    /** All of them, in the order of the work. */
    List<CountFinding> all(Measures of) {
        List<String> sick = new ArrayList<>();
        arms.stream().filter(VineFindings::isSick).map(CountSurvey.Arm::id).forEach(sick::add);
        canes.stream()
                .filter(cane -> BushCane.isUnsound(cane.condition(), cane.disease()))
                .map(CountSurvey.VineCane::id)
                .forEach(sick::add);
        if (!sick.isEmpty()) {
            found.add(finding(
                    CountRule.UNSOUND_CANE,
                    sick,
                    sick.size(),
                    0,
                    "",
                    Severity.ACT,
                    numbers.confidence().counted(),
                    "survey.condition"));
        }
        arms.stream()
                .filter(arm -> isWorn(arm, numbers.vine().arm()))
                .filter(arm -> !isSick(arm))
                .forEach(arm -> found.add(finding(
                        CountRule.WORN_ARM,
                        List.of(arm.id()),
                        blindShare(arm),
                        numbers.vine().arm().blind(),
                        "share",
                        Severity.CONSIDER,
                        numbers.confidence().judged(),
                        "counting.arm")));
        nodes(of);
        canes(of);
        if (of.dead() > numbers.vine().budKill().told()) {
            found.add(finding(
                    CountRule.BUD_KILL,
                    List.of("vine"),
                    of.dead(),
                    numbers.vine().budKill().told(),
                    "share",
                    Severity.ACT,
                    sureOfSample(of.dead()),
                    "counting.budKill"));
        }
        return found;
    }

    private double sureOfSample(double dead) {
        int n = survey.budSample().n();
        double error = numbers.sampling().z() * Math.sqrt(dead * (1 - dead) / n);
        CountingParameters.Bounds sure = numbers.confidence().number();
        return Math.max(sure.least(), Math.min(sure.most(), 1 - error));
    }

    private void nodes(Measures of) {
        double wanted = of.wanted();
        int now = canes.stream().mapToInt(CountSurvey.VineCane::nodes).sum();
        CountingParameters.Over over = numbers.vine().over();
        if (wanted <= 0 || canes.isEmpty() || isMale(survey)) {
            return;
        }
        double times = now / wanted;
        double sure = of.weighed() || model.byArea()
                ? numbers.confidence().counted()
                : numbers.confidence().estimatedWeight();
        if (times > over.consider()) {
            found.add(finding(
                    CountRule.NODES_OVER,
                    List.of("vine"),
                    now,
                    Math.round(wanted),
                    "nodes",
                    times > over.act() ? Severity.ACT : Severity.CONSIDER,
                    sure,
                    "kind.woods"));
        } else if (times < numbers.vine().under()) {
            found.add(finding(
                    CountRule.NODES_UNDER,
                    List.of("vine"),
                    now,
                    Math.round(wanted),
                    "nodes",
                    Severity.CONSIDER,
                    sure,
                    "kind.woods"));
        }
        double balanced = model.balanced(of.weightKg());
        if (balanced > of.most() * (1 + numbers.vine().roomShort())) {
            found.add(finding(
                    CountRule.OVER_CAP,
                    List.of("vine"),
                    Math.round(balanced),
                    Math.round(of.most()),
                    "nodes",
                    Severity.CONSIDER,
                    sure,
                    "kind.mostPerM"));
        }
    }

    private void canes(Measures of) {
        if (canes.isEmpty() || isMale(survey)) {
            return;
        }
        boolean spurs = isSpurPruned(survey);
        long near = canes.stream()
                .filter(cane -> !Boolean.FALSE.equals(cane.lit()))
                .filter(cane -> VineChoice.fromHead(cane) <= kind.cane().farNear())
                .count();
        double wanted = spurs ? 0 : Math.ceil(model.wanted(of.weightKg()) / kind.caneNodes());
        if (!spurs && near < wanted) {
            found.add(finding(
                    CountRule.NO_RENEWAL,
                    List.of("vine"),
                    near,
                    wanted,
                    "canes",
                    Severity.ACT,
                    numbers.confidence().judged(),
                    "kind.cane"));
        }
        if (!model.byArea() && survey.shootsLast() != null && survey.shootsLast() > 0 && of.weightKg() > 0) {
            double grams = 1000 * of.weightKg() / survey.shootsLast();
            CountingParameters.WoodMass wood = numbers.vine().woodG();
            if (grams < wood.weak()) {
                found.add(finding(
                        CountRule.WEAK_WOOD,
                        List.of("vine"),
                        grams,
                        wood.weak(),
                        "g",
                        Severity.CONSIDER,
                        numbers.confidence().judged(),
                        "counting.wood_g"));
            } else if (grams > wood.bull()) {
                found.add(finding(
                        CountRule.BULL_WOOD,
                        List.of("vine"),
                        grams,
                        wood.bull(),
                        "g",
                        Severity.CONSIDER,
                        numbers.confidence().judged(),
                        "counting.wood_g"));
            }
        }
    }

    private static CountFinding finding(
            CountRule rule,
            List<String> of,
            double value,
            double threshold,
            String unit,
            Severity severity,
            double sure,
            String line) {
        Statement measure = Statement.of("count.finding." + rule.id())
                .with("count", Value.count(Math.round(value)))
                .with("most", Value.count(Math.round(threshold)))
                .with("share", Value.share(value))
                .with("limit", Value.share(threshold))
                .with("mass", Value.number(value, 0))
                .with("line", Value.number(threshold, 0))
                .with("unit", Value.choice(unit.isEmpty() ? "count" : unit));
        return new CountFinding(
                rule,
                of,
                measure,
                value,
                threshold,
                unit.equals("share") || unit.equals("nodes") || unit.equals("canes") ? "" : unit,
                severity,
                sure,
                Statement.of("count.why." + rule.id()),
                line);
    }
}
