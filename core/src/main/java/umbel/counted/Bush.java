package umbel.counted;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
    private static final double AGE_TOLD = 0.9;
    private static final double AGE_FROM_THICKNESS = 0.5;
    private static final double NOTHING_MEASURED = 0.35;

    private final CountedKind kind;
    private final CountedKind.Bush bush;
    private final CountingParameters numbers;
    private final List<BushCane> canes;
    private final String habit;
    private final int leaf;
    private final int flowerBuds;
    private final BushSeasons model;
    private final CountReading reading;

    private Bush(CountSurvey survey, CountedKind kind, CountingParameters numbers) {
        this.kind = kind;
        this.bush = kind.bush();
        this.numbers = numbers;
        this.canes = canesOf(survey.canes());
        this.habit = survey.plant().cultivar() == null
                ? null
                : survey.plant().cultivar().habit();
        this.leaf = survey.plant().leaf() == null
                ? Math.max(
                        bush.young().crownByLeaf().size(),
                        canes.stream().mapToInt(BushCane::age).max().orElse(1))
                : Math.max(1, survey.plant().leaf());
        this.flowerBuds = survey.canes().stream()
                .mapToInt(cane -> cane.flowerBuds() == null ? 0 : cane.flowerBuds() * countOf(cane))
                .sum();
        this.model = new BushSeasons(bush, numbers, Vigour.of(survey, numbers));
        this.reading = read(survey);
    }

    static Bush of(CountSurvey survey, CountedKind kind, CountingParameters numbers) {
        if (survey.canes() == null) {
            throw new InvalidSurvey(List.of(new FieldError("canes", "This kind is a bush: give its canes.")));
        }
        return new Bush(survey, kind, numbers);
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
        List<CountStep> steps = new ArrayList<>();
        boolean deflowered = false;
        if (!name.equals("nothing")) {
            Scope scope = scope(moment);
            List<BushChoice.Taken> required = choice.required();
            int quota = choice.quota();
            required.stream()
                    .filter(one -> scope != Scope.URGENT || one.ground() == BushChoice.Ground.UNSOUND)
                    .forEach(one -> steps.add(removal(one)));
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
                choice.take(Math.min(wanted, most)).forEach(one -> steps.add(renewal(one, choice)));
            }
            if (scope == Scope.WINTER && !name.equals("gentler")) {
                choice.surplus((int) Math.ceil(bush.canes().least() / SEASONS)).forEach(one -> steps.add(removal(one)));
            }
            if (scope == Scope.WINTER) {
                deflowered = deflower(choice.standing(), steps);
            }
            if (scope == Scope.HEIGHT) {
                height(choice.standing(), steps);
            }
            if (scope == Scope.SIDE_SHOOTS) {
                steps.add(sideShoots(choice.standing()));
            }
        }
        List<BushCane> stay = standing(CountSteps.operations(steps));
        return new CountPlan(
                name,
                inOrder(merged(steps)),
                groups(stay),
                0,
                seasons(name, stay, deflowered),
                CountSteps.left(reading, steps, finding -> whyLeft(finding, name, moment)));
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

    private CountStep removal(BushChoice.Taken one) {
        BushCane cane = one.cane();
        double sure = one.ground() == BushChoice.Ground.UNSOUND ? 0.95 : one.required() ? 0.85 : sureOfAge(cane);
        return new CountStep(
                CountOperation.remove(cane.id(), 1),
                one.ground().stage(),
                cane.measured() ? cane.diameterMm() : cane.usualMm(),
                minutes(cane),
                leafShare(cane),
                CountSteps.answering(reading, one.ground().rule()),
                sure,
                !one.required() && one.margin() < numbers.bush().points().close(),
                null,
                reason(one));
    }

    private CountStep renewal(BushChoice.Taken one, BushChoice choice) {
        BushCane cane = one.cane();
        long young =
                choice.standing().stream().filter(other -> other.age() == 1).count();
        boolean shoot = !Double.isNaN(cane.uprightShootCm())
                && cane.uprightShootCm() <= numbers.bush().strongShootCm()
                && young < numbers.bush().newWanted();
        CountStep away = removal(one);
        return shoot
                ? new CountStep(
                        CountOperation.head(cane.id(), cane.uprightShootCm()),
                        away.stage(),
                        away.diameterMm(),
                        away.minutes(),
                        away.share(),
                        away.rules(),
                        away.confidence(),
                        away.closeCall(),
                        CountOperation.remove(cane.id(), 1),
                        Statement.of("count.reason.head-to-shoot")
                                .with("age", Value.count(cane.age()))
                                .with("at", Value.centimetres(cane.uprightShootCm())))
                : away;
    }

    private Statement reason(BushChoice.Taken one) {
        BushCane cane = one.cane();
        return Statement.of("count.reason.bush")
                .with("ground", Value.choice(one.ground().name().toLowerCase(java.util.Locale.ROOT)))
                .with("age", Value.count(cane.age()))
                .with("known", Value.choice(cane.ageKnown() ? "yes" : "no"))
                .with("measured", Value.choice(cane.measured() ? "yes" : "no"))
                .with("thickness", Value.millimetres(cane.measured() ? cane.diameterMm() : cane.usualMm()))
                .with("place", Value.choice(cane.place() == null ? "none" : cane.place()))
                .with("attitude", Value.choice(cane.attitude() == null ? "none" : cane.attitude()))
                .with("bears", Value.share(bush.yieldByAge().get(index(cane.age()))));
    }

    /** Takes flower buds off a bush that may not carry what it has; whether any were. */
    private boolean deflower(List<BushCane> stay, List<CountStep> steps) {
        BushSeasons.Stand stand = stand(stay);
        double potential = model.potential(stand);
        double allowed = model.allowed(leaf, potential);
        boolean young = leaf <= bush.young().cropByLeaf().size()
                || leaf <= bush.young().cropShare().leaf();
        double carried = flowerBuds * bush.flowerBudG() / 1000;
        boolean over = young
                ? flowerBuds > 0 && carried > allowed
                : carried > numbers.bush().overBearing() * potential;
        if (!over && !(young && allowed == 0)) {
            return false;
        }
        int keep = (int) Math.round((young ? allowed : potential) * 1000 / bush.flowerBudG());
        int away = Math.max(0, flowerBuds - keep);
        steps.add(new CountStep(
                CountOperation.deflower("plant", keep, away),
                "crop",
                0,
                away * numbers.work().deflowerBud(),
                0,
                CountSteps.answering(reading, CountRule.OVER_BEARING),
                flowerBuds > 0 ? 0.9 : 0.8,
                false,
                null,
                Statement.of("count.reason.deflower")
                        .with("young", Value.choice(young ? "yes" : "no"))
                        .with("leaf", Value.count(leaf))
                        .with("counted", Value.choice(flowerBuds > 0 ? "yes" : "no"))
                        .with("buds", Value.count(flowerBuds))
                        .with("keep", Value.count(keep))
                        .with("crop", new Value.Mass(young ? allowed : potential))));
        return true;
    }

    private void height(List<BushCane> stay, List<CountStep> steps) {
        double wanted = bush.height();
        for (BushCane cane : stay) {
            if (cane.heightCm() > wanted + numbers.row().tallByCm()) {
                steps.add(new CountStep(
                        CountOperation.head(cane.id(), wanted),
                        "detail",
                        0,
                        numbers.work().thinCane(),
                        0,
                        List.of(),
                        0.7,
                        false,
                        null,
                        Statement.of("count.reason.height")
                                .with("height", Value.centimetres(cane.heightCm()))
                                .with("wanted", Value.centimetres(wanted))));
            }
        }
    }

    private CountStep sideShoots(List<BushCane> stay) {
        return new CountStep(
                CountOperation.shorten("shoots/side", numbers.bush().fiveLeavesCm(), stay.size()),
                "detail",
                0,
                stay.size() * numbers.work().thinCane(),
                0,
                List.of(),
                0.7,
                false,
                null,
                Statement.of("count.reason.side-shoots"));
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
        double before = model.leaf(stand(canes));
        BushSeasons.Stand stand = stand(stay);
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
        return model.seasons(stand, removed, work, young, SEASONS);
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
        BushSeasons.Stand stand = stand(canes);
        CountReading.Light light = model.light(model.leaf(stand));
        CountPlan.Season alone = model.seasons(stand, 0, count -> 0, false, 1).get(0);
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
            long count =
                    of.stream().filter(cane -> index(cane.age()) == here - 1).count();
            if (count > 0) {
                groups.add(new CountReading.Group(String.valueOf(age), count));
            }
        }
        return groups;
    }

    private double sureOfAge(BushCane cane) {
        return cane.ageKnown() ? AGE_TOLD : cane.measured() ? AGE_FROM_THICKNESS : NOTHING_MEASURED;
    }

    private double minutes(BushCane cane) {
        double mm = cane.measured() ? cane.diameterMm() : cane.usualMm();
        return mm > numbers.work().thickMm()
                ? numbers.work().thickCane()
                : numbers.work().thinCane();
    }

    private double leafShare(BushCane cane) {
        double all = model.leaf(stand(canes));
        return all <= 0 ? 0 : bush.leafByAge().get(index(cane.age())) / all;
    }

    private BushSeasons.Stand stand(List<BushCane> of) {
        double[] count = new double[bush.ages()];
        double[] size = new double[bush.ages()];
        for (BushCane cane : of) {
            if (cane.unsound()) {
                continue;
            }
            int age = index(cane.age());
            count[age]++;
            size[age] += cane.measured() && cane.ageKnown()
                    ? numbers.bush().size().at(cane.diameterMm() / cane.usualMm())
                    : 1;
        }
        for (int age = 0; age < count.length; age++) {
            size[age] = count[age] == 0 ? 1 : size[age] / count[age];
        }
        return new BushSeasons.Stand(count, size, leaf);
    }

    private int index(int age) {
        return Math.max(1, Math.min(bush.ages(), age)) - 1;
    }

    private List<BushCane> canesOf(List<CountSurvey.BushCane> entries) {
        List<BushCane> all = new ArrayList<>();
        for (CountSurvey.BushCane entry : entries) {
            int age = entry.ageY() != null
                    ? (int) Math.max(1, Math.round(entry.ageY()))
                    : entry.diameterMm() != null
                            ? ageOf(entry.diameterMm())
                            : (int) numbers.bush().unknownAge();
            for (int i = 0; i < countOf(entry); i++) {
                all.add(new BushCane(
                        entry.id(),
                        age,
                        entry.ageY() != null,
                        entry.diameterMm() == null ? Double.NaN : entry.diameterMm(),
                        bush.diameterByAge().get(index(age)),
                        entry.heightCm() == null ? 0 : entry.heightCm(),
                        entry.attitude(),
                        entry.place(),
                        entry.bearingDeg() == null
                                ? -1
                                : (int) Math.floorMod(
                                        (long) Math.floor(entry.bearingDeg()
                                                * numbers.bush().sides()
                                                / 360),
                                        (long) numbers.bush().sides()),
                        BushCane.isUnsound(entry.condition(), entry.disease()),
                        Boolean.TRUE.equals(entry.twiggy()),
                        entry.uprightShootCm() == null ? Double.NaN : entry.uprightShootCm(),
                        entry.rubs() == null ? Set.of() : Set.copyOf(entry.rubs())));
            }
        }
        return all;
    }

    private static int countOf(CountSurvey.BushCane entry) {
        return entry.count() == null ? 1 : entry.count();
    }

    /** The age whose usual diameter is nearest. */
    private int ageOf(double diameterMm) {
        int nearest = 1;
        for (int age = 2; age <= bush.ages(); age++) {
            double here = Math.abs(bush.diameterByAge().get(age - 1) - diameterMm);
            double best = Math.abs(bush.diameterByAge().get(nearest - 1) - diameterMm);
            nearest = here < best ? age : nearest;
        }
        return nearest;
    }
}
