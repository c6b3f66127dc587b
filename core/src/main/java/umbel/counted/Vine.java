package umbel.counted;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import umbel.format.FieldError;
import umbel.growth.Moment;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.knowledge.NotSupported;
import umbel.reading.Severity;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/** A vine: grape or kiwifruit, by arms, canes and nodes. */
public final class Vine implements Counted {

    private static final double COUNTED = 0.9;

    private final CountedKind kind;
    private final CountedKind.Vine vine;
    private final CountedKind.Wood wood;
    private final CountingParameters numbers;
    private final CountSurvey.Vine survey;
    private final List<CountSurvey.VineCane> canes;
    private final List<CountSurvey.Arm> arms;
    private final boolean weighed;
    private final double weightKg;
    private final double inRow;
    private final double dead;
    private final VineSeasons model;
    private final CountReading reading;

    private Vine(CountSurvey survey, CountedKind kind, CountingParameters numbers) {
        this.kind = kind;
        this.vine = kind.vine();
        this.numbers = numbers;
        this.survey = survey.vine();
        this.canes = this.survey.canes() == null ? List.of() : this.survey.canes();
        this.arms = this.survey.arms() == null ? List.of() : this.survey.arms();
        this.weighed = this.survey.pruningWeightKg() != null && !"estimated".equals(this.survey.weightIs());
        this.weightKg = this.survey.pruningWeightKg() != null
                ? this.survey.pruningWeightKg()
                : canes.stream().mapToDouble(this::massOf).sum() / 1000;
        this.inRow =
                survey.plant().spacing() == null ? 0 : survey.plant().spacing().inRow();
        this.dead = this.survey.budSample() == null
                ? 0
                : (double) this.survey.budSample().dead()
                        / this.survey.budSample().n();
        this.wood = woodOf(this.survey);
        this.model = new VineSeasons(
                vine,
                wood,
                numbers.vine(),
                most(),
                this.survey.canopyM2() == null ? canopyOf(survey) : this.survey.canopyM2(),
                this.survey.fruitPerM2() == null
                        ? vine.fruit() == null ? 0 : vine.fruit().perM2()
                        : this.survey.fruitPerM2());
        this.reading = read();
    }

    static Vine of(CountSurvey survey, CountedKind kind, CountingParameters numbers) {
        if (survey.vine() == null) {
            throw new InvalidSurvey(List.of(new FieldError("vine", "This kind is a vine: give its arms and canes.")));
        }
        return new Vine(survey, kind, numbers);
    }

    @Override
    public CountedKind kind() {
        return kind;
    }

    @Override
    public CountReading reading() {
        return reading;
    }

    @Override
    public CountPlan plan(String name, Moment moment) {
        boolean winter = moment == Moment.DORMANT || moment == Moment.DELAYED_DORMANT;
        boolean forbidden = kind.phases().get(moment.word()).forbids();
        boolean full = winter && !forbidden && !name.equals("nothing") && !isMale();
        List<CountStep> steps = new ArrayList<>();
        int left = nodesNow();
        if (full) {
            sickArms(steps);
            int target = target(name);
            left = choose(target, steps);
            wornArms(steps);
        } else if (winter && !name.equals("nothing") && !isMale()) {
            sickArms(steps);
        }
        return new CountPlan(
                name,
                steps,
                List.of(),
                left,
                seasons(full ? left : nodesLeftAlone(), name),
                CountSteps.left(reading, steps, finding -> whyLeft(finding, name, full)));
    }

    @Override
    public CountOutcome after(List<CountOperation> operations) {
        boolean spurs = isSpurPruned();
        List<CountOperation> kept = operations.stream()
                .filter(operation -> operation.kind() == CountOperation.Kind.KEEP_NODES)
                .filter(operation -> spurs || operation.nodes() > vine.spurNodes())
                .toList();
        int nodes = kept.isEmpty()
                ? nodesNow()
                : kept.stream().mapToInt(CountOperation::nodes).sum();
        return new CountOutcome(
                List.of(),
                nodes,
                seasons(kept.isEmpty() ? nodesLeftAlone() : nodes, kept.isEmpty() ? "nothing" : "recommended"));
    }

    private String whyLeft(CountFinding finding, String name, boolean works) {
        boolean nothingCuts = !finding.rule().isAnswered();
        return name.equals("nothing")
                ? "nothing"
                : !works ? "season" : finding.severity() == Severity.WATCH ? "unsure" : nothingCuts ? "none" : "later";
    }

    /** Nodes a plan leaves. */
    private int target(String name) {
        double wanted = wantedNodes()
                * (weighed || model.byArea() ? 1 : 1 + numbers.vine().estimatedExtra());
        return (int) Math.round(wanted * shareOf(name));
    }

