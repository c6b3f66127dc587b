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
    private final Double cropLast;
    private final VineSeasons model;
    private final CountLearned learned;
    private final CountReading reading;

    private Vine(CountSurvey survey, CountedKind kind, CountingParameters numbers, CountLearned learned) {
        this.learned = learned;
        this.kind = kind;
        this.vine = kind.vine();
        this.numbers = numbers;
        this.survey = survey.vine();
        this.cropLast = survey.cropLast();
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
                        : this.survey.fruitPerM2(),
                learned.renewal());
        this.reading = read();
    }

    static Vine of(CountSurvey survey, CountedKind kind, CountingParameters numbers, CountLearned learned) {
        if (survey.vine() == null) {
            throw new InvalidSurvey(List.of(FieldError.of("vine", "problem.vine-needs-arms")));
        }
        return new Vine(survey, kind, numbers, learned);
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
                CountSteps.left(reading, steps, finding -> CountSteps.because(whyLeft(finding, name, full))));
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
        arms.stream().filter(VineFindings::isSick).forEach(arm -> sickArms.add(arm.id()));
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
                    numbers.confidence().counted(),
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
                    numbers.confidence().judged(),
                    false,
                    null,
                    Statement.of("count.reason.lay").with("bleeds", Value.choice(model.byArea() ? "yes" : "no"))));
        }
        return chosen.nodes();
    }

    private boolean isSpurPruned() {
        return VineFindings.isSpurPruned(survey);
    }

    private CountStep keep(CountSurvey.VineCane cane, int nodes, boolean spur) {
        return new CountStep(
                CountOperation.keepNodes(cane.id(), nodes),
                "renewal",
                cane.diameterMm() == null ? 0 : cane.diameterMm(),
                numbers.work().vineCut(),
                nodesNow() == 0 ? 0 : (cane.nodes() - nodes) / (double) nodesNow(),
                answeredByNodes(),
                cane.lit() == null || cane.diameterMm() == null
                        ? numbers.confidence().opinion()
                        : numbers.confidence().judged(),
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
                numbers.confidence().judged(),
                false,
                CountOperation.remove(cane.id(), 1),
                Statement.of("count.reason.renewal-spur").with("nodes", Value.count(vine.spurNodes())));
    }

    private void sickArms(List<CountStep> steps) {
        arms.stream()
                .filter(VineFindings::isSick)
                .forEach(arm -> steps.add(renewal(
                        arm, CountRule.UNSOUND_CANE, numbers.confidence().counted(), "sick")));
    }

    private void wornArms(List<CountStep> steps) {
        arms.stream()
                .filter(arm -> !VineFindings.isSick(arm)
                        && VineFindings.isWorn(arm, numbers.vine().arm()))
                .max(Comparator.comparingDouble(VineFindings::blindShare).thenComparing(CountSurvey.Arm::id))
                .ifPresent(arm -> steps.add(
                        renewal(arm, CountRule.WORN_ARM, numbers.confidence().judged(), "worn")));
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
                        .with("blind", Value.share(VineFindings.blindShare(arm)))
                        .with("below", Value.centimetres(numbers.vine().arm().cleanBelowCm())));
    }

    private double massOf(CountSurvey.VineCane cane) {
        double mm =
                cane.diameterMm() == null ? (vine.cane().least() + vine.cane().most()) / 2 : cane.diameterMm();
        double length = cane.lengthCm() == null ? vine.cane().usual() : cane.lengthCm();
        return vine.density() * mm * mm * length;
    }

    private boolean isMale() {
        return VineFindings.isMale(survey);
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
                    Statement.of("problem.not-supported")
                            .with("value", Value.name(word))
                            .with(
                                    "values",
                                    Value.name(String.join(
                                            ", ",
                                            new java.util.TreeSet<>(vine.woods().keySet())))));
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
        double crop = cropLast == null ? 0 : cropLast;
        double ratio = crop > 0 && weightKg > 0 ? crop / weightKg : wood.ratio().best();
        double sound = dead > numbers.vine().budKill().told() ? nodes * (1 - dead) : nodes;
        double laid = vine.caneNodes() == 0 ? 0 : nodes / vine.caneNodes();
        double later = name.equals("nothing") ? -1 : shareOf(name);
        return learned.told(model.seasons(new VineSeasons.State(weightKg, ratio, laid), sound, later, Bush.SEASONS));
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
                new VineFindings(vine, numbers, model, survey)
                        .all(new VineFindings.Measures(weighed, weightKg, dead, wantedNodes(), most())),
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
}
