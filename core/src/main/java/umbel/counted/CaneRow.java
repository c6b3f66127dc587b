package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import umbel.format.FieldError;
import umbel.growth.Moment;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.knowledge.Knowledge;
import umbel.reading.Severity;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/** A stretch of a row of raspberries or blackberries. */
public final class CaneRow implements Counted {

    static final String FRUITED = "canes/fruited";
    static final String FRESH = "canes/new";
    private static final String CURRENT = "canes/current";
    private static final double COUNTED = 0.9;

    private final CountedKind kind;
    private final CountedKind.Row row;
    private final CountingParameters numbers;
    private final RowCount count;
    private final Double topWireCm;
    private final RowSeasons model;
    private final CountReading reading;

    private CaneRow(CountSurvey survey, CountedKind kind, Knowledge knowledge) {
        this.kind = kind;
        this.row = kind.row();
        this.numbers = knowledge.counting();
        double spacing =
                survey.plant().spacing() == null ? 0 : survey.plant().spacing().inRow();
        this.count = RowCount.of(survey.row(), spacing);
        if (!row.suckering() && count.plants() == 0) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "row.plants", "These canes come from crowns: give the plants on this stretch, or the spacing.")));
        }
        this.topWireCm = survey.row().topWireCm();
        String vigour = Vigour.word(survey);
        double fresh = row.suckering()
                ? row.newPerM().get(vigour)
                : row.newPerPlant().get(vigour) * count.plants() / count.length();
        CountedKind.Density early = row.doubleCrop() == null
                ? null
                : knowledge.counted(row.doubleCrop().kind()).row().density();
        this.model = new RowSeasons(row, early, numbers.row(), fresh, count.length());
        this.reading = read();
    }

    static CaneRow of(CountSurvey survey, CountedKind kind, Knowledge knowledge) {
        if (survey.row() == null) {
            throw new InvalidSurvey(List.of(new FieldError("row", "This kind stands in rows: give a row.")));
        }
        return new CaneRow(survey, kind, knowledge);
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
        List<CountStep> steps = new ArrayList<>();
        boolean forbidden = kind.phases().get(moment.word()).forbids();
        Kept kept = keptOf(name);
        boolean winter = moment == Moment.DORMANT || moment == Moment.DELAYED_DORMANT;
        if (!name.equals("nothing")) {
            if (forbidden) {
                sick(steps);
            } else if (winter && row.isMown()) {
                mow(steps);
            } else if (winter) {
                winter(name, kept, steps);
            } else if (moment == Moment.AFTER_HARVEST) {
                fruited(steps);
                sick(steps);
            } else {
                summer(steps);
            }
        }
        boolean full = winter && !forbidden && !name.equals("nothing");
        return new CountPlan(
                name,
                steps,
                after(full, kept),
                0,
                seasons(full ? name : "nothing", CountSteps.operations(steps)),
                CountSteps.left(reading, steps, finding -> whyLeft(finding, name, full)));
    }

    private List<CountReading.Group> after(boolean full, Kept kept) {
        List<CountReading.Group> groups = new ArrayList<>();
        int fresh = full ? row.isMown() ? 0 : kept.all() : count.fresh().count();
        if (fresh > 0) {
            groups.add(new CountReading.Group("new", fresh));
        }
        group(groups, "current", count.current());
        return groups;
    }

    /** Canes that a plan keeps on the stretch: strong ones, and weak ones where strong ones are too few. */
    private record Kept(int strong, int weak) {

        int all() {
            return strong + weak;
        }
    }

    private Kept keptOf(String name) {
        double perMetre = name.equals("gentler")
                ? row.range().most()
                : name.equals("firmer") ? row.range().least() : wantedPerMetre();
        int wanted = (int) Math.round(perMetre * count.length());
        int strong = count.fresh().strong();
        if (strong < row.range().least() * count.length()) {
            int weak = Math.min(count.fresh().weak(), Math.max(0, wanted(wantedPerMetre()) - strong));
            return new Kept(strong, weak);
        }
        return new Kept(Math.min(strong, Math.max(wanted, 1)), 0);
    }

    private int wanted(double perMetre) {
        return (int) Math.round(perMetre * count.length());
    }

    private double wantedPerMetre() {
        return row.perPlant() == null ? row.density().bestPerM() : row.perPlant() * count.plants() / count.length();
    }

    private void winter(String name, Kept kept, List<CountStep> steps) {
        fruited(steps);
        sick(steps);
        RowCount.Group fresh = count.fresh();
        if (fresh.outside() > 0) {
            steps.add(step(
                    CountOperation.remove(FRESH + "/outside", fresh.outside()),
                    "frame",
                    numbers.work().rowCane() * fresh.outside(),
                    (double) fresh.outside() / fresh.count(),
                    CountRule.WIDE_ROW,
                    COUNTED,
                    Statement.of("count.reason.outside").with("width", Value.centimetres(row.width()))));
        }
        int weakAway = fresh.weak() - kept.weak();
        if (weakAway > 0 && !name.equals("gentler")) {
            steps.add(step(
                    CountOperation.remove(FRESH + "/weak", weakAway),
                    "renewal",
                    numbers.work().rowCane() * weakAway,
                    (double) weakAway / fresh.count(),
                    CountRule.WEAK_CANE,
                    0.85,
                    Statement.of("count.reason.weak").with("kept", Value.count(kept.weak()))));
        }
        int away = fresh.strong() - kept.strong();
        if (away > 0) {
            steps.add(step(
                    CountOperation.thin(FRESH, kept.all(), kept.all() / count.length(), away),
                    "renewal",
                    numbers.work().rowCane() * away,
                    (double) away / fresh.count(),
                    CountRule.CROWDED_ROW,
                    sureOfNumber(),
                    Statement.of("count.reason.thin")
                            .with("keep", Value.count(kept.all()))
                            .with("perMetre", new Value.PerLength(kept.all() / count.length()))
                            .with("apart", Value.centimetres(numbers.row().apartCm()))));
        }
        double top = topCm();
        if (top > 0 && fresh.height() > top) {
            steps.add(step(
                    CountOperation.tip(FRESH, top, kept.all()),
                    "detail",
                    numbers.work().tipCane() * kept.all(),
                    0,
                    CountRule.TALL_CANE,
                    0.85,
                    Statement.of("count.reason.tip")
                            .with("height", Value.centimetres(fresh.height()))
                            .with("top", Value.centimetres(top))
                            .with("wire", Value.choice(aboveWire() ? "yes" : "no"))));
        }
        laterals(kept, steps);
        tie(kept, steps);
    }

    private void laterals(Kept kept, List<CountStep> steps) {
        CountedKind.Laterals rule = row.laterals();
        RowCount.Group fresh = count.fresh();
        if (rule == null || fresh.laterals() <= 0 || kept.all() == 0) {
            return;
        }
        int low = (int) Math.round(fresh.lowLaterals() * kept.all());
        if (low > 0) {
            steps.add(step(
                    CountOperation.remove(FRESH + "/laterals/low", low),
                    "detail",
                    numbers.work().lateral() * low,
                    0,
                    CountRule.LOW_LATERAL,
                    COUNTED,
                    Statement.of("count.reason.low-laterals").with("height", Value.centimetres(rule.low()))));
        }
        int stay = (int) Math.round((fresh.laterals() - fresh.lowLaterals()) * kept.all());
        if (stay > 0 && fresh.lateralLength() > rule.keep() + numbers.row().tallByCm()) {
            steps.add(step(
                    CountOperation.shorten(FRESH + "/laterals", rule.keep(), stay),
                    "detail",
                    numbers.work().lateral() * stay,
                    0,
                    CountRule.LONG_LATERAL,
                    0.85,
                    Statement.of("count.reason.laterals")
                            .with("length", Value.centimetres(fresh.lateralLength()))
                            .with("keep", Value.centimetres(rule.keep()))
                            .with("loss", Value.share(1 - rule.worth(fresh.lateralLength())))));
        }
    }

    private void tie(Kept kept, List<CountStep> steps) {
        if (topWireCm != null && kept.all() > 0) {
            steps.add(step(
                    CountOperation.of(CountOperation.Kind.TIE, FRESH, kept.all()),
                    "train",
                    numbers.work().tieCane() * kept.all(),
                    0,
                    CountRule.ROOTING_TIP,
                    0.8,
                    Statement.of("count.reason.tie").with("fan", Value.choice(row.perPlant() == null ? "no" : "yes"))));
        }
    }

    private void fruited(List<CountStep> steps) {
        int fruited = count.fruited().count();
        if (fruited > 0 && !row.isMown()) {
            steps.add(step(
                    CountOperation.remove(FRUITED, fruited),
                    "unsound",
                    numbers.work().rowCane() * fruited,
                    (double) fruited / (fruited + Math.max(1, count.fresh().count())),
                    CountRule.FRUITED_CANES,
                    0.95,
                    Statement.of("count.reason.fruited")));
        }
    }

    private void sick(List<CountStep> steps) {
        int sick = count.fresh().diseased() + count.current().diseased();
        if (sick > 0) {
            steps.add(step(
                    CountOperation.remove(FRESH + "/diseased", sick),
                    "unsound",
                    numbers.work().rowCane() * sick,
                    (double) sick
                            / Math.max(
                                    1, count.fresh().count() + count.current().count()),
                    CountRule.UNSOUND_CANE,
                    0.95,
                    Statement.of("count.reason.sick")));
        }
    }

    private void mow(List<CountStep> steps) {
        int standing = count.fruited().count() + count.fresh().count();
        CountedKind.DoubleCrop both = row.doubleCrop();
        steps.add(new CountStep(
                CountOperation.of(CountOperation.Kind.MOW, "canes", standing),
                "unsound",
                0,
                numbers.work().mowMetre() * count.length(),
                1,
                CountSteps.answering(reading, CountRule.FRUITED_CANES),
                0.9,
                false,
                both == null
                        ? null
                        : CountOperation.thin(
                                FRESH, wanted(both.keep()), both.keep(), Math.max(0, standing - wanted(both.keep()))),
                both == null ? Statement.of("count.reason.mow") : mowOrKeep(both)));
    }

    private Statement mowOrKeep(CountedKind.DoubleCrop both) {
        double alone =
                model.seasons(keeping(0), row.density().bestPerM(), 1).get(0).crop();
        double together = model.seasons(keeping(both.keep()), row.density().bestPerM(), 1)
                .get(0)
                .crop();
        return Statement.of("count.reason.mow-or-keep")
                .with("keep", new Value.PerLength(both.keep()))
                .with("delay", Value.count(Math.round(both.delay() * both.keep())))
                .with("mown", new Value.Mass(alone))
                .with("both", new Value.Mass(together));
    }

    private RowSeasons.Stand keeping(double perMetre) {
        return new RowSeasons.Stand(perMetre, 0, 0, 1, 0, 0, 0, count.widthCm());
    }

    private void summer(List<CountStep> steps) {
        RowCount.Group now = count.current();
        sick(steps);
        if (now.count() == 0) {
            return;
        }
        if (now.outside() > 0) {
            steps.add(step(
                    CountOperation.remove(CURRENT + "/outside", now.outside()),
                    "frame",
                    numbers.work().rowCane() * now.outside(),
                    (double) now.outside() / now.count(),
                    CountRule.WIDE_ROW,
                    COUNTED,
                    Statement.of("count.reason.outside").with("width", Value.centimetres(row.width()))));
        }
        if (row.isMown() && now.strong() > wanted(row.range().most())) {
            int keep = wanted(row.density().bestPerM());
            steps.add(step(
                    CountOperation.thin(CURRENT, keep, keep / count.length(), now.strong() - keep),
                    "renewal",
                    numbers.work().rowCane() * (now.strong() - keep),
                    (double) (now.strong() - keep) / now.count(),
                    CountRule.CROWDED_ROW,
                    sureOfNumber(),
                    Statement.of("count.reason.thin")
                            .with("keep", Value.count(keep))
                            .with("perMetre", new Value.PerLength(keep / count.length()))
                            .with("apart", Value.centimetres(numbers.row().apartCm()))));
        }
        Double at = topWireCm == null ? row.tip().summer() : row.tip().summerTrellis();
        if (at != null && now.height() >= at) {
            steps.add(step(
                    CountOperation.tip(CURRENT, at, now.count()),
                    "detail",
                    numbers.work().tipCane() * now.count(),
                    0,
                    CountRule.TALL_CANE,
                    0.85,
                    Statement.of("count.reason.summer-tip").with("top", Value.centimetres(at))));
        }
    }

    private CountStep step(
            CountOperation operation,
            String stage,
            double minutes,
            double share,
            CountRule rule,
            double sure,
            Statement reason) {
        return new CountStep(
                operation, stage, 0, minutes, share, CountSteps.answering(reading, rule), sure, false, null, reason);
    }

    private boolean aboveWire() {
        return row.tip().aboveWire() != null && topWireCm != null;
    }

    /** Height at which canes are cut, cm; 0 where they are left. */
    private double topCm() {
        CountedKind.Tip tip = row.tip();
        double height = count.fresh().height();
        if (aboveWire()) {
            return topWireCm + tip.aboveWire();
        }
        return height <= tip.untouched() ? 0 : Math.ceil(Math.max(tip.least(), tip.share() * height));
    }

    private double sureOfNumber() {
        if (count.samples() < 2 || Double.isNaN(count.spread())) {
            return 0.75;
        }
        double mean = count.fresh().count() / count.length();
        double error = mean <= 0 ? 1 : numbers.sampling().z() * count.spread() / Math.sqrt(count.samples()) / mean;
        return Math.max(0.5, Math.min(0.95, 1 - error));
    }

    private String whyLeft(CountFinding finding, String name, boolean full) {
        boolean nothingCuts = Set.of(CountRule.THIN_ROW, "no-trellis").contains(finding.rule());
        return name.equals("nothing")
                ? "nothing"
                : nothingCuts
                        ? "none"
                        : !full
                                ? "season"
                                : finding.severity() == Severity.WATCH
                                        ? "unsure"
                                        : name.equals("gentler") ? "gentler" : "later";
    }

    private List<CountPlan.Season> seasons(String name, List<CountOperation> operations) {
        double wanted = switch (name) {
            case "nothing" -> Double.POSITIVE_INFINITY;
            case "gentler" -> row.range().most();
            case "firmer" -> row.range().least();
            default -> wantedPerMetre();
        };
        return model.seasons(standAfter(operations), wanted, Bush.SEASONS);
    }

    @Override
    public CountOutcome after(List<CountOperation> operations) {
        RowSeasons.Stand stand = standAfter(operations);
        List<CountReading.Group> groups = new ArrayList<>();
        double fresh = (stand.strong() + stand.weak()) * count.length();
        if (fresh > 0) {
            groups.add(new CountReading.Group("new", Math.round(fresh)));
        }
        group(groups, "current", count.current());
        return new CountOutcome(groups, 0, seasons(operations.isEmpty() ? "nothing" : "recommended", operations));
    }

    /** The row at the beginning of the season after operations. */
    private RowSeasons.Stand standAfter(List<CountOperation> operations) {
        RowCount.Group fresh = count.fresh();
        double strong = fresh.strong();
        double weak = fresh.weak();
        double outside = fresh.outside();
        double sick = fresh.diseased();
        double standing = row.isMown() ? 0 : count.fruited().count();
        double tip = 1;
        double lateral = fresh.lateralLength();
        for (CountOperation operation : operations) {
            String target = operation.target();
            switch (operation.kind()) {
                case MOW -> {
                    return new RowSeasons.Stand(0, 0, 0, 1, 0, 0, 0, count.widthCm());
                }
                case REMOVE -> {
                    weak -= target.equals(FRESH + "/weak") ? operation.count() : 0;
                    outside -= target.equals(FRESH + "/outside") ? operation.count() : 0;
                    sick -= target.equals(FRESH + "/diseased") ? operation.count() : 0;
                    standing -= target.equals(FRUITED) ? operation.count() : 0;
                }
                case THIN -> strong = target.equals(FRESH) ? Math.min(strong, operation.keepCount() - weak) : strong;
                case TIP -> tip = fresh.height() > operation.atCm() ? operation.atCm() / fresh.height() : 1;
                case SHORTEN -> lateral = Math.min(lateral, operation.atCm());
                default -> {
                    // nothing that changes the number of canes
                }
            }
        }
        double all = Math.max(1, strong + weak + outside + sick);
        boolean narrow = outside <= 0 && count.widthCm() > row.width();
        return new RowSeasons.Stand(
                Math.max(0, strong + Math.max(0, sick)) / count.length(),
                Math.max(0, weak + outside) / count.length(),
                Math.max(0, standing) / count.length(),
                tip,
                fresh.diameter(),
                lateral,
                Math.max(0, sick) / all,
                narrow ? row.width() : count.widthCm());
    }

    private CountReading read() {
        CountPlan.Season alone = seasons("nothing", List.of()).get(0);
        RowCount.Group fresh = count.fresh();
        List<CountReading.Group> groups = new ArrayList<>();
        group(groups, "fruited", count.fruited());
        group(groups, "new", fresh);
        group(groups, "current", count.current());
        List<CountReading.Measure> measure = new ArrayList<>();
        int more = moreSamples();
        if (more > 0) {
            measure.add(new CountReading.Measure(
                    "row",
                    "samples",
                    Statement.of("count.measure.samples")
                            .with("more", Value.count(more))
                            .with("error", Value.share(numbers.sampling().error()))));
        }
        if (fresh.count() > 0 && fresh.height() == 0 && !row.isMown()) {
            measure.add(new CountReading.Measure(FRESH, "height_cm", Statement.of("count.measure.height")));
        }
        return new CountReading(
                new RowFindings(row, numbers, count, topWireCm != null).all(topCm(), wantedPerMetre(), sureOfNumber()),
                null,
                alone.crop(),
                alone.marketable(),
                0,
                new CountReading.Canes(
                        groups,
                        fresh.count() + count.current().count(),
                        (fresh.count() + count.current().count()) / count.length(),
                        count.widthCm(),
                        row.range().least(),
                        row.range().most()),
                null,
                List.of(),
                measure);
    }

    /** Counts that are missing until the number of canes is sure to a share in nine of ten cases. */
    private int moreSamples() {
        CountingParameters.Sampling rule = numbers.sampling();
        double mean = count.fresh().count() / count.length();
        double variation = Double.isNaN(count.spread()) || mean <= 0 ? rule.canesVariation() : count.spread() / mean;
        double wanted = Math.pow(rule.z() * variation / rule.error(), 2);
        double made = Double.isNaN(count.spread()) ? count.length() : count.samples();
        return row.isMown() ? 0 : (int) Math.max(0, Math.ceil(wanted - made));
    }

    private static void group(List<CountReading.Group> groups, String name, RowCount.Group of) {
        if (of.count() > 0) {
            groups.add(new CountReading.Group(name, of.count()));
        }
    }
}
