package umbel.app.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import umbel.app.orchard.Block;
import umbel.app.reader.Reader;
import umbel.season.DayAdvice;
import umbel.season.DayOrder;
import umbel.season.Phenology;
import umbel.season.Weather;
import umbel.wood.Units;

/** What is told of a season; temperatures in °C, rain in mm, wind in m/s, work in hours. */
public final class SeasonAnswers {

    private SeasonAnswers() {}

    /** All blocks from a first to a last day. */
    public record SeasonPage(
            LocalDate today,
            LocalDate from,
            LocalDate to,
            double crewHoursADay,
            List<HoldingWeather> weather,
            List<BlockSeason> blocks) {}

    /** A holding's weather up to the end of its forecast. */
    public record HoldingWeather(long holdingId, String holding, List<WeatherLine> days) {}

    /** A day's weather; kind is observed, forecast or usual. */
    public record WeatherLine(LocalDate date, double min, double max, double rain, double wind, String kind) {

        static WeatherLine of(Weather.Day day) {
            return new WeatherLine(
                    day.date(),
                    day.min(),
                    day.max(),
                    day.rain(),
                    day.wind(),
                    day.kind().name().toLowerCase(java.util.Locale.ROOT));
        }
    }

    /**
     * A block's season.
     *
     * @param counted whether the hours come from marked trees; otherwise they are what is usual in its system
     * @param daysLeft days that suit its main work until the window closes
     * @param daysNeeded days all hands would need
     */
    public record BlockSeason(
            long id,
            String name,
            long holdingId,
            String speciesName,
            String systemName,
            int leaf,
            int trees,
            int treesDone,
            boolean counted,
            double hours,
            double sawHours,
            double ladderHours,
            int daysLeft,

            LocalDate windowEnd,

            Double daysNeeded,
            List<String> diseases,
            SeasonDates dates,
            List<Span> spans) {}

    /** Expected dates of the year; bloom also at its earliest and latest. */
    public record SeasonDates(
            LocalDate dormant,
            LocalDate budSwell,
            LocalDate bloom,
            LocalDate bloomEarliest,
            LocalDate bloomLatest,
            LocalDate petalFall,
            LocalDate summerEnd,
            LocalDate harvest) {

        static SeasonDates of(Phenology year) {
            return new SeasonDates(
                    year.dormant(),
                    year.budSwell().expected(),
                    year.bloom().expected(),
                    year.bloom().earliest(),
                    year.bloom().latest(),
                    year.petalFall().expected(),
                    year.summerEnd(),
                    year.harvest());
        }
    }

    /** Days in a row with the same verdict for the same reason. */
    public record Span(LocalDate from, LocalDate to, String phase, String verdict, String rule, String reason) {}

    private static String said(DayAdvice.Reason reason) {
        return Reader.speech().say(reason.text());
    }

    static List<Span> spans(List<DayAdvice> days) {
        List<Span> spans = new ArrayList<>();
        DayAdvice.Reason before = null;
        String reason = "";
        for (DayAdvice day : days) {
            DayAdvice.Reason first = day.reasons().get(0);
            if (!first.equals(before)) { // most days have the reason of the day before: it is put into words once
                reason = said(first);
                before = first;
            }
            Span last = spans.isEmpty() ? null : spans.get(spans.size() - 1);
            boolean same = last != null
                    && last.phase().equals(day.phase())
                    && last.verdict().equals(day.verdict().word())
                    && last.reason().equals(reason);
            if (same) {
                spans.remove(spans.size() - 1);
            }
            spans.add(new Span(
                    same ? last.from() : day.date(),
                    day.date(),
                    day.phase(),
                    day.verdict().word(),
                    first.rule(),
                    reason));
        }
        return spans;
    }

    /**
     * Where to go on a day.
     *
     * @param scheduled whether the crew's schedule decides where; without one the day's own order does
     */
    public record DayPage(LocalDate date, double crewHours, boolean scheduled, List<PlacedBlock> blocks) {}

    /**
     * A block at its place in the day's order: whether to go there, and why or why not.
     *
     * @param plannedOn the first day from this one on that the schedule sends somebody there; null where it sends nobody
     */
    public record PlacedBlock(
            long id,
            String name,
            String holding,
            boolean go,
            LocalDate plannedOn,
            String why,
            String phase,
            String verdict,
            List<SeasonReason> reasons,
            boolean urgent,
            boolean ladder,
            double hours,
            int daysLeft,

            LocalDate windowEnd,

            WeatherLine weather) {

        static PlacedBlock of(DayOrder.Placed placed, Block block, boolean go, LocalDate plannedOn) {
            DayOrder.Waiting waiting = placed.waiting();
            DayAdvice advice = waiting.advice();
            return new PlacedBlock(
                    waiting.id(),
                    waiting.name(),
                    block.holding().name(),
                    go,
                    plannedOn,
                    Reader.speech().say(placed.why()),
                    advice.phase(),
                    advice.verdict().word(),
                    advice.reasons().stream()
                            .map(reason -> new SeasonReason(reason.rule(), said(reason)))
                            .toList(),
                    advice.urgent(),
                    advice.ladder(),
                    Units.round(waiting.hours(), 1),
                    waiting.daysLeft(),
                    waiting.windowEnd(),
                    advice.weather() == null ? null : WeatherLine.of(advice.weather()));
        }
    }

    /** A reason, by its rule. */
    public record SeasonReason(String rule, String text) {}
}