    /** Nodes that a plan leaves against those wanted. */
    private double shareOf(String name) {
        return switch (name) {
            case "gentler" -> numbers.vine().gentler();
            case "firmer" -> numbers.vine().firmer();
            default -> 1;
        };
    }

    /** Nodes wanted, made good for dead buds. */
    private double wantedNodes() {
        double wanted = model.wanted(weightKg);
        CountingParameters.BudKill kill = numbers.vine().budKill();
        if (dead <= kill.told()) {
            return wanted;
        }
        return dead > kill.all() ? Math.max(wanted, nodesNow()) : wanted / (1 - dead);
    }

    /** Chooses canes and their nodes; the nodes left, renewal spurs not counted. */
    private int choose(int target, List<CountStep> steps) {
        Set<String> sickArms = new HashSet<>();
        arms.stream().filter(Vine::isSick).forEach(arm -> sickArms.add(arm.id()));
        boolean spurs = isSpurPruned();
        VineChoice.Chosen chosen = new VineChoice(vine, numbers.vine(), spurs)
                .of(
                        canes.stream()
                                .filter(cane -> cane.arm() == null || !sickArms.contains(cane.arm()))
                                .toList(),
                        target);
        List<CountSurvey.VineCane> away = chosen.away();
        chosen.kept().forEach((cane, count) -> steps.add(keep(cane, count, spurs)));
        chosen.renewal().forEach(cane -> steps.add(renewalSpur(cane)));
        if (!away.isEmpty()) {
            steps.add(new CountStep(
                    CountOperation.remove("canes/rest", away.size()),
                    "detail",
                    away.stream()
                            .mapToDouble(cane -> cane.diameterMm() == null ? 0 : cane.diameterMm())
                            .max()
                            .orElse(0),
                    away.size() * numbers.work().vineCut(),
                    nodesNow() == 0
                            ? 0
                            : away.stream()
                                            .mapToInt(CountSurvey.VineCane::nodes)
                                            .sum()
                                    / (double) nodesNow(),
                    answeredByNodes(),
                    COUNTED,
                    false,
                    null,
                    Statement.of("count.reason.rest").with("weighed", Value.choice(weighed ? "yes" : "no"))));
        }
        if (!spurs && !chosen.kept().isEmpty()) {
            steps.add(new CountStep(
                    CountOperation.of(
                            CountOperation.Kind.TIE, "canes", chosen.kept().size()),
                    "train",
                    0,
                    chosen.kept().size() * numbers.work().vineTie(),
                    0,
                    List.of(),
                    0.85,
                    false,
                    null,
                    Statement.of("count.reason.lay").with("bleeds", Value.choice(model.byArea() ? "yes" : "no"))));
        }
        return chosen.nodes();
    }

    private boolean isSpurPruned() {
        return "spur".equals(survey.prunedAs());
    }

    private CountStep keep(CountSurvey.VineCane cane, int nodes, boolean spur) {
        return new CountStep(
                CountOperation.keepNodes(cane.id(), nodes),
                "renewal",
                cane.diameterMm() == null ? 0 : cane.diameterMm(),
                numbers.work().vineCut(),
                nodesNow() == 0 ? 0 : (cane.nodes() - nodes) / (double) nodesNow(),
                answeredByNodes(),
                cane.lit() == null || cane.diameterMm() == null ? 0.7 : 0.85,
                false,
                CountOperation.remove(cane.id(), 1),
                Statement.of("count.reason.keep-nodes")
                        .with("spur", Value.choice(spur ? "yes" : "no"))
                        .with("nodes", Value.count(nodes))
                        .with("measured", Value.choice(cane.diameterMm() == null ? "no" : "yes"))
                        .with("thickness", Value.millimetres(cane.diameterMm() == null ? 0 : cane.diameterMm()))
                        .with(
                                "near",
                                Value.choice(
                                        VineChoice.fromHead(cane) <= vine.cane().near() ? "yes" : "no"))
                        .with("lit", Value.choice(Boolean.TRUE.equals(cane.lit()) ? "yes" : "no")));
    }

    /** What choosing the nodes answers. */
    private List<CountRule> answeredByNodes() {
        List<CountRule> rules = new ArrayList<>(CountSteps.answering(reading, CountRule.NODES_OVER));
        rules.addAll(CountSteps.answering(reading, CountRule.BUD_KILL));
        return rules;
    }

    private CountStep renewalSpur(CountSurvey.VineCane cane) {
        return new CountStep(
                CountOperation.keepNodes(cane.id(), vine.spurNodes()),
                "renewal",
                cane.diameterMm() == null ? 0 : cane.diameterMm(),
                numbers.work().vineCut(),
                0,
                CountSteps.answering(reading, CountRule.NO_RENEWAL),
                0.8,
                false,
                CountOperation.remove(cane.id(), 1),
                Statement.of("count.reason.renewal-spur").with("nodes", Value.count(vine.spurNodes())));
    }

