package umbel.season;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Parameters;
import umbel.knowledge.SeasonParameters;
import umbel.knowledge.Species;
import umbel.season.DayAdvice.Reason;
import umbel.season.DayAdvice.Verdict;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * The days of a block's year: which phase each lies in and what weather, cold, wet, heat, age and disease make of it.
 * Disease outranks convenience: a rule may lower what the phase allows and never raise it.
 */
public final class SeasonCalendar {

    /** The reason of a dormant day on which a kind may be cut, though it has better ones. */
    static final String OTHER_DAYS = "days";

    private final SeasonBlock block;
    private final Parameters parameters;
    private final Weather weather;
    private final Map<LocalDate, Phenology> years = new HashMap<>();

    /** The calendar of a block under this weather. */
    public SeasonCalendar(SeasonBlock block, Parameters parameters, Weather weather) {
        this.block = block;
        this.parameters = parameters;
        this.weather = weather;
    }

    /** The year's dates a day belongs to: the spring that is coming, or the one that has been. */
    public Phenology year(LocalDate date) {
        LocalDate midwinter = Phenology.midwinterOf(date, block.latitude());
        Phenology now = of(midwinter);
        Phenology next = of(midwinter.plusYears(1));
        return date.isBefore(next.dormant()) ? now : next;
    }

    private Phenology of(LocalDate midwinter) {
        return years.computeIfAbsent(
                midwinter,
                start -> Phenology.of(
                        block.traits().season(), rules(), block.latitude(), start, weather, harvestedIn(start)));
    }

    private LocalDate harvestedIn(LocalDate midwinter) {
        LocalDate day = block.harvested();
        boolean thisYear = day != null && !day.isBefore(midwinter) && day.isBefore(midwinter.plusYears(1));
        return thisYear ? day : null;
    }

    private SeasonParameters.Calendar rules() {
        return parameters.season().calendar();
    }

    /** The phase a day lies in: the species' own words, and autumn and late summer, when wood must harden. */
    public String phase(LocalDate date) {
        Phenology year = year(date);
        if (date.isBefore(year.dormant())) {
            return "autumn";
        }
        if (date.isBefore(year.budSwell().expected())) {
            return "dormant";
        }
        if (date.isBefore(year.leafOut())) {
            return "delayed-dormant";
        }
        if (date.isBefore(year.bloom().expected())) {
            return "early-summer";
        }
        if (!date.isAfter(year.petalFall().expected())) {
            return "bloom";
        }
        if (block.traits().season().evergreen()) {
            return evergreenPhase(date, year);
        }
        boolean picked = block.fruiting() && date.isAfter(year.harvest());
        if (picked) {
            return date.isAfter(year.afterHarvestEnd()) ? "autumn" : "after-harvest";
        }
        if (!date.isAfter(year.softUntil())) {
            return "early-summer";
        }
        if (!date.isAfter(year.summerEnd())) {
            return "summer";
        }
        return date.isAfter(year.afterHarvestEnd()) ? "autumn" : "late-summer";
    }

    private String evergreenPhase(LocalDate date, Phenology year) {
        if (!block.fruiting() || date.isAfter(year.harvest())) {
            return "after-harvest";
        }
        return date.isAfter(year.softUntil()) ? "summer" : "early-summer";
    }

    /** What may be done on a day, and why. */
    public DayAdvice on(LocalDate date) {
        String phase = phase(date);
        Judged judged = byPhase(phase);
        Weather.Day day = weather.on(date).orElse(null);
        wet(judged, date, day);
        cold(judged, date);
        frost(judged, date, phase);
        heat(judged, date);
        young(judged, date, phase);
        mainDays(judged, date, phase);
        boolean ladder = day == null || !day.told() || day.wind() < rules().wind() && !icy(day);
        if (!ladder && block.traits().needsLadder(parameters.reach())) {
            judged.atMost(Verdict.ALLOWED, new Reason("wind", Statement.of("season.wind")));
        }
        if (day == null || !day.told()) {
            judged.note(new Reason("no-forecast", Statement.of("season.no-forecast")));
        }
        boolean dry = day == null || !day.told() || day.rain() < rules().wetMm();
        boolean urgent = dry && !judged.has("cold");
        return new DayAdvice(date, phase, judged.verdict, judged.reasons(), urgent, ladder, day);
    }

    /** Days from one to another, both included. */
    public List<DayAdvice> between(LocalDate from, LocalDate to) {
        List<DayAdvice> days = new ArrayList<>();
        for (LocalDate date = from; !date.isAfter(to); date = date.plusDays(1)) {
            days.add(on(date));
        }
        return days;
    }

    private static boolean icy(Weather.Day day) {
        return day.min() < 0 && day.rain() > 0;
    }

    private Judged byPhase(String phase) {
        if (phase.equals("autumn")) {
            return new Judged(Verdict.NOT, new Reason("phase", Statement.of("season.autumn")));
        }
        if (phase.equals("late-summer")) {
            return new Judged(Verdict.NOT, new Reason("phase", Statement.of("season.late-summer")));
        }
        boolean inLeaf = phase.equals("summer") || phase.equals("early-summer");
        if (inLeaf && !block.traits().season().summerCuts()) {
            return new Judged(
                    Verdict.NOT,
                    new Reason(
                            "phase",
                            Statement.of("season.not-in-summer")
                                    .with("kind", new Value.Words(block.traits().name()))));
        }
        Species.PhaseRule rule = block.traits().phases().get(phase);
        boolean diseased = !block.diseases().isEmpty() && rule.whenDiseased() != null;
        Species.PhaseRule applies = diseased ? rule.whenDiseased() : rule;
        return new Judged(
                Verdict.of(applies.verdict()),
                new Reason(
                        diseased ? "disease" : "phase",
                        Statement.of("season.phase").with("why", new Value.Words(applies.reason()))));
    }

