package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.text.Statement;
import umbel.text.Value;

/** The steps of one plan for a row, in the order they are made. */
final class RowWork {

    private static final String CURRENT = "canes/current";
    private static final String FRUITED = CaneRow.FRUITED;
    private static final String FRESH = CaneRow.FRESH;

    private final RowWanted wanted;
    private final CountedKind.Row row;
    private final CountingParameters numbers;
    private final CountingParameters.Confidence sure;
    private final RowCount count;
    private final RowSeasons model;
    private final CountReading reading;
    private final List<CountStep> steps = new ArrayList<>();

    RowWork(RowWanted wanted, RowSeasons model, CountReading reading) {
        this.wanted = wanted;
        this.row = wanted.row();
        this.numbers = wanted.numbers();
        this.sure = numbers.confidence();
        this.count = wanted.count();
        this.model = model;
        this.reading = reading;
    }

    /** The steps so far. */
    List<CountStep> steps() {
        return steps;
    }

    /** The dormant cut of a row whose canes fruit in their second season. */
    void winter(String name, RowWanted.Kept kept) {
        fruited();
        sick();
        RowCount.Group fresh = count.fresh();
        if (fresh.outside() > 0) {
            steps.add(step(
                    CountOperation.remove(FRESH + "/outside", fresh.outside()),
                    "frame",
                    numbers.work().rowCane() * fresh.outside(),
                    (double) fresh.outside() / fresh.count(),
                    CountRule.WIDE_ROW,
                    sure.counted(),
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
                    sure.judged(),
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
                    wanted.sureOfNumber(),
                    Statement.of("count.reason.thin")
                            .with("keep", Value.count(kept.all()))
                            .with("perMetre", new Value.PerLength(kept.all() / count.length()))
                            .with("apart", Value.centimetres(numbers.row().apartCm()))));
        }
        double top = wanted.topCm();
        if (top > 0 && fresh.height() > top) {
            steps.add(step(
                    CountOperation.tip(FRESH, top, kept.all()),
                    "detail",
                    numbers.work().tipCane() * kept.all(),
                    0,
                    CountRule.TALL_CANE,
                    sure.judged(),
                    Statement.of("count.reason.tip")
                            .with("height", Value.centimetres(fresh.height()))
                            .with("top", Value.centimetres(top))
                            .with("wire", Value.choice(wanted.aboveWire() ? "yes" : "no"))));
        }
        laterals(kept);
        tie(kept);
    }

    private void laterals(RowWanted.Kept kept) {
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
                    sure.counted(),
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
                    sure.judged(),
                    Statement.of("count.reason.laterals")
                            .with("length", Value.centimetres(fresh.lateralLength()))
                            .with("keep", Value.centimetres(rule.keep()))
                            .with("loss", Value.share(1 - rule.worth(fresh.lateralLength())))));
        }
    }

    private void tie(RowWanted.Kept kept) {
        if (wanted.topWireCm() != null && kept.all() > 0) {
            steps.add(step(
                    CountOperation.of(CountOperation.Kind.TIE, FRESH, kept.all()),
                    "train",
                    numbers.work().tieCane() * kept.all(),
                    0,
                    CountRule.ROOTING_TIP,
                    sure.judged(),
                    Statement.of("count.reason.tie").with("fan", Value.choice(row.perPlant() == null ? "no" : "yes"))));
        }
    }

    /** Fruited canes out. */
    void fruited() {
        int fruited = count.fruited().count();
        if (fruited > 0 && !row.isMown()) {
            steps.add(step(
                    CountOperation.remove(FRUITED, fruited),
                    "unsound",
                    numbers.work().rowCane() * fruited,
                    (double) fruited / (fruited + Math.max(1, count.fresh().count())),
                    CountRule.FRUITED_CANES,
                    sure.certain(),
                    Statement.of("count.reason.fruited")));
        }
    }

    /** Sick canes out. */
    void sick() {
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
                    sure.certain(),
                    Statement.of("count.reason.sick")));
        }
    }

    /** All canes off, or some kept for an early crop. */
    void mow() {
        int standing = count.fruited().count() + count.fresh().count();
        CountedKind.DoubleCrop both = row.doubleCrop();
        steps.add(new CountStep(
                CountOperation.of(CountOperation.Kind.MOW, "canes", standing),
                "unsound",
                0,
                numbers.work().mowMetre() * count.length(),
                1,
                CountSteps.answering(reading, CountRule.FRUITED_CANES),
                sure.certain(),
                false,
                both == null
                        ? null
                        : CountOperation.thin(
                                FRESH,
                                wanted.canes(both.keep()),
                                both.keep(),
                                Math.max(0, standing - wanted.canes(both.keep()))),
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

    /** The work on canes that grow now. */
    void summer() {
        RowCount.Group now = count.current();
        sick();
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
                    sure.counted(),
                    Statement.of("count.reason.outside").with("width", Value.centimetres(row.width()))));
        }
        if (row.isMown() && now.strong() > wanted.canes(row.range().most())) {
            int keep = wanted.canes(row.density().bestPerM());
            steps.add(step(
                    CountOperation.thin(CURRENT, keep, keep / count.length(), now.strong() - keep),
                    "renewal",
                    numbers.work().rowCane() * (now.strong() - keep),
                    (double) (now.strong() - keep) / now.count(),
                    CountRule.CROWDED_ROW,
                    wanted.sureOfNumber(),
                    Statement.of("count.reason.thin")
                            .with("keep", Value.count(keep))
                            .with("perMetre", new Value.PerLength(keep / count.length()))
                            .with("apart", Value.centimetres(numbers.row().apartCm()))));
        }
        Double at = wanted.topWireCm() == null ? row.tip().summer() : row.tip().summerTrellis();
        if (at != null && now.height() >= at) {
            steps.add(step(
                    CountOperation.tip(CURRENT, at, now.count()),
                    "detail",
                    numbers.work().tipCane() * now.count(),
                    0,
                    CountRule.TALL_CANE,
                    sure.judged(),
                    Statement.of("count.reason.summer-tip").with("top", Value.centimetres(at))));
        }
    }

    private CountStep step(
            CountOperation operation,
            String stage,
            double minutes,
            double share,
            CountRule rule,
            double sureOf,
            Statement reason) {
        return new CountStep(
                operation, stage, 0, minutes, share, CountSteps.answering(reading, rule), sureOf, false, null, reason);
    }
}