    private void sickArms(List<CountStep> steps) {
        arms.stream().filter(Vine::isSick).forEach(arm -> steps.add(renewal(arm, CountRule.UNSOUND_CANE, 0.9, "sick")));
    }

    private void wornArms(List<CountStep> steps) {
        arms.stream()
                .filter(arm -> !isSick(arm) && isWorn(arm))
                .max(Comparator.comparingDouble(Vine::blindShare).thenComparing(CountSurvey.Arm::id))
                .ifPresent(arm -> steps.add(renewal(arm, CountRule.WORN_ARM, 0.8, "worn")));
    }

    private CountStep renewal(CountSurvey.Arm arm, CountRule rule, double sure, String why) {
        return new CountStep(
                CountOperation.of(CountOperation.Kind.RENEW_ARM, arm.id(), 1),
                why.equals("sick") ? "unsound" : "frame",
                0,
                numbers.work().renewArm(),
                0,
                CountSteps.answering(reading, rule),
                sure,
                false,
                null,
                Statement.of("count.reason.renew-arm")
                        .with("why", Value.choice(why))
                        .with("blind", Value.share(blindShare(arm)))
                        .with("below", Value.centimetres(numbers.vine().arm().cleanBelowCm())));
    }

    private static boolean isSick(CountSurvey.Arm arm) {
        return BushCane.isUnsound(arm.condition(), arm.disease());
    }

    private boolean isWorn(CountSurvey.Arm arm) {
        return blindShare(arm) >= numbers.vine().arm().blind()
                || arm.spurHeightCm() != null
                        && arm.spurHeightCm() > numbers.vine().arm().spurHeightCm();
    }

    private static double blindShare(CountSurvey.Arm arm) {
        return arm.positions() == null || arm.blind() == null ? 0 : (double) arm.blind() / arm.positions();
    }

    private double massOf(CountSurvey.VineCane cane) {
        double mm =
                cane.diameterMm() == null ? (vine.cane().least() + vine.cane().most()) / 2 : cane.diameterMm();
        double length = cane.lengthCm() == null ? vine.cane().usual() : cane.lengthCm();
        return vine.density() * mm * mm * length;
    }

    private boolean isMale() {
        return "male".equals(survey.sex());
    }

    private int nodesNow() {
        return canes.stream().mapToInt(CountSurvey.VineCane::nodes).sum();
    }

    /** Nodes a vine has that nobody prunes, or last year's where canes were not counted. */
    private double nodesLeftAlone() {
        return canes.isEmpty() && survey.nodesLast() != null ? survey.nodesLast() : nodesNow();
    }

    private double most() {
        boolean divided = survey.canopies() != null && survey.canopies() == 2;
        double perMetre = divided ? vine.mostPerM().divided() : vine.mostPerM().single();
        return inRow <= 0 ? vine.mostNodes() : Math.min(vine.mostNodes(), perMetre * inRow);
    }

    private static double canopyOf(CountSurvey survey) {
        return survey.plant().spacing() == null
                ? 0
                : survey.plant().spacing().inRow() * survey.plant().spacing().betweenRows();
    }

    private CountedKind.Wood woodOf(CountSurvey.Vine told) {
        String word = told.wood() == null ? vine.usualWood() : told.wood();
        CountedKind.Wood found = vine.woods().get(word);
        if (found == null) {
            throw new NotSupported(
                    "vine.wood",
                    "Unknown kind of vine '" + word + "'. Supported: "
                            + String.join(
                                    ", ", new java.util.TreeSet<>(vine.woods().keySet())) + ".");
        }
        return told.nodeFormula() == null
                ? found
                : new CountedKind.Wood(
                        found.name(),
                        told.nodeFormula().base(),
                        told.nodeFormula().perWeight(),
                        null,
                        found.clusters(),
                        found.clusterKg(),
                        found.ratio(),
                        found.siteWeight());
    }

    private List<CountPlan.Season> seasons(double nodes, String name) {
        double crop = survey.cropLastKg() == null ? 0 : survey.cropLastKg();
        double ratio = crop > 0 && weightKg > 0 ? crop / weightKg : wood.ratio().best();
        double sound = dead > numbers.vine().budKill().told() ? nodes * (1 - dead) : nodes;
        double laid = vine.caneNodes() == 0 ? 0 : nodes / vine.caneNodes();
        double later = name.equals("nothing") ? -1 : shareOf(name);
        return model.seasons(new VineSeasons.State(weightKg, ratio, laid), sound, later, Bush.SEASONS);
    }