    private void wet(Judged judged, LocalDate date, Weather.Day day) {
        if (day != null && day.told() && day.rain() >= rules().wetMm()) {
            judged.atMost(
                    Verdict.NOT,
                    new Reason("wet", Statement.of("season.rain").with("rain", new Value.Rain(day.rain()))));
            return;
        }
        for (int ahead = 1; ahead <= rules().dryDays(); ahead++) {
            Weather.Day next = weather.on(date.plusDays(ahead)).orElse(null);
            if (next != null && next.told() && next.rain() >= rules().wetMm()) {
                boolean open = !block.diseases().isEmpty() || block.traits().rainEnters();
                judged.atMost(
                        open ? Verdict.NOT : Verdict.ALLOWED,
                        new Reason(
                                "wet",
                                Statement.of("season.rain-ahead")
                                        .with("ahead", Value.count(ahead))
                                        .with("dry", Value.count(rules().dryDays()))
                                        .with("open", Value.choice(open ? "yes" : "no"))));
                return;
            }
        }
    }

    private void cold(Judged judged, LocalDate date) {
        double young =
                block.leaf() <= rules().youngLeaf() ? rules().coldMargin().young() : 0;
        double limit = block.traits().coldC() + young;
        LocalDate first = date.plusDays(rules().coldDays().first());
        LocalDate last = date.plusDays(rules().coldDays().later());
        boolean soon = underIn(date, first, limit + rules().coldMargin().firstDays());
        boolean later = underIn(date, last, limit + rules().coldMargin().later());
        if (soon || later) {
            Weather.Day worst = weather.coldest(date, soon ? first : last).orElseThrow();
            judged.atMost(
                    Verdict.NOT,
                    new Reason(
                            "cold",
                            Statement.of("season.cold")
                                    .with("least", new Value.Temperature(worst.min()))
                                    .with("day", new Value.Day(worst.date()))
                                    .with("limit", new Value.Temperature(limit))));
            return;
        }
        weather.on(date)
                .filter(Weather.Day::told)
                .ifPresent(today -> weather.coldest(date, last)
                        .filter(worst ->
                                worst.min() <= rules().deepFrost() && today.max() - worst.min() > rules().drop())
                        .ifPresent(worst -> judged.atMost(
                                Verdict.NOT,
                                new Reason(
                                        "cold",
                                        Statement.of("season.fall")
                                                .with("fall", new Value.TemperatureChange(today.max() - worst.min()))
                                                .with("day", new Value.Day(worst.date()))))));
    }

    private boolean underIn(LocalDate from, LocalDate to, double limit) {
        return weather.coldest(from, to).filter(day -> day.min() <= limit).isPresent();
    }

    /** Evergreens are cut after frost is past: while usual nights still near it, only what must be. */
    private void frost(Judged judged, LocalDate date, String phase) {
        if (!block.traits().season().evergreen() || phase.equals("dormant")) {
            return;
        }
        weather.on(date)
                .filter(day -> day.min() < rules().frost())
                .ifPresent(day -> judged.atMost(Verdict.NOT, new Reason("cold", Statement.of("season.frost"))));
    }

    private void heat(Judged judged, LocalDate date) {
        weather.between(date, date.plusDays(rules().dryDays())).stream()
                .filter(day -> day.told() && day.max() >= rules().heat())
                .findFirst()
                .ifPresent(day -> judged.atMost(
                        Verdict.ALLOWED,
                        new Reason(
                                "heat",
                                Statement.of("season.heat")
                                        .with("most", new Value.Temperature(day.max()))
                                        .with("day", new Value.Day(day.date())))));
    }

    /** Young and tender trees are hurt by early cutting: in the first half of dormancy they can wait. */
    private void young(Judged judged, LocalDate date, String phase) {
        if (!phase.equals("dormant")) {
            return;
        }
        Phenology year = year(date);
        long length = ChronoUnit.DAYS.between(year.dormant(), year.budSwell().expected());
        boolean early = date.isBefore(year.dormant().plusDays(length / 2));
        boolean young = block.leaf() <= rules().youngLeaf();
        boolean tender = block.traits().bloomRank() <= rules().tenderRank();
        if (early && (young || tender)) {
            judged.atMost(Verdict.NOT, new Reason("early", Statement.of(young ? "season.young" : "season.tender")));
        }
    }

    /** Kinds with days of their own for the main cut may be cut on other dormant days, but better then. */
    private void mainDays(Judged judged, LocalDate date, String phase) {
        CountedKind.Days days = block.traits().mainDays();
        if (days != null && phase.equals("dormant") && !days.has(date)) {
            judged.atMost(
                    Verdict.ALLOWED,
                    new Reason(
                            OTHER_DAYS,
                            Statement.of("season.main-days")
                                    .with("from", new Value.DayOfYear(days.from()))
                                    .with("to", new Value.DayOfYear(days.to()))));
        }
    }

    /** A verdict on its way down, with the reason that decides in front. */
    private static final class Judged {

        private Verdict verdict;
        private final List<Reason> reasons = new ArrayList<>();

        Judged(Verdict verdict, Reason reason) {
            this.verdict = verdict;
            reasons.add(reason);
        }

        void atMost(Verdict most, Reason reason) {
            if (most.compareTo(verdict) < 0) {
                verdict = most;
                reasons.add(0, reason);
            } else {
                reasons.add(reason);
            }
        }

        void note(Reason reason) {
            reasons.add(reason);
        }

        boolean has(String rule) {
            return reasons.stream().anyMatch(reason -> reason.rule().equals(rule));
        }

        List<Reason> reasons() {
            return List.copyOf(reasons);
        }
    }
}
