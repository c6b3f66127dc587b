package umbel.counted;

import java.util.ArrayList;
import java.util.List;
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

    private final CountedKind kind;
    private final CountedKind.Row row;
    private final CountingParameters numbers;
    private final RowCount count;
    private final RowWanted wanted;
    private final RowSeasons model;
    private final CountLearned learned;
    private final CountReading reading;

    private CaneRow(CountSurvey survey, CountedKind kind, Knowledge knowledge, CountLearned learned) {
        this.learned = learned;
        this.kind = kind;
        this.row = kind.row();
        this.numbers = knowledge.counting();
        double spacing =
                survey.plant().spacing() == null ? 0 : survey.plant().spacing().inRow();
        this.count = RowCount.of(survey.row(), spacing);
        if (!row.suckering() && count.plants() == 0) {
            throw new InvalidSurvey(List.of(FieldError.of("row.plants", "problem.row-needs-plants")));
        }
        this.wanted = new RowWanted(row, numbers, count, survey.row().topWireCm());
        String vigour = Vigour.word(survey);
        double fresh = row.suckering()
                ? row.newPerM().get(vigour)
                : row.newPerPlant().get(vigour) * count.plants() / count.length();
        CountedKind.Density early = row.doubleCrop() == null
                ? null
                : knowledge.counted(row.doubleCrop().kind()).row().density();
        this.model = new RowSeasons(row, early, numbers.row(), fresh * learned.renewal(), count.length());
        this.reading = read();
    }

    static CaneRow of(CountSurvey survey, CountedKind kind, Knowledge knowledge, CountLearned learned) {
        if (survey.row() == null) {
            throw new InvalidSurvey(List.of(FieldError.of("row", "problem.row-missing")));
        }
        return new CaneRow(survey, kind, knowledge, learned);
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
        RowWork work = new RowWork(wanted, model, reading);
        boolean forbidden = kind.phases().get(moment.word()).forbids();
        RowWanted.Kept kept = wanted.keptOf(name);
        boolean winter = moment == Moment.DORMANT || moment == Moment.DELAYED_DORMANT;
        if (!name.equals("nothing")) {
            if (forbidden) {
                work.sick();
            } else if (winter && row.isMown()) {
                work.mow();
            } else if (winter) {
                work.winter(name, kept);
            } else if (moment == Moment.AFTER_HARVEST) {
                work.fruited();
                work.sick();
            } else {
                work.summer();
            }
        }
        boolean full = winter && !forbidden && !name.equals("nothing");
        return new CountPlan(
                name,
                work.steps(),
                after(full, kept),
                0,
                seasons(full ? name : "nothing", CountSteps.operations(work.steps())),
                CountSteps.left(reading, work.steps(), finding -> CountSteps.because(whyLeft(finding, name, full))));
    }

    private List<CountReading.Group> after(boolean full, RowWanted.Kept kept) {
        List<CountReading.Group> groups = new ArrayList<>();
        int fresh = full ? row.isMown() ? 0 : kept.all() : count.fresh().count();
        if (fresh > 0) {
            groups.add(new CountReading.Group("new", fresh));
        }
        group(groups, "current", count.current());
        return groups;
    }

    private String whyLeft(CountFinding finding, String name, boolean full) {
        boolean nothingCuts = !finding.rule().isAnswered();
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
        double stay = name.equals("nothing") ? Double.POSITIVE_INFINITY : wanted.perMetre(name);
        return learned.told(model.seasons(standAfter(operations), stay, Bush.SEASONS));
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
                    "row", "samples", Statement.of("count.measure.samples").with("more", Value.count(more))));
        }
        if (fresh.count() > 0 && fresh.height() == 0 && !row.isMown()) {
            measure.add(new CountReading.Measure(FRESH, "height_cm", Statement.of("count.measure.height")));
        }
        return new CountReading(
                new RowFindings(row, numbers, count, wanted.topWireCm() != null)
                        .all(wanted.topCm(), wanted.perMetre(), wanted.sureOfNumber()),
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

    /**
     * Counts that are missing until it is sure, in nine of ten cases, whether the row has too many or too few canes: as many as tell
     * its mean from the nearer of the two lines, and no more than anybody walks. On the line itself either answer is right.
     */
    private int moreSamples() {
        CountingParameters.Sampling rule = numbers.sampling();
        double mean = count.fresh().count() / count.length();
        if (row.isMown() || mean <= 0) {
            return 0;
        }
        double spread = Double.isNaN(count.spread()) ? rule.canesVariation() * mean : count.spread();
        double few = numbers.row().thinRow() * wanted.perMetre();
        double many = (1 + numbers.row().alike()) * wanted.perMetre();
        double apart = Math.min(Math.abs(mean - few), Math.abs(mean - many));
        double needed = Math.pow(rule.z() * spread / apart, 2);
        double made = Double.isNaN(count.spread()) ? count.length() : count.samples();
        return (int) Math.max(0, Math.ceil(Math.min(needed, rule.most()) - made));
    }

    private static void group(List<CountReading.Group> groups, String name, RowCount.Group of) {
        if (of.count() > 0) {
            groups.add(new CountReading.Group(name, of.count()));
        }
    }
}