    private CountReading read() {
        CountPlan.Season alone = seasonsAlone();
        List<CountReading.Measure> measure = new ArrayList<>();
        if (!weighed && !model.byArea()) {
            measure.add(new CountReading.Measure("vine", "pruningWeight_kg", Statement.of("count.measure.weigh")));
        }
        if (canes.isEmpty()) {
            measure.add(new CountReading.Measure("vine", "canes", Statement.of("count.measure.canes")));
        }
        return new CountReading(
                findings(),
                null,
                alone.crop(),
                alone.marketable(),
                0,
                null,
                new CountReading.Nodes(
                        wood.base() == null ? 0 : wood.base(),
                        wood.base() == null ? wood.nodesPerKg() == null ? 0 : wood.nodesPerKg() : wood.perWeight(),
                        weightKg,
                        weighed,
                        (int) Math.round(wantedNodes()),
                        (int) Math.round(most()),
                        nodesNow()),
                survey.pruningWeightKg() == null ? List.of("vine.pruningWeight_kg") : List.of(),
                measure);
    }

    private CountPlan.Season seasonsAlone() {
        return seasons(nodesLeftAlone(), "nothing").get(0);
    }

    private List<CountFinding> findings() {
        List<CountFinding> found = new ArrayList<>();
        List<String> sick = new ArrayList<>();
        arms.stream().filter(Vine::isSick).map(CountSurvey.Arm::id).forEach(sick::add);
        canes.stream()
                .filter(cane -> BushCane.isUnsound(cane.condition(), cane.disease()))
                .map(CountSurvey.VineCane::id)
                .forEach(sick::add);
        if (!sick.isEmpty()) {
            found.add(finding(
                    CountRule.UNSOUND_CANE, sick, sick.size(), 0, "", Severity.ACT, COUNTED, "survey.condition"));
        }
        arms.stream()
                .filter(this::isWorn)
                .filter(arm -> !isSick(arm))
                .forEach(arm -> found.add(finding(
                        CountRule.WORN_ARM,
                        List.of(arm.id()),
                        blindShare(arm),
                        numbers.vine().arm().blind(),
                        "share",
                        Severity.CONSIDER,
                        0.8,
                        "counting.arm")));
        nodes(found);
        canes(found);
        if (dead > numbers.vine().budKill().told()) {
            found.add(finding(
                    CountRule.BUD_KILL,
                    List.of("vine"),
                    dead,
                    numbers.vine().budKill().told(),
                    "share",
                    Severity.ACT,
                    sureOfSample(),
                    "counting.budKill"));
        }
        return found;
    }

    private double sureOfSample() {
        int n = survey.budSample().n();
        double error = numbers.sampling().z() * Math.sqrt(dead * (1 - dead) / n);
        return Math.max(0.4, Math.min(0.95, 1 - error));
    }

    private void nodes(List<CountFinding> found) {
        double wanted = wantedNodes();
        int now = nodesNow();
        CountingParameters.Over over = numbers.vine().over();
        if (wanted <= 0 || canes.isEmpty() || isMale()) {
            return;
        }
        double times = now / wanted;
        double sure = weighed || model.byArea() ? 0.9 : 0.75;
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
        double balanced = model.balanced(weightKg);
        if (balanced > most() * 1.05) {
            found.add(finding(
                    CountRule.OVER_CAP,
                    List.of("vine"),
                    Math.round(balanced),
                    Math.round(most()),
                    "nodes",
                    Severity.CONSIDER,
                    sure,
                    "kind.mostPerM"));
        }
    }

    private void canes(List<CountFinding> found) {
        if (canes.isEmpty() || isMale()) {
            return;
        }
        boolean spurs = isSpurPruned();
        long near = canes.stream()
                .filter(cane -> !Boolean.FALSE.equals(cane.lit()))
                .filter(cane -> VineChoice.fromHead(cane) <= vine.cane().farNear())
                .count();
        double wanted = spurs ? 0 : Math.ceil(model.wanted(weightKg) / vine.caneNodes());
        if (!spurs && near < wanted) {
            found.add(finding(
                    CountRule.NO_RENEWAL, List.of("vine"), near, wanted, "canes", Severity.ACT, 0.7, "kind.cane"));
        }
        if (!model.byArea() && survey.shootsLast() != null && survey.shootsLast() > 0 && weightKg > 0) {
            double grams = 1000 * weightKg / survey.shootsLast();
            CountingParameters.WoodMass of = numbers.vine().woodG();
            if (grams < of.weak()) {
                found.add(finding(
                        CountRule.WEAK_WOOD,
                        List.of("vine"),
                        grams,
                        of.weak(),
                        "g",
                        Severity.CONSIDER,
                        0.8,
                        "counting.wood_g"));
            } else if (grams > of.bull()) {
                found.add(finding(
                        CountRule.BULL_WOOD,
                        List.of("vine"),
                        grams,
                        of.bull(),
                        "g",
                        Severity.CONSIDER,
                        0.8,
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
