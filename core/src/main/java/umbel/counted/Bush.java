package umbel.counted;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.format.FieldError;
import umbel.growth.Moment;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.reading.Severity;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/** A bush of canes from the base: blueberry, currant, gooseberry. */
public final class Bush implements Counted {

    /** Seasons that are told after a plan. */
    static final int SEASONS = 3;

    private static final List<String> STAGES = List.of("unsound", "uprights", "renewal", "detail", "crop");

    private final CountedKind kind;
    private final CountedKind.Bush bush;
    private final CountingParameters numbers;
    private final List<BushCane> canes;
    private final String habit;
    private final int leaf;
    private final int flowerBuds;
    private final BushSeasons model;
    private final CountLearned learned;
    private final CountReading reading;

    private Bush(CountSurvey survey, CountedKind kind, CountingParameters numbers, CountLearned learned) {
        this.learned = learned;
        this.kind = kind;
        this.bush = kind.bush();
        this.numbers = numbers;
        this.canes = BushCane.all(survey.canes(), bush, numbers.bush());
        this.habit = survey.plant().cultivar() == null
                ? null
                : survey.plant().cultivar().habit();
        this.leaf = survey.plant().leaf() == null
                ? Math.max(
                        bush.young().crownByLeaf().size(),
                        canes.stream().mapToInt(BushCane::age).max().orElse(1))
                : Math.max(1, survey.plant().leaf());
        this.flowerBuds = survey.canes().stream()
                .mapToInt(cane -> cane.flowerBuds() == null ? 0 : cane.flowerBuds() * cane.many())
                .sum();
        this.model = new BushSeasons(bush, numbers, Vigour.of(survey, numbers) * learned.renewal());
        this.reading = read(survey);
    }

    static Bush of(CountSurvey survey, CountedKind kind, CountingParameters numbers, CountLearned learned) {
        if (survey.canes() == null) {
            throw new InvalidSurvey(List.of(FieldError.of("canes", "problem.bush-needs-canes")));
        }
        return new Bush(survey, kind, numbers, learned);
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
        BushChoice choice = new BushChoice(bush, numbers.bush(), habit, canes);
        BushWork work = new BushWork(bush, numbers, canes, leaf, flowerBuds, model, reading);
        boolean deflowered = false;
        if (!name.equals("nothing")) {
            Scope scope = scope(moment);
            List<BushChoice.Taken> required = choice.required();
            int quota = choice.quota();
            required.stream()
                    .filter(one -> scope != Scope.URGENT || one.ground() == BushChoice.Ground.UNSOUND)
                    .forEach(work::remove);
            if (scope == Scope.WINTER || scope == Scope.OLD_WOOD) {
                int wanted = switch (name) {
                    case "gentler" -> quota / 2;
                    case "firmer" ->
                        quota
                                + (quota == 0
                                        ? 0
                                        : (int) Math.max(
                                                1,
                                                Math.round(canes.size()
                                                        * numbers.bush().firmer())));
                    default -> quota;
                };
                int most = Math.max(0, choice.standing().size() - bush.quota().leave());
                choice.take(Math.min(wanted, most)).forEach(one -> work.renew(one, choice));
            }
            if (scope == Scope.WINTER && !name.equals("gentler")) {
                choice.surplus((int) Math.ceil(bush.canes().least() / SEASONS)).forEach(work::remove);
            }
            if (scope == Scope.WINTER) {
                deflowered = work.deflower(choice.standing());
            }
            if (scope == Scope.HEIGHT) {
                work.height(choice.standing());
            }
            if (scope == Scope.SIDE_SHOOTS) {
                work.sideShoots(choice.standing());
            }
        }
        List<BushCane> stay = standing(CountSteps.operations(work.steps()));
        return new CountPlan(
                name,
                inOrder(merged(work.steps())),
                groups(stay),
                0,
                seasons(name, stay, deflowered),
                CountSteps.left(reading, work.steps(), finding -> left(finding, whyLeft(finding, name, moment), stay)));
    }

    /** What may be done at a moment of the year. */
    private enum Scope {
        WINTER,
        OLD_WOOD,
        HEIGHT,
        SIDE_SHOOTS,
        URGENT
    }

    private Scope scope(Moment moment) {
        boolean forbidden = kind.phases().get(moment.word()).forbids();
        if (forbidden) {
            return Scope.URGENT;
        }
        return switch (moment) {
            case DORMANT, DELAYED_DORMANT -> Scope.WINTER;
            case AFTER_HARVEST -> kind.window("height").isPresent() ? Scope.HEIGHT : Scope.OLD_WOOD;
            default -> kind.window("sideShoots").isPresent() ? Scope.SIDE_SHOOTS : Scope.URGENT;
        };
    }

    /** Why a finding is left: a dark bush grows lighter by what goes, and is left only as far as it stays dark. */
    private Statement left(CountFinding finding, String why, List<BushCane> stay) {
        boolean dark = finding.rule() == CountRule.CLOSED_CENTRE && finding.of().isEmpty();
        double after = model.light(model.leaf(model.stand(stay, leaf))).base();
        if (!dark || after <= finding.value()) {
            return CountSteps.because(why);
        }
        return after >= finding.threshold()
                ? null
                : Statement.of("count.left.lighter")
                        .with("before", Value.share(finding.value()))
                        .with("after", Value.share(after))
                        .with("limit", Value.share(finding.threshold()));
    }

    private String whyLeft(CountFinding finding, String name, Moment moment) {
        return name.equals("nothing")
                ? "nothing"
                : kind.phases().get(moment.word()).forbids() || scope(moment) != Scope.WINTER
                        ? "season"
                        : finding.severity() == Severity.WATCH
                                ? "unsure"
                                : name.equals("gentler") ? "gentler" : "later";
    }

    private List<CountPlan.Season> seasons(String name, List<BushCane> stay, boolean deflowered) {
        double before = model.leaf(model.stand(canes, leaf));
        BushSeasons.Stand stand = model.stand(stay, leaf);
        double removed = before <= 0 ? 0 : 1 - model.leaf(stand) / before;
        BushSeasons.YearlyWork work = switch (name) {
            case "nothing" -> count -> 0;
            case "gentler" -> count -> BushChoice.quota(bush.quota(), count) / 2;
            case "firmer" ->
                count -> {
                    double quota = BushChoice.quota(bush.quota(), count);
                    return quota <= 0
                            ? 0
                            : Math.min(quota + 1, count - bush.quota().leave());
                };
            default -> count -> BushChoice.quota(bush.quota(), count);
        };
        boolean young = !name.equals("nothing") && (deflowered || model.isYoung(leaf));
        return learned.told(model.seasons(stand, removed, work, young, SEASONS));
    }

    @Override
    public CountOutcome after(List<CountOperation> operations) {
        List<BushCane> stay = standing(operations);
        boolean deflowered =
                operations.stream().anyMatch(operation -> operation.kind() == CountOperation.Kind.DEFLOWER);
        return new CountOutcome(
                groups(stay), 0, seasons(operations.isEmpty() ? "nothing" : "recommended", stay, deflowered));
    }

    /** What stands after operations; an entry that stands for several loses as many as are taken of it. */
    private List<BushCane> standing(List<CountOperation> operations) {
        Map<String, Integer> gone = new HashMap<>();
        for (CountOperation operation : operations) {
            boolean low = operation.atCm() <= numbers.bush().strongShootCm();
            if (operation.kind() == CountOperation.Kind.REMOVE || operation.kind() == CountOperation.Kind.HEAD && low) {
                gone.merge(operation.target(), operation.count(), Integer::sum);
            }
        }
        List<BushCane> stay = new ArrayList<>();
        for (BushCane cane : canes) {
            if (gone.merge(cane.id(), -1, Integer::sum) < 0) {
                stay.add(cane);
            }
        }
        return stay;
    }

    /** Steps by their stage, in the order of the work. */
    private static List<CountStep> inOrder(List<CountStep> steps) {
        return steps.stream()
                .sorted(Comparator.comparingInt(step -> STAGES.indexOf(step.stage())))
                .toList();
    }

    /** Steps on canes that were counted together as one step. */
    private static List<CountStep> merged(List<CountStep> steps) {
        Map<List<Object>, CountStep> merged = new LinkedHashMap<>();
        for (CountStep step : steps) {
            CountOperation now = step.operation();
            merged.merge(
                    List.of(now.kind(), now.target(), now.atCm(), step.rules()),
                    step,
                    (one, other) -> new CountStep(
                            CountOperation.remove(now.target(), one.operation().count() + 1),
                            one.stage(),
                            one.diameterMm(),
                            one.minutes() + other.minutes(),
                            one.share() + other.share(),
                            one.rules(),
                            one.confidence(),
                            one.closeCall() || other.closeCall(),
                            one.instead(),
                            one.reason()));
        }
        return new ArrayList<>(merged.values());
    }

    private CountReading read(CountSurvey survey) {
        BushSeasons.Stand stand = model.stand(canes, leaf);
        CountReading.Light light = model.light(model.leaf(stand));
        CountPlan.Season alone =
                learned.told(model.seasons(stand, 0, count -> 0, false, 1)).get(0);
        List<CountReading.Measure> measure = new ArrayList<>();
        List<String> unknown = canes.stream()
                .filter(cane -> !cane.ageKnown())
                .map(BushCane::id)
                .distinct()
                .toList();
        if (!unknown.isEmpty()) {
            measure.add(new CountReading.Measure(
                    unknown.get(0),
                    "age_y",
                    Statement.of("count.measure.age").with("count", Value.count(unknown.size()))));
        }
        if (flowerBuds == 0 && leaf > 1 && model.isYoung(leaf)) {
            measure.add(new CountReading.Measure("plant", "flowerBuds", Statement.of("count.measure.flower-buds")));
        }
        return new CountReading(
                new BushFindings(bush, numbers, canes, habit, leaf, flowerBuds, light, model).all(),
                light,
                alone.crop(),
                alone.marketable(),
                flowerBuds,
                new CountReading.Canes(
                        groups(canes),
                        canes.size(),
                        0,
                        0,
                        bush.canes().least(),
                        bush.canes().most()),
                null,
                unknown.stream().map(id -> "canes." + id + ".age_y").toList(),
                measure);
    }

    private List<CountReading.Group> groups(List<BushCane> of) {
        List<CountReading.Group> groups = new ArrayList<>();
        for (int age = 1; age <= bush.ages(); age++) {
            int here = age;
            long count = of.stream()
                    .filter(cane -> bush.index(cane.age()) == here - 1)
                    .count();
            if (count > 0) {
                groups.add(new CountReading.Group(String.valueOf(age), count));
            }
        }
        return groups;
    }
}
